package dev.oleander.web.work.router;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.WorkSheet;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.book.Station;
import dev.oleander.work.router.book.StationTable;
import dev.oleander.work.router.choice.RouterZero;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.run.RouterWork;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What the sheet of paper says of a router: tools with their places, zero, depths, tabs. */
@Component
class RouterPaper implements WorkSheet {

    private static final double MM = 1000;

    /** A tool that must stand in the magazine. */
    public record ToolRow(
            int number,
            String name,
            String position,
            String flutes,
            String stickOut,
            String metres) {}

    @Override
    public RouterMilling kind() {
        return RouterMilling.ROUTER;
    }

    @Override
    public Content of(JobResult result, Run run, Timeline timeline) {
        RouterPlan plan = result.own(RouterRun.class).orElseThrow().plan();
        return new Content(
                facts(plan),
                true,
                List.of(),
                stops(run, timeline),
                List.of(),
                new Own(RouterPages.TEMPLATE, Map.of("tools", tools(plan, run))));
    }

    @Override
    public List<Box> supports(JobResult result) {
        RouterPlan plan = result.own(RouterRun.class).orElseThrow().plan();
        return plan.choices().pods().stream().map(KeepOut::box).toList();
    }

    @Override
    public Optional<List<Profile>> profiles(JobResult result) {
        return Optional.empty();
    }

    private static List<Fact> facts(RouterPlan plan) {
        RouterZero zero = plan.choices().zero();
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact("Zero of Z", zero.isOnTable() ? "on the table" : "top of the stock"));
        facts.add(
                new Fact(
                        "Deepest under the stock",
                        Numbers.plain(plan.task().overCut(), 2) + " mm"));
        List<KeepOut> pods = plan.choices().pods();
        if (!pods.isEmpty()) {
            facts.add(
                    new Fact(
                            "Pods, middles at",
                            String.join(
                                    " · ", pods.stream().map(p -> at(p.box().centre())).toList())));
        }
        return facts;
    }

    private static String at(Point place) {
        return Numbers.plain(place.x(), 1) + ", " + Numbers.plain(place.y(), 1);
    }

    private static List<ToolRow> tools(RouterPlan plan, Run run) {
        Set<Tool> used = new LinkedHashSet<>();
        run.stops().forEach(s -> of(s).tool().ifPresent(used::add));
        StationTable stations = plan.book().stationTable();
        return used.stream()
                .map(
                        t ->
                                new ToolRow(
                                        t.number(),
                                        RouterStopSlip.described(t),
                                        position(plan, stations, t),
                                        Numbers.plain(t.edges().length(), 1),
                                        Numbers.plain(t.shank().stickOut(), 1),
                                        Numbers.plain(metres(run, t), 1)))
                .toList();
    }

    /** Where it stands; what belongs to the job alone is put in. */
    private static String position(RouterPlan plan, StationTable stations, Tool tool) {
        Optional<Station> station = stations.of(tool.number());
        boolean there = station.isPresent() && plan.book().tools().contains(tool);
        return station.map(s -> (there ? "position " : "put it into position ") + s.position())
                .orElse("put it into a free position");
    }

    private static double metres(Run run, Tool tool) {
        return run.stops().stream()
                        .map(RouterPaper::of)
                        .filter(s -> s.isDone() && s.tool().orElseThrow().equals(tool))
                        .mapToDouble(RouterStop::cutLength)
                        .sum()
                / MM;
    }

    private static RouterStop of(Stop stop) {
        return ((RouterWork) stop.work()).stop();
    }

    private static List<StopRow> stops(Run run, Timeline timeline) {
        return run.cut().stream()
                .map(
                        s ->
                                new StopRow(
                                        s.number(),
                                        s.name(),
                                        s.where(),
                                        "T" + of(s).tool().orElseThrow().number(),
                                        Numbers.duration(
                                                timeline.byStop()
                                                        .getOrDefault(s.id(), Seconds.NONE)
                                                        .total()),
                                        note(of(s))))
                .toList();
    }

    private static String note(RouterStop stop) {
        List<String> notes = new ArrayList<>();
        List<Double> levels = stop.levels();
        if (!levels.isEmpty()) {
            notes.add(Numbers.plain(levels.get(levels.size() - 1), 2) + " mm deep");
        }
        if (levels.size() > 1) {
            notes.add(levels.size() + " levels");
        }
        int tabs = stop.figures().tabs();
        if (tabs > 0) {
            notes.add(tabs == 1 ? "1 tab" : tabs + " tabs");
        }
        if (!stop.turns().isEmpty()) {
            notes.add(stop.turns().size() + " turns of the work");
        }
        return String.join(", ", notes);
    }
}
