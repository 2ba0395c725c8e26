package dev.oleander.web.work.router;

import dev.oleander.quantity.Typed;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterZero;
import dev.oleander.work.router.operation.Wish;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is to be done to the features of a drawing, all of it: what it leaves out is as usual.
 *
 * @param stock its thickness, and where the drawing lies on it as drawn length and width, or
 *     diameter and length of round stock; mm
 * @param tools for this job, instead of those of the machine
 * @param others whether rules say what is done to features that no operation names
 */
record OperationsRequest(
        StockRequest stock,
        RouterZero zero,
        List<FlatTool> tools,
        List<Wish> operations,
        Boolean others) {

    /** Sizes of the stock, mm; see {@link Block}. */
    record StockRequest(
            Double length,
            Double width,
            Double thickness,
            Double diameter,
            String axis,
            List<Double> centre) {

        Optional<Block> block() {
            return length == null && width == null && diameter == null
                    ? Optional.empty()
                    : Optional.of(new Block(length, width, diameter, axis, centre));
        }
    }

    /**
     * @throws dev.oleander.book.CutDataException naming a tool or an operation that cannot be
     * @throws RefusedEditException when there are no operations
     */
    JobDocument applied(JobDocument before) {
        if (operations == null || operations.isEmpty()) {
            throw new RefusedEditException("Operations are missing: a list of at least one.");
        }
        JobDocument document = before;
        if (stock != null && stock.thickness() != null) {
            document =
                    document.withOrder(document.order().withThickness(Typed.of(stock.thickness())));
        }
        List<FlatTool> own = tools == null ? List.of() : tools;
        own.forEach(FlatTool::tool);
        double thickness = document.order().thickness().value();
        operations.forEach(wish -> wish.operation(names(wish, own, thickness)));
        return document.changed(RouterMilling.ROUTER, choices -> changed(choices, own));
    }

    private RouterChoices changed(RouterChoices choices, List<FlatTool> own) {
        return choices.withOperations(operations, !Boolean.TRUE.equals(others))
                .withTools(own)
                .withBlock(stock == null ? null : stock.block().orElse(null))
                .withZero(zero);
    }

    /** So that a formula which can never be read is refused at once. */
    private static Map<String, Double> names(Wish wish, List<FlatTool> own, double thickness) {
        return Wish.names(
                thickness,
                1,
                1,
                own.stream()
                        .filter(t -> Integer.valueOf(t.number()).equals(wish.tool()))
                        .findFirst()
                        .map(FlatTool::tool));
    }
}
