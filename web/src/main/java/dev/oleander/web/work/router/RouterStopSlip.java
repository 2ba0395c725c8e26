package dev.oleander.web.work.router;

import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.Fields;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Fixed;
import dev.oleander.web.bench.SlipRow.Fold;
import dev.oleander.web.bench.SlipRow.Note;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.bench.TabRows;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.RouterStopOf;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.Suitable;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.util.StringUtils;

/** The values of the selected stops of a router: those that what is done to them has. */
final class RouterStopSlip {

    private final JobResult result;
    private final List<Stop> stops;
    private final Fields<RouterChoice> fields;
    private final List<RouterStopOf> made;

    RouterStopSlip(JobResult result, List<Stop> stops, EditError error) {
        this.result = result;
        this.stops = stops;
        this.fields = Fields.ofStops(RouterMilling.ROUTER, result, stops, error);
        this.made = fields.made(RouterStopOf.class);
    }

    List<SlipSection> sections() {
        List<SlipSection> sections = new ArrayList<>();
        sections.add(new SlipSection("What is done · " + kinds(), done()));
        if (is("contour", "pocket", "rest", "bore", "follow", "slot", "chamfer")) {
            sections.add(new SlipSection("Levels", levels()));
        }
        if (is("contour")) {
            sections.add(new SlipSection("Tabs", tabs()));
        }
        if (is("contour", "pocket", "rest", "follow", "slot", "bore")) {
            sections.add(new SlipSection("Into the work", entry()));
        }
        if (is("contour", "pocket")) {
            sections.add(new SlipSection("Finishing", finishing()));
        }
        sections.add(new SlipSection("Besides", List.of(besides())));
        return sections;
    }

    private String kinds() {
        Set<String> kinds = new LinkedHashSet<>();
        made.forEach(m -> kinds.add(label(m.work().deed().kind())));
        return String.join(", ", kinds);
    }

    private static String label(String kind) {
        return RouterKind.of(kind)
                .map(RouterKind::label)
                .orElseGet(
                        () ->
                                switch (kind) {
                                    case "rest" -> "clear what is left";
                                    case "face" -> "face the top";
                                    default -> kind;
                                });
    }

    /** Along one contour; a slope between two curves has no width of its own. */
    private boolean breaksEdge() {
        return is("chamfer")
                && made.stream()
                        .flatMap(m -> m.operation().stream())
                        .noneMatch(o -> o.what() instanceof Operation.Chamfer);
    }

    private boolean is(String... kinds) {
        return made.stream().anyMatch(m -> Set.of(kinds).contains(m.work().deed().kind()));
    }

    // ---- what is done

    private List<SlipRow> done() {
        List<SlipRow> rows = new ArrayList<>();
        if (made.stream().noneMatch(m -> m.work().deed().wished())) {
            rows.add(fields.listed(WishValues.WORK));
        }
        rows.add(fields.listed(WishValues.TOOL));
        if (made.size() == 1) {
            rows.add(new Own(RouterPages.TEMPLATE, "which", tools(made.get(0))));
            side(made.get(0)).ifPresent(rows::add);
            if (is("pocket") && made.get(0).work().stop().isDone()) {
                rows.add(new Own(RouterPages.TEMPLATE, "chains", stops.get(0).id()));
            }
        }
        if (is("carve")) {
            rows.add(fields.typed(WishValues.FLOOR));
            rows.add(fields.listed(WishValues.FLAT_TOOL));
        } else if (!is("chamfer")) {
            rows.add(fields.typed(WishValues.DEPTH));
        }
        if (is("contour") || breaksEdge()) {
            rows.add(fields.segments(WishValues.SIDE));
        }
        if (is("contour", "pocket", "rest", "slot") || breaksEdge()) {
            rows.add(fields.segments(WishValues.WAY));
        }
        if (is("groove") || breaksEdge()) {
            rows.add(fields.typed(WishValues.WIDTH));
        }
        if (breaksEdge()) {
            rows.add(fields.typed(WishValues.BELOW));
        }
        if (is("groove")) {
            rows.add(fields.listed(WishValues.ENDS));
        }
        if (is("drill")) {
            rows.add(fields.typed(WishValues.PECK));
            boolean strokes =
                    made.stream()
                            .anyMatch(
                                    m ->
                                            !m.work().stop().figures().strokes().isEmpty()
                                                    || m.used(WishValues.BANK).equals("no"));
            if (strokes) {
                rows.add(fields.segments(WishValues.BANK));
            }
            if (made.size() == 1) {
                strokes(made.get(0).work().stop().figures()).ifPresent(rows::add);
            }
        }
        if (made.size() == 1) {
            made.get(0).work().feeds().ifPresent(feeds -> rows.addAll(data(feeds)));
            engaged().ifPresent(rows::addAll);
        }
        return rows;
    }

    private static Optional<SlipRow> strokes(RouterStop.Figures figures) {
        int holes = figures.visits().size();
        int strokes = figures.strokes().size();
        return strokes == 0
                ? Optional.empty()
                : Optional.of(found("Strokes", strokes, "for %d holes".formatted(holes)));
    }

    private List<SlipRow> data(Feeds feeds) {
        String link = "/machines/" + result.machine().id();
        return List.of(
                fixed("Speed", Math.rint(feeds.speed()), 0, "rev/min", link),
                fixed("Feed", feeds.feed(), 0, "mm/min", link),
                fixed("Power", feeds.power(), 2, "kW", link));
    }

    /** How much the tool of a pocket is in the work. */
    private Optional<List<SlipRow>> engaged() {
        String stop = made.get(0).work().stop().id();
        return result.own(RouterRun.class)
                .map(run -> run.engaged().get(stop))
                .map(
                        e ->
                                List.of(
                                        found("In the work", e.peak(), "°"),
                                        found("Full width", e.full(), "mm")));
    }

    private static SlipRow found(String label, double value, String unit) {
        return new Fixed(label, Numbers.plain(value, 0), unit, "found", "", "", "");
    }

    private static Fixed fixed(String label, double value, int decimals, String unit, String link) {
        return new Fixed(label, Numbers.plain(value, decimals), unit, "book", link, "", "");
    }

    /** The tool from the side, where it is known how deep it goes. */
    private static Optional<SlipRow> side(RouterStopOf of) {
        List<Double> levels = of.work().stop().levels();
        return of.tool()
                .filter(t -> !levels.isEmpty() && t.kind() != ToolKind.SAW)
                .map(
                        t ->
                                new Own(
                                        RouterPages.TEMPLATE,
                                        "side",
                                        ToolSide.of(
                                                t,
                                                levels.get(levels.size() - 1),
                                                of.plan().task().thickness())));
    }

    /** A tool that there is, and why it cannot; empty when it can. */
    public record ToolLine(String name, boolean used, String cannot) {}

    private static List<ToolLine> tools(RouterStopOf of) {
        Optional<Operation> operation = of.operation();
        return of.tools().stream()
                .map(
                        t ->
                                new ToolLine(
                                        name(t),
                                        of.tool().filter(t::equals).isPresent(),
                                        operation
                                                .flatMap(o -> Suitable.whyNot(t, o.what()))
                                                .or(() -> whyNotDeep(of, t))
                                                .orElse("")))
                .toList();
    }

    private static Optional<String> whyNotDeep(RouterStopOf of, Tool tool) {
        List<Double> levels = of.work().stop().levels();
        return levels.isEmpty()
                ? Optional.empty()
                : Suitable.whyNotDeep(tool, levels.get(levels.size() - 1));
    }

    static String name(Tool tool) {
        return tool.number() + (tool.name().isBlank() ? ", " : " ") + described(tool);
    }

    /** Without its number. */
    static String described(Tool tool) {
        String form = tool.kind().label() + " " + Numbers.plain(tool.diameter(), 3) + " mm";
        return tool.name().isBlank() ? form : tool.name() + ", " + form;
    }

    // ---- levels and tabs

    private List<SlipRow> levels() {
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.typed(WishValues.STEP_DOWN));
        if (is("pocket", "rest")) {
            rows.add(fields.typed(WishValues.STEP_OVER));
            if (made.stream()
                    .anyMatch(
                            m ->
                                    m.tool()
                                            .map(Tool::kind)
                                            .filter(ToolKind.BALL::equals)
                                            .isPresent())) {
                rows.add(fields.typed(WishValues.CREST));
            }
            rows.add(fields.listed(WishValues.MANNER));
            if (made.size() == 1) {
                rows.addAll(between(made.get(0).work().stop().figures()));
            }
            if (made.stream().anyMatch(m -> m.used(WishValues.MANNER).equals("zigzag"))) {
                rows.add(fields.typed(WishValues.ANGLE));
            }
        }
        if (is("pocket")) {
            rows.add(fields.listed(WishValues.BY_LEVEL));
        }
        if (is("contour", "pocket", "rest")) {
            rows.add(fields.typed(WishValues.ALLOWANCE));
        }
        rows.add(fields.segments(WishValues.BEYOND_FLUTES));
        rows.add(fields.typed(WishValues.RANK));
        if (made.size() == 1) {
            rows.add(new Own(RouterPages.TEMPLATE, "levels", levels(made.get(0))));
        }
        return rows;
    }

    /** What the step-over leaves, before it is gone through and after. */
    private static List<SlipRow> between(RouterStop.Figures figures) {
        double before = Reach.area(figures.gaps());
        return before <= 0
                ? List.of()
                : List.of(
                        square("Between rounds", before),
                        square("Left in the end", figures.between()));
    }

    private static SlipRow square(String label, double area) {
        return new Fixed(label, Numbers.plain(area, 2), "mm²", "found", "", "", "");
    }

    /** Depths as bars: the deepest is as long as the row. */
    public record Level(String depth, double share) {}

    private static List<Level> levels(RouterStopOf of) {
        List<Double> depths = of.work().stop().levels();
        double deepest = depths.isEmpty() ? 1 : depths.get(depths.size() - 1);
        return depths.stream().map(d -> new Level(Numbers.plain(d, 2), 100 * d / deepest)).toList();
    }

    private List<SlipRow> tabs() {
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.typed(WishValues.TAB_COUNT));
        rows.add(fields.typed(WishValues.TAB_SPACING));
        rows.add(fields.typed(WishValues.TAB_WIDTH));
        rows.add(fields.typed(WishValues.TAB_HEIGHT));
        List<String> byHand =
                fields.subjects().stream()
                        .flatMap(s -> s.set().get(WishValues.TAB_AT).stream())
                        .toList();
        int places = byHand.stream().mapToInt(t -> t.split(" ").length).sum();
        rows.addAll(TabRows.of(places, made.size() == 1 ? stops : List.of()));
        return rows;
    }

    private List<SlipRow> entry() {
        List<SlipRow> rows = new ArrayList<>();
        if (is("contour")) {
            rows.add(fields.typed(WishValues.START));
        }
        if (!is("bore")) {
            rows.add(fields.listed(WishValues.ENTRY));
        }
        rows.add(fields.typed(WishValues.ENTRY_ANGLE));
        if (made.stream().anyMatch(m -> m.used(WishValues.ENTRY).equals("helix"))) {
            rows.add(fields.typed(WishValues.ENTRY_RADIUS));
        }
        return rows;
    }

    private List<SlipRow> finishing() {
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.typed(WishValues.FINISH_CUTS));
        if (made.stream().anyMatch(m -> !m.used(WishValues.FINISH_CUTS).equals("0"))) {
            rows.add(fields.typed(WishValues.FINISH_WIDTH));
            rows.add(fields.listed(WishValues.FINISH_AT));
            rows.add(fields.typed(WishValues.LEAD_RADIUS));
            rows.add(fields.typed(WishValues.LEAD_OVER));
        }
        rows.add(fields.typed(WishValues.FINISH_FLOOR));
        if (is("contour")) {
            rows.add(fields.typed(WishValues.SKIN));
        }
        return rows;
    }

    // ---- what else

    private static final List<RouterKind> BESIDES =
            List.of(RouterKind.CHAMFER, RouterKind.FOLLOW, RouterKind.CARVE, RouterKind.CONTOUR);

    /**
     * What can be put to the same contours besides.
     *
     * @param value of the entry that does it
     */
    public record Besides(String label, String value) {}

    private Fold besides() {
        Set<String> contours = new LinkedHashSet<>();
        made.forEach(m -> contours.addAll(m.work().stop().features()));
        String on = String.join(",", contours);
        List<Besides> all = new ArrayList<>();
        if (is("pocket", "rest")) {
            RouterStop of = made.get(0).work().stop();
            String name = Operation.nameOf(of.operation());
            all.add(
                    new Besides(
                            "Clear what it leaves with a smaller tool",
                            "rest %s %s".formatted(on, name)));
        }
        for (RouterKind kind : BESIDES) {
            if (!is(kind.word()) && !contours.isEmpty()) {
                all.add(new Besides(StringUtils.capitalize(kind.label()), kind.word() + " " + on));
            }
        }
        List<SlipRow> rows = new ArrayList<>();
        rows.add(
                new Note(
                        "Puts another operation to the same contours; it becomes a stop of its own."));
        rows.add(new Own(RouterPages.TEMPLATE, "besides", all));
        return new Fold("Another operation", stops.size() > 1, rows);
    }
}
