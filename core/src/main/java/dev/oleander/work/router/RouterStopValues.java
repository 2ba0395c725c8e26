package dev.oleander.work.router;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Form;
import dev.oleander.value.Places;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.plan.Suitable;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What people set for what is done to a feature. Lengths mm. */
final class RouterStopValues {

    private static final double DEEPEST = 500;
    private static final double WIDEST = 500;
    private static final double FARTHEST = 1e6;
    private static final String A_TAB = "A tab's place";
    private static final Set<String> WHOLE = Set.of(WishValues.TAB_COUNT, WishValues.FINISH_CUTS);

    static final List<Value<RouterChoice>> ALL =
            List.of(
                    words(WishValues.WORK, "work", RouterKind.values(), "Work"),
                    tool(WishValues.TOOL, "tool", "Tool", RouterStopValues::toolInUse),
                    depth(),
                    words(
                            WishValues.SIDE,
                            "side",
                            "Side",
                            new Word("outside", "outside"),
                            new Word("inside", "inside"),
                            new Word("on", "on it")),
                    words(
                            WishValues.WAY,
                            "way of cutting",
                            "Cut",
                            new Word("climb", "climb"),
                            new Word("conventional", "conventional")),
                    number(WishValues.STEP_DOWN, "step down", 0.01, DEEPEST, "Step down", "mm")
                            .used(RouterStopOf.class, s -> s.used(WishValues.STEP_DOWN)),
                    number(WishValues.STEP_OVER, "step-over", 0.01, 1, "Step-over", "D")
                            .used(RouterStopOf.class, s -> s.used(WishValues.STEP_OVER)),
                    words(
                            WishValues.BY_LEVEL,
                            "order of levels",
                            "Level by level",
                            new Word("yes", "at thin walls"),
                            new Word("no", "never")),
                    number(WishValues.CREST, "crest", 0.001, WIDEST, "Crest", "mm"),
                    words(
                            WishValues.MANNER,
                            "manner of clearing",
                            "Ways",
                            new Word("parallel", "parallel to the walls"),
                            new Word("even", "evenly in the work"),
                            new Word("zigzag", "to and fro")),
                    number(WishValues.ANGLE, "angle of the ways", -360, 360, "Angle", "°"),
                    number(WishValues.ALLOWANCE, "allowance", 0, WIDEST, "Left at walls", "mm"),
                    words(
                            WishValues.ENTRY,
                            "entry",
                            "Way down",
                            new Word("ramp", "along the way"),
                            new Word("helix", "in a helix"),
                            new Word("zigzag", "to and fro"),
                            new Word("plunge", "straight down")),
                    number(WishValues.ENTRY_ANGLE, "angle of the way down", 0.1, 90, "Ramp", "°"),
                    number(
                            WishValues.ENTRY_RADIUS,
                            "radius of the helix",
                            0.01,
                            WIDEST,
                            "Helix radius",
                            "mm"),
                    number(WishValues.FINISH_CUTS, "number of finishing cuts", 0, 20, "Cuts", ""),
                    number(
                            WishValues.FINISH_WIDTH,
                            "width of the finishing cuts",
                            0.01,
                            WIDEST,
                            "Each takes",
                            "mm"),
                    words(
                            WishValues.FINISH_AT,
                            "depth of the finishing cuts",
                            "Gone round",
                            new Word("levels", "at every level"),
                            new Word("depth", "at full depth")),
                    number(
                            WishValues.FINISH_FLOOR,
                            "finishing cut of the floor",
                            0,
                            DEEPEST,
                            "Left on the floor",
                            "mm"),
                    number(
                            WishValues.LEAD_RADIUS,
                            "radius of the lead",
                            0.01,
                            WIDEST,
                            "Lead",
                            "mm"),
                    number(WishValues.LEAD_OVER, "way beyond the lead", 0, WIDEST, "Beyond", "mm"),
                    number(WishValues.SKIN, "skin", 0.01, DEEPEST, "Skin", "mm"),
                    number(WishValues.TAB_COUNT, "number of tabs", 0, 1000, "Tabs", ""),
                    number(
                            WishValues.TAB_SPACING,
                            "spacing of tabs",
                            1,
                            10_000,
                            "A tab every",
                            "mm"),
                    number(WishValues.TAB_WIDTH, "width of tabs", 0.1, WIDEST, "Tab width", "mm"),
                    number(
                            WishValues.TAB_HEIGHT,
                            "height of tabs",
                            0.1,
                            DEEPEST,
                            "Tab height",
                            "mm"),
                    tabsByHand(WishValues.TAB_AT, "tabs put by hand", RouterStopValues::put),
                    tabsByHand("tabs.add", "another tab", RouterStopValues::oneMore),
                    tabsByHand("tabs.remove", "one tab less", RouterStopValues::oneLess),
                    tabsByHand("tabs.put", "places of all tabs", RouterStopValues::hold),
                    number(
                            WishValues.START,
                            "start of the contour",
                            0,
                            FARTHEST,
                            "Starts at",
                            "mm"),
                    words(
                            WishValues.BANK,
                            "drilling several holes at once",
                            "Several at once",
                            Word.same("yes"),
                            Word.same("no")),
                    number(WishValues.RANK, "rank", 0, Operation.LAST_RANK, "Rank", ""),
                    words(
                            WishValues.BEYOND_FLUTES,
                            "depth beyond the flutes",
                            "Deeper than flutes",
                            Word.same("no"),
                            Word.same("yes")),
                    number(WishValues.WIDTH, "width", 0.1, WIDEST, "Width", "mm"),
                    number(WishValues.BELOW, "tip below the slope", 0, WIDEST, "Tip below", "mm"),
                    words(
                            WishValues.ENDS,
                            "ends of the groove",
                            "Ends",
                            new Word("open", "the full depth reaches the ends"),
                            new Word("closed", "the blade stays within")),
                    number(WishValues.FLOOR, "floor of the carving", 0.01, DEEPEST, "Floor", "mm"),
                    tool(
                            WishValues.FLAT_TOOL,
                            "tool for the floor",
                            "Tool for the floor",
                            s -> Optional.empty()),
                    number(WishValues.PECK, "peck", 0, DEEPEST, "Peck", "mm")
                            .used(RouterStopOf.class, s -> s.used(WishValues.PECK)));

    private RouterStopValues() {}

    private static Function<RouterChoice, String> get(String word) {
        return set -> set.get(word).orElse(null);
    }

    private static Value<RouterChoice> shown(Value<RouterChoice> value, String label, String unit) {
        return value.label(label, unit)
                .ofAllCopies()
                .used(RouterStopOf.class, s -> s.used(value.word()));
    }

    private static Value<RouterChoice> words(
            String word, String name, RouterKind[] kinds, String label) {
        return words(word, name, label, Word.all(kinds).toArray(Word[]::new));
    }

    private static Value<RouterChoice> words(
            String word, String name, String label, Word... words) {
        return shown(
                Value.listed(
                        word,
                        name,
                        subjects -> List.of(words),
                        get(word),
                        (set, text) -> set.with(word, required(name, text, words))),
                label,
                "");
    }

    /**
     * @throws ValueException when it is none of the words
     */
    static String required(String name, String text, Word... words) {
        if (text == null) {
            return null;
        }
        List<String> known = new ArrayList<>();
        for (Word word : words) {
            known.add(word.value());
        }
        if (!known.contains(text)) {
            throw new ValueException(
                    "The %s cannot be \"%s\"; known are %s."
                            .formatted(name, text, String.join(", ", known)));
        }
        return text;
    }

    private static Value<RouterChoice> number(
            String word, String name, double least, double most, String label, String unit) {
        Form.Number<RouterChoice> limits =
                WHOLE.contains(word) ? Value.wholeBetween(least, most) : Value.between(least, most);
        return shown(
                Value.number(
                        word,
                        name,
                        limits,
                        set -> set.get(word).map(text -> new Typed(text, 0)).orElse(null),
                        (set, typed) -> set.with(word, typed == null ? null : typed.text())),
                label,
                unit);
    }

    private static Value<RouterChoice> depth() {
        return shown(
                Value.text(
                        WishValues.DEPTH,
                        "depth",
                        get(WishValues.DEPTH),
                        (set, entry) -> set.with(WishValues.DEPTH, depth(entry))),
                "Depth",
                "mm");
    }

    /** A formula, or that it goes through. */
    private static String depth(Entry entry) {
        if (entry.isEmpty() || entry.text().equals("through")) {
            return entry.text();
        }
        return entry.number("The depth", 0.01, DEEPEST).text();
    }

    // ---- tabs by hand

    private static Value<RouterChoice> tabsByHand(
            String word, String name, BiFunction<RouterChoice, Entry, RouterChoice> change) {
        return Value.text(
                        word,
                        name,
                        set -> word.equals(WishValues.TAB_AT) ? get(word).apply(set) : null,
                        change)
                .ofAllCopies();
    }

    private static RouterChoice put(RouterChoice set, Entry entry) {
        return at(set, entry.places(A_TAB));
    }

    private static RouterChoice oneMore(RouterChoice set, Entry entry) {
        return at(set, Places.oneMore(at(set), entry, A_TAB));
    }

    private static RouterChoice oneLess(RouterChoice set, Entry entry) {
        return at(set, Places.oneLess(at(set), entry, A_TAB));
    }

    /** Only at these places. */
    private static RouterChoice hold(RouterChoice set, Entry entry) {
        RouterChoice at = Places.isNone(entry) ? at(set, List.of()) : put(set, entry);
        return at.with(WishValues.TAB_COUNT, entry.isEmpty() ? null : "0")
                .with(WishValues.TAB_SPACING, null);
    }

    private static List<Typed> at(RouterChoice set) {
        return set.get(WishValues.TAB_AT)
                .map(text -> Entry.NOTHING.with(text).places(A_TAB))
                .orElse(List.of());
    }

    /** As numbers: a place that is pointed at follows no formula. */
    private static RouterChoice at(RouterChoice set, List<Typed> places) {
        String text =
                places.stream()
                        .map(p -> Numbers.plain(p.value(), 3))
                        .collect(Collectors.joining(" "));
        return set.with(WishValues.TAB_AT, text);
    }

    // ---- tools

    private static Value<RouterChoice> tool(
            String word, String name, String label, Function<RouterStopOf, Optional<String>> used) {
        return Value.<RouterChoice>listed(
                        word,
                        name,
                        RouterStopValues::tools,
                        get(word),
                        (set, text) -> set.with(word, number(name, text)))
                .label(label, "")
                .ofAllCopies()
                .usually(
                        subject ->
                                subject.work(RouterStopOf.class)
                                        .flatMap(s -> used.apply(s).or(() -> s.said(word))));
    }

    private static Optional<String> toolInUse(RouterStopOf stop) {
        return stop.tool().map(t -> String.valueOf(t.number()));
    }

    private static String number(String name, String text) {
        if (text != null && !text.matches("\\d{1,6}")) {
            throw new ValueException("The %s is \"%s\"; it is a number.".formatted(name, text));
        }
        return text;
    }

    /** All there are, each with why it cannot, of the first of the stops. */
    private static List<Word> tools(List<Subject<RouterChoice>> stops) {
        return stops.stream()
                .flatMap(s -> s.work(RouterStopOf.class).stream())
                .limit(1)
                .flatMap(s -> s.tools().stream().map(t -> word(t, s)))
                .toList();
    }

    private static Word word(Tool tool, RouterStopOf stop) {
        String what =
                "%d: %s %s %s mm"
                        .formatted(
                                tool.number(),
                                tool.name(),
                                tool.kind().label(),
                                Numbers.plain(tool.diameter(), 3))
                        .replace("  ", " ");
        boolean cannot = stop.operation().flatMap(o -> Suitable.whyNot(tool, o.what())).isPresent();
        return new Word(String.valueOf(tool.number()), cannot ? what + " (cannot)" : what);
    }
}
