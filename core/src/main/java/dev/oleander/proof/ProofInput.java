package dev.oleander.proof;

import dev.oleander.drawing.read.Reading;
import dev.oleander.material.MaterialState;
import dev.oleander.motion.Program;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.Stop;
import dev.oleander.plan.wire.WirePlan;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Everything a rule may look at.
 *
 * @param wire plan of a wire machine; empty for others
 */
public record ProofInput(
        Reading reading,
        Run run,
        Program program,
        Timeline timeline,
        KeptMaterial kept,
        MaterialState material,
        Map<String, Stop> stops,
        Optional<WirePlan> wire) {

    public static ProofInput of(Reading reading, Run run, Timeline timeline) {
        return new ProofInput(
                reading,
                run,
                timeline.program(),
                timeline,
                KeptMaterial.of(reading, run.layout()),
                MaterialState.of(reading, run, timeline),
                byId(run),
                Optional.empty());
    }

    /** Of a wire machine; what comes free there its own rules say. */
    public static ProofInput of(Reading reading, WirePlan plan, Timeline timeline) {
        Run run = plan.run();
        return new ProofInput(
                reading,
                run,
                timeline.program(),
                timeline,
                KeptMaterial.of(reading, run.layout()),
                new MaterialState(List.of()),
                byId(run),
                Optional.of(plan));
    }

    private static Map<String, Stop> byId(Run run) {
        return run.stops().stream().collect(Collectors.toMap(Stop::id, Function.identity()));
    }

    /** Name of a stop for sentences: Stop 3 (Hole Ø 9). */
    public static String named(Stop stop) {
        return "Stop %d (%s)".formatted(stop.number(), stop.name());
    }
}
