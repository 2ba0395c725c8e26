package dev.oleander.web.work.wire;

import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.release.WorkSheet.Fact;
import dev.oleander.web.release.WorkSheet.HaltRow;
import dev.oleander.web.release.WorkSheet.StopRow;
import dev.oleander.work.wire.book.WirePass;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What stands on the sheet of paper for a wire machine in the place of cutting data. */
final class WireSheet {

    private final WirePlan plan;
    private final Run run;
    private final Timeline timeline;

    /**
     * @param run stops that are released
     */
    WireSheet(WirePlan plan, Run run, Timeline timeline) {
        this.plan = plan;
        this.run = run;
        this.timeline = timeline;
    }

    /** A pass with what has to stand in the controller. */
    public record PassRow(
            String register,
            String value,
            String condition,
            String feed,
            String flushing,
            String tension,
            String of) {}

    /** A hole that the wire is threaded through. */
    public record HoleRow(
            int number, String x, String y, String diameter, String origin, String stop) {}

    /** Every register that the program uses, by its number. */
    List<PassRow> passes() {
        Map<Integer, PassRow> rows = new TreeMap<>();
        for (Stop stop : run.stops()) {
            WireVisit visit = plan.visits().get(stop.id());
            WireSettings settings = plan.settings().get(stop.subject());
            for (WireCut cut : visit == null ? List.<WireCut>of() : visit.cuts()) {
                rows.putIfAbsent(cut.register(), row(cut, settings.row()));
            }
        }
        return List.copyOf(rows.values());
    }

    private static PassRow row(WireCut cut, WireRow row) {
        WirePass pass = row.passes().get(cut.pass() - 1);
        return new PassRow(
                "D" + cut.register(),
                Numbers.plain(cut.offset(), 4) + " mm",
                "C" + cut.condition(),
                Numbers.plain(cut.feed(), 2) + " mm/min",
                Numbers.plain(pass.flushing(), 1) + " bar",
                Numbers.plain(pass.tension(), 1) + " N",
                "%s, pass %d".formatted(row.finish(), cut.pass()));
    }

    List<Fact> facts() {
        List<Fact> facts = new ArrayList<>();
        WireSettings any = plan.settings().values().stream().findFirst().orElse(null);
        if (any != null) {
            facts.add(new Fact("Wire", any.row().wire()));
        }
        double top = plan.task().height() + WireUnit.of(plan.task().machine()).upperGap();
        facts.add(new Fact("Upper guide", Numbers.plain(top, 2) + " mm above the lower side"));
        Seconds seconds = timeline.seconds();
        facts.add(new Fact("Without people", Numbers.duration(seconds.total() - seconds.people())));
        return facts;
    }

    /** What the machine does at a hole that the wire does not find. */
    String threading() {
        int tries = WireUnit.of(plan.task().machine()).threadTries();
        return "At each hole threading is tried %s; then the hole is skipped and reported. Thread it by hand and begin again there."
                .formatted(tries == 1 ? "once" : tries + " times");
    }

    List<HoleRow> holes() {
        List<HoleRow> rows = new ArrayList<>();
        Map<String, Stop> stops = new TreeMap<>();
        run.stops().forEach(s -> stops.putIfAbsent(s.subject(), s));
        for (StartHole hole : plan.toDrill()) {
            Stop stop = stops.get(hole.stop());
            if (stop != null) {
                rows.add(
                        new HoleRow(
                                rows.size() + 1,
                                Numbers.plain(hole.at().x(), 3),
                                Numbers.plain(hole.at().y(), 3),
                                Numbers.plain(hole.diameter(), 2),
                                hole.given().label(),
                                "%d %s".formatted(stop.number(), stop.name())));
            }
        }
        return rows;
    }

    /** Where the machine waits for people, in the order of the run. */
    List<HaltRow> halts() {
        List<HaltRow> rows = new ArrayList<>();
        for (Stop stop : run.stops()) {
            WireVisit visit = plan.visits().get(stop.id());
            for (WireVisit.Step step : visit == null ? List.<WireVisit.Step>of() : visit.steps()) {
                if (step instanceof WireVisit.Wait wait) {
                    rows.add(
                            new HaltRow(
                                    "%d, %s".formatted(stop.number(), stop.name()),
                                    wait.always() ? "always" : "when asked for at the machine",
                                    wait.reason(),
                                    Numbers.duration(wait.seconds())));
                }
            }
        }
        return rows;
    }

    List<StopRow> stops() {
        List<StopRow> rows = new ArrayList<>();
        for (Stop stop : run.cut()) {
            WireSettings settings = plan.settings().get(stop.subject());
            WireVisit visit = plan.visits().get(stop.id());
            Seconds seconds = timeline.byStop().getOrDefault(stop.id(), Seconds.NONE);
            rows.add(
                    new StopRow(
                            stop.number(),
                            stop.name(),
                            "copy " + stop.copy(),
                            settings.row().finish(),
                            Numbers.duration(seconds.total()),
                            note(settings, visit)));
        }
        return rows;
    }

    private static String note(WireSettings settings, WireVisit visit) {
        List<String> notes = new ArrayList<>();
        int passes = visit.cuts().size();
        notes.add(passes + (passes == 1 ? " pass" : " passes"));
        if (settings.slug().holds() && !visit.frees()) {
            notes.add("hold of %s mm".formatted(Numbers.plain(settings.hold(), 2)));
        }
        if (visit.cuts().stream().anyMatch(WireCut::isLeaning)) {
            notes.add("leaning");
        }
        return String.join(", ", notes);
    }
}
