package dev.oleander.web.job;

import dev.oleander.plan.LeadChoice;
import dev.oleander.plan.LeadKind;
import dev.oleander.plan.Side;
import dev.oleander.plan.StopChoice;
import dev.oleander.quantity.Typed;
import java.util.Arrays;
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
            (stop, entry) -> stop.withOverRun(entry.number("The over-run", 0, 100)));

    /**
     * What somebody typed.
     *
     * @param text null: take back what was set
     * @param names values that may be used by name
     */
    public record Entry(String text, Map<String, Double> names) {

        Typed number(String what, double least, double most) {
            return text == null ? null : Typed.parse(text, names).within(what, least, most);
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
