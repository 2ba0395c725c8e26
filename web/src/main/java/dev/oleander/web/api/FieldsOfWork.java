package dev.oleander.web.api;

import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Finds what the kind of work of a job tells besides. */
@Component
class FieldsOfWork {

    private final Map<String, WorkFields> byWord;

    FieldsOfWork(List<WorkFields> all) {
        this.byWord = all.stream().collect(Collectors.toMap(f -> f.kind().word(), f -> f));
    }

    private Optional<WorkFields> of(JobResult result) {
        return Optional.ofNullable(byWord.get(result.kind().word()));
    }

    Map<String, Object> ofRun(JobResult result) {
        return of(result).map(f -> f.ofRun(result)).orElse(Map.of());
    }

    Map<String, Object> ofStop(JobResult result, Stop stop) {
        return of(result).map(f -> f.ofStop(result, stop)).orElse(Map.of());
    }
}
