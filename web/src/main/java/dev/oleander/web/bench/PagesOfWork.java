package dev.oleander.web.bench;

import dev.oleander.web.job.JobView;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Finds what the bench shows of a job's kind of work. */
@Component
class PagesOfWork {

    private final Map<String, WorkPages> byWord;

    PagesOfWork(List<WorkPages> pages) {
        this.byWord = pages.stream().collect(Collectors.toMap(p -> p.kind().word(), p -> p));
    }

    WorkPages of(JobResult result) {
        WorkPages own = byWord.get(result.kind().word());
        return own == null ? new PlainPages<>(result.kind()) : own;
    }

    /**
     * The picture of a job.
     *
     * @param planned whether stops, findings and motion are wanted too
     */
    Scene scene(int step, JobResult result, boolean planned) {
        Map<String, Object> own =
                planned && result.isPlanned()
                        ? of(result)
                                .scene(result)
                                .map(drawn -> Map.of(result.kind().word(), drawn))
                                .orElse(Map.of())
                        : Map.of();
        return SceneBuilder.build(step, result, planned, own);
    }

    /** The picture of a job, or of the sheet of a nest that is not planned yet. */
    Scene scene(JobView job, boolean planned) {
        return planned && isUnplannedNest(job)
                ? SceneBuilder.nested(job.step(), job.result(), job.run())
                : scene(job.step(), job.result(), planned);
    }

    /** Whether its parts lie somewhere while their cuts are not planned. */
    static boolean isUnplannedNest(JobView job) {
        return !job.result().isPlanned() && job.document().nest().isPresent();
    }
}
