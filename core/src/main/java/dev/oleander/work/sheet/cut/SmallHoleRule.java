package dev.oleander.work.sheet.cut;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.work.sheet.book.CutRow;

/** Which holes are too small for their cut data, and how those are treated. */
public final class SmallHoleRule {

    /** mm; a hole of just the smallest size is none of them. */
    private static final double SAME = 1e-6;

    /** Share of the feed that is kept in the smallest of them. */
    private static final double SLOWEST = 0.4;

    /** Diameter, mm, of the circle that marks a centre. */
    private static final double CENTRE = 1;

    private SmallHoleRule() {}

    public static boolean isSmall(Feature feature, CutRow row) {
        return feature.purpose() == Purpose.CUT
                && feature.kind() == Feature.Kind.OPENING
                && feature.circleDiameter().isPresent()
                && feature.circleDiameter().getAsDouble() < row.smallestHole() - SAME;
    }

    /** Share of the feed: as the diameter to the smallest one that comes out round. */
    public static double slowness(Feature hole, CutRow row) {
        double share = hole.circleDiameter().orElseThrow() / row.smallestHole();
        return Math.max(SLOWEST, share);
    }

    /** A small circle round the middle of a hole, well within it. */
    public static Contour centreMark(Feature hole) {
        double diameter = hole.circleDiameter().orElseThrow();
        return Contour.circle(centre(hole), Math.min(CENTRE, diameter / 2) / 2);
    }

    public static Point centre(Feature hole) {
        return hole.contour().centroid();
    }
}
