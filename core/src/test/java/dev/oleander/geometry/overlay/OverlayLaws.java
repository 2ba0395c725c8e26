package dev.oleander.geometry.overlay;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Judge;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RandomShapes;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.flat.Edges;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/** What booleans must be, for two made-up operands of a seed. */
final class OverlayLaws {

    private static final double FAR = 4e6;

    /** Kinds of operands: contours, discs on a grid and loose ones, keyholes. */
    private static final int OPERANDS = 8;

    private final RandomShapes shapes;
    private final List<Region> a;
    private final List<Region> b;
    private final double relative;
    private boolean simple = true;

    OverlayLaws(long seed) {
        shapes = new RandomShapes(seed);
        double[] places = {0, 0, 1000, FAR};
        double place = places[shapes.random().nextInt(places.length)];
        Transform move = Transform.translation(new Point(place, 0.37 * place));
        int kind = shapes.random().nextInt(OPERANDS);
        a = moved(operand(kind), move);
        int sameness = shapes.random().nextInt(10);
        if (sameness == 0) {
            b = a;
        } else if (sameness == 1) {
            b = moved(a, Transform.translation(new Point(0.5, 0)));
        } else {
            b = moved(operand(shapes.random().nextInt(OPERANDS)), move);
        }
        relative = place == FAR ? 3e-8 : 1e-9;
    }

    private static List<Region> moved(List<Region> regions, Transform move) {
        return regions.stream().map(r -> r.transformed(move)).toList();
    }

    private List<Region> operand(int kind) {
        if (kind == 5) {
            return shapes.gridDiscs();
        }
        if (kind == 6) {
            return shapes.looseDiscs(30);
        }
        Contour contour = shapes.contour(kind == 7 ? 6 : kind);
        Region region = new Region(contour.turning(true), List.of());
        Edges edges = new Edges(64);
        edges.addLoop(region.outer().vertices());
        simple &= !edges.meetThemselves(1e-4) && !edges.meetThemselves(1e-10);
        boolean moves = kind == 1 || kind == 2;
        int dx = moves ? shapes.random().nextInt(5) - 2 : 0;
        int dy = moves ? shapes.random().nextInt(5) - 2 : 0;
        return List.of(region.transformed(Transform.translation(new Point(dx, dy))));
    }

    /** Operands that cross or touch themselves have no area to compare. */
    boolean isSimple() {
        return simple;
    }

    /** What is wrong; empty when all laws hold. */
    List<String> broken() {
        List<String> broken = new ArrayList<>();
        List<Region> union = Overlay.union(a, b);
        List<Region> both = Overlay.intersection(a, b);
        List<Region> less = Overlay.difference(a, b);
        List<Region> more = Overlay.difference(b, a);
        List<Region> either = Overlay.symmetricDifference(a, b);
        double room = relative * (Judge.area(a) + Judge.area(b));
        equal("|A| + |B| = |A or B| + |A and B|", sum(a, b), sum(union, both), room, broken);
        equal("|A| = |A - B| + |A and B|", Judge.area(a), sum(less, both), room, broken);
        equal("|B| = |B - A| + |A and B|", Judge.area(b), sum(more, both), room, broken);
        equal("|A xor B|", Judge.area(either), sum(less, more), room, broken);
        equal("B or A", Judge.area(Overlay.union(b, a)), Judge.area(union), room, broken);
        if (!Overlay.difference(a, a).isEmpty()) {
            broken.add("A - A leaves something");
        }
        for (List<Region> result : List.of(union, both, less, more, either)) {
            List<Region> again = Overlay.union(result);
            equal("once more", Judge.area(again), Judge.area(result), room, broken);
            equal("parts", again.size(), result.size(), 0, broken);
        }
        return broken;
    }

    private static double sum(List<Region> first, List<Region> second) {
        return Judge.area(first) + Judge.area(second);
    }

    private static void equal(String what, double x, double y, double room, List<String> broken) {
        if (!(Math.abs(x - y) <= room)) {
            broken.add(what + ": " + x + " against " + y);
        }
    }

    List<String> brokenForJudge() {
        List<String> broken = new ArrayList<>();
        double gap = 1e-5;
        Geometry first = Judge.flat(a, gap);
        Geometry second = Judge.flat(b, gap);
        double room = 4 * gap * (1 + first.getLength() + second.getLength());
        Geometry union = OverlayNGRobust.overlay(first, second, OverlayNG.UNION);
        Geometry both = OverlayNGRobust.overlay(first, second, OverlayNG.INTERSECTION);
        equal("union", Judge.area(Overlay.union(a, b)), union.getArea(), room, broken);
        equal("both", Judge.area(Overlay.intersection(a, b)), both.getArea(), room, broken);
        return broken;
    }
}
