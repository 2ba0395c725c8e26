package dev.oleander.web.release;

import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A kind of work of which the paper says nothing besides its stops. */
record PlainPaper(Work<?, ?> kind) implements WorkSheet {

    @Override
    public Content of(JobResult result, Run run, Timeline timeline) {
        List<StopRow> stops = run.cut().stream().map(stop -> row(stop, timeline)).toList();
        return new Content(
                List.of(), true, List.of(), stops, List.of(), new Own("work/plain", Map.of()));
    }

    private static StopRow row(Stop stop, Timeline timeline) {
        double seconds = timeline.byStop().getOrDefault(stop.id(), Seconds.NONE).total();
        return new StopRow(
                stop.number(), stop.name(), stop.where(), "", Numbers.duration(seconds), "");
    }

    @Override
    public Optional<List<Profile>> profiles(JobResult result) {
        return Optional.empty();
    }
}
