package dev.oleander.work.sheet.proof;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Stretches of a contour that the edge of the swath does not follow: corners and slots too tight.
 */
public final class UncutRule implements SheetRule {

    /** mm of material that may stay in a corner: a sharp corner leaves 0.2 of the kerf. */
    private static final double ALLOWED = 0.1;

    @Override
    public String id() {
        return "uncut";
    }

    @Override
    public String title() {
        return "the edge of the cut follows every contour";
    }

    @Override
    public Outcome check(ProofInput input) {
        Map<Integer, Transform> placements = input.run().layout().transforms();
        Map<String, Feature> features = input.reading().byId();
        List<Finding> findings = new ArrayList<>();
        int checked = 0;
        for (Stop stop : input.run().stops()) {
            boolean follows = stop.kind() == Stop.Kind.PROFILE && stop.side() != Side.ON;
            if (follows && stop.path().isPresent()) {
                checked++;
                Chain drawn =
                        features.get(stop.feature())
                                .chain()
                                .transformed(placements.get(stop.copy()));
                check(stop, drawn, findings);
            }
        }
        return new Outcome(checked, findings);
    }

    private static void check(Stop stop, Chain drawn, List<Finding> findings) {
        Path path = new Path(stop.path().orElseThrow().main());
        double half = Swath.halfKerf(stop);
        double most = 0;
        Point where = null;
        for (Segment segment : drawn.segments()) {
            for (Point p : List.of(segment.start(), segment.middle())) {
                double left = path.nearest(p).point().distance(p) - half;
                if (left > most) {
                    most = left;
                    where = p;
                }
            }
        }
        if (most > ALLOWED) {
            String sentence =
                    "%s leaves %s of material at (%s, %s): the kerf of %s does not reach into it."
                            .formatted(
                                    ProofInput.named(stop),
                                    Numbers.length(most),
                                    Numbers.plain(where.x(), 2),
                                    Numbers.plain(where.y(), 2),
                                    Numbers.length(2 * half));
            findings.add(Finding.of(Severity.LOOK, stop.id(), where, most, ALLOWED, sentence));
        }
    }
}
