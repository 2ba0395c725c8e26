package dev.oleander.work.router.panel;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.OffsetOptions;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.PanelJob;
import dev.oleander.work.PanelJob.Made;
import dev.oleander.work.PanelJob.Unmade;
import dev.oleander.work.router.book.PanelRule;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Makes a job of a clamping: features by their rules on layers of one operation each, and the panel
 * as the stock.
 */
public final class PanelJobs {

    private static final String THROUGH = "through";
    private static final String OUTLINE = "OUTLINE";

    /** In what a feature is for: its corners are not left round. */
    private static final String SHARP = "sharp";

    /** mm beyond an edge that what opens there is cleared, so that no corner stays. */
    private static final double BEYOND = 20;

    /** The same on a board, where others lie beside it. */
    private static final double BEYOND_ON_BOARD = 6;

    /** Widest mill that outlines are cut with, mm. */
    private static final double WIDEST = 16;

    /** mm2 from which a panel holds on a board by suction. */
    private static final double LARGE = 1e5;

    /** mm within which something reaches an edge. */
    private static final double AT = 1e-3;

    /** mm within which a drill has the diameter of a hole. */
    private static final double SAME = 0.05;

    private final Panel panel;
    private final String material;
    private final Clamping clamping;
    private final RouterUnit unit;
    private final RouterBook book;
    private final OnMachine on;
    private final List<WrittenChain> drawing = new ArrayList<>();
    private final Set<String> marks = new HashSet<>();

    /** By what is done, the layer on which it is drawn, and the wish. */
    private final Map<List<Object>, Wish> wishes = new LinkedHashMap<>();

    private final Set<String> layers = new HashSet<>(Set.of(OUTLINE));
    private final List<Made> made = new ArrayList<>();
    private final List<Unmade> without = new ArrayList<>();

    private PanelJobs(PanelJob.Wished wished, RouterUnit unit, RouterBook book) {
        this.unit = unit;
        this.panel = wished.panel();
        this.material = wished.material();
        this.clamping = wished.clamping();
        this.book = book;
        this.on = new OnMachine(panel, clamping, wished.allowance());
    }

    public static PanelJob<RouterChoices> of(
            PanelJob.Wished wished, RouterUnit unit, RouterBook book) {
        return new PanelJobs(wished, unit, book).job(wished);
    }

    private PanelJob<RouterChoices> job(PanelJob.Wished wished) {
        boolean last = wished.last();
        double trim = wished.trim();
        drawing.add(new WrittenChain(OUTLINE, trimmed(trim), false));
        for (String id : clamping.features()) {
            add(panel.feature(id).orElseThrow());
        }
        if (clamping.onBoard() || last && panel.outline().isPresent()) {
            wishes.put(List.of(OUTLINE), wish(OUTLINE, round()));
        }
        Block block = new Block(on.size().length(), on.size().width(), null, null, null);
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(List.copyOf(wishes.values()), true)
                        .withBlock(clamping.onBoard() ? null : block);
        Optional<PodPlanner.Laid> pods =
                wished.pods() && !clamping.onBoard() && unit.pods() != null
                        ? Optional.of(pods(last))
                        : Optional.empty();
        return new PanelJob<>(
                drawing,
                marks,
                pods.map(p -> choices.withPods(p.pods().stream().map(this::pod).toList()))
                        .orElse(choices),
                made,
                without,
                pods.map(PodPlanner.Laid::pods).orElse(List.of()),
                pods.map(PodPlanner.Laid::told).orElse(List.of()));
    }

    private KeepOut pod(Box box) {
        return new KeepOut(
                box.min().x(), box.min().y(), box.width(), box.height(), unit.pods().height());
    }

    /** Under what the panel is when it comes to lie there, clear of all that is cut through. */
    private PodPlanner.Laid pods(boolean last) {
        List<Region> through = new ArrayList<>();
        for (String id : clamping.features()) {
            PanelFeature feature = panel.feature(id).orElseThrow();
            if (feature.belongsToNone()) {
                feature.area()
                        .ifPresent(area -> through.add(area.transformed(on.of(feature.face()))));
            }
        }
        double clear = widest() / 2 + unit.pods().clear();
        boolean cut = last && panel.outline().isPresent();
        Contour body =
                cut ? Offsetter.round().offset(on.outline(), -clear).get(0).outer() : on.outline();
        return new PodPlanner(body, through, clear, unit.pods()).laid();
    }

    /** Diameter of the widest mill that outlines are cut with, mm. */
    private double widest() {
        return book.tools().stream()
                .filter(t -> t.kind().isFlat() && t.diameter() <= WIDEST)
                .mapToDouble(Tool::diameter)
                .max()
                .orElse(0);
    }

    /** On a board so much larger as is sawn off afterwards. */
    private Contour trimmed(double trim) {
        Contour outline = on.outline();
        return clamping.onBoard() && trim > 0
                ? new Offsetter(OffsetOptions.defaults().withMitres(2))
                        .offset(outline, trim)
                        .get(0)
                        .outer()
                : outline;
    }

    /**
     * What is cut out: what is small is held by tabs; what is large by its own suction on a board,
     * where a skin stays till everything else is cut.
     */
    private RouterChoice round() {
        RouterChoice through =
                RouterChoice.NOTHING
                        .with(WishValues.WORK, RouterKind.CONTOUR.word())
                        .with(WishValues.DEPTH, THROUGH);
        return clamping.onBoard() && Math.abs(on.outline().area()) >= LARGE
                ? through.with(WishValues.SKIN, "0.4")
                : through.with(WishValues.TAB_COUNT, "4")
                        .with(WishValues.TAB_WIDTH, "8")
                        .with(WishValues.TAB_HEIGHT, "T/6");
    }

    private static Wish wish(String layer, RouterChoice values) {
        String id = layer.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return WishValues.with(WishValues.empty(id), id, new Wish.Place(layer, null, null), values);
    }

    // ---- by rules

    private void add(PanelFeature feature) {
        List<String> others = new ArrayList<>();
        for (PanelRule rule : book.panelRules()) {
            Optional<String> why = whyNot(rule, feature);
            if (why.isEmpty()) {
                Optional<TwoTools> two = draw(feature, rule);
                made.add(
                        new Made(
                                feature.id(),
                                "%d, %s".formatted(rule.number(), rule.name()),
                                rule.operation(),
                                RouterKind.of(rule.operation()).orElseThrow().label(),
                                rule.tool(),
                                how(rule, two),
                                others));
                return;
            }
            if (rule.isFor(feature.kind())) {
                others.add("%d, %s: %s".formatted(rule.number(), rule.name(), why.get()));
            }
        }
        without.add(
                new Unmade(
                        feature.id(),
                        "Panel %s, %s %s: no rule fits%s."
                                .formatted(
                                        panel.id(),
                                        feature.kind().label(),
                                        feature.id(),
                                        others.isEmpty()
                                                ? ""
                                                : " (" + String.join("; ", others) + ")")));
    }

    private static String how(PanelRule rule, Optional<TwoTools> two) {
        String values = rule.values().strip();
        String with = values.equals(PanelRule.ANY) ? "" : values;
        return two.map(t -> "tool %d, then %d for what it leaves".formatted(t.first(), t.then()))
                .map(t -> with.isEmpty() ? t : t + "; " + with)
                .orElse(with);
    }

    private Optional<String> whyNot(PanelRule rule, PanelFeature feature) {
        boolean drilled = rule.operation().equals(RouterKind.DRILL.word()) && rule.tool() == 0;
        return rule.whyNot(feature, panel, material)
                .or(
                        () ->
                                drilled && !hasDrill(feature.diameter())
                                        ? Optional.of(
                                                "there is no drill of %s mm"
                                                        .formatted(mm(feature.diameter())))
                                        : Optional.empty());
    }

    private boolean hasDrill(double diameter) {
        return book.tools().stream()
                .anyMatch(t -> t.kind().isDrill() && Math.abs(t.diameter() - diameter) <= SAME);
    }

    // ---- drawn

    /** With the tools of what is cut in two. */
    private Optional<TwoTools> draw(PanelFeature feature, PanelRule rule) {
        for (PanelFeature.Step step : feature.steps()) {
            RouterChoice wide =
                    values(rule)
                            .with(WishValues.WORK, RouterKind.BORE.word())
                            .with(WishValues.DEPTH, mm(step.depth()));
            Point middle = on.of(feature.face()).apply(feature.middle());
            Contour rim = Contour.circle(middle, step.diameter() / 2);
            put("HOLE " + mm(step.depth()) + " STEP", wide, rim, true, false);
        }
        if (feature.face().isEdge()) {
            drawBore(feature, rule);
            return Optional.empty();
        }
        Chain line = feature.line().transformed(on.of(feature.face()));
        RouterChoice values = values(rule).with(WishValues.DEPTH, depth(feature));
        if (rule.operation().equals(RouterKind.GROOVE.word())) {
            put(layer(feature), values.with(WishValues.WIDTH, width(feature)), line, false, true);
            return Optional.empty();
        }
        boolean area = rule.operation().equals(RouterKind.POCKET.word());
        if (rule.operation().equals(RouterKind.CHAMFER.word())) {
            values = values.with(WishValues.WIDTH, width(feature));
        }
        if (rule.operation().equals(RouterKind.CONTOUR.word())) {
            values = values.with(WishValues.SIDE, "inside");
        }
        if (area && line instanceof Path path && feature.width().isPresent()) {
            for (Region region : Offsetter.round().band(path, feature.width().getAsDouble() / 2)) {
                put(layer(feature), values, beyond(region.outer()), false, true);
            }
            return Optional.empty();
        }
        boolean open = reaches(line.box());
        Chain drawn = area && open && line instanceof Contour closed ? beyond(closed) : line;
        boolean mark = open || !(line instanceof Contour);
        Optional<TwoTools> two =
                area && rule.tool() == 0 && drawn instanceof Contour pocket
                        ? twoTools(rule, feature, pocket)
                        : Optional.empty();
        if (two.isEmpty()) {
            put(layer(feature), values, drawn, feature.isHole(), mark);
            return Optional.empty();
        }
        RouterChoice first = values.with(WishValues.TOOL, "" + two.get().first());
        Wish wide = put(layer(feature), first, drawn, feature.isHole(), mark);
        rest(wide, values, two.get());
        return two;
    }

    /** Where the rule says how much one tool may leave; corners that are asked sharp: nothing. */
    private Optional<TwoTools> twoTools(PanelRule rule, PanelFeature feature, Contour pocket) {
        Optional<Double> limit =
                feature.tag().toLowerCase(Locale.ROOT).contains(SHARP)
                        ? Optional.of(0.0)
                        : rule.rest();
        double deep = feature.through() ? panel.size().thickness() : feature.depth();
        return limit.flatMap(
                most ->
                        TwoTools.of(
                                new Region(pocket.turning(true), List.of()),
                                deep,
                                most,
                                book.tools()));
    }

    private void rest(Wish wide, RouterChoice values, TwoTools two) {
        String id = wide.id() + "-rest";
        RouterChoice rest =
                values.with(WishValues.WORK, "rest").with(WishValues.TOOL, "" + two.then());
        Wish begun = WishValues.empty(id).restOf(wide.id());
        wishes.putIfAbsent(List.of(id, two), WishValues.with(begun, id, wide.on(), rest));
    }

    private void drawBore(PanelFeature hole, PanelRule rule) {
        String below = mm(on.below(hole));
        RouterChoice values =
                values(rule)
                        .with(WishValues.DEPTH, below)
                        .with(WishValues.WIDTH, mm(hole.diameter()));
        Path axis = new Path(List.of(new Line(on.mouth(hole), on.floor(hole))));
        put("EDGE %s Z%s".formatted(mm(hole.diameter()), below), values, axis, false, true);
    }

    private RouterChoice values(PanelRule rule) {
        RouterChoice values = RouterChoice.NOTHING;
        for (String one : rule.values().split(";")) {
            String[] pair = one.strip().split("=", 2);
            if (pair.length == 2 && !pair[0].strip().equals(PanelRule.REST)) {
                values = values.with(pair[0].strip(), pair[1].strip());
            } else if (pair.length != 2 && !one.isBlank() && !one.strip().equals(PanelRule.ANY)) {
                throw new CutDataException(
                        "Rule %d: \"%s\" is no value such as tabs.count=3."
                                .formatted(rule.number(), one.strip()));
            }
        }
        return values.with(WishValues.WORK, rule.operation())
                .with(WishValues.RANK, rule.rank() == 0 ? null : String.valueOf(rule.rank()))
                .with(WishValues.TOOL, rule.tool() == 0 ? null : String.valueOf(rule.tool()));
    }

    /** One layer for each operation, called as the shop calls what is drawn on it. */
    private Wish put(String layer, RouterChoice values, Chain chain, boolean circle, boolean mark) {
        List<Object> key = List.of(layer, values, mark);
        Wish wish = wishes.get(key);
        if (wish == null) {
            String name = layer;
            for (int i = 2; !layers.add(name); i++) {
                name = "%s %c".formatted(layer, 'A' + i - 1);
            }
            wish = wish(name, values);
            wishes.put(key, wish);
        }
        String name = wish.on().layer();
        if (mark) {
            marks.add(name);
        }
        drawing.add(new WrittenChain(name, chain, circle));
        return wish;
    }

    private static String layer(PanelFeature feature) {
        if (feature.through() && !feature.isHole()) {
            return "CUT";
        }
        return "%s %s"
                .formatted(
                        feature.kind().name(), feature.through() ? "THROUGH" : mm(feature.depth()));
    }

    private static String depth(PanelFeature feature) {
        return feature.through() ? THROUGH : mm(feature.depth());
    }

    private static String width(PanelFeature feature) {
        return feature.width().isPresent() ? mm(feature.width().getAsDouble()) : null;
    }

    private static String mm(double value) {
        return Numbers.plain(value, 4);
    }

    // ---- what opens at an edge

    private boolean reaches(Box box) {
        Box all = on.outline().box();
        return box.min().x() < all.min().x() + AT
                || box.min().y() < all.min().y() + AT
                || box.max().x() > all.max().x() - AT
                || box.max().y() > all.max().y() - AT;
    }

    /** Where it ends at an edge of the stock it goes on beyond it. */
    private Contour beyond(Contour contour) {
        Box all = on.outline().box();
        boolean straight = contour.segments().stream().allMatch(Line.class::isInstance);
        if (!straight) {
            return contour;
        }
        List<Point> corners = contour.segments().stream().map(s -> moved(s.start(), all)).toList();
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            lines.add(new Line(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return new Contour(lines);
    }

    private Point moved(Point corner, Box all) {
        double beyond = clamping.onBoard() ? BEYOND_ON_BOARD : BEYOND;
        double x = corner.x();
        double y = corner.y();
        x = x < all.min().x() + AT ? all.min().x() - beyond : x;
        x = x > all.max().x() - AT ? all.max().x() + beyond : x;
        y = y < all.min().y() + AT ? all.min().y() - beyond : y;
        y = y > all.max().y() - AT ? all.max().y() + beyond : y;
        return new Point(x, y);
    }
}
