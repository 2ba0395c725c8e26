package dev.oleander.work.router.plan;

import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Tool;
import java.util.List;
import java.util.Optional;

/** How deep and how wide stops cut at once, and how fast their tools go for that. */
public final class Conditions {

    private final RouterTask task;
    private final RouterBook book;
    private final String material;
    private final RouterUnit unit;

    public Conditions(RouterTask task, RouterBook book, String material, RouterUnit unit) {
        this.task = task;
        this.book = book;
        this.material = material;
        this.unit = unit;
    }

    /**
     * @throws dev.oleander.book.CutDataException when the book has nothing for the tool in the
     *     material
     */
    public Feeds of(RouterStop stop) {
        Tool tool = stop.tool().orElseThrow();
        return Feeds.of(
                tool,
                book.find(tool, material).data(),
                cut(stop),
                unit.spindle().min(),
                unit.spindle().max());
    }

    /** Deepest and widest that the tool cuts at once. */
    public Feeds.Cut cut(RouterStop stop) {
        Tool tool = stop.tool().orElseThrow();
        Operation operation = task.operation(stop.operation()).orElseThrow();
        double from = RouterPlanner.beginsAt(task, stop);
        double deepest = 0;
        for (double level : stop.levels()) {
            deepest = Math.max(deepest, level - from);
            from = level;
        }
        return new Feeds.Cut(deepest, over(operation.what(), tool) * tool.diameter());
    }

    /** Share of the diameter. */
    private double over(What what, Tool tool) {
        Optional<Double> wished = Optional.empty();
        if (what instanceof Clear clear) {
            return clear.over(tool, task.steps().apply(tool).over());
        }
        if (what instanceof Face face) {
            wished = face.over();
        } else if (!(what instanceof Carve)) {
            return 1;
        }
        return wished.orElseGet(() -> task.steps().apply(tool).over());
    }

    /** Tools that the book has no data for in the material, each once. */
    public List<Tool> unknown(List<RouterStop> stops) {
        return stops.stream()
                .filter(RouterStop::isDone)
                .map(s -> s.tool().orElseThrow())
                .distinct()
                .filter(t -> book.row(t, material).isEmpty())
                .toList();
    }
}
