package dev.oleander.web.bench;

import dev.oleander.plan.bed.SetUp;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Severity;
import dev.oleander.web.job.result.JobResult;
import java.util.List;

/**
 * One of the sheets that a job takes, to go to; sheets that are alike are one.
 *
 * @param number of its run, from 1
 * @param note how many there are and what lies on them, in words
 * @param flag severity of the worst finding that stands against it; empty when there is none
 */
public record RunTab(int number, String name, String note, String flag, boolean current) {

    /** All of them; none when the job takes one kind of sheet only, or is not planned. */
    static List<RunTab> of(JobResult result) {
        List<JobResult> runs = result.isPlanned() ? result.runs() : List.of();
        return runs.size() < 2
                ? List.of()
                : runs.stream().map(run -> tab(run, run.number() == result.number())).toList();
    }

    private static RunTab tab(JobResult run, boolean current) {
        SetUp setUp = run.setUp();
        String flag =
                run.findings().stream()
                        .filter(Finding::blocks)
                        .map(Finding::severity)
                        .min(Severity::compareTo)
                        .map(Severity::word)
                        .orElse("");
        String what = run.document().nest().isPresent() ? "part" : "copy";
        return new RunTab(
                setUp.number(), "Sheet " + setUp.number(), note(setUp, what), flag, current);
    }

    /** How often a sheet is cut and what lies on it: 2 × 4 copies by 2 heads. */
    static String note(SetUp setUp) {
        return note(setUp, "copy");
    }

    private static String note(SetUp setUp, String what) {
        String several = what.equals("copy") ? " copies" : " parts";
        String copies = setUp.copies() + (setUp.copies() == 1 ? " " + what : several);
        String each = setUp.count() == 1 ? copies : setUp.count() + " × " + copies;
        int heads = setUp.heads().count();
        return heads > 1 ? "%s by %d heads".formatted(each, heads) : each + beside(setUp);
    }

    private static String beside(SetUp setUp) {
        return setUp.begun() ? " beside" : "";
    }
}
