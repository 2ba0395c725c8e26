package dev.oleander.web.bench;

import dev.oleander.motion.Seconds;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.Comparator;
import java.util.List;

/** The values of the selected stops, each with where it comes from. */
public final class CutsSlip {

    private static final int MOST_REMARKS = 5;

    private final JobResult result;
    private final List<Stop> stops;
    private final List<SlipSection> sections;

    CutsSlip(JobResult result, List<Stop> stops, List<SlipSection> sections) {
        this.result = result;
        this.stops = List.copyOf(stops);
        this.sections = List.copyOf(sections);
    }

    public String title() {
        Stop first = stops.get(0);
        return stops.size() == 1
                ? "Stop %d · %s".formatted(first.number(), first.name())
                : stops.size() + " stops";
    }

    public String subtitle() {
        double length = 0;
        double seconds = 0;
        for (Stop stop : stops) {
            length += stop.path().map(CutsSlip::length).orElse(0.0);
            seconds += result.timeline().byStop().getOrDefault(stop.id(), Seconds.NONE).total();
        }
        Stop first = stops.get(0);
        String where = stops.size() > 1 || first.part().isEmpty() ? "" : first.where() + " · ";
        return where + Numbers.length(length) + " · " + Numbers.duration(seconds);
    }

    private static double length(CutPath path) {
        return path.all().stream().mapToDouble(s -> s.length()).sum();
    }

    /** Others like the one selected stop; none when several are selected. */
    public List<LikeThis.Choice> likeThis() {
        return stops.size() == 1 ? LikeThis.of(result, stops.get(0)) : List.of();
    }

    /** Sentence of a stop that cannot be cut as it is set; empty when all can. */
    public String refusal() {
        return stops.stream().flatMap(s -> s.refusalSentence().stream()).findFirst().orElse("");
    }

    /** Whether there are other copies of these features, so that a change may be for all. */
    public boolean hasCopies() {
        return result.plan().copies().size() > 1;
    }

    /** Whether the selection is a stretch that can be pinned and is not yet. */
    public boolean isPinnable() {
        List<Stop> run = result.run().stops();
        List<Stop> sorted = stops.stream().sorted(Comparator.comparingInt(Stop::number)).toList();
        int first = sorted.get(0).number() - 1;
        return sorted.size() > 1
                && sorted.get(sorted.size() - 1).number() - first == sorted.size()
                && run.subList(first, first + sorted.size()).equals(sorted)
                && !result.runChoices().pins().contains(sorted.stream().map(Stop::id).toList());
    }

    /** Whether one of the stops is pinned to others. */
    public boolean isPinned() {
        return result.runChoices().pins().stream()
                .anyMatch(pin -> stops.stream().anyMatch(s -> pin.contains(s.id())));
    }

    public boolean isSingle() {
        return stops.size() == 1;
    }

    /** The values by which they are worked. */
    public List<SlipSection> sections() {
        return sections;
    }

    /** What was changed of what was wished for, with the number of the stop. */
    public List<String> remarks() {
        return stops.stream()
                .flatMap(s -> s.remarks().stream().map(r -> "Stop %d: %s".formatted(s.number(), r)))
                .limit(MOST_REMARKS)
                .toList();
    }

    public EventSlip events() {
        return new EventSlip(result, stops);
    }
}
