package dev.oleander.plan.wire;

import dev.oleander.plan.Run;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a wire machine does, visit by visit.
 *
 * @param run the same as entries of the run line, in the same order
 * @param visits by id of their stop; refused stops have none
 * @param settings by feature and copy, as in c3.2
 * @param holes that the wire is threaded through, those to be drilled and those that are there
 * @param surfaces flanks of the profiles, by feature and copy
 */
public record WirePlan(
        WireTask task,
        WireChoices choices,
        Run run,
        Map<String, WireVisit> visits,
        Map<String, WireSettings> settings,
        List<StartHole> holes,
        Map<String, List<Ruling>> surfaces) {

    public WirePlan {
        visits = Map.copyOf(visits);
        settings = Map.copyOf(settings);
        holes = List.copyOf(holes);
        surfaces = Map.copyOf(surfaces);
    }

    /** What happens at an entry of the run line. */
    public Optional<WireVisit> visit(String stop) {
        return Optional.ofNullable(visits.get(stop));
    }

    /** Holes that have to be drilled before. */
    public List<StartHole> toDrill() {
        return holes.stream().filter(h -> h.given() != StartHole.Given.EDGE).toList();
    }

    /** Offsets of all registers that the passes use, mm, by number. */
    public Map<Integer, Double> registers() {
        Map<Integer, Double> registers = new HashMap<>();
        for (WireVisit visit : visits.values()) {
            for (WireCut cut : visit.cuts()) {
                if (cut.posted()) {
                    registers.put(cut.register(), cut.offset());
                }
            }
        }
        return registers;
    }
}
