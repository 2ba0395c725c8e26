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
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.operation.Operation.Steps;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ContourWay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

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
 * @param manner of clearing a pocket: parallel or zigzag
 * @param angle of straight ways, degrees
 * @param width of a groove
 * @param ends open or closed, of a groove
 * @param pair curves between which a slope lies
 * @param restOf id of the operation whose rest is taken
 * @param way climb or conventional
 * @param wrap whether lines are laid round the rotary axis; that is refused
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
        Boolean wrap) {

    private static final String THROUGH = "through";
    private static final String PARALLEL = "parallel";
    private static final String ZIGZAG = "zigzag";
    private static final int MOST_TABS = 1_000;

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
        return new Wish(
                id,
                other,
                kind,
                tool,
                depth,
                depths,
                diameters,
                from,
                side,
                otherIslands,
                stepDown,
                stepOver,
                manner,
                angle,
                allowance,
                tabs,
                width,
                ends,
                pair,
                floor,
                flatTool,
                restOf,
                copies,
                peck,
                way,
                wrap);
    }

    /** The same, of what another operation has left. */
    public Wish restOf(String other) {
        return new Wish(
                id, on, kind, tool, depth, depths, diameters, from, side, islands, stepDown,
                stepOver, manner, angle, allowance, tabs, width, ends, pair, floor, flatTool, other,
                copies, peck, way, wrap);
    }

    /** Which features it names. */
    public On features() {
        return Objects.requireNonNullElse(on, new Place(null, null, null)).on();
    }

    /** Where depths count from: the floor of another operation. */
    public record From(String floorOf) {}

    /** Tabs by their number, or by the spacing between them. */
    public record TabWish(Integer count, String spacing, String width, String height) {}

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
            if (Boolean.TRUE.equals(wrap)) {
                throw wrong("lines are not laid round the axis; make copies round it.");
            }
            return new Operation(
                    own,
                    features(),
                    Optional.ofNullable(tool),
                    Optional.ofNullable(from).map(From::floorOf),
                    Optional.ofNullable(copies).filter(c -> c.rotary() != null).map(this::turned),
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
                    climb());
        }

        private Clear clear() {
            String how = or(manner, PARALLEL);
            if (!how.equals(PARALLEL) && !how.equals(ZIGZAG)) {
                throw wrong("manner \"%s\"; known are parallel, zigzag.", manner);
            }
            if (kind.equals("rest") && restOf == null) {
                throw wrong("it has to say of which operation the rest is.");
            }
            return new Clear(
                    depth(),
                    steps(),
                    number(stepOver, "step-over"),
                    number(allowance, "allowance").orElse(0.0),
                    Optional.ofNullable(islands).map(Place::on),
                    how.equals(ZIGZAG) ? Optional.of(angle()) : Optional.empty(),
                    Optional.ofNullable(restOf),
                    climb());
        }

        private ContourWay.Side side(String word) {
            return Arrays.stream(ContourWay.Side.values())
                    .filter(s -> s.name().toLowerCase(Locale.ROOT).equals(word))
                    .findFirst()
                    .orElseThrow(() -> wrong("side \"%s\"; known are outside, inside, on.", word));
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
            return new Steps(number(stepDown, "step down"), 0);
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
