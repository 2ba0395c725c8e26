package dev.oleander.work.router.tool;

import java.util.Optional;

/**
 * How fast a tool turns and goes in a cut, and what that asks of spindle, tool and clamping (Y.
 * Altintas, Manufacturing Automation, 2nd ed. 2012, ch. 2).
 *
 * @param effectiveDiameter that cuts at this depth, mm
 * @param speed rev/min
 * @param clipped whether spindle or tool allow less, or more, than the data ask for
 * @param chip mm a tooth, thicker where the cut is narrow
 * @param feed mm/min along a straight way
 * @param full mm/min where the tool is in the work as wide as it is: so much less that the force
 *     stays what it is, but no thinner than the least chip
 * @param plunge straight down, mm/min
 * @param ramp mm/min down a ramp at the tool's angle
 * @param force along the cut, N, on average over a turn
 * @param power kW
 */
public record Feeds(
        double effectiveDiameter,
        double speed,
        boolean clipped,
        double chip,
        double feed,
        double full,
        double plunge,
        double ramp,
        double force,
        double power) {

    /** The shank bends as if it were so much thinner (L. Kops, D. T. Vo, CIRP Annals 39, 1990). */
    private static final double FLUTED = 0.8;

    /** By how much clamping must hold more than the greatest force. */
    private static final double SAFE = 2;

    /**
     * What the book says of a tool in a material.
     *
     * @param cuttingSpeed m/min
     * @param chip mm a tooth
     * @param chipLeast mm a tooth; less rubs
     * @param chipMost mm a tooth at most, where the cut is narrow
     * @param plungeChip mm a tooth straight down
     * @param kc force for each mm2 of chip, N/mm2
     */
    public record Data(
            double cuttingSpeed,
            double chip,
            double chipLeast,
            double chipMost,
            double plungeChip,
            double kc) {}

    /**
     * A cut.
     *
     * @param ap how deep, mm
     * @param ae how wide, mm
     */
    public record Cut(double ap, double ae) {}

    /**
     * @param spindleLeast and {@code spindleMost}: rev/min of the spindle
     */
    public static Feeds of(Tool tool, Data data, Cut cut, double spindleLeast, double spindleMost) {
        double effective = tool.form().effectiveDiameter(cut.ap);
        double wanted = 1000 * data.cuttingSpeed / (Math.PI * effective);
        double least = Math.max(spindleLeast, tool.limits().minSpeed());
        double most = Math.min(spindleMost, tool.limits().maxSpeed());
        double speed = Math.min(most, Math.max(least, wanted));
        double chip = chip(tool, data, cut);
        double feed = speed * tool.edges().flutes() * chip;
        double share = Math.min(1, cut.ae / tool.diameter());
        double full =
                Math.min(
                        feed,
                        Math.max(feed * share, speed * tool.edges().flutes() * data.chipLeast));
        double plunge = speed * tool.edges().flutes() * data.plungeChip;
        double steep = Math.sin(Math.toRadians(tool.edges().rampAngle()));
        double ramp = steep > 0 ? Math.min(feed, plunge / steep) : feed;
        double power = data.kc * cut.ap * cut.ae * feed / 6e7;
        double force =
                data.kc
                        * cut.ap
                        * cut.ae
                        * chip
                        * tool.edges().flutes()
                        / (Math.PI * tool.diameter());
        return new Feeds(
                effective, speed, speed != wanted, chip, feed, full, plunge, ramp, force, power);
    }

    /**
     * A narrow cut makes thin chips: with q = ae/D below a half the feed a tooth is fz / (2 sqrt(q
     * - q^2)), at most what the tool stands.
     */
    private static double chip(Tool tool, Data data, Cut cut) {
        double q = cut.ae / tool.diameter();
        if (!tool.kind().isFlat() || q >= 0.5) {
            return data.chip;
        }
        return Math.min(data.chipMost, data.chip / (2 * Math.sqrt(q - q * q)));
    }

    /**
     * Feed of the tool's centre on an inner round, so that the wall sees the feed of a straight
     * way, mm/min.
     *
     * @param wall radius of the wall, mm, above that of the tool
     */
    public double inRound(double wall, double toolDiameter) {
        return feed * (wall - toolDiameter / 2) / wall;
    }

    /**
     * How far the tool is pushed aside, mm: 64 F l^3 / (3 pi E (0.8 D)^4).
     *
     * @param tool the one these are of
     */
    public double bending(Tool tool) {
        double l = tool.shank().stickOut();
        double d = FLUTED * tool.diameter();
        return 64 * force * l * l * l / (3 * tool.shank().modulus() * Math.PI * Math.pow(d, 4));
    }

    /**
     * Whether suction holds a part that this cut frees.
     *
     * @param area of the part, mm2
     * @param vacuum N/mm2
     * @param friction of the part on the table
     * @return force in N that holds it, when that is enough
     */
    public Optional<Double> held(double area, double vacuum, double friction) {
        double holds = friction * vacuum * area;
        return holds >= SAFE * force ? Optional.of(holds) : Optional.empty();
    }
}
