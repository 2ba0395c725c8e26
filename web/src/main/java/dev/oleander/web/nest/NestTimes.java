package dev.oleander.web.nest;

import dev.oleander.nesting.Sheets;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.web.job.planning.Planning;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import org.springframework.stereotype.Component;

/**
 * What the results of searches would take on the machine; none of them has to lie on the sheets.
 */
@Component
public class NestTimes {

    private final NestSearch searches;
    private final JobComputer computer;
    private final Planning planning;

    NestTimes(NestSearch searches, JobComputer computer, Planning planning) {
        this.searches = searches;
        this.computer = computer;
        this.planning = planning;
    }

    /**
     * Machine time of a result.
     *
     * @param seconds of all sheets
     * @param machine what the machine costs for that long
     * @param all the same and the material
     * @param each of that for each part that is laid
     * @param problem why it cannot be cut; empty when it can
     */
    public record Times(double seconds, double machine, double all, double each, String problem) {}

    /**
     * Plans a result as the job was when it was searched for, in turn with all other plans.
     *
     * @throws dev.oleander.web.job.document.NotFoundException when there is no such result
     */
    public Times of(long job, int number) {
        NestResult search = searches.result(job, number);
        NestResult.Best best = searches.requireBest(job, number);
        try {
            JobResult result =
                    computer.result(Nests.laid(searches.document(search), best.sheets()));
            planning.aside(result);
            double seconds = result.secondsInAll();
            double machine = result.machine().hourlyRate() * seconds / 3600;
            int parts = Sheets.placed(best.sheets()).values().stream().mapToInt(n -> n).sum();
            double all = best.cost() + machine;
            return new Times(seconds, machine, all, all / Math.max(1, parts), "");
        } catch (PlanException cannot) {
            return new Times(0, 0, 0, 0, cannot.getMessage());
        }
    }
}
