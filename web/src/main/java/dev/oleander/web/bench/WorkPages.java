package dev.oleander.web.bench;

import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What the bench shows of one kind of work. One bean for each kind. */
public interface WorkPages {

    Work<?, ?> kind();

    /** Template with what the table has for it alone: fragments views, tools and legend. */
    String template();

    /** Name of the browser's module that registers its tools and views with the bench. */
    default Optional<String> module() {
        return Optional.empty();
    }

    /** What the thickness of the material is called. */
    String thickness();

    /** Values of the bed, by their words, that mean nothing to it. */
    Set<String> withoutOnBed();

    /** What the table draws of its plan besides stops; empty for nothing. */
    Optional<Object> scene(JobResult result);

    /** The values of selected stops, of which there is at least one. */
    List<SlipSection> ofStops(JobResult result, List<Stop> stops, EditError error);

    /** The values of the whole job. */
    List<SlipSection> ofJob(JobResult result, EditError error);
}
