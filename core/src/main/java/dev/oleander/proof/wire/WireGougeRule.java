package dev.oleander.proof.wire;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.Stop;
import dev.oleander.plan.wire.Ruling;
import dev.oleander.plan.wire.WireCut;
import dev.oleander.plan.wire.WireKind;
import dev.oleander.plan.wire.WirePlan;
import dev.oleander.plan.wire.WireSettings;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** No pass takes more than the finished flanks leave, in the lower and in the upper plane. */
public final class WireGougeRule extends WireRule {

    /** mm */
    private static final double TOLERANCE = 1e-3;

    private static final int PLACES = 6;

    @Override
    public String id() {
        return "wire-gouge";
    }

    @Override
    public String title() {
        return "no pass of the wire cuts into the finished flanks";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        visits(
                plan,
                (stop, visit) -> {
                    String subject = Stop.id(visit.feature(), visit.copy());
                    WireSettings settings = plan.settings().get(subject);
                    boolean relief = settings.taper().land() != null;
                    if (settings.kind() == WireKind.OPEN || relief) {
                        return;
                    }
                    List<Ruling> surface = plan.surfaces().get(subject);
                    Contour lower = joined(surface, true);
                    Contour upper =
                            surface.stream().allMatch(Ruling::isUpright)
                                    ? lower
                                    : joined(surface, false);
                    for (WireCut cut : visit.cuts()) {
                        findings.checked(cut.way().size());
                        cut(stop, settings, cut, lower, upper, findings);
                    }
                });
    }

    private static Contour joined(List<Ruling> surface, boolean below) {
        List<Segment> segments = new ArrayList<>();
        Ruling first = surface.get(0);
        Point begin = below ? first.lower().start() : first.upper().start();
        Point at = begin;
        for (int i = 0; i < surface.size(); i++) {
            Segment s = below ? surface.get(i).lower() : surface.get(i).upper();
            Point end = i + 1 == surface.size() ? begin : s.end();
            segments.add(s.withEnds(at, end));
            at = end;
        }
        return new Contour(segments);
    }

    private static void cut(
            Stop stop,
            WireSettings settings,
            WireCut cut,
            Contour lower,
            Contour upper,
            Findings findings) {
        double least = settings.row().wireDiameter() / 2 + gap(settings, cut);
        double deepest = 0;
        Point place = null;
        for (Ruling ruling : cut.way()) {
            for (int i = 0; i <= PLACES; i++) {
                double t = (double) i / PLACES;
                double below = depth(lower, ruling.lower().at(t), settings.kind(), least);
                double above = depth(upper, ruling.upper().at(t), settings.kind(), least);
                double depth = Math.max(below, above);
                if (depth > deepest) {
                    deepest = depth;
                    place = ruling.lower().at(t);
                }
            }
        }
        if (deepest > TOLERANCE) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    place,
                    deepest,
                    TOLERANCE,
                    "%s: pass %d cuts %s into the finished flank."
                            .formatted(
                                    ProofInput.named(stop), cut.pass(), Numbers.length(deepest)));
        }
    }

    private static double gap(WireSettings settings, WireCut cut) {
        return settings.row().passes().get(cut.pass() - 1).gap();
    }

    /** How deep the wire's cut reaches into what is kept; below 0 when it does not. */
    private static double depth(Contour contour, Point wire, WireKind kind, double reach) {
        double off = contour.nearest(wire).point().distance(wire);
        boolean onScrap = contour.contains(wire) == (kind == WireKind.OPENING);
        return onScrap ? reach - off : reach + off;
    }
}
