package dev.oleander.work;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Part;
import dev.oleander.machine.Machine;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The sheets of a nest as set-ups that are planned like those of any job. */
public final class NestRuns {

    private NestRuns() {}

    /**
     * Id of the order line of a part of a job.
     *
     * @param source name of the job, see {@link dev.oleander.drawing.read.JoinedReading#of}
     * @param part id in its drawing
     */
    public static String line(String source, String part) {
        return new PartRef(source, part).id();
    }

    /**
     * The part of a job as an order line asks for it: about the origin of its drawing.
     *
     * @throws PlanException when the drawing has no such part
     */
    public static Part part(Together.Source<?> source, String id) {
        return source.reading().parts().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(
                        () -> new PlanException("%s has no part %s.".formatted(source.name(), id)));
    }

    /**
     * Plans every sheet of a nest; equal ones once, with their number.
     *
     * @param nested the sheets, and what each order line is of
     * @param sources the jobs, with what was decided there
     * @throws PlanException when a job is of another material or thickness than the sheets, or a
     *     sheet is no rectangle
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> List<PlannedRun> of(
            Work<C, S> kind,
            Machine machine,
            Book<?> book,
            Task.Order order,
            Nested nested,
            List<Together.Source<C>> sources,
            Progress progress) {
        List<PlannedRun> runs = new ArrayList<>();
        int firstCopy = 1;
        Map<NestedSheet, Integer> equal = equal(nested.sheets());
        for (Map.Entry<NestedSheet, Integer> entry : equal.entrySet()) {
            SheetLayout layout = nested.layout(entry.getKey(), firstCopy);
            Task<C> task =
                    Together.task(kind, machine, book, order, layout, sources, RunChoices.USUAL);
            double done = (double) runs.size() / equal.size();
            Plan plan =
                    kind.plan(
                            task,
                            Optional.empty(),
                            progress.within(done, done + 1.0 / equal.size()));
            SetUp setUp = new SetUp(runs.size() + 1, entry.getValue(), firstCopy, layout.placed());
            runs.add(new PlannedRun(setUp, plan));
            firstCopy += layout.placed();
        }
        return List.copyOf(runs);
    }

    private static Map<NestedSheet, Integer> equal(List<NestedSheet> sheets) {
        Map<NestedSheet, Integer> times = new LinkedHashMap<>();
        sheets.forEach(sheet -> times.merge(sheet, 1, Integer::sum));
        return times;
    }

    /**
     * What was found for a task.
     *
     * @param parts what each order line is of, by its id
     */
    public record Nested(NestTask task, List<NestedSheet> sheets, Map<String, PartRef> parts) {

        public Nested {
            sheets = List.copyOf(sheets);
            parts = Map.copyOf(parts);
        }

        private SheetLayout layout(NestedSheet sheet, int firstCopy) {
            SheetStock stock = task.sheet(sheet.stock());
            if (!stock.isPlain()) {
                throw new PlanException(
                        "Sheet %s is no plain rectangle: only those can be cut yet."
                                .formatted(stock.id()));
            }
            List<Placement> placements = new ArrayList<>();
            for (NestPlacement p : sheet.placements()) {
                OrderLine line = task.line(p.line());
                PartRef of = parts.get(line.id());
                placements.add(new Placement(firstCopy + placements.size(), p.transform(), of));
            }
            return new SheetLayout(
                    stock.region().box(),
                    placements,
                    placements.size(),
                    0,
                    0,
                    task.rules().gap(),
                    task.rules().margin(),
                    List.of());
        }
    }
}
