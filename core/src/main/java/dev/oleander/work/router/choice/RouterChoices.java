package dev.oleander.work.router.choice;

import com.fasterxml.jackson.annotation.JsonIgnore;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.quantity.Worded;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.operation.Wish;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Everything people decided about the plan of a job on a router.
 *
 * @param run its order by the words of {@link RouterOrders}; see {@link Decisions} for stops and
 *     recipes
 * @param all values for every feature, where nothing else is set
 * @param operations that people wish, in their order
 * @param onlyThose whether features that no operation names are left alone; otherwise rules say
 *     what is done to them
 * @param tools for this job instead of those of the machine
 * @param pods on which the stock lies, in the coordinates of the machine; none: on a board
 * @param block stock on which the drawing lies as drawn; null: as the sheet says
 */
public record RouterChoices(
        RunChoices run,
        RouterChoice all,
        Map<String, RouterChoice> stops,
        List<Recipe<RouterChoice>> recipes,
        Map<String, String> given,
        List<Wish> operations,
        boolean onlyThose,
        List<FlatTool> tools,
        Block block,
        RouterZero zero,
        List<KeepOut> pods)
        implements Choices<RouterChoices, RouterChoice> {

    public static final RouterChoices NOTHING =
            new RouterChoices(null, null, null, null, null, null, false, null, null, null, null);

    public RouterChoices {
        run = run == null ? RunChoices.USUAL : run;
        all = all == null ? RouterChoice.NOTHING : all;
        stops = stops == null ? Map.of() : Map.copyOf(stops);
        recipes = recipes == null ? List.of() : List.copyOf(recipes);
        given = given == null ? Map.of() : Map.copyOf(given);
        operations = operations == null ? List.of() : List.copyOf(operations);
        tools = tools == null ? List.of() : List.copyOf(tools);
        zero = zero == null ? RouterZero.USUAL : zero;
        pods = pods == null ? List.of() : List.copyOf(pods);
    }

    /** The rule of the order. */
    public RouterOrders order() {
        return run.isByHand() ? RouterOrders.BY_HAND : rule();
    }

    /** The rule from which an order by hand began. */
    public RouterOrders rule() {
        return Worded.of(RouterOrders.class, run.rule()).orElse(RouterOrders.FEWEST_CHANGES);
    }

    /** Stock on which the drawing lies as drawn, where all of its size is said. */
    @JsonIgnore
    public Optional<Block> wholeBlock() {
        return Optional.ofNullable(block).filter(Block::isWhole);
    }

    @Override
    public RouterChoice nothing() {
        return RouterChoice.NOTHING;
    }

    @Override
    public RouterChoices with(Decisions<RouterChoice> to) {
        return new RouterChoices(
                to.run(),
                all,
                to.stops(),
                to.recipes(),
                to.given(),
                operations,
                onlyThose,
                tools,
                block,
                zero,
                pods);
    }

    @Override
    public RouterChoices carried(Carrying to) {
        return Choices.super
                .carried(to)
                .withOperations(operations.stream().map(o -> o.carried(to)).toList(), onlyThose);
    }

    /** With values for every feature. */
    public RouterChoices withAll(RouterChoice values) {
        return new RouterChoices(
                run,
                values,
                stops,
                recipes,
                given,
                operations,
                onlyThose,
                tools,
                block,
                zero,
                pods);
    }

    /**
     * @param only whether nothing is done to what they do not name
     */
    public RouterChoices withOperations(List<Wish> wishes, boolean only) {
        return new RouterChoices(
                run, all, stops, recipes, given, wishes, only, tools, block, zero, pods);
    }

    /** With tools for this job; none: those of the machine. */
    public RouterChoices withTools(List<FlatTool> own) {
        return new RouterChoices(
                run, all, stops, recipes, given, operations, onlyThose, own, block, zero, pods);
    }

    /**
     * @param stock null: as the sheet says
     */
    public RouterChoices withBlock(Block stock) {
        return new RouterChoices(
                run, all, stops, recipes, given, operations, onlyThose, tools, stock, zero, pods);
    }

    public RouterChoices withZero(RouterZero place) {
        return new RouterChoices(
                run, all, stops, recipes, given, operations, onlyThose, tools, block, place, pods);
    }

    public RouterChoices withPods(List<KeepOut> all) {
        return new RouterChoices(
                run,
                this.all,
                stops,
                recipes,
                given,
                operations,
                onlyThose,
                tools,
                block,
                zero,
                all);
    }
}
