package dev.oleander.work.wire.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.RunChoices;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import java.util.List;
import java.util.Map;

/**
 * Everything people decided about the plan of a job on a wire machine.
 *
 * @param wire of the cut book; null: the first it has
 * @param finish of the cut book for the whole job; null: the one with the most passes but one
 * @param run its order by the words of {@link WireOrder}, unattended first where nothing is said;
 *     see {@link Decisions} for stops and recipes
 * @param all values for every stop, where nothing else is set
 * @param round copies round a centre; null: rows and columns as the sheet says
 * @param calls whether equal copies are written as one subprogram
 * @param clearance between punch and die on each side, mm, for sets cut from one contour
 * @param sets features that are both a punch and a die
 */
public record WireChoices(
        String wire,
        String finish,
        RunChoices run,
        WireChoice all,
        Map<String, WireChoice> stops,
        List<Recipe<WireChoice>> recipes,
        Map<String, String> given,
        CopyChoice round,
        Boolean calls,
        Typed clearance,
        List<String> sets)
        implements Choices<WireChoices, WireChoice> {

    public static final WireChoices NOTHING =
            new WireChoices(null, null, null, null, null, null, null, null, null, null, null);

    public WireChoices {
        run = run == null ? RunChoices.USUAL : run;
        all = all == null ? WireChoice.NOTHING : all;
        stops = stops == null ? Map.of() : Map.copyOf(stops);
        recipes = recipes == null ? List.of() : List.copyOf(recipes);
        given = given == null ? Map.of() : Map.copyOf(given);
        sets = sets == null ? List.of() : List.copyOf(sets);
    }

    /** The rule of the order. */
    public WireOrder order() {
        return run.isByHand() ? WireOrder.BY_HAND : rule();
    }

    /** The rule by which work is parted into visits, also where their order is by hand. */
    public WireOrder rule() {
        return Worded.of(WireOrder.class, run.rule()).orElse(WireOrder.UNATTENDED_FIRST);
    }

    @Override
    public WireChoice nothing() {
        return WireChoice.NOTHING;
    }

    @Override
    public WireChoices with(Decisions<WireChoice> to) {
        return new WireChoices(
                wire,
                finish,
                to.run(),
                all,
                to.stops(),
                to.recipes(),
                to.given(),
                round,
                calls,
                clearance,
                sets);
    }

    @Override
    public WireChoices carried(Carrying to) {
        return Choices.super.carried(to).withSets(clearance, to.keys(sets));
    }

    public WireChoices withWire(String value) {
        return new WireChoices(
                value, finish, run, all, stops, recipes, given, round, calls, clearance, sets);
    }

    public WireChoices withFinish(String value) {
        return new WireChoices(
                wire, value, run, all, stops, recipes, given, round, calls, clearance, sets);
    }

    /** By a rule. */
    public WireChoices withOrder(WireOrder rule) {
        return withRun(run.by(rule.word()));
    }

    public WireChoices withAll(WireChoice value) {
        return new WireChoices(
                wire, finish, run, value, stops, recipes, given, round, calls, clearance, sets);
    }

    public WireChoices withRound(CopyChoice value) {
        return new WireChoices(
                wire, finish, run, all, stops, recipes, given, value, calls, clearance, sets);
    }

    public WireChoices withCalls(Boolean value) {
        return new WireChoices(
                wire, finish, run, all, stops, recipes, given, round, value, clearance, sets);
    }

    /** Features that are cut as punch and as die, with the clearance between both. */
    public WireChoices withSets(Typed value, List<String> features) {
        return new WireChoices(
                wire, finish, run, all, stops, recipes, given, round, calls, value, features);
    }
}
