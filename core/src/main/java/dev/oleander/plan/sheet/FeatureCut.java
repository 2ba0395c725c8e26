package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Transform;
import dev.oleander.machine.CutRow;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.Lead;
import dev.oleander.plan.Pass;
import dev.oleander.plan.Placement;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Side;
import dev.oleander.plan.Source;
import dev.oleander.plan.Stop;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How one feature is cut, in the coordinates of the drawing; the same for all its copies. */
record FeatureCut(
        Feature feature,
        Stop.Kind kind,
        Side side,
        boolean anticlockwise,
        Lead leadIn,
        Lead leadOut,
        double startAt,
        double overRun,
        List<Pass> passes,
        Optional<CutRow> row,
        Optional<CutPath> path,
        Optional<Refusal> refusal,
        Map<String, Source> sources) {

    /** The stop of one copy; its number follows with the order. */
    Stop at(Placement placement) {
        Transform transform = placement.transform();
        return new Stop(
                Stop.id(feature.id(), placement.copy()),
                0,
                feature.id(),
                feature.part().orElse(""),
                placement.copy(),
                kind,
                FeatureNames.of(feature),
                side,
                anticlockwise != transform.isMirrored(),
                leadIn,
                leadOut,
                startAt,
                overRun,
                passes,
                row,
                path.map(p -> p.transformed(transform)),
                refusal.map(
                        r ->
                                new Refusal(
                                        r.kind(),
                                        r.sentence(),
                                        transform.apply(r.place()),
                                        r.value(),
                                        r.limit())),
                sources);
    }
}
