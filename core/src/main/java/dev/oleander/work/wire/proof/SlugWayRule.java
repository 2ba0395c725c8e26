package dev.oleander.work.wire.proof;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** No travel crosses a piece that is free and lies where it was cut. */
public final class SlugWayRule extends WireRule {

    @Override
    public String id() {
        return "wire-travel";
    }

    @Override
    public String title() {
        return "the head never travels across a loose slug";
    }

    /** A piece that nobody took away. */
    private record Loose(Stop stop, Contour contour) {}

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        Map<String, Feature> features = input.reading().byId();
        List<Loose> loose = new ArrayList<>();
        Point[] at = {Point.ORIGIN};
        visits(
                plan,
                (stop, visit) -> {
                    findings.checked(1);
                    if (!at[0].equals(visit.begin())) {
                        travel(stop, new Line(at[0], visit.begin()), loose, findings);
                    }
                    at[0] = visit.end();
                    String subject = visit.subject();
                    WireSettings settings = plan.settings().get(subject);
                    boolean slug = settings.kind() == WireKind.OPENING && visit.frees();
                    if (slug && !visit.waits()) {
                        double room = 2 * settings.row().offset(1);
                        if (!Exit.of(plan.surfaces().get(subject), room).down()) {
                            Transform placed = plan.copy(visit.copy()).placement().transform();
                            Contour contour = features.get(visit.feature()).contour();
                            loose.add(new Loose(stop, contour.transformed(placed)));
                        }
                    }
                });
    }

    private static void travel(Stop stop, Line way, List<Loose> loose, Findings findings) {
        for (Loose piece : loose) {
            boolean crosses =
                    piece.contour().contains(way.start())
                            || Distances.between(piece.contour(), new Path(List.of(way))).distance()
                                    == 0;
            boolean own = piece.stop().feature().equals(stop.feature());
            if (crosses && !own) {
                findings.add(
                        Severity.LOOK,
                        stop.id(),
                        way.middle(),
                        stop.number(),
                        piece.stop().number(),
                        "The way to %s crosses the slug of stop %d, which lies loose in its hole. Let the machine wait there so that it is taken out."
                                .formatted(ProofInput.named(stop), piece.stop().number()));
                return;
            }
        }
    }
}
