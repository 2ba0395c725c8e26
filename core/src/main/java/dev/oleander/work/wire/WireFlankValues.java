package dev.oleander.work.wire;

import static dev.oleander.value.Value.oneOf;
import static dev.oleander.value.Value.text;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Constants;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.work.wire.choice.CornerTaper;
import dev.oleander.work.wire.choice.Matching;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What people set for the flanks of stops of a wire machine, and for a contour above. */
final class WireFlankValues {

    private static final int MOST_ELEMENTS = 100_000;

    private WireFlankValues() {}

    static Stream<Value<WireChoice>> all() {
        return Stream.concat(taper(), upper());
    }

    // ---- how they lean

    private static <V> BiFunction<WireChoice, V, WireChoice> inTaper(
            BiFunction<TaperChoice, V, TaperChoice> change) {
        return (stop, value) -> stop.withTaper(change.apply(stop.taper(), value));
    }

    private static Stream<Value<WireChoice>> taper() {
        return Stream.of(
                Value.number(
                                "angle",
                                "taper",
                                WireStopValues.between(-45, 45),
                                stop -> stop.taper().angle(),
                                inTaper(TaperChoice::withAngle))
                        .label("Taper", "°")
                        .used(WireStop.class, WireStopValues.number(s -> s.taper().usualAngle())),
                oneOf(
                                "corners",
                                "corners of the taper",
                                Constants.worded(CornerTaper.values())
                                        .labelled(WireFlankValues::label),
                                (WireChoice stop) -> stop.taper().corners(),
                                inTaper(TaperChoice::withCorners))
                        .label("Corners", "")
                        .used(WireStop.class, s -> cornersOf(s).word()),
                Value.number(
                                "land",
                                "height of the land",
                                WireStopValues.between(0.01, 400),
                                stop -> stop.taper().land(),
                                inTaper(TaperChoice::withLand))
                        .label("Land", "mm")
                        .orElse("none"),
                text(
                                "elements",
                                "angles of elements",
                                (WireChoice stop) -> elementsOf(stop.taper()),
                                inTaper(WireFlankValues::elements))
                        .label("Own angles", "")
                        .orElse("none"),
                text(
                                "cornerOf",
                                "single corners",
                                (WireChoice stop) -> cornersOf(stop.taper()),
                                inTaper(WireFlankValues::cornersOf))
                        .label("Same radius", "")
                        .orElse("none"));
    }

    private static String label(CornerTaper taper) {
        return taper == CornerTaper.CYLINDRICAL ? "same radius" : taper.word();
    }

    private static CornerTaper cornersOf(WireStop stop) {
        return Optional.ofNullable(stop.settings().taper().corners()).orElse(CornerTaper.CONICAL);
    }

    private static String elementsOf(TaperChoice taper) {
        return new TreeMap<>(taper.elements())
                .entrySet().stream()
                        .map(e -> "%d: %s".formatted(e.getKey() + 1, e.getValue().text()))
                        .collect(Collectors.joining("; "));
    }

    /** Pairs such as 3: 1.5 between semicolons; elements count from 1. */
    private static TaperChoice elements(TaperChoice taper, Entry entry) {
        Map<Integer, Typed> angles =
                new TreeMap<>(WireStopValues.adds(entry) ? taper.elements() : Map.of());
        for (String pair : pairs(entry)) {
            String[] sides = pair.split(":", 2);
            if (sides.length < 2) {
                throw new ValueException(
                        "\"%s\" is not number: angle, as in 3: 1.5.".formatted(pair.strip()));
            }
            angles.put(
                    element(entry.with(sides[0])),
                    entry.with(sides[1]).number("The taper of an element", -45, 45));
        }
        return new TaperChoice(
                taper.angle(), angles, taper.corners(), taper.cornerOf(), taper.land());
    }

    private static String cornersOf(TaperChoice taper) {
        return taper.cornerOf().keySet().stream()
                .sorted()
                .map(i -> String.valueOf(i + 1))
                .collect(Collectors.joining("; "));
    }

    /** Numbers of corners that keep their radius; one that is added twice does not. */
    private static TaperChoice cornersOf(TaperChoice taper, Entry entry) {
        Map<Integer, CornerTaper> kinds =
                new TreeMap<>(WireStopValues.adds(entry) ? taper.cornerOf() : Map.of());
        for (String one : pairs(entry)) {
            int element = element(entry.with(one));
            if (kinds.remove(element) == null) {
                kinds.put(element, CornerTaper.CYLINDRICAL);
            }
        }
        return new TaperChoice(
                taper.angle(), taper.elements(), taper.corners(), kinds, taper.land());
    }

    private static List<String> pairs(Entry entry) {
        String text = WireStopValues.added(entry).text();
        return text.isEmpty() ? List.of() : List.of(text.split("\\s*;\\s*"));
    }

    /** The index of an element that is named by its number. */
    private static int element(Entry number) {
        return (int) number.whole("The number of an element", 1, MOST_ELEMENTS).value() - 1;
    }

    // ---- another contour above

    private static Stream<Value<WireChoice>> upper() {
        return Stream.of(
                text(
                                "upper",
                                "upper contour",
                                (WireChoice stop) ->
                                        stop.upper() == null ? "" : stop.upper().feature(),
                                WireFlankValues::upper)
                        .label("Upper", ""),
                oneOf(
                                "matching",
                                "matching of the contours",
                                Constants.worded(Matching.values()),
                                (WireChoice stop) ->
                                        stop.upper() == null ? null : stop.upper().matching(),
                                inUpper(UpperChoice::withMatching))
                        .label("Joined", ""),
                text(
                                "lines",
                                "lines between the contours",
                                WireFlankValues::linesOf,
                                WireFlankValues::lines)
                        .label("Lines", "")
                        .orElse("none"),
                Value.number(
                                "upperStart",
                                "start of the upper contour",
                                WireStopValues.between(0, 1e6),
                                stop -> stop.upper() == null ? null : stop.upper().start(),
                                inUpper(UpperChoice::withStart))
                        .label("Upper start", "mm")
                        .orElse("nearest"));
    }

    private static WireChoice upper(WireChoice stop, Entry entry) {
        if (entry.isEmpty()) {
            return stop.withUpper(null);
        }
        UpperChoice now = stop.upper();
        Matching matching = now == null ? Matching.CORNERS : now.matching();
        return stop.withUpper(new UpperChoice(entry.text(), matching, List.of(), null));
    }

    /** Where there is no upper contour there is nothing to take back. */
    private static <V> BiFunction<WireChoice, V, WireChoice> inUpper(
            BiFunction<UpperChoice, V, UpperChoice> change) {
        return (stop, value) -> {
            if (stop.upper() == null) {
                if (value == null) {
                    return stop;
                }
                throw new ValueException("Choose an upper contour first.");
            }
            return stop.withUpper(change.apply(stop.upper(), value));
        };
    }

    private static String linesOf(WireChoice stop) {
        List<UpperChoice.Link> lines = stop.upper() == null ? List.of() : stop.upper().lines();
        return lines.stream()
                .map(
                        l ->
                                "%s > %s"
                                        .formatted(
                                                Numbers.plain(l.lower(), 3),
                                                Numbers.plain(l.upper(), 3)))
                .collect(Collectors.joining("; "));
    }

    /** Lines that are added join the contours from then on. */
    private static WireChoice lines(WireChoice stop, Entry entry) {
        if (stop.upper() == null && entry.isEmpty()) {
            return stop;
        }
        return inUpper(
                        (UpperChoice upper, Entry typed) -> {
                            UpperChoice changed = upper.withLines(links(upper, typed));
                            return WireStopValues.adds(typed)
                                    ? changed.withMatching(Matching.LINES)
                                    : changed;
                        })
                .apply(stop, entry);
    }

    /** Pairs such as 12 > 15 between semicolons: distances along both contours. */
    private static List<UpperChoice.Link> links(UpperChoice now, Entry entry) {
        List<UpperChoice.Link> links =
                new ArrayList<>(WireStopValues.adds(entry) ? now.lines() : List.of());
        for (String pair : pairs(entry)) {
            String[] sides = pair.split(">", 2);
            if (sides.length < 2) {
                throw new ValueException(
                        "\"%s\" is not lower > upper, as in 12 > 15.".formatted(pair.strip()));
            }
            links.add(
                    new UpperChoice.Link(
                            entry.with(sides[0]).number("A place", 0, 1e6).value(),
                            entry.with(sides[1]).number("A place", 0, 1e6).value()));
        }
        return links;
    }
}
