package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.geometry.fit.Flattener;
import dev.oleander.material.Cohesion;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.proof.WireProfiles.Plane;
import dev.oleander.work.wire.proof.WireProfiles.Profile;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

/**
 * A piece that is meant to be held hangs together with the work until the cut that sets it free: by
 * the swaths of all that was cut before, not by what the plan intends.
 */
public final class HoldRule extends WireRule {

    /** mm; how far chords may leave arcs. */
    private static final double CHORD = 2e-3;

    /** mm round a profile that is looked at, besides what the wire cuts there. */
    private static final double ROUND = 2;

    /** Share of the narrowest web that flattening may take. */
    private static final double ROUNDING = 0.02;

    @Override
    public String id() {
        return "wire-hold";
    }

    @Override
    public String title() {
        return "a piece is held until the cut that is meant to free it";
    }

    /** A pass that was run, with the box of all its ways. */
    private record Done(double turn, WireCut cut, double radius, Box box) {}

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        WireProfiles profiles = new WireProfiles(plan, input.reading().byId());
        List<Done> done = new ArrayList<>();
        Map<String, Stop> waiting = new HashMap<>();
        visits(
                plan,
                (stop, visit) -> {
                    String subject = visit.subject();
                    Profile profile = profiles.of(subject);
                    double turn = plan.copy(visit.copy()).turn();
                    List<WireCut> cuts = visit.cuts();
                    int freeing = visit.frees() ? freeing(visit) : -1;
                    for (int i = 0; i < cuts.size(); i++) {
                        if (i == freeing && profile != null && isMeantToHold(plan, subject)) {
                            findings.checked(1);
                            Stop from = waiting.getOrDefault(subject, stop);
                            held(plan, profile, from, done, findings);
                        }
                        done.add(done(plan.settings().get(subject), turn, cuts.get(i)));
                    }
                    waiting.putIfAbsent(subject, stop);
                });
    }

    private static boolean isMeantToHold(WirePlan plan, String subject) {
        SlugHandling slug = plan.settings().get(subject).slug();
        return slug.holds() || slug == SlugHandling.STOP_BEFORE;
    }

    /** Position of the last cut through whole material. */
    private static int freeing(WireVisit visit) {
        List<WireCut> cuts = visit.cuts();
        for (int i = cuts.size() - 1; i >= 0; i--) {
            if (cuts.get(i).role() == WireCut.Role.CUT_OFF) {
                return i;
            }
        }
        return -1;
    }

    private static Done done(WireSettings settings, double turn, WireCut cut) {
        double radius = settings.row().width(cut.pass()) / 2;
        List<Box> boxes = new ArrayList<>();
        for (WireWays.Stretch stretch : WireWays.of(cut)) {
            boxes.add(stretch.way().lower().box());
            boxes.add(stretch.way().upper().box());
        }
        return new Done(turn, cut, radius, Box.around(boxes).grown(radius));
    }

    private static void held(
            WirePlan plan, Profile profile, Stop stop, List<Done> done, Findings findings) {
        double least = WireUnit.of(plan.task().machine()).leastWeb(plan.task().height());
        for (Plane plane : Plane.values()) {
            Contour edge = profile.at(plane);
            double reach = ROUND + 2 * profile.settings().row().greatestOffset();
            Box window = edge.box().grown(reach);
            List<Cohesion.Swath> swaths = swaths(done, profile.turn(), edge, plane, reach);
            Cohesion cohesion =
                    Cohesion.of(
                            window, swaths, holes(plan, profile, window), least * (1 - ROUNDING));
            Polygon piece = new FlatShapes(CHORD).polygon(edge);
            boolean free = !cohesion.holds(piece);
            if (free) {
                loose(plan, profile, stop, least, findings);
                return;
            }
            if (profile.isUpright()) {
                return;
            }
        }
    }

    /** What was cut near the edge: what lies far inside decides nothing about its hold. */
    private static List<Cohesion.Swath> swaths(
            List<Done> done, double turn, Contour edge, Plane plane, double reach) {
        SegmentIndex<Segment> segments = SegmentIndex.of(edge.segments());
        List<Cohesion.Swath> swaths = new ArrayList<>();
        for (Done one : done) {
            if (one.turn() == turn && !segments.touching(one.box().grown(reach)).isEmpty()) {
                swaths.add(new Cohesion.Swath(line(one.cut(), plane), one.radius()));
            }
        }
        return swaths;
    }

    private static void loose(
            WirePlan plan, Profile profile, Stop stop, double least, Findings findings) {
        double kilograms = mass(plan, profile.lower().area());
        findings.add(
                Severity.MUST_FIX,
                stop.id(),
                profile.lower().start(),
                profile.settings().hold(),
                least + profile.settings().row().width(1),
                "%s: less than %s is left of its hold between the cuts: the %s of %s kg comes free before people hold it. Make the hold wider or begin elsewhere."
                        .formatted(
                                ProofInput.named(stop),
                                Numbers.length(least),
                                profile.isKeptInside() ? "part" : "slug",
                                Numbers.plain(kilograms, 3)));
    }

    /** What was drilled before is not there either. */
    private static List<Polygon> holes(WirePlan plan, Profile profile, Box window) {
        FlatShapes flat = new FlatShapes(CHORD);
        List<Polygon> holes = new ArrayList<>();
        for (StartHole hole : plan.holes()) {
            boolean drilled = hole.diameter() > 0;
            boolean near = new Box(hole.at(), hole.at()).distance(window) <= hole.diameter();
            if (drilled && near && plan.copy(hole.copy()).turn() == profile.turn()) {
                holes.add(flat.polygon(Contour.circle(hole.at(), hole.diameter() / 2)));
            }
        }
        return holes;
    }

    /** The way of the wire in a plane, with everything before and after the profile. */
    private static LineString line(WireCut cut, Plane plane) {
        Flattener flattener = new Flattener(CHORD);
        List<Coordinate> line = new ArrayList<>();
        for (WireWays.Stretch stretch : WireWays.of(cut)) {
            Path way = new Path(List.of(plane.of(stretch.way())));
            flattener.flatten(way).forEach(p -> line.add(FlatShapes.coordinate(p)));
        }
        return FlatShapes.FACTORY.createLineString(line.toArray(Coordinate[]::new));
    }
}
