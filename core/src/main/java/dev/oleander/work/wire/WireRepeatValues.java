package dev.oleander.work.wire;

import static dev.oleander.value.Value.text;
import static dev.oleander.value.Value.yesOrNo;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Form;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import dev.oleander.work.wire.choice.RepeatChoice;
import dev.oleander.work.wire.choice.WireChoice;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;

/** What people set for how a contour is repeated, which one of its copies cannot have alone. */
final class WireRepeatValues {

    /** What turns the work to a copy round a centre. */
    static final List<Word> TURNED_BY =
            List.of(new Word("true", "a rotary axis"), new Word("false", "the path"));

    private static final double FULL = 360;

    private WireRepeatValues() {}

    private static <V> BiFunction<WireChoice, V, WireChoice> inRepeat(
            BiFunction<RepeatChoice, V, RepeatChoice> change) {
        return (stop, value) -> stop.withRepeat(change.apply(stop.repeat(), value));
    }

    static Stream<Value<WireChoice>> all() {
        Form.Number<WireChoice> pitch = WireStopValues.between(-10_000, 10_000);
        return Stream.of(
                        copies("columns", RepeatChoice::columns, RepeatChoice::withColumns)
                                .label("Columns", "")
                                .usually(stop -> Optional.of("1")),
                        copies("rows", RepeatChoice::rows, RepeatChoice::withRows)
                                .label("Rows", "")
                                .usually(stop -> Optional.of("1")),
                        number(
                                        "pitchX",
                                        "pitch of columns",
                                        pitch,
                                        RepeatChoice::pitchX,
                                        inRepeat(RepeatChoice::withPitchX))
                                .label("Pitch x", "mm")
                                .orElse("none"),
                        number(
                                        "pitchY",
                                        "pitch of rows",
                                        pitch,
                                        RepeatChoice::pitchY,
                                        inRepeat(RepeatChoice::withPitchY))
                                .label("Pitch y", "mm")
                                .orElse("none"),
                        number(
                                        "roundCount",
                                        "number of copies round a centre",
                                        WireStopValues.wholeBetween(1, FULL),
                                        RepeatChoice::count,
                                        inRepeat(WireRepeatValues::count))
                                .label("Round a centre", "")
                                .orElse("none"),
                        number(
                                        "roundAngle",
                                        "angle between copies",
                                        WireStopValues.between(-FULL, FULL),
                                        RepeatChoice::angle,
                                        inRepeat(RepeatChoice::withAngle))
                                .label("Angle between", "°")
                                .usually(WireRepeatValues::usualAngle),
                        centre(),
                        indexed())
                .map(Value::ofAllCopies);
    }

    private static Value<WireChoice> copies(
            String word,
            Function<RepeatChoice, Typed> get,
            BiFunction<RepeatChoice, Typed, RepeatChoice> put) {
        Form.Number<WireChoice> limits = WireStopValues.wholeBetween(1, 100);
        return number(word, "number of " + word + " of copies", limits, get, inRepeat(put));
    }

    private static Value<WireChoice> number(
            String word,
            String name,
            Form.Number<WireChoice> limits,
            Function<RepeatChoice, Typed> get,
            BiFunction<WireChoice, Typed, WireChoice> put) {
        return Value.number(word, name, limits, stop -> get.apply(stop.repeat()), put);
    }

    /** Without a count what else was said of the circle is forgotten. */
    private static RepeatChoice count(RepeatChoice repeat, Typed count) {
        RepeatChoice changed = repeat.withCount(count);
        return count == null ? changed.withAngle(null).withCentre(null).withIndexed(null) : changed;
    }

    private static Optional<String> usualAngle(Subject<WireChoice> stop) {
        return Optional.ofNullable(stop.set().repeat().count())
                .map(count -> Numbers.plain(FULL / count.value(), 4));
    }

    private static Value<WireChoice> centre() {
        return text(
                        "roundCentre",
                        "centre of the copies",
                        (WireChoice stop) -> WireStopValues.textOf(stop.repeat().centre()),
                        inRepeat(
                                (repeat, entry) ->
                                        repeat.withCentre(entry.isEmpty() ? null : entry.place())))
                .label("Centre x y", "mm")
                .usually(
                        stop -> Optional.of(WireStopValues.textOf(stop.set().repeat().centreOr())));
    }

    private static Value<WireChoice> indexed() {
        return yesOrNo(
                        "roundIndexed",
                        "turning by a rotary axis",
                        TURNED_BY,
                        (WireChoice stop) -> stop.repeat().indexed(),
                        inRepeat(RepeatChoice::withIndexed))
                .choosing(stops -> List.of(TURNED_BY.get(1), TURNED_BY.get(0)))
                .label("Turned by", "")
                .usually(
                        stop ->
                                Optional.of(
                                        String.valueOf(
                                                Boolean.TRUE.equals(
                                                        stop.set().repeat().indexed()))));
    }
}
