package dev.oleander.work.router.plan;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.ToolWay.Heights;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What is to be done to one side of a piece of stock.
 *
 * @param stock seen from above
 * @param thickness mm
 * @param overCut mm that what goes through goes deeper than the stock
 * @param round when the stock is round; empty: it is flat
 * @param tools that there are
 * @param steps what the data say of a tool in the material
 */
public record RouterTask(
        Reading reading,
        Box stock,
        double thickness,
        double overCut,
        Heights heights,
        Optional<RoundStock> round,
        List<Tool> tools,
        Function<Tool, CutSteps> steps,
        List<Operation> operations) {

    /** mm that what goes through goes deeper where nothing was said. */
    public static final double USUAL_OVER_CUT = 0.3;

    /**
     * @throws CutDataException when two tools, or two operations, have one name
     */
    public RouterTask {
        tools = List.copyOf(tools);
        operations = List.copyOf(operations);
        Set<Integer> numbers = new HashSet<>();
        for (Tool tool : tools) {
            if (!numbers.add(tool.number())) {
                throw new CutDataException(
                        "Two tools have the number %d.".formatted(tool.number()));
            }
        }
        Set<String> ids = new HashSet<>();
        for (Operation operation : operations) {
            if (!ids.add(operation.id())) {
                throw new CutDataException(
                        "Two operations are called %s.".formatted(operation.id()));
            }
        }
    }

    /** The same for some of the features. */
    public RouterTask of(Reading some) {
        return new RouterTask(
                some, stock, thickness, overCut, heights, round, tools, steps, operations);
    }

    /** The same for what is done to them. */
    public RouterTask doing(List<Operation> some) {
        return new RouterTask(
                reading, stock, thickness, overCut, heights, round, tools, steps, some);
    }

    /** Depth of what goes through, mm. */
    public double through() {
        return thickness + overCut;
    }

    public Optional<Tool> tool(int number) {
        return tools.stream().filter(t -> t.number() == number).findFirst();
    }

    public Optional<Operation> operation(String id) {
        return operations.stream().filter(o -> o.id().equals(id)).findFirst();
    }
}
