package dev.oleander.proof;

import dev.oleander.drawing.read.Reading;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.Program;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Everything a rule may look at. */
public record ProofInput(
        Reading reading,
        Run run,
        Program program,
        Timeline timeline,
        KeptMaterial kept,
        MaterialState material,
        Map<String, Stop> stops) {

    public static ProofInput of(Reading reading, Run run, Timeline timeline) {
        return new ProofInput(
                reading,
                run,
                timeline.program(),
                timeline,
                KeptMaterial.of(reading, run.layout()),
                MaterialState.of(reading, run, timeline),
                run.stops().stream().collect(Collectors.toMap(Stop::id, Function.identity())));
    }

    /** Name of a stop for sentences: Stop 3 (Hole Ø 9). */
    public static String named(Stop stop) {
        return "Stop %d (%s)".formatted(stop.number(), stop.name());
    }
}
