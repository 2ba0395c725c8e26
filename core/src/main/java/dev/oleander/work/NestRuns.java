package dev.oleander.work;

import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.Stretch;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
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
import java.util.function.Function;

/** The sheets of a nest as set-ups that are planned like those of any job. */
public final class NestRuns {

    /** What is said while nothing lies on a sheet. */
    public static final String NOTHING_LAID =
            "Nothing lies on a sheet yet. Search for a nest on Sheet.";

    private NestRuns() {}

    /**
     * What lies where.
     *
     * @param stock by the id that the sheets name
     * @param parts what the order lines are of, by their ids
     * @param widest the largest gap of all parts, mm
     */
    public record Laid(
            List<NestedSheet> sheets,
            Map<String, SheetStock> stock,
            Map<String, PartRef> parts,
            NestRules rules,
            double widest) {

        public Laid {
            sheets = List.copyOf(sheets);
            stock = Map.copyOf(stock);
            parts = Map.copyOf(parts);
        }

        /** Equal sheets once, with their number, in the order in which they are cut. */
        public List<SetUpSheet> setUps() {
            Map<NestedSheet, Integer> times = new LinkedHashMap<>();
            sheets.forEach(sheet -> times.merge(sheet, 1, Integer::sum));
            List<SetUpSheet> all = new ArrayList<>();
            int firstCopy = 1;
            for (Map.Entry<NestedSheet, Integer> entry : times.entrySet()) {
                int copies = entry.getKey().placements().size();
                Stretch part = entry.getKey().part();
                SetUp setUp =
                        new SetUp(
                                all.size() + 1,
                                entry.getValue(),
                                firstCopy,
                                copies,
                                new SetUp.Heads(part.heads(), part.pitch()),
                                part.from() > 0);
                all.add(new SetUpSheet(setUp, entry.getKey()));
                firstCopy += copies;
            }
            return List.copyOf(all);
        }

        private SheetLayout layout(SetUpSheet of) {
            SheetStock sheet = stock.get(of.sheet().stock());
            SheetStock used = of.sheet().part().of(sheet, rules, widest);
            List<Placement> placements = new ArrayList<>();
            for (NestPlacement p : of.sheet().placements()) {
                int copy = of.setUp().firstCopy() + placements.size();
                placements.add(new Placement(copy, p.transform(), parts.get(p.line())));
            }
            return new SheetLayout(
                    sheet.region().box(),
                    Optional.of(used.region()).filter(r -> used != sheet || !sheet.isPlain()),
                    placements,
                    placements.size(),
                    0,
                    0,
                    rules.gap(),
                    rules.margin(),
                    List.of());
        }
    }

    /** A sheet of a nest, and how often it is cut. */
    public record SetUpSheet(SetUp setUp, NestedSheet sheet) {}

    /**
     * What one of the sheets is planned for.
     *
     * @param tasks makes a task of a layout, see {@link Together#task}
     * @throws PlanException when nothing is laid
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> Task<C> task(
            Laid laid, int number, Function<SheetLayout, Task<C>> tasks) {
        List<SetUpSheet> setUps = laid.setUps();
        if (setUps.isEmpty()) {
            throw new PlanException(NOTHING_LAID);
        }
        return tasks.apply(laid.layout(setUps.get(number - 1)));
    }

    /**
     * Plans every sheet.
     *
     * @param first plan of the first one
     * @throws PlanException see {@link #task}
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> List<PlannedRun> of(
            Work<C, S> kind,
            Laid laid,
            Plan first,
            Function<SheetLayout, Task<C>> tasks,
            Progress progress) {
        List<PlannedRun> runs = new ArrayList<>();
        List<SetUpSheet> setUps = laid.setUps();
        for (SetUpSheet sheet : setUps) {
            double done = (double) runs.size() / setUps.size();
            Progress own = progress.within(done, done + 1.0 / setUps.size());
            Plan plan =
                    runs.isEmpty()
                            ? first
                            : kind.plan(tasks.apply(laid.layout(sheet)), Optional.of(first), own);
            runs.add(new PlannedRun(sheet.setUp(), plan));
        }
        return List.copyOf(runs);
    }
}
