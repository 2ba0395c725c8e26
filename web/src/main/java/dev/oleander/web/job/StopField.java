package dev.oleander.web.job;

import dev.oleander.geometry.Point;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.CornerForm;
import dev.oleander.plan.LeadChoice;
import dev.oleander.plan.LeadKind;
import dev.oleander.plan.Side;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.TabChoice;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** A value of a stop that people set, with its limits. Lengths mm, angles degrees. */
public enum StopField implements EditField {
    SIDE("side", "side", choice(StopField::side, StopChoice::withSide)),
    QUALITY("quality", "cut data", choice(text -> text, StopChoice::withQuality)),
    LEAD_IN_KIND("leadIn.kind", "form of the lead-in", leadIn(kind())),
    LEAD_IN_LENGTH("leadIn.length", "length of the lead-in", leadIn(length())),
    LEAD_IN_ANGLE("leadIn.angle", "angle of the lead-in", leadIn(angle())),
    LEAD_IN_RADIUS("leadIn.radius", "radius of the lead-in", leadIn(radius())),
    LEAD_OUT_KIND("leadOut.kind", "form of the lead-out", leadOut(kind())),
    LEAD_OUT_LENGTH("leadOut.length", "length of the lead-out", leadOut(length())),
    LEAD_OUT_ANGLE("leadOut.angle", "angle of the lead-out", leadOut(angle())),
    LEAD_OUT_RADIUS("leadOut.radius", "radius of the lead-out", leadOut(radius())),
    START(
            "start",
            "start point",
            (stop, entry) -> stop.withStart(entry.number("The start point", 0, 1e6))),
    OVER_RUN(
            "overRun",
            "over-run",
            (stop, entry) -> stop.withOverRun(entry.number("The over-run", 0, 100))),
    TAB_COUNT("tabs.count", "tabs", tabs(e -> t -> t.withCount(e.whole("Tabs", 0, 99)))),
    TAB_SPACING(
            "tabs.spacing",
            "spacing of the tabs",
            tabs(e -> t -> t.withSpacing(e.number("The spacing of tabs", 5, 10_000)))),
    TAB_LENGTH(
            "tabs.length",
            "length of the tabs",
            tabs(e -> t -> t.withLength(e.number("The length of a tab", 0.05, 50)))),
    TAB_AT("tabs.at", "tabs put by hand", tabs(e -> t -> t.withAt(e.places("A tab's place")))),
    TAB_ADD("tabs.add", "another tab", tabs(StopField::oneMore)),
    TAB_REMOVE("tabs.remove", "one tab less", tabs(StopField::oneLess)),
    CORNERS("corners", "form of corners", choice(StopField::corners, StopChoice::withCorners)),
    PASSES("passes", "passes", (stop, entry) -> stop.withPasses(entry.whole("Passes", 1, 50))),
    FILM("film", "film", choice(StopField::yes, StopChoice::withFilm)),
    COMPENSATION(
            "compensation",
            "compensation",
            choice(StopField::compensation, StopChoice::withCompensation));

    /** Nobody puts more tabs on one contour by hand. */
    private static final int MOST_PLACES = 200;

    /**
     * What somebody typed.
     *
     * @param text null: take back what was set; a field that was emptied says the same
     * @param names values that may be used by name
     */
    public record Entry(String text, Map<String, Double> names) {

        public Entry {
            text = text == null || text.isBlank() ? null : text;
        }

        Typed number(String what, double least, double most) {
            return text == null ? null : Typed.parse(text, names).within(what, least, most);
        }

        Typed whole(String what, int least, int most) {
            Typed typed = number(what, least, most);
            if (typed != null && typed.value() != Math.rint(typed.value())) {
                throw new RefusedEditException(
                        "%s: %s is not a whole number.".formatted(what, typed.text()));
            }
            return typed;
        }

        /** Distances between blanks or semicolons. */
        List<Typed> places(String what) {
            if (text == null) {
                return List.of();
            }
            String[] parts = text.strip().split("[;\\s]+", MOST_PLACES + 1);
            if (parts.length > MOST_PLACES) {
                throw new RefusedEditException(
                        "%s: more than %d were given.".formatted(what, MOST_PLACES));
            }
            return Arrays.stream(parts)
                    .map(one -> new Entry(one, names).number(what, 0, 1e6))
                    .toList();
        }

        /** Two numbers, x and y in the drawing, mm; null without a text. */
        Point place() {
            if (text == null) {
                return null;
            }
            String[] parts = text.strip().split("[;\\s]+");
            if (parts.length != 2) {
                throw new RefusedEditException(
                        "\"%s\" is no place: two numbers are, x and y.".formatted(text));
            }
            Typed x = new Entry(parts[0], names).number("X", -1e6, 1e6);
            Typed y = new Entry(parts[1], names).number("Y", -1e6, 1e6);
            return new Point(x.value(), y.value());
        }
    }

    private final String word;
    private final String label;
    private final BiFunction<StopChoice, Entry, StopChoice> setter;

    StopField(String word, String label, BiFunction<StopChoice, Entry, StopChoice> setter) {
        this.word = word;
        this.label = label;
        this.setter = setter;
    }

    @Override
    public String word() {
        return word;
    }

    @Override
    public String label() {
        return label;
    }

    /**
     * @throws dev.oleander.quantity.FormulaException when the text is no number or out of limits
     * @throws RefusedEditException when it is none of the words there are
     */
    public StopChoice set(StopChoice stop, Entry entry) {
        return setter.apply(stop, entry);
    }

    public static Optional<StopField> ofWord(String word) {
        return EditField.ofWord(values(), word);
    }

    private static <T> BiFunction<StopChoice, Entry, StopChoice> choice(
            Function<String, T> parse, BiFunction<StopChoice, T, StopChoice> set) {
        return (stop, entry) ->
                set.apply(stop, entry.text() == null ? null : parse.apply(entry.text()));
    }

    private static BiFunction<StopChoice, Entry, StopChoice> leadIn(
            Function<Entry, UnaryOperator<LeadChoice>> change) {
        return (stop, entry) -> stop.withLeadIn(change.apply(entry).apply(stop.leadIn()));
    }

    private static BiFunction<StopChoice, Entry, StopChoice> leadOut(
            Function<Entry, UnaryOperator<LeadChoice>> change) {
        return (stop, entry) -> stop.withLeadOut(change.apply(entry).apply(stop.leadOut()));
    }

    private static Function<Entry, UnaryOperator<LeadChoice>> kind() {
        return entry -> lead -> lead.withKind(entry.text() == null ? null : leadKind(entry.text()));
    }

    private static Function<Entry, UnaryOperator<LeadChoice>> length() {
        return entry -> lead -> lead.withLength(entry.number("The length", 0.05, 500));
    }

    private static Function<Entry, UnaryOperator<LeadChoice>> angle() {
        return entry -> lead -> lead.withAngle(entry.number("The angle", 1, 180));
    }

    private static Function<Entry, UnaryOperator<LeadChoice>> radius() {
        return entry -> lead -> lead.withRadius(entry.number("The radius", 0.05, 500));
    }

    private static BiFunction<StopChoice, Entry, StopChoice> tabs(
            Function<Entry, UnaryOperator<TabChoice>> change) {
        return (stop, entry) -> stop.withTabs(change.apply(entry).apply(stop.tabs()));
    }

    private static UnaryOperator<TabChoice> oneMore(Entry entry) {
        return tabs -> {
            List<Typed> all = new ArrayList<>(entry.text() == null ? List.of() : tabs.at());
            all.addAll(entry.places("A tab's place"));
            if (all.size() > MOST_PLACES) {
                throw new RefusedEditException(
                        "A contour has at most %d tabs put by hand.".formatted(MOST_PLACES));
            }
            return tabs.withAt(all);
        };
    }

    /** Takes away the tab put by hand that lies nearest to the place. */
    private static UnaryOperator<TabChoice> oneLess(Entry entry) {
        return tabs -> {
            List<Typed> all = new ArrayList<>(tabs.at());
            for (Typed place : entry.places("A tab's place")) {
                all.stream()
                        .min(Comparator.comparingDouble(t -> Math.abs(t.value() - place.value())))
                        .ifPresent(all::remove);
            }
            return tabs.withAt(all);
        };
    }

    private static CornerForm corners(String word) {
        return Worded.of(CornerForm.class, word)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is no form of corner: round, sharp or loop."
                                                .formatted(word)));
    }

    private static Compensation compensation(String word) {
        return Worded.of(Compensation.class, word)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is no compensation: path, controller or both."
                                                .formatted(word)));
    }

    static Boolean yes(String word) {
        return switch (word) {
            case "true", "yes" -> true;
            case "false", "no" -> false;
            default ->
                    throw new RefusedEditException("\"%s\" is neither yes nor no.".formatted(word));
        };
    }

    private static LeadKind leadKind(String word) {
        return LeadKind.ofWord(word)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is no form of lead: none, line, arc or lineArc."
                                                .formatted(word)));
    }

    private static Side side(String word) {
        return Arrays.stream(Side.values())
                .filter(s -> s.word().equals(word.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is no side: inside, outside or on."
                                                .formatted(word)));
    }
}
