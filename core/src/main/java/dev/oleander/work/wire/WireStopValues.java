package dev.oleander.work.wire;

import static dev.oleander.value.Value.listed;
import static dev.oleander.value.Value.oneOf;
import static dev.oleander.value.Value.text;
import static dev.oleander.value.Value.yesOrNo;

import dev.oleander.geometry.Point;
import dev.oleander.machine.Compensation;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Constants;
import dev.oleander.value.Entry;
import dev.oleander.value.Form;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.PassChoice;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.cut.WireSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What people set for stops of a wire machine. Lengths mm, angles degrees. */
final class WireStopValues {

    static final List<Value<WireChoice>> ALL =
            Stream.of(passes(), entry(), slug(), WireFlankValues.all(), WireRepeatValues.all())
                    .flatMap(values -> values)
                    .toList();

    private WireStopValues() {}

    static Form.Number<WireChoice> between(double least, double most) {
        return Value.between(least, most);
    }

    static Form.Number<WireChoice> wholeBetween(double least, double most) {
        return Value.wholeBetween(least, most);
    }

    /** The number with which a stop is cut, as text. */
    static Function<WireStop, String> number(ToDoubleFunction<WireSettings> value) {
        return stop -> Numbers.plain(value.applyAsDouble(stop.settings()), 4);
    }

    private static Function<WireStop, String> word(Function<WireSettings, String> value) {
        return stop -> value.apply(stop.settings());
    }

    // ---- passes

    private static <V> BiFunction<WireChoice, V, WireChoice> inPasses(
            BiFunction<PassChoice, V, PassChoice> change) {
        return (stop, value) -> stop.withPasses(change.apply(stop.passes(), value));
    }

    private static Stream<Value<WireChoice>> passes() {
        return Stream.of(
                listed(
                                "finish",
                                "finish",
                                WireStopValues::finishes,
                                (WireChoice stop) -> stop.passes().finish(),
                                inPasses(PassChoice::withFinish))
                        .label("Finish", "")
                        .used(WireStop.class, word(s -> s.row().finish())),
                Value.number(
                                "passes",
                                "number of passes",
                                wholeBetween(1, 9),
                                stop -> stop.passes().count(),
                                inPasses(PassChoice::withCount))
                        .label("Passes", "")
                        .used(WireStop.class, number(WireSettings::passes)),
                yesOrNo(
                                "alternate",
                                "direction of skims",
                                List.of(
                                        new Word("true", "to and fro"),
                                        new Word("false", "one way")),
                                (WireChoice stop) -> stop.passes().alternate(),
                                inPasses(PassChoice::withAlternate))
                        .label("Skims", "")
                        .used(WireStop.class, word(s -> String.valueOf(s.alternate()))),
                compensation());
    }

    private static List<Word> finishes(List<Subject<WireChoice>> stops) {
        return stops.stream()
                .flatMap(s -> s.work(WireStop.class).stream())
                .limit(1)
                .flatMap(s -> s.finishes().stream())
                .map(Word::same)
                .toList();
    }

    private static Value<WireChoice> compensation() {
        return oneOf(
                        "compensation",
                        "compensation",
                        Constants.worded(Compensation.values()),
                        (WireChoice stop) -> stop.passes().compensation(),
                        inPasses(PassChoice::withCompensation))
                .choosing(
                        stops ->
                                List.of(
                                        Word.same(Compensation.CONTROLLER.word()),
                                        Word.same(Compensation.PATH.word())))
                .label("Offset", "")
                .used(WireStop.class, word(s -> s.compensation().word()));
    }

    // ---- the way to the profile and off it

    private static <V> BiFunction<WireChoice, V, WireChoice> inEntry(
            BiFunction<EntryChoice, V, EntryChoice> change) {
        return (stop, value) -> stop.withEntry(change.apply(stop.entry(), value));
    }

    private static Stream<Value<WireChoice>> entry() {
        return Stream.of(
                text(
                        "hole",
                        "start hole",
                        (WireChoice stop) -> textOf(stop.entry().hole()),
                        inEntry((e, entry) -> e.withHole(entry.isEmpty() ? null : entry.place()))),
                Value.number(
                                "start",
                                "start of the profile",
                                between(0, 1e6),
                                stop -> stop.entry().start(),
                                inEntry(EntryChoice::withStart))
                        .label("Starts at", "mm")
                        .orElse("found"),
                direction(),
                lead(),
                Value.number(
                                "leadLength",
                                "length of the lead",
                                between(0.1, 100),
                                stop -> stop.entry().leadLength(),
                                inEntry(EntryChoice::withLeadLength))
                        .label("Lead length", "mm")
                        .used(WireStop.class, number(WireSettings::leadLength)),
                Value.number(
                                "overlap",
                                "overlap",
                                between(0, 50),
                                stop -> stop.entry().overlap(),
                                inEntry(EntryChoice::withOverlap))
                        .label("Overlap", "mm")
                        .used(WireStop.class, number(WireSettings::overlap)),
                Value.number(
                                "backOff",
                                "way off between passes",
                                between(0.01, 20),
                                stop -> stop.entry().backOff(),
                                inEntry(EntryChoice::withBackOff))
                        .label("Off between", "mm")
                        .used(WireStop.class, number(WireSettings::backOff)));
    }

    /** As people type it: x and y. */
    static String textOf(Point place) {
        return place == null
                ? ""
                : "%s %s".formatted(Numbers.plain(place.x(), 4), Numbers.plain(place.y(), 4));
    }

    private static Value<WireChoice> direction() {
        return text(
                        "direction",
                        "direction",
                        WireStopValues::directionOf,
                        inEntry(WireStopValues::turned))
                .choosing(
                        stops -> List.of(Word.same("clockwise"), new Word("anticlockwise", "anti")))
                .label("Direction", "")
                .used(WireStop.class, word(s -> directionOf(s.anticlockwise())));
    }

    private static String directionOf(WireChoice stop) {
        Boolean set = stop.entry().anticlockwise();
        return set == null ? "" : directionOf((boolean) set);
    }

    private static String directionOf(boolean anticlockwise) {
        return anticlockwise ? "anticlockwise" : "clockwise";
    }

    private static EntryChoice turned(EntryChoice to, Entry entry) {
        return switch (entry.text()) {
            case "" -> to.withAnticlockwise(null);
            case "anticlockwise", "ccw" -> to.withAnticlockwise(true);
            case "clockwise", "cw" -> to.withAnticlockwise(false);
            default ->
                    throw new ValueException(
                            "\"%s\" is no direction: clockwise or anticlockwise."
                                    .formatted(entry.text()));
        };
    }

    private static Value<WireChoice> lead() {
        return oneOf(
                        "lead",
                        "form of the lead",
                        Constants.worded(WireLead.values())
                                .labelled(l -> l == WireLead.DIRECT ? "straight" : l.word()),
                        (WireChoice stop) -> stop.entry().lead(),
                        inEntry(EntryChoice::withLead))
                .label("Lead", "")
                .used(WireStop.class, word(s -> s.lead().word()));
    }

    // ---- the piece that comes free

    private static <V> BiFunction<WireChoice, V, WireChoice> inSlug(
            BiFunction<SlugChoice, V, SlugChoice> change) {
        return (stop, value) -> stop.withSlug(change.apply(stop.slug(), value));
    }

    private static Stream<Value<WireChoice>> slug() {
        return Stream.of(
                handling(),
                Value.number(
                                "hold",
                                "width of the hold",
                                between(0.1, 500),
                                stop -> stop.slug().hold(),
                                inSlug(SlugChoice::withHold))
                        .label("Hold", "mm")
                        .used(WireStop.class, number(WireSettings::hold)),
                Value.number(
                                "holds",
                                "number of holds",
                                wholeBetween(1, 20),
                                stop -> stop.slug().count(),
                                inSlug(SlugChoice::withCount))
                        .label("Holds", "")
                        .used(WireStop.class, number(WireSettings::holds)),
                text(
                        "holdAt",
                        "places of holds",
                        WireStopValues::holdsOf,
                        inSlug(WireStopValues::holds)),
                holdStop(),
                yesOrNo(
                                "reversed",
                                "direction of the cut-off",
                                List.of(
                                        new Word("true", "backwards"),
                                        new Word("false", "forwards")),
                                (WireChoice stop) -> stop.slug().reversed(),
                                inSlug(SlugChoice::withReversed))
                        .label("Cut-off", "")
                        .used(WireStop.class, word(s -> String.valueOf(s.reversed()))),
                yesOrNo(
                                "offSkims",
                                "skims of the cut-off",
                                List.of(new Word("true", "yes"), new Word("false", "no")),
                                (WireChoice stop) -> stop.slug().offSkims(),
                                inSlug(SlugChoice::withOffSkims))
                        .label("Skims after it", "")
                        .used(WireStop.class, word(s -> String.valueOf(s.offSkims()))),
                Value.number(
                                "step",
                                "step of the rings",
                                between(0.1, 0.5),
                                stop -> stop.slug().step(),
                                inSlug(SlugChoice::withStep))
                        .label("Step of rings", "")
                        .used(WireStop.class, number(WireSettings::step)));
    }

    private static Value<WireChoice> handling() {
        return oneOf(
                        "slug",
                        "handling of the slug",
                        Constants.worded(SlugHandling.values()).labelled(SlugHandling::label),
                        (WireChoice stop) -> stop.slug().handling(),
                        inSlug(SlugChoice::withHandling))
                .choosing(WireStopValues::handlings)
                .label("Handling", "")
                .used(WireStop.class, word(s -> s.slug().word()));
    }

    /** Those that are possible with all of the stops. */
    private static List<Word> handlings(List<Subject<WireChoice>> stops) {
        List<WireKind> kinds =
                stops.stream()
                        .flatMap(s -> s.work(WireStop.class).stream())
                        .map(s -> s.settings().kind())
                        .toList();
        boolean closed = !kinds.contains(WireKind.OPEN);
        boolean opening = kinds.stream().allMatch(k -> k == WireKind.OPENING);
        return Arrays.stream(SlugHandling.values())
                .filter(s -> closed || s == SlugHandling.DROP || s == SlugHandling.STOP_BEFORE)
                .filter(s -> opening || s != SlugHandling.CORELESS)
                .map(s -> new Word(s.word(), s.label()))
                .toList();
    }

    private static String holdsOf(WireChoice stop) {
        List<Typed> at = stop.slug().at();
        return at == null ? "" : at.stream().map(Typed::text).collect(Collectors.joining(" "));
    }

    /** Places between blanks; with a plus before them they come to those there are. */
    private static SlugChoice holds(SlugChoice slug, Entry entry) {
        if (entry.isEmpty()) {
            return slug.withAt(null);
        }
        if (!adds(entry)) {
            return slug.withAt(entry.places("A hold's place"));
        }
        List<Typed> all = new ArrayList<>(slug.at() == null ? List.of() : slug.at());
        all.addAll(added(entry).places("A hold's place"));
        return slug.withAt(all).withHandling(SlugHandling.HOLDS);
    }

    /** With a plus before it what is said comes to what was said before. */
    static boolean adds(Entry entry) {
        return entry.text().startsWith("+");
    }

    /** Without the plus. */
    static Entry added(Entry entry) {
        return adds(entry) ? entry.with(entry.text().substring(1)) : entry;
    }

    private static Value<WireChoice> holdStop() {
        return oneOf(
                        "holdStop",
                        "stop before the cut-off",
                        Constants.worded(HoldStop.values())
                                .labelled(s -> s == HoldStop.OPTIONAL ? "if asked" : s.word()),
                        (WireChoice stop) -> stop.slug().stop(),
                        inSlug(SlugChoice::withStop))
                .label("Machine waits", "")
                .used(WireStop.class, word(s -> s.holdStop().word()));
    }
}
