package dev.oleander.work.router.operation;

import dev.oleander.book.CutDataException;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Chamfer;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.EdgeDrill;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Groove;
import dev.oleander.work.router.operation.Operation.Hole;
import dev.oleander.work.router.operation.Operation.Manner;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.operation.Operation.Steps;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.operation.Wish.Copies;
import dev.oleander.work.router.operation.Wish.From;
import dev.oleander.work.router.operation.Wish.HoleWish;
import dev.oleander.work.router.operation.Wish.Place;
import dev.oleander.work.router.operation.Wish.TabWish;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.Entry;
import dev.oleander.work.router.way.Finish;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Makes an operation of what people write. */
final class WishReader {

    private static final String THROUGH = "through";
    private static final int MOST_TABS = 1_000;
    private static final int MOST_CUTS = 20;

    private final Wish wish;
    private final String own;
    private final Map<String, Double> names;

    WishReader(Wish wish, String own, Map<String, Double> names) {
        this.wish = wish;
        this.own = own;
        this.names = names;
    }

    private CutDataException wrong(String sentence, Object... values) {
        return new CutDataException("Operation " + own + ": " + sentence.formatted(values));
    }

    Operation operation() {
        boolean wrapped = Boolean.TRUE.equals(wish.wrap());
        if (wrapped && wish.copies() != null && wish.copies().rotary() != null) {
            throw wrong("what is laid round the axis has no copies round it.");
        }
        return new Operation(
                own,
                wish.features(),
                Optional.ofNullable(wish.tool()),
                Optional.ofNullable(wish.from()).map(From::floorOf),
                Optional.ofNullable(wish.copies())
                        .filter(c -> c.rotary() != null)
                        .map(this::turned),
                wrapped,
                Boolean.TRUE.equals(wish.beyondFlutes()),
                rank(),
                what());
    }

    private int rank() {
        int rank = Objects.requireNonNullElse(wish.rank(), 0);
        if (rank < 0 || rank > Operation.LAST_RANK) {
            throw wrong("rank is %d; it is from 0 to %d.", rank, Operation.LAST_RANK);
        }
        return rank;
    }

    private Operation.Turned turned(Copies wished) {
        return new Operation.Turned(
                wished.rotary(), Objects.requireNonNullElse(wished.start(), 0.0));
    }

    private What what() {
        return switch (Objects.requireNonNullElse(wish.kind(), "")) {
            case "contour" -> round();
            case "pocket", "rest" -> clear();
            case "drill" ->
                    new Drill(
                            depth(or(wish.depth(), THROUGH)),
                            holes(),
                            number(wish.peck(), "peck"),
                            !Boolean.FALSE.equals(wish.bank()));
            case "bore" -> new Bore(depth(), steps());
            case "follow" -> new Follow(levels(), steps());
            case "slot" -> new Slot(depth(), steps(), climb());
            case "face" -> new Face(depth(), number(wish.stepOver(), "step-over"), angle());
            case "edgeDrill" ->
                    new EdgeDrill(
                            depth(or(wish.depth(), "T/2")), positive(wish.width(), "diameter"));
            case "groove" -> new Groove(depth(), number(wish.width(), "width"), open());
            case "carve" ->
                    new Carve(number(wish.floor(), "floor"), Optional.ofNullable(wish.flatTool()));
            case "chamfer" -> wish.pair() == null ? bevel() : new Chamfer(rim(), steps());
            default ->
                    throw wrong(
                            "kind \"%s\"; known are contour, pocket, rest, drill, bore, follow, slot, face, groove, carve, chamfer, edgeDrill.",
                            wish.kind());
        };
    }

    private Round round() {
        return new Round(
                depth(),
                Optional.ofNullable(wish.side()).map(this::side),
                steps(),
                number(wish.allowance(), "allowance").orElse(0.0),
                Optional.ofNullable(wish.tabs()).map(this::tabs),
                climb(),
                finish(),
                Optional.ofNullable(wish.skin()).map(text -> positive(text, "skin")),
                start());
    }

    private Bevel bevel() {
        ContourWay.Side side = wish.side() == null ? null : side(wish.side());
        if (side == ContourWay.Side.ON) {
            throw wrong("an edge lies on one side of its contour: outside or inside.");
        }
        return new Bevel(
                wish.width() == null ? Bevel.USUAL_WIDTH : positive(wish.width(), "width"),
                wish.below() == null
                        ? Bevel.USUAL_BELOW
                        : atLeast0(wish.below(), "tip below the slope"),
                Optional.ofNullable(side),
                steps(),
                climb());
    }

    private Clear clear() {
        if (wish.kind().equals("rest") && wish.restOf() == null) {
            throw wrong("it has to say of which operation the rest is.");
        }
        return new Clear(
                depth(),
                steps(),
                number(wish.stepOver(), "step-over"),
                Optional.ofNullable(wish.crest()).map(text -> positive(text, "crest")),
                number(wish.allowance(), "allowance").orElse(0.0),
                Optional.ofNullable(wish.islands()).map(Place::on),
                new Manner(manner(), angle()),
                Optional.ofNullable(wish.restOf()),
                climb(),
                wish.kind().equals("rest") ? none(finish()) : finish(),
                !Boolean.FALSE.equals(wish.byLevel()));
    }

    private Manner.Kind manner() {
        return word(Manner.Kind.values(), Manner.Kind::word, wish.manner(), "manner")
                .orElse(Manner.Kind.PARALLEL);
    }

    private Finish none(Finish own) {
        if (own.cuts() > 0) {
            throw wrong("what is left of a pocket has no walls of its own to finish.");
        }
        return own;
    }

    private <W> Optional<W> word(W[] known, Function<W, String> word, String text, String what) {
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
        if (wish.finish() == null || wish.finish().cuts() == null || wish.finish().cuts() == 0) {
            return Finish.NONE;
        }
        if (wish.finish().cuts() < 0 || wish.finish().cuts() > MOST_CUTS) {
            throw wrong("%d finishing cuts; there are 0 to %d.", wish.finish().cuts(), MOST_CUTS);
        }
        String at = or(wish.finish().at(), "levels");
        if (!at.equals("levels") && !at.equals("depth")) {
            throw wrong("finishing cuts at \"%s\"; known are levels, depth.", at);
        }
        return new Finish(
                wish.finish().cuts(),
                wish.finish().width() == null
                        ? Finish.USUAL_WIDTH
                        : positive(wish.finish().width(), "width of the finishing cuts"),
                at.equals("depth"),
                wish.lead() == null || wish.lead().radius() == null
                        ? Optional.empty()
                        : Optional.of(positive(wish.lead().radius(), "radius of the lead")),
                wish.lead() == null ? 0 : atLeast0(wish.lead().over(), "way beyond the lead"));
    }

    private double atLeast0(String text, String what) {
        double value = number(text, what).orElse(0.0);
        if (!(value >= 0)) {
            throw wrong("a %s of %s mm; it must be at least 0.", what, text);
        }
        return value;
    }

    private Entry entry() {
        if (wish.entry() == null) {
            return Entry.USUAL;
        }
        Optional<Double> steep = number(wish.entry().angle(), "angle of the way down");
        if (steep.filter(a -> !(a > 0 && a <= 90)).isPresent()) {
            throw wrong("a way down at %s°; it lies above 0 and up to 90.", wish.entry().angle());
        }
        return new Entry(
                word(Entry.Kind.values(), Entry.Kind::word, wish.entry().kind(), "entry"),
                steep,
                wish.entry().radius() == null
                        ? Optional.empty()
                        : Optional.of(positive(wish.entry().radius(), "radius of the helix")));
    }

    private ContourWay.Side side(String text) {
        return word(ContourWay.Side.values(), s -> s.name().toLowerCase(Locale.ROOT), text, "side")
                .orElse(null);
    }

    private ContourWay.Tabs tabs(TabWish wished) {
        double wide = positive(wished.width(), "width of the tabs");
        double high = positive(wished.height(), "height of the tabs");
        List<Double> at = places(wished.at());
        if (wished.count() != null || wished.spacing() == null && !at.isEmpty()) {
            int count = wished.count() == null ? 0 : wished.count();
            if (count < (at.isEmpty() ? 1 : 0) || count > MOST_TABS) {
                throw wrong("%d tabs; there are 1 to %d.", count, MOST_TABS);
            }
            return new ContourWay.Tabs(Optional.of(count), 0, wide, high, at);
        }
        double apart = positive(wished.spacing(), "spacing of the tabs");
        if (apart < wide) {
            throw wrong(
                    "tabs of %s mm every %s mm: nothing would be cut.",
                    wished.width(), wished.spacing());
        }
        return new ContourWay.Tabs(Optional.empty(), apart, wide, high, at);
    }

    private List<Double> places(String text) {
        if (text == null || text.isBlank()) {
            return List.of();
        }
        List<Double> places = new ArrayList<>();
        for (String place : text.strip().split("[;\\s]+")) {
            places.add(atLeast0(place, "place of a tab"));
        }
        if (places.size() > MOST_TABS) {
            throw wrong("%d tabs; there are 1 to %d.", places.size(), MOST_TABS);
        }
        return places;
    }

    private Optional<Double> start() {
        String at = wish.entry() == null ? null : wish.entry().at();
        return at == null || at.isBlank()
                ? Optional.empty()
                : Optional.of(atLeast0(at, "start along the contour"));
    }

    private boolean climb() {
        String word = or(wish.way(), "climb");
        if (!word.equals("climb") && !word.equals("conventional")) {
            throw wrong("way \"%s\"; known are climb, conventional.", word);
        }
        return word.equals("climb");
    }

    private boolean open() {
        String word = or(wish.ends(), "open");
        if (!word.equals("open") && !word.equals("closed")) {
            throw wrong("ends \"%s\"; known are open, closed.", word);
        }
        return word.equals("open");
    }

    private On rim() {
        if (wish.pair() == null || wish.pair().rim() == null) {
            throw wrong("a slope needs a rim and a curve of the tip.");
        }
        return On.layer(wish.pair().rim());
    }

    private List<Hole> holes() {
        List<Hole> holes = new ArrayList<>();
        Objects.requireNonNullElse(wish.diameters(), List.<HoleWish>of())
                .forEach(h -> holes.add(new Hole(h.diameter(), depth(h.depth()))));
        return holes;
    }

    private List<Depth> levels() {
        return wish.depths() == null || wish.depths().isEmpty()
                ? List.of(depth())
                : wish.depths().stream().map(this::depth).toList();
    }

    private Steps steps() {
        double left =
                wish.finish() == null
                        ? 0
                        : atLeast0(wish.finish().floor(), "finishing cut of the floor");
        return new Steps(number(wish.stepDown(), "step down"), left, entry());
    }

    private double angle() {
        return number(wish.angle(), "angle").orElse(0.0);
    }

    private Depth depth() {
        return depth(wish.depth());
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
