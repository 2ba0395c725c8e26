package dev.oleander.price;

import java.util.Map;

/**
 * What a lot costs on one machine; money in the shop's currency, times s.
 *
 * @param machine its name
 * @param process laser, plasma, waterjet or punching
 * @param id of the machine; empty for the punching machine, which jobs cannot be made on here
 * @param cannot why it cannot be made there; empty when it can, and all else counts
 * @param warning what is left open, for example stops that cannot be cut; empty when nothing is
 * @param seconds of machine time for one copy
 * @param pierces of one copy, or hits when punched
 * @param hits by tool when punched; empty else
 * @param placed copies on a full sheet
 * @param sheets that the lot needs
 * @param share of these sheets that the parts use, 0 to 1
 */
public record Estimate(
        String machine,
        String process,
        String id,
        String cannot,
        String warning,
        double seconds,
        int pierces,
        Map<String, Integer> hits,
        int placed,
        int sheets,
        double share,
        Costs costs) {

    /** What a whole lot costs, by kind. */
    public record Costs(
            int quantity,
            double machine,
            double running,
            double setUp,
            double materialByArea,
            double materialBySheet) {

        static final Costs NONE = new Costs(1, 0, 0, 0, 0, 0);

        public double material(boolean bySheet) {
            return bySheet ? materialBySheet : materialByArea;
        }

        public double lot(boolean bySheet) {
            return machine + running + setUp + material(bySheet);
        }

        public double part(boolean bySheet) {
            return lot(bySheet) / quantity;
        }
    }

    /** Where it cannot be made, with the reason. */
    public static Estimate impossible(String machine, String process, String id, String why) {
        return new Estimate(machine, process, id, why, "", 0, 0, Map.of(), 0, 0, 0, Costs.NONE);
    }

    public boolean isPossible() {
        return cannot.isEmpty();
    }
}
