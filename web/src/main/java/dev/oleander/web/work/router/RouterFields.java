package dev.oleander.web.work.router;

import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.api.WorkFields;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.plan.RouterOrder;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterStop.Figures;
import dev.oleander.work.router.run.RouterWork;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the HTTP interface tells of a router's runs and stops. */
@Component
class RouterFields implements WorkFields {

    @Override
    public RouterMilling kind() {
        return RouterMilling.ROUTER;
    }

    @Override
    public Map<String, Object> ofRun(JobResult result) {
        return result.own(RouterRun.class)
                .map(run -> Map.<String, Object>of("toolChanges", changes(run)))
                .orElse(Map.of());
    }

    private static int changes(RouterRun run) {
        return RouterOrder.toolChanges(run.plan().stops());
    }

    @Override
    public Map<String, Object> ofStop(JobResult result, Stop stop) {
        RouterRun run = result.own(RouterRun.class).orElseThrow();
        RouterWork work = (RouterWork) stop.work();
        RouterStop of = work.stop();
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("operation", Operation.nameOf(of.operation()));
        fields.put("work", work.deed().kind());
        of.tool().ifPresent(tool -> fields.put("tool", tool.number()));
        fields.put("levels", of.levels().stream().map(level -> -level).toList());
        Figures figures = of.figures();
        if (figures.area() > 0) {
            fields.put("area", figures.area());
            fields.put("reachableArea", figures.reachable());
            fields.put("restArea", figures.rest());
            fields.put("betweenArea", figures.between());
        }
        over(run, work).ifPresent(over -> fields.put("stepOver", over));
        run.volume(stop.id()).ifPresent(volume -> fields.put("removedVolume", volume));
        Optional.ofNullable(run.engaged().get(stop.id()))
                .ifPresent(
                        engaged -> {
                            fields.put("fullWidthLength", engaged.full());
                            fields.put("peakEngagement", engaged.peak());
                        });
        fields.put("visits", places(figures.visits()));
        if (!figures.strokes().isEmpty()) {
            fields.put("strokes", figures.strokes());
        }
        fields.put("turns", of.turns());
        work.feeds()
                .ifPresent(
                        feeds -> {
                            fields.put("speed", Math.rint(feeds.speed()));
                            fields.put("force", feeds.force());
                            fields.put("power", feeds.power());
                        });
        return fields;
    }

    /** From one round of a pocket to the next, in diameters. */
    private static Optional<Double> over(RouterRun run, RouterWork work) {
        return work.deed()
                .operation()
                .map(Operation::what)
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast)
                .flatMap(clear -> work.stop().tool().map(t -> clear.over(t, steps(run, t).over())));
    }

    private static List<double[]> places(List<Point> places) {
        return places.stream().map(p -> new double[] {p.x(), p.y()}).toList();
    }

    private static CutSteps steps(RouterRun run, Tool tool) {
        return run.plan().task().steps().apply(tool);
    }
}
