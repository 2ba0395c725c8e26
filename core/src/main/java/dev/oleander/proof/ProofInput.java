package dev.oleander.proof;

import dev.oleander.drawing.read.Reading;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.Program;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Everything a rule may look at.
 *
 * @param work word of the kind of work
 * @param own what the kind of work has planned besides
 */
public record ProofInput(
        String work,
        Reading reading,
        Run run,
        Program program,
        Timeline timeline,
        KeptMaterial kept,
        MaterialState material,
        Map<String, Stop> stops,
        Object own) {

    /**
     * @param material which pieces come free, and when, as far as the kind of work does not say
     *     that itself
     */
    public static ProofInput of(
            String work,
            Reading reading,
            Run run,
            Timeline timeline,
            MaterialState material,
            Object own) {
        return new ProofInput(
                work,
                reading,
                run,
                timeline.program(),
                timeline,
                KeptMaterial.of(reading, run.layout()),
                material,
                byId(run),
                own);
    }

    /**
     * What the kind of work has planned besides.
     *
     * @throws ClassCastException when it is another kind
     */
    public <T> T own(Class<T> type) {
        return type.cast(own);
    }

    private static Map<String, Stop> byId(Run run) {
        return run.stops().stream().collect(Collectors.toMap(Stop::id, Function.identity()));
    }

    /** Name of a stop for sentences: Stop 3 (Hole Ø 9). */
    public static String named(Stop stop) {
        return "Stop %d (%s)".formatted(stop.number(), stop.name());
    }
}
