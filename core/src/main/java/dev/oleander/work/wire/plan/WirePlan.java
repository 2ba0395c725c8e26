package dev.oleander.work.wire.plan;

import dev.oleander.plan.Run;
import dev.oleander.plan.RunRules;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.cut.WireVisit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What a wire machine does, visit by visit.
 *
 * @param run the same as entries of the run line, in the same order
 * @param copies of the drawing and of single contours, in the order of their numbers
 * @param visits by id of their stop; refused stops have none
 * @param settings by feature and copy, as in c3.2
 * @param holes that the wire is threaded through, those to be drilled and those that are there
 * @param surfaces flanks of the profiles, by feature and copy
 * @param order what must come before what
 */
public record WirePlan(
        WireTask task,
        WireChoices choices,
        Run run,
        List<WireCopy> copies,
        Map<String, WireVisit> visits,
        Map<String, WireSettings> settings,
        List<StartHole> holes,
        Map<String, List<Ruling>> surfaces,
        RunRules order) {

    public WirePlan {
        copies = List.copyOf(copies);
        visits = Map.copyOf(visits);
        settings = Map.copyOf(settings);
        holes = List.copyOf(holes);
        surfaces = Map.copyOf(surfaces);
    }

    /** The copy with a number. */
    public WireCopy copy(int number) {
        return copies.get(number - copies.get(0).number());
    }

    /** Copies of the whole drawing, punches of sets not counted. */
    public int wholes() {
        return (int) copies.stream().filter(WireCopy::isWhole).filter(c -> !c.punches()).count();
    }

    /** What happens at an entry of the run line. */
    public Optional<WireVisit> visit(String stop) {
        return Optional.ofNullable(visits.get(stop));
    }

    /** Holes that have to be drilled before. */
    public List<StartHole> toDrill() {
        return holes.stream().filter(h -> h.given() != StartHole.Given.EDGE).toList();
    }

    /** Rows of the cut book that are used, in the order of their names. */
    public List<WireRow> rowsInUse() {
        return settings.values().stream()
                .map(WireSettings::row)
                .distinct()
                .sorted(Comparator.comparing(WireRow::id))
                .toList();
    }

    /** Offsets of all registers that the passes use, mm, by number. */
    public Map<Integer, Double> registers() {
        Map<Integer, Double> registers = new TreeMap<>();
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
