package dev.oleander.web.release;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the sheet of paper at the machine says of one kind of work. One bean for each kind. */
public interface WorkSheet {

    Work<?, ?> kind();

    /**
     * @param run the stops that are released
     * @param timeline of what is released
     */
    Content of(JobResult result, Run run, Timeline timeline);

    /**
     * What the stock lies on, where people set it out: left, bottom, right and top on the table.
     */
    default List<Box> supports(JobResult result) {
        return List.of();
    }

    /** Profiles on the table, where they are not those of the placed parts. */
    Optional<List<Profile>> profiles(JobResult result);

    /**
     * @param facts besides those that all kinds of work have
     * @param countsParts whether the sheet says how many of each part lie on it
     * @param registers values that must stand in the controller
     * @param halts where the machine waits, besides the events of stops
     * @param own a fragment "paper" of the kind's own template, with its model; empty template for
     *     none
     */
    record Content(
            List<Fact> facts,
            boolean countsParts,
            List<Fact> registers,
            List<StopRow> stops,
            List<HaltRow> halts,
            Own own) {}

    /** What a kind says in its own way. */
    record Own(String template, Map<String, Object> model) {}

    /** A value with its name. */
    record Fact(String name, String value) {}

    /** A stop of the list. */
    record StopRow(int number, String name, String part, String data, String time, String note) {}

    /** Where the program waits. */
    record HaltRow(String where, String when, String why, String time) {}

    /** A line that is cut, drawn as a piece that is kept or as a plain profile. */
    record Profile(List<Segment> segments, boolean kept) {}
}
