package dev.oleander.work.router.carve;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.axis.AxisPoint;
import dev.oleander.geometry.axis.Branch;
import dev.oleander.geometry.axis.MiddleAxis;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;

/**
 * Where the tip of a cone goes so that its flanks meet the outline: on the middle axis, (r - tip/2)
 * / tan(angle/2) deep where the nearest outline is r away, and so up into every outer corner (M.
 * Held, M. Huber, Topology-oriented incremental computation of Voronoi diagrams, CAD 41, 2009, on
 * why the axis must be exact). Where that is deeper than the floor, a flat tool clears and the tip
 * goes along the foot of the wall.
 */
public final class Carving {

    private static final double NO_FLOOR = Double.POSITIVE_INFINITY;

    /** Places on a branch that are looked at. */
    private static final int STEPS = 64;

    /** mm by which a place may lie beside what a flat tool leaves. */
    private static final double NEAR = 1e-3;

    /** mm by which rounds on the floor may lie off the true ones: they are farther from walls. */
    private static final double ROUGH = 0.02;

    private final List<Region> regions;
    private final Tool.Form form;
    private final double floor;
    private final double tolerance;

    /**
     * @param regions that are to be cut away
     * @param form with a cone at its end
     * @param floor greatest depth, mm; infinite: none
     * @param tolerance of the ways, mm
     */
    public Carving(List<Region> regions, Tool.Form form, double floor, double tolerance) {
        if (!form.kind().isConical() || !(floor > 0) || !(tolerance > 0)) {
            throw new IllegalArgumentException(
                    "carving with %s, floor %s, tolerance %s".formatted(form, floor, tolerance));
        }
        this.regions = List.copyOf(regions);
        this.form = form;
        this.floor = floor;
        this.tolerance = tolerance;
    }

    /** How far the foot of the wall is from the outline, mm; infinite without a floor. */
    private double foot() {
        return form.tipDiameter() / 2 + floor * form.halfTangent();
    }

    /** What a flat tool has to clear to the floor. */
    public List<Region> flat() {
        return floor == NO_FLOOR ? List.of() : Offsetter.round().offset(regions, -foot());
    }

    /**
     * Ways of the tip on the floor, on the middle axis of what a flat tool does not reach of it:
     * from the corners of the floor inwards.
     *
     * @param left of the floor, as the flat tool leaves it; all of it where none is used
     */
    public List<Stroke> corners(List<Region> left, double depth) {
        List<Stroke> all = new ArrayList<>();
        SegmentIndex<Box> boxes =
                SegmentIndex.ofBoxes(left.stream().map(r -> r.box().grown(NEAR)).toList());
        for (Branch branch : MiddleAxis.of(flat())) {
            List<TipPoint> run = new ArrayList<>();
            for (int i = 0; i <= STEPS; i++) {
                AxisPoint p = branch.at((double) i / STEPS);
                if (lies(p, left, boxes)) {
                    run.add(new TipPoint(p.x(), p.y(), depth));
                } else {
                    close(run, all);
                }
            }
            close(run, all);
        }
        return List.copyOf(all);
    }

    /**
     * Rounds of the tip on the floor, so close that no ridge between them is higher than wished: a
     * cone leaves one of half their distance by the tangent of half its angle.
     *
     * @param left of the floor, as the flat tool leaves it; all of it where none is used
     * @param ridge mm
     */
    public List<Stroke> rounds(List<Region> left, double ridge) {
        List<Stroke> all = new ArrayList<>();
        Flattening flattening = new Flattening(form, ROUGH);
        double step = form.tipDiameter() + 2 * ridge * form.halfTangent();
        List<Region> within = Offsetter.round().offset(left, -step / 2);
        for (int k = 1; !within.isEmpty(); k++) {
            for (Region region : within) {
                region.contours().forEach(c -> all.add(flattening.along(c, floor)));
            }
            within = Offsetter.round().offset(left, -(k + 0.5) * step);
        }
        return List.copyOf(all);
    }

    private static void close(List<TipPoint> run, List<Stroke> all) {
        if (run.size() > 1) {
            all.add(new Stroke(run, true));
        }
        run.clear();
    }

    private static boolean lies(AxisPoint p, List<Region> left, SegmentIndex<Box> boxes) {
        Point at = new Point(p.x(), p.y());
        for (int i : boxes.positions(new Box(at, at))) {
            if (isNear(left.get(i), at)) {
                return true;
            }
        }
        return false;
    }

    private static boolean isNear(Region region, Point at) {
        return region.contains(at)
                || region.contours().stream()
                        .anyMatch(c -> c.nearest(at).point().distance(at) < NEAR);
    }

    /** All ways of the tip, as found; nobody has put them in order. */
    public List<Stroke> strokes() {
        List<Stroke> all = new ArrayList<>();
        Flattening flattening = new Flattening(form, tolerance);
        for (Branch branch : MiddleAxis.of(regions)) {
            all.addAll(flattening.strokes(branch, foot()));
        }
        for (Region flat : flat()) {
            flat.contours().forEach(c -> all.add(flattening.along(c, floor)));
        }
        return List.copyOf(all);
    }
}
