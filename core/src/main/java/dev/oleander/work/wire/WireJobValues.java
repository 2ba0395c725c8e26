package dev.oleander.work.wire;

import static dev.oleander.value.Value.listed;
import static dev.oleander.value.Value.text;
import static dev.oleander.value.Value.yesOrNo;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import dev.oleander.work.Task;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.choice.CopyChoice;
import dev.oleander.work.wire.choice.WireChoices;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** What people set for a whole job on a wire machine. Lengths mm, angles degrees. */
final class WireJobValues {

    private static final double FULL = 360;

    /** mm on each side, where a set is made before anybody said more. */
    private static final double CLEARANCE = 0.01;

    static final List<Value<WireChoices>> ALL =
            List.of(
                    listed(
                                    "wire",
                                    "wire",
                                    jobs -> words(jobs, WireJobValues::wires),
                                    WireChoices::wire,
                                    WireChoices::withWire)
                            .label("Wire", "")
                            .usually(job -> Optional.of(wire(job))),
                    listed(
                                    "finish",
                                    "finish",
                                    jobs -> words(jobs, WireJobValues::finishes),
                                    WireChoices::finish,
                                    WireChoices::withFinish)
                            .label("Finish", "")
                            .usually(job -> Optional.of(finish(job))),
                    Value.number(
                                    "clearance",
                                    "clearance of punch and die",
                                    Value.<WireChoices>between(0, 5),
                                    WireChoices::clearance,
                                    (choices, typed) -> choices.withSets(typed, choices.sets()))
                            .label("Clearance", "mm")
                            .orElse("a side"),
                    text("set", "punch and die from one contour", all -> "", WireJobValues::set),
                    count(),
                    angle(),
                    centre(),
                    indexed(),
                    calls());

    private WireJobValues() {}

    private static WireBook book(Subject<WireChoices> job) {
        return (WireBook) task(job).book();
    }

    private static Task<?> task(Subject<WireChoices> job) {
        return job.work(Task.class).orElseThrow();
    }

    private static List<Word> words(
            List<Subject<WireChoices>> jobs, Function<Subject<WireChoices>, List<String>> of) {
        return jobs.stream().flatMap(job -> of.apply(job).stream()).map(Word::same).toList();
    }

    private static List<String> wires(Subject<WireChoices> job) {
        return book(job).wires();
    }

    private static String wire(Subject<WireChoices> job) {
        String set = job.set().wire();
        return set == null ? wires(job).get(0) : set;
    }

    private static List<String> finishes(Subject<WireChoices> job) {
        return book(job).finishes(wire(job), task(job).order().material());
    }

    /** As it is set, else the one with the most passes but one. */
    private static String finish(Subject<WireChoices> job) {
        String set = job.set().finish();
        List<String> all = finishes(job);
        String usual = all.isEmpty() ? "" : all.get(Math.max(0, all.size() - 2));
        return set == null ? usual : set;
    }

    /** A feature that becomes a set, or is none any more. */
    private static WireChoices set(WireChoices choices, Entry feature) {
        if (feature.isEmpty()) {
            return choices.withSets(choices.clearance(), List.of());
        }
        List<String> sets = new ArrayList<>(choices.sets());
        if (!sets.remove(feature.text())) {
            sets.add(feature.text());
        }
        Typed clearance = choices.clearance() == null ? Typed.of(CLEARANCE) : choices.clearance();
        return choices.withSets(clearance, sets);
    }

    // ---- copies round a centre

    private static Value<WireChoices> count() {
        return Value.number(
                        "round.count",
                        "number of copies round a centre",
                        Value.<WireChoices>wholeBetween(1, FULL),
                        choices -> choices.round() == null ? null : choices.round().count(),
                        WireJobValues::count)
                .label("Round a centre", "")
                .orElse("rows");
    }

    private static WireChoices count(WireChoices choices, Typed count) {
        if (count == null) {
            return choices.withRound(null);
        }
        CopyChoice now = choices.round();
        return choices.withRound(
                now == null
                        ? new CopyChoice(count, evenly(count), Point.ORIGIN, false)
                        : new CopyChoice(count, now.angle(), now.centre(), now.indexed()));
    }

    private static Typed evenly(Typed count) {
        return Typed.of(FULL / count.value());
    }

    /** Taking back what is set of a circle that there is not changes nothing. */
    private static <V> BiFunction<WireChoices, V, WireChoices> inRound(
            Function<V, Boolean> takesBack, BiFunction<CopyChoice, V, CopyChoice> change) {
        return (choices, value) -> {
            if (choices.round() == null) {
                if (takesBack.apply(value)) {
                    return choices;
                }
                throw new ValueException("Say how many copies lie round a centre first.");
            }
            return choices.withRound(change.apply(choices.round(), value));
        };
    }

    private static Value<WireChoices> angle() {
        return Value.number(
                        "round.angle",
                        "angle between copies",
                        Value.<WireChoices>between(-FULL, FULL),
                        choices -> choices.round() == null ? null : choices.round().angle(),
                        inRound(
                                typed -> typed == null,
                                (round, typed) ->
                                        new CopyChoice(
                                                round.count(),
                                                typed == null ? evenly(round.count()) : typed,
                                                round.centre(),
                                                round.indexed())))
                .label("Angle between", "°");
    }

    private static Value<WireChoices> centre() {
        return text(
                        "round.centre",
                        "centre of the copies",
                        (WireChoices choices) ->
                                choices.round() == null
                                        ? ""
                                        : WireStopValues.textOf(choices.round().centre()),
                        inRound(
                                Entry::isEmpty,
                                (round, entry) ->
                                        new CopyChoice(
                                                round.count(),
                                                round.angle(),
                                                entry.isEmpty() ? Point.ORIGIN : entry.place(),
                                                round.indexed())))
                .label("Centre x y", "mm");
    }

    private static Value<WireChoices> indexed() {
        return yesOrNo(
                        "round.indexed",
                        "turning by a rotary axis",
                        WireRepeatValues.TURNED_BY,
                        (WireChoices choices) ->
                                choices.round() == null ? null : choices.round().indexed(),
                        inRound(
                                turned -> turned == null,
                                (round, turned) ->
                                        new CopyChoice(
                                                round.count(),
                                                round.angle(),
                                                round.centre(),
                                                Boolean.TRUE.equals(turned))))
                .choosing(
                        jobs ->
                                List.of(
                                        WireRepeatValues.TURNED_BY.get(1),
                                        WireRepeatValues.TURNED_BY.get(0)))
                .label("Turned by", "");
    }

    private static Value<WireChoices> calls() {
        return yesOrNo(
                        "calls",
                        "subprograms for copies",
                        List.of(new Word("true", "subprogram"), new Word("false", "written out")),
                        WireChoices::calls,
                        WireChoices::withCalls)
                .label("Copies", "")
                .usually(
                        job ->
                                Optional.of(
                                        String.valueOf(!Boolean.FALSE.equals(job.set().calls()))));
    }
}
