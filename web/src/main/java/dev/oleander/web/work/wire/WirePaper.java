package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.WorkSheet;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.WireRun;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the sheet of paper says of cutting with a wire. */
@Component
class WirePaper implements WorkSheet {

    @Override
    public WireCutting kind() {
        return WIRE;
    }

    private static WirePlan plan(JobResult result) {
        return result.own(WireRun.class).orElseThrow().plan();
    }

    @Override
    public Content of(JobResult result, Run run, Timeline timeline) {
        WireSheet sheet = new WireSheet(plan(result), run, timeline);
        Map<String, Object> model =
                Map.of(
                        "passes", sheet.passes(),
                        "holes", sheet.holes(),
                        "threading", sheet.threading());
        return new Content(
                sheet.facts(),
                false,
                List.of(),
                sheet.stops(),
                sheet.halts(),
                new Own(WirePages.TEMPLATE, model));
    }

    /** Punches are pieces that are kept. */
    @Override
    public Optional<List<Profile>> profiles(JobResult result) {
        WirePlan plan = plan(result);
        List<Profile> profiles = new ArrayList<>();
        plan.surfaces()
                .forEach(
                        (subject, surface) ->
                                profiles.add(
                                        new Profile(
                                                surface.stream().map(Ruling::lower).toList(),
                                                plan.settings().get(subject).kind()
                                                        == WireKind.PUNCH)));
        return Optional.of(profiles);
    }
}
