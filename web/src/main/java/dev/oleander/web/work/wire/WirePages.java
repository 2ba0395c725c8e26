package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.plan.stop.Stop;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.bench.WorkPages;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.WireRun;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What the bench shows of cutting with a wire. */
@Component
class WirePages implements WorkPages {

    /** Its own fragments. */
    static final String TEMPLATE = "work/wire";

    @Override
    public WireCutting kind() {
        return WIRE;
    }

    @Override
    public String template() {
        return TEMPLATE;
    }

    @Override
    public Optional<String> module() {
        return Optional.of("wire.js");
    }

    @Override
    public String thickness() {
        return "Height";
    }

    /** The work is clamped as it is, and nothing is cut for two parts. */
    @Override
    public Set<String> withoutOnBed() {
        return Set.of("heldAt", "commonLines");
    }

    @Override
    public Optional<Object> scene(JobResult result) {
        return result.own(WireRun.class).map(run -> WireScene.of(run.plan()));
    }

    @Override
    public List<SlipSection> ofStops(JobResult result, List<Stop> stops, EditError error) {
        return new WireStopSlip(result, stops, error).sections();
    }

    @Override
    public List<SlipSection> ofJob(JobResult result, EditError error) {
        return List.of(new SlipSection("How it is cut", new WireJobSlip(result, error).rows()));
    }
}
