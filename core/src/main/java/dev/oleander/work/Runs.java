package dev.oleander.work;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The runs of a job, one for each set-up that its quantity needs. */
public final class Runs {

    private Runs() {}

    /**
     * Plans all that comes after the first run.
     *
     * @param task what the job asks for in all
     * @param first its plan, with as many of the copies as its bed holds
     * @return the first one too
     * @throws dev.oleander.plan.bed.PlanException when there can be no plan
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> List<PlannedRun> of(
            Work<C, S> kind, Task<C> task, Plan first, Progress progress) {
        List<SetUp> setUps = SetUp.of(task.order().quantity(), first.made(), first.copies().size());
        List<PlannedRun> runs = new ArrayList<>();
        for (SetUp setUp : setUps) {
            double from = (double) runs.size() / setUps.size();
            Progress own = progress.within(from, (runs.size() + 1.0) / setUps.size());
            Plan plan =
                    runs.isEmpty() ? first : kind.plan(task.rest(setUp), Optional.of(first), own);
            runs.add(new PlannedRun(setUp, plan));
        }
        return List.copyOf(runs);
    }
}
