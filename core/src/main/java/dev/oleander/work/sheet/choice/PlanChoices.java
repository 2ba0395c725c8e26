package dev.oleander.work.sheet.choice;

import dev.oleander.plan.Choices;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.RunChoices;
import dev.oleander.quantity.Worded;
import java.util.List;
import java.util.Map;

/**
 * Everything people decided about the plan of a job that is cut from a sheet.
 *
 * @param quality row of the cut book for the whole job
 * @param run its order by the words of {@link OrderRule}; see {@link Decisions} for the rest
 * @param smallHoles what is done with holes too small for the cut data; null: as with others
 */
public record PlanChoices(
        String quality,
        RunChoices run,
        Map<String, StopChoice> stops,
        SmallHoles smallHoles,
        List<Recipe<StopChoice>> recipes,
        Map<String, String> given)
        implements Choices<PlanChoices, StopChoice> {

    public PlanChoices {
        smallHoles = smallHoles == null ? SmallHoles.AS_OTHERS : smallHoles;
        run = run == null ? RunChoices.USUAL : run;
        stops = Map.copyOf(stops);
        recipes = recipes == null ? List.of() : List.copyOf(recipes);
        given = given == null ? Map.of() : Map.copyOf(given);
    }

    public static PlanChoices defaults() {
        return new PlanChoices(
                "standard", RunChoices.USUAL, Map.of(), SmallHoles.AS_OTHERS, List.of(), Map.of());
    }

    /** The rule of the order. */
    public OrderRule order() {
        return run.isByHand() ? OrderRule.BY_HAND : rule();
    }

    private OrderRule rule() {
        return Worded.of(OrderRule.class, run.rule()).orElse(OrderRule.PART_BY_PART);
    }

    @Override
    public StopChoice nothing() {
        return StopChoice.NOTHING;
    }

    @Override
    public PlanChoices with(Decisions<StopChoice> to) {
        return new PlanChoices(quality, to.run(), to.stops(), smallHoles, to.recipes(), to.given());
    }

    /** By a rule. */
    public PlanChoices withOrder(OrderRule rule) {
        return withRun(run.by(rule.word()));
    }

    /** The same with what another has set for single stops. */
    public PlanChoices withStopsOf(PlanChoices other) {
        return new PlanChoices(
                quality, run.withEventsOf(other.run), other.stops, smallHoles, recipes, given);
    }

    public PlanChoices withQuality(String value) {
        return new PlanChoices(value, run, stops, smallHoles, recipes, given);
    }

    public PlanChoices withSmallHoles(SmallHoles rule) {
        return new PlanChoices(quality, run, stops, rule, recipes, given);
    }
}
