package dev.oleander.work.router.run;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.Spacing;
import dev.oleander.work.Task;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterZero;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.tool.Tool;
import java.util.List;
import java.util.Optional;

/** Where the copies of a drawing lie: on a sheet, or as they are drawn on a piece of stock. */
final class Beds {

    /** mm that stand between the ways of two tools. */
    private static final double BESIDE = 2;

    /** Widest mill that outlines are cut with where nobody says which, mm. */
    private static final double WIDEST = 16;

    /** mm by which a drawing may reach beyond its stock: rounding. */
    private static final double SLACK = 1e-6;

    private Beds() {}

    /**
     * @throws PlanException when the drawing does not lie on its stock, or sizes are not usable
     */
    static SheetLayout of(Task<RouterChoices> task, List<Tool> tools) {
        RouterChoices choices = task.choices();
        Optional<Block> block = choices.wholeBlock();
        SheetLayout layout =
                block.isPresent() && task.together().isEmpty()
                        ? asDrawn(task, block.get())
                        : task.layout(gap(choices, tools), Optional.empty());
        return choices.zero().at() == null ? layout : zeroed(layout, choices.zero());
    }

    /** Room for the tool on both sides, so that none takes what holds the other's tabs. */
    private static double gap(RouterChoices choices, List<Tool> tools) {
        return 2 * mill(choices, tools) + BESIDE;
    }

    /** How far parts of all jobs keep from each other: one way of the widest mill between them. */
    static Spacing spacing(Task<RouterChoices> task) {
        List<Tool> tools = Decided.tools(task);
        double widest =
                Decided.bySource(task).entrySet().stream()
                        .filter(e -> !e.getKey().isEmpty() || task.together().isEmpty())
                        .mapToDouble(e -> mill(e.getValue(), tools))
                        .max()
                        .orElseGet(() -> mill(task.choices(), tools));
        return new Spacing(
                widest + BESIDE,
                widest + BESIDE,
                "mill %s, %s beside it"
                        .formatted(Numbers.plain(widest, 2), Numbers.plain(BESIDE, 2)),
                Optional.empty());
    }

    /** Where one of two parts has tabs, two ways lie between them: see {@link #gap}. */
    static double room(Task<RouterChoices> task, Part part) {
        if (!Decided.isTabbed(task, part)) {
            return 0;
        }
        double one = spacing(task).gap();
        double two = 2 * (one - BESIDE) + BESIDE;
        return 2 * two - one;
    }

    /** The widest that outlines are cut with, mm. */
    private static double mill(RouterChoices choices, List<Tool> tools) {
        double named =
                choices.operations().stream()
                        .filter(w -> "contour".equals(w.kind()) && w.tool() != null)
                        .mapToDouble(w -> diameter(tools, w))
                        .max()
                        .orElse(0);
        double usual =
                tools.stream()
                        .filter(t -> t.kind().isFlat() && t.diameter() <= WIDEST)
                        .mapToDouble(Tool::diameter)
                        .max()
                        .orElse(0);
        return named > 0 ? named : usual;
    }

    private static double diameter(List<Tool> tools, Wish wish) {
        return tools.stream()
                .filter(t -> t.number() == wish.tool())
                .mapToDouble(Tool::diameter)
                .findFirst()
                .orElse(0);
    }

    private static SheetLayout asDrawn(Task<RouterChoices> task, Block block) {
        Box stock = stock(block);
        Box drawn = drawn(task.reading());
        if (block.diameter() == null && drawn.beyond(stock) > SLACK) {
            throw new PlanException(
                    "The drawing reaches from %s, %s to %s, %s; the stock from %s, %s to %s, %s mm."
                            .formatted(
                                    mm(drawn.min().x()),
                                    mm(drawn.min().y()),
                                    mm(drawn.max().x()),
                                    mm(drawn.max().y()),
                                    mm(stock.min().x()),
                                    mm(stock.min().y()),
                                    mm(stock.max().x()),
                                    mm(stock.max().y())));
        }
        Placement only = new Placement(task.order().firstCopy(), Transform.IDENTITY);
        return new SheetLayout(
                stock, List.of(only), task.order().quantity(), 1, 1, 0, 0, task.bed().keepOut());
    }

    /** What is cut; marks may go on beyond the stock. */
    private static Box drawn(Reading reading) {
        List<Box> cut = reading.cut().map(f -> f.chain().box()).toList();
        return cut.isEmpty() ? reading.workBox() : Box.around(cut);
    }

    /** Round stock lies along X, from its centre on; ways may begin and end beside it. */
    private static Box stock(Block block) {
        if (block.diameter() == null) {
            return Box.of(Point.ORIGIN, new Point(block.length(), block.width()));
        }
        double length = block.length() == null ? block.diameter() : block.length();
        Point middle = block.middle();
        return new Box(
                middle.plus(new Point(0, -block.diameter() / 2)),
                middle.plus(new Point(length, block.diameter() / 2)));
    }

    private static String mm(double value) {
        return Numbers.plain(value, 3);
    }

    /** Moved so that the zero lies where it is wished. */
    private static SheetLayout zeroed(SheetLayout layout, RouterZero zero) {
        Box stock = layout.stock();
        Point at = stock.min().plus(new Point(zero.x() * stock.width(), zero.y() * stock.height()));
        Transform move = Transform.translation(Point.ORIGIN.minus(at));
        return new SheetLayout(
                new Box(stock.min().minus(at), stock.max().minus(at)),
                layout.outline().map(o -> o.transformed(move)),
                layout.placements().stream()
                        .map(p -> new Placement(p.copy(), p.transform().then(move), p.of()))
                        .toList(),
                layout.asked(),
                layout.rows(),
                layout.columns(),
                layout.gap(),
                layout.margin(),
                layout.keepOut());
    }
}
