package dev.oleander.geometry.offset;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Judge;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;

/** What every offset must be, for a made-up shape and distance of a seed. */
final class OffsetLaws {

    private static final double FAR = 4e6;

    private final Offsetter offsetter = Offsetter.round();
    private final RandomShapes shapes;
    private final Region source;
    private final double distance;
    private final double tolerance;
    private final double scale;
    private final long seed;

    OffsetLaws(long seed) {
        this.seed = seed;
        this.shapes = new RandomShapes(seed);
        int kind = shapes.random().nextInt(RandomShapes.KINDS);
        this.distance = distance(kind);
        Contour contour = shapes.contour(kind);
        Region region =
                shapes.random().nextInt(3) == 0 && kind != 0
                        ? shapes.withHoles(contour)
                        : new Region(contour.turning(true), List.of());
        this.scale = shapes.random().nextInt(6) == 0 ? 300 : 1;
        double[] places = {0, 0, 1000, 10_000, FAR};
        double place = places[shapes.random().nextInt(places.length)];
        Transform move =
                Transform.scaling(scale)
                        .then(Transform.translation(new Point(place, 0.37 * place)));
        this.source = scale == 1 && place == 0 ? region : region.transformed(move);
        // 4 km away a coordinate is known to 5e-10 mm only, and an arc is fixed by three of them
        this.tolerance = place == FAR ? 1e-6 : 1e-9 * scale;
    }

    /** Whole and half units make edges coincide; others lie anywhere. */
    private double distance(int kind) {
        if (kind == 1 || kind == 2) {
            return 0.25 * (1 + shapes.random().nextInt(12));
        }
        return Math.pow(10, shapes.between(-2, 1.2));
    }

    /** Shapes that cross or touch themselves have no distance of their own to keep. */
    boolean isSimple() {
        Edges edges = new Edges(64);
        source.contours().forEach(c -> edges.addLoop(c.vertices()));
        double size = Math.max(source.box().width(), source.box().height());
        return !edges.meetThemselves(1e-6 * size) && !edges.meetThemselves(1e-11 * size);
    }

    /** What is wrong; empty when all laws hold. */
    List<String> broken() {
        List<String> broken = new ArrayList<>();
        for (double outward : new double[] {distance, -distance}) {
            List<Region> result = offsetter.offset(source, outward);
            OffsetCheck.faults(source, result, outward, tolerance, seed)
                    .forEach(f -> broken.add("offset " + outward + ": " + f));
            List<Region> again = Overlay.union(result);
            if (again.size() != result.size()
                    || Math.abs(Judge.area(again) - Judge.area(result))
                            > 1e-6 * (1 + Judge.area(result))) {
                broken.add("offset " + outward + " crosses itself");
            }
        }
        checkSum(broken);
        return broken;
    }

    /** Grown by a and then by b is grown by a + b. */
    private void checkSum(List<String> broken) {
        double part = distance * shapes.between(0.2, 0.8);
        List<Region> atOnce = offsetter.offset(source, distance);
        List<Region> inSteps = offsetter.offset(offsetter.offset(source, part), distance - part);
        double apart = Math.abs(Judge.area(atOnce) - Judge.area(inSteps));
        if (apart > 10 * tolerance * (1 + Judge.border(atOnce))) {
            broken.add("grown in steps differs by " + apart + " mm2");
        }
    }

    /** Area against the other library, which joins nearly straight edges by a bevel. */
    List<String> brokenForJudge() {
        List<String> broken = new ArrayList<>();
        double gap = 1e-5 * scale;
        Geometry flat = Judge.flat(source, gap);
        if (!flat.isValid()) {
            return broken;
        }
        for (double outward : new double[] {distance, -distance}) {
            Geometry other = Judge.buffer(flat, outward, gap);
            double ours = Judge.area(offsetter.offset(source, outward));
            double bevels = 1e-3 * distance * (other.getLength() + flat.getLength());
            double room = 2 * gap * (1 + flat.getLength() + other.getLength()) + bevels;
            if (Math.abs(ours - other.getArea()) > room) {
                broken.add("offset " + outward + ": " + ours + " against " + other.getArea());
            }
        }
        return broken;
    }
}
