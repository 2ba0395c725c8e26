package dev.oleander.web.job;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.StopField.Entry;
import dev.oleander.work.wire.plan.CopyChoice;
import dev.oleander.work.wire.plan.WireChoices;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** A value of a whole job on a wire machine that people set. */
public enum WireJobField implements EditField {
    WIRE("wire", "wire", (c, t) -> c.withWire(orNull(t))),
    FINISH("finish", "finish", (c, t) -> c.withFinish(orNull(t))),
    CLEARANCE("clearance", "clearance of punch and die", WireJobField::clearance),
    SET("set", "punch and die from one contour", WireJobField::punchAndDie),
    COUNT("round.count", "copies round a centre", WireJobField::count),
    ANGLE(
            "round.angle",
            "angle between copies",
            round(
                    (r, e) ->
                            new CopyChoice(
                                    r.count(),
                                    e.number("The angle", -360, 360),
                                    r.centre(),
                                    r.indexed()))),
    CENTRE(
            "round.centre",
            "centre of the copies",
            round((r, e) -> new CopyChoice(r.count(), r.angle(), e.place(), r.indexed()))),
    INDEXED(
            "round.indexed",
            "turning by a rotary axis",
            round(
                    (r, e) ->
                            new CopyChoice(
                                    r.count(), r.angle(), r.centre(), StopField.yes(e.text())))),
    CALLS(
            "calls",
            "subprograms for copies",
            (c, t) -> c.withCalls(t.isBlank() ? null : StopField.yes(t)));

    private static final int MOST = 360;

    private final String word;
    private final String label;
    private final BiFunction<WireChoices, String, WireChoices> setter;

    WireJobField(String word, String label, BiFunction<WireChoices, String, WireChoices> setter) {
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

    public static Optional<WireJobField> ofWord(String word) {
        return EditField.ofWord(values(), word);
    }

    /**
     * @throws dev.oleander.quantity.FormulaException when the text is no number or out of limits
     * @throws RefusedEditException when it is none of the words there are
     */
    public WireChoices set(WireChoices choices, String text) {
        return setter.apply(choices, text == null ? "" : text);
    }

    private static String orNull(String text) {
        return text.isBlank() ? null : text.strip();
    }

    private static WireChoices clearance(WireChoices choices, String text) {
        Typed value =
                text.isBlank() ? null : new Entry(text, Map.of()).number("The clearance", 0, 5);
        return choices.withSets(value, choices.sets());
    }

    /** A feature that becomes a set, or is none any more. */
    private static WireChoices punchAndDie(WireChoices choices, String feature) {
        List<String> sets = new ArrayList<>(choices.sets());
        if (!sets.remove(feature)) {
            sets.add(feature);
        }
        Typed clearance = choices.clearance() == null ? Typed.of(0.01) : choices.clearance();
        return choices.withSets(clearance, sets);
    }

    private static WireChoices count(WireChoices choices, String text) {
        if (text.isBlank()) {
            return choices.withRound(null);
        }
        Typed count = new Entry(text, Map.of()).whole("The number of copies", 1, MOST);
        CopyChoice now = choices.round();
        return choices.withRound(
                now == null
                        ? new CopyChoice(count, Typed.of(MOST / count.value()), Point.ORIGIN, false)
                        : new CopyChoice(count, now.angle(), now.centre(), now.indexed()));
    }

    private static BiFunction<WireChoices, String, WireChoices> round(
            BiFunction<CopyChoice, Entry, CopyChoice> change) {
        return (choices, text) -> {
            if (choices.round() == null) {
                throw new RefusedEditException("Say how many copies lie round a centre first.");
            }
            return choices.withRound(change.apply(choices.round(), new Entry(text, Map.of())));
        };
    }
}
