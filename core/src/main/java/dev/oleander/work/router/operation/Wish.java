package dev.oleander.work.router.operation;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Chamfer;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Groove;
import dev.oleander.work.router.operation.Operation.Hole;
import dev.oleander.work.router.operation.Operation.Manner;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.operation.Operation.Steps;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.Entry;
import dev.oleander.work.router.way.Finish;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * An operation as people write it: values are formulas, and what is left out is null. Only what its
 * kind knows is looked at.
 *
 * @param depth a formula, or {@code through}
 * @param depths of a line that is followed at several
 * @param diameters of holes, each with its depth
 * @param side outside, inside or on
 * @param islands what stays within a pocket
 * @param stepOver share of the diameter
 * @param allowance what is left at walls
 * @param manner of clearing a pocket: parallel, even or zigzag
 * @param angle of straight ways, degrees
 * @param width of a groove
 * @param ends open or closed, of a groove
 * @param pair curves between which a slope lies
 * @param restOf id of the operation whose rest is taken
 * @param way climb or conventional
 * @param entry how the tool goes into the work
 * @param finish cuts along walls and floor after everything else
 * @param lead how the tool comes to a wall that is finished
 * @param skin what is left under an outline till everything else is cut
 * @param wrap whether the drawing is laid round the rotary axis
 */
public record Wish(
        String id,
        Place on,
        String kind,
        Integer tool,
        String depth,
        List<String> depths,
        List<HoleWish> diameters,
        From from,
        String side,
        Place islands,
        String stepDown,
        String stepOver,
        String manner,
        String angle,
        String allowance,
        TabWish tabs,
        String width,
        String ends,
        Pair pair,
        String floor,
        Integer flatTool,
        String restOf,
        Copies copies,
        String peck,
        String way,
        Boolean wrap,
        EntryWish entry,
        FinishWish finish,
        LeadWish lead,
        String skin) {

    private static final String THROUGH = "through";
    private static final int MOST_TABS = 1_000;
    private static final int MOST_CUTS = 20;

    /** Which features; see {@link On}. */
    public record Place(String layer, List<String> contours, Double diameter) {

        Place carried(Carrying to) {
            return new Place(layer, contours == null ? null : to.keys(contours), diameter);
        }

        public On on() {
            return new On(
                    Optional.ofNullable(layer),
                    Objects.requireNonNullElse(contours, List.of()),
                    Optional.ofNullable(diameter));
        }
    }

    /** Holes of one diameter, mm. */
    public record HoleWish(double diameter, String depth) {}

    /** The same for a new version of the drawing. */
    public Wish carried(Carrying to) {
        return on(on == null ? null : on.carried(to), islands == null ? null : islands.carried(to));
    }

    /** The same on other features. */
    public Wish on(Place other) {
        return on(other, islands);
    }

    private Wish on(Place other, Place otherIslands) {
        return with(other, otherIslands, restOf);
    }

    /** The same, of what another operation has left. */
    public Wish restOf(String other) {
        return with(on, islands, other);
    }

    private Wish with(Place place, Place within, String rest) {
        return new Wish(
                id, place, kind, tool, depth, depths, diameters, from, side, within, stepDown,
                stepOver, manner, angle, allowance, tabs, width, ends, pair, floor, flatTool, rest,
                copies, peck, way, wrap, entry, finish, lead, skin);
    }

    /** Which features it names. */
    public On features() {
        return Objects.requireNonNullElse(on, new Place(null, null, null)).on();
    }

    /** Where depths count from: the floor of another operation. */
    public record From(String floorOf) {}

    /** Tabs by their number, or by the spacing between them. */
    public record TabWish(Integer count, String spacing, String width, String height) {}

    /**
     * @param kind ramp, helix, zigzag or plunge
     * @param angle of the way down, degrees
     * @param radius of a helix
     */
    public record EntryWish(String kind, String angle, String radius) {}

    /**
     * @param cuts how many along the walls
     * @param width that each of them takes
     * @param at levels or depth
     * @param floor that is left for a last level
     */
    public record FinishWish(Integer cuts, String width, String at, String floor) {}

    /**
     * @param radius of the arcs to a wall and away from it
     * @param over how far the tool goes on beyond where it came to the wall
     */
    public record LeadWish(String radius, String over) {}

    /** Layers of the two curves of a slope. */
    public record Pair(String rim, String tip) {}

    /** Round the rotary axis. */
    public record Copies(Integer rotary, Double start) {}

    /**
     * The operation.
     *
     * @param names that formulas may use: T the thickness, D and F diameter and flutes of the tool,
     *     L and W of the stock; mm
     * @throws CutDataException naming the operation and what cannot be read
     */
    public Operation operation(Map<String, Double> names) {
        String own = required(id, "an id");
        return new Reader(own, names).operation();
    }

    /**
     * What formulas may use.
     *
     * @param thickness of the stock, mm
     * @param length and {@code width}: of the stock
     * @param of the tool; empty: none is chosen yet
     */
    public static Map<String, Double> names(
            double thickness, double length, double width, Optional<Tool> of) {
        Map<String, Double> names = new HashMap<>();
        names.put("T", thickness);
        names.put("L", length);
        names.put("W", width);
        of.ifPresent(
                tool -> {
                    names.put("D", tool.diameter());
                    names.put("F", tool.edges().length());
                });
        return names;
    }

    private String required(String value, String what) {
        if (value == null || value.isBlank()) {
            throw new CutDataException("An operation needs %s.".formatted(what));
        }
        return value;
    }

    private final class Reader {

        private final String own;
        private final Map<String, Double> names;

        Reader(String own, Map<String, Double> names) {
            this.own = own;
            this.names = names;
        }

        private CutDataException wrong(String sentence, Object... values) {
            return new CutDataException("Operation " + own + ": " + sentence.formatted(values));
        }

        Operation operation() {
            boolean wrapped = Boolean.TRUE.equals(wrap);
            if (wrapped && copies != null && copies.rotary() != null) {
                throw wrong("what is laid round the axis has no copies round it.");
            }
            return new Operation(
                    own,
                    features(),
                    Optional.ofNullable(tool),
                    Optional.ofNullable(from).map(From::floorOf),
                    Optional.ofNullable(copies).filter(c -> c.rotary() != null).map(this::turned),
                    wrapped,
                    what());
        }

        private Operation.Turned turned(Copies wished) {
            return new Operation.Turned(
                    wished.rotary(), Objects.requireNonNullElse(wished.start(), 0.0));
        }

        private What what() {
            return switch (Objects.requireNonNullElse(kind, "")) {
                case "contour" -> round();
                case "pocket", "rest" -> clear();
                case "drill" -> new Drill(depth(or(depth, THROUGH)), holes(), number(peck, "peck"));
                case "bore" -> new Bore(depth(), steps());
                case "follow" -> new Follow(levels(), steps());
                case "slot" -> new Slot(depth(), steps(), climb());
                case "face" -> new Face(depth(), number(stepOver, "step-over"), angle());
                case "groove" -> new Groove(depth(), number(width, "width"), open());
                case "carve" -> new Carve(number(floor, "floor"), Optional.ofNullable(flatTool));
                case "chamfer" -> new Chamfer(rim(), steps());
                default ->
                        throw wrong(
                                "kind \"%s\"; known are contour, pocket, rest, drill, bore, follow, slot, face, groove, carve, chamfer.",
                                kind);
            };
        }

        private Round round() {
            return new Round(
                    depth(),
                    Optional.ofNullable(side).map(this::side),
                    steps(),
                    number(allowance, "allowance").orElse(0.0),
                    Optional.ofNullable(tabs).map(this::tabs),
                    climb(),
                    finish(),
                    Optional.ofNullable(skin).map(text -> positive(text, "skin")));
        }

        private Clear clear() {
            if (kind.equals("rest") && restOf == null) {
                throw wrong("it has to say of which operation the rest is.");
            }
            return new Clear(
                    depth(),
                    steps(),
                    number(stepOver, "step-over"),
                    number(allowance, "allowance").orElse(0.0),
                    Optional.ofNullable(islands).map(Place::on),
                    new Manner(manner(), angle()),
                    Optional.ofNullable(restOf),
                    climb(),
                    kind.equals("rest") ? none(finish()) : finish());
        }

        private Manner.Kind manner() {
            return word(Manner.Kind.values(), Manner.Kind::word, manner, "manner")
                    .orElse(Manner.Kind.PARALLEL);
        }

        private Finish none(Finish finish) {
            if (finish.cuts() > 0) {
                throw wrong("what is left of a pocket has no walls of its own to finish.");
            }
            return finish;
        }

        private <W> Optional<W> word(
                W[] known, Function<W, String> word, String text, String what) {
            if (text == null || text.isBlank()) {
                return Optional.empty();
            }
            return Optional.of(
                    Arrays.stream(known)
                            .filter(k -> word.apply(k).equals(text))
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            wrong(
                                                    "%s \"%s\"; known are %s.",
                                                    what,
                                                    text,
                                                    Arrays.stream(known)
                                                            .map(word)
                                                            .collect(Collectors.joining(", ")))));
        }

        private Finish finish() {
            if (finish == null || finish.cuts() == null || finish.cuts() == 0) {
                return Finish.NONE;
            }
            if (finish.cuts() < 0 || finish.cuts() > MOST_CUTS) {
                throw wrong("%d finishing cuts; there are 0 to %d.", finish.cuts(), MOST_CUTS);
            }
            String at = or(finish.at(), "levels");
            if (!at.equals("levels") && !at.equals("depth")) {
                throw wrong("finishing cuts at \"%s\"; known are levels, depth.", at);
            }
            return new Finish(
                    finish.cuts(),
                    finish.width() == null
                            ? Finish.USUAL_WIDTH
                            : positive(finish.width(), "width of the finishing cuts"),
                    at.equals("depth"),
                    lead == null || lead.radius() == null
                            ? Optional.empty()
                            : Optional.of(positive(lead.radius(), "radius of the lead")),
                    lead == null ? 0 : atLeast0(lead.over(), "way beyond the lead"));
        }

        private double atLeast0(String text, String what) {
            double value = number(text, what).orElse(0.0);
            if (!(value >= 0)) {
                throw wrong("a %s of %s mm; it must be at least 0.", what, text);
            }
            return value;
        }

        private Entry entry() {
            if (entry == null) {
                return Entry.USUAL;
            }
            Optional<Double> steep = number(entry.angle(), "angle of the way down");
            if (steep.filter(a -> !(a > 0 && a <= 90)).isPresent()) {
                throw wrong("a way down at %s°; it lies above 0 and up to 90.", entry.angle());
            }
            return new Entry(
                    word(Entry.Kind.values(), Entry.Kind::word, entry.kind(), "entry"),
                    steep,
                    entry.radius() == null
                            ? Optional.empty()
                            : Optional.of(positive(entry.radius(), "radius of the helix")));
        }

        private ContourWay.Side side(String text) {
            return word(
                            ContourWay.Side.values(),
                            s -> s.name().toLowerCase(Locale.ROOT),
                            text,
                            "side")
                    .orElse(null);
        }

        private ContourWay.Tabs tabs(TabWish wished) {
            double wide = positive(wished.width(), "width of the tabs");
            double high = positive(wished.height(), "height of the tabs");
            if (wished.count() != null) {
                if (wished.count() < 1 || wished.count() > MOST_TABS) {
                    throw wrong("%d tabs; there are 1 to %d.", wished.count(), MOST_TABS);
                }
                return ContourWay.Tabs.ofCount(wished.count(), wide, high);
            }
            double apart = positive(wished.spacing(), "spacing of the tabs");
            if (apart < wide) {
                throw wrong(
                        "tabs of %s mm every %s mm: nothing would be cut.",
                        wished.width(), wished.spacing());
            }
            return ContourWay.Tabs.every(apart, wide, high);
        }

        private boolean climb() {
            String word = or(way, "climb");
            if (!word.equals("climb") && !word.equals("conventional")) {
                throw wrong("way \"%s\"; known are climb, conventional.", word);
            }
            return word.equals("climb");
        }

        private boolean open() {
            String word = or(ends, "open");
            if (!word.equals("open") && !word.equals("closed")) {
                throw wrong("ends \"%s\"; known are open, closed.", word);
            }
            return word.equals("open");
        }

        private On rim() {
            if (pair == null || pair.rim() == null) {
                throw wrong("a slope needs a rim and a curve of the tip.");
            }
            return On.layer(pair.rim());
        }

        private List<Hole> holes() {
            List<Hole> holes = new ArrayList<>();
            Objects.requireNonNullElse(diameters, List.<HoleWish>of())
                    .forEach(h -> holes.add(new Hole(h.diameter(), depth(h.depth()))));
            return holes;
        }

        private List<Depth> levels() {
            return depths == null || depths.isEmpty()
                    ? List.of(depth())
                    : depths.stream().map(this::depth).toList();
        }

        private Steps steps() {
            double left =
                    finish == null ? 0 : atLeast0(finish.floor(), "finishing cut of the floor");
            return new Steps(number(stepDown, "step down"), left, entry());
        }

        private double angle() {
            return number(angle, "angle").orElse(0.0);
        }

        private Depth depth() {
            return depth(depth);
        }

        private Depth depth(String text) {
            if (text == null || text.isBlank()) {
                throw wrong("it needs a depth.");
            }
            return text.strip().equals(THROUGH)
                    ? Depth.THROUGH
                    : Depth.of(number(text, "depth").orElseThrow());
        }

        private double positive(String text, String what) {
            double value = number(text, what).orElseThrow(() -> wrong("it needs a %s.", what));
            if (!(value > 0)) {
                throw wrong("a %s of %s mm; it must be above 0.", what, text);
            }
            return value;
        }

        private Optional<Double> number(String text, String what) {
            if (text == null || text.isBlank()) {
                return Optional.empty();
            }
            try {
                return Optional.of(Typed.parse(text, names).value());
            } catch (FormulaException none) {
                throw wrong("%s \"%s\": %s", what, text, none.getMessage());
            }
        }

        private static String or(String text, String otherwise) {
            return text == null ? otherwise : text;
        }
    }
}
