package dev.oleander.work;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The runs of a job, one for each set-up that its quantity needs. */
public final class Runs {

    private Runs() {}

    /**
     * Plans all that comes after the first run: as many sheets like it as the quantity fills, then
     * the next with what is left, and so on.
     *
     * @param task what the job asks for in all
     * @param first its plan, with as much of it as its bed holds
     * @return the first one too; what finds no room on any sheet is on none
     * @throws dev.oleander.plan.bed.PlanException when there can be no plan
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> List<PlannedRun> of(
            Work<C, S> kind, Task<C> task, Plan first, Progress progress) {
        List<PlannedRun> runs = new ArrayList<>();
        Demand left = task.demand();
        double all = Math.max(1, left.all());
        int firstCopy = 1;
        Plan plan = first;
        while (runs.isEmpty() || plan.made() > 0) {
            Demand on = plan.placed();
            int count = on.isEmpty() ? 1 : Math.max(1, left.times(on));
            runs.add(
                    new PlannedRun(
                            new SetUp(runs.size() + 1, count, firstCopy, plan.made()), plan));
            left = left.less(on, count);
            if (on.isEmpty() || left.isEmpty()) {
                break;
            }
            firstCopy += plan.copies().size();
            Progress own = progress.within(1 - left.all() / all, 1);
            plan = kind.plan(task.rest(left, firstCopy), Optional.of(plan), own);
        }
        return List.copyOf(runs);
    }
}
