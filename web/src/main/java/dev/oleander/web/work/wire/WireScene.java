package dev.oleander.web.work.wire;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.bench.Scene;
import dev.oleander.web.bench.SceneBuilder;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What the table draws of a wire machine besides its stops. Paths as in {@link Scene}.
 *
 * @param kept closed paths; what lies inside of an odd number of them is kept
 * @param upper the contours above, where they differ from those below
 * @param passes in the order of the run
 * @param holes x, y, diameter, and 1 when it has to be drilled
 */
public record WireScene(
        List<double[]> kept, List<double[]> upper, List<PassShape> passes, List<double[]> holes) {

    /**
     * A pass along a stretch of a profile.
     *
     * @param stop index of its stop
     * @param side 1 when the wire runs to the left of the profile, -1 to the right
     * @param offset of the wire from the profile, mm
     */
    public record PassShape(int stop, int pass, int side, double offset, double[] d) {}

    static WireScene of(WirePlan plan) {
        List<Stop> stops = plan.run().stops();
        List<PassShape> passes = new ArrayList<>();
        for (int i = 0; i < stops.size(); i++) {
            WireVisit visit = plan.visits().get(stops.get(i).id());
            if (visit != null) {
                for (WireCut cut : visit.cuts()) {
                    passes.add(pass(i, cut));
                }
            }
        }
        List<double[]> holes =
                plan.holes().stream()
                        .map(
                                h ->
                                        new double[] {
                                            h.at().x(),
                                            h.at().y(),
                                            h.diameter(),
                                            h.given() == StartHole.Given.PROPOSED ? 1 : 0
                                        })
                        .toList();
        return new WireScene(kept(plan), upper(plan), passes, holes);
    }

    private static PassShape pass(int stop, WireCut cut) {
        List<Segment> way = cut.way().stream().map(Ruling::lower).toList();
        int side = cut.role() == WireCut.Role.RING ? 0 : cut.wireLeft() ? 1 : -1;
        return new PassShape(stop, cut.pass(), side, cut.offset(), SceneBuilder.flat(way));
    }

    /** Punches with what lies in them; without any, the work with its openings. */
    private static List<double[]> kept(WirePlan plan) {
        boolean punches =
                plan.settings().values().stream().anyMatch(s -> s.kind() == WireKind.PUNCH);
        List<double[]> kept = new ArrayList<>();
        if (!punches) {
            kept.add(SceneBuilder.loop(plan.run().layout().stock()));
        }
        for (Map.Entry<String, List<Ruling>> surface : plan.surfaces().entrySet()) {
            WireSettings settings = plan.settings().get(surface.getKey());
            boolean closed = settings != null && settings.kind() != WireKind.OPEN;
            boolean alone =
                    closed
                            && punches
                            && settings.kind() == WireKind.OPENING
                            && !isInPunch(plan, surface.getValue());
            if (closed && !alone) {
                kept.add(
                        SceneBuilder.flat(surface.getValue().stream().map(Ruling::lower).toList()));
            }
        }
        return kept;
    }

    private static boolean isInPunch(WirePlan plan, List<Ruling> opening) {
        var place = opening.get(0).lower().start();
        return plan.settings().entrySet().stream()
                .filter(e -> e.getValue().kind() == WireKind.PUNCH)
                .map(e -> plan.surfaces().get(e.getKey()))
                .anyMatch(s -> new Contour(s.stream().map(Ruling::lower).toList()).contains(place));
    }

    private static List<double[]> upper(WirePlan plan) {
        return plan.surfaces().values().stream()
                .filter(s -> s.stream().anyMatch(r -> !r.isUpright()))
                .map(s -> SceneBuilder.flat(s.stream().map(Ruling::upper).toList()))
                .toList();
    }
}
