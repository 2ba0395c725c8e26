package dev.oleander.material;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.List;

/**
 * Where a part, as it is cut, differs from the drawing: an area that should have gone, or one that
 * should have stayed.
 *
 * @param gouge whether material is missing, else it was left
 * @param region in the coordinates of the sheet
 * @param depth greatest distance from the drawn line, mm
 */
public record Leftover(String stop, boolean gouge, Region region, double depth) {

    /** mm; thinner areas are rounding. */
    public static final double LEAST = 0.005;

    /**
     * What the edge of one stop's swath leaves beside the drawn line. Tabs are not part of it.
     *
     * @param placed where the copy lies
     */
    public static List<Leftover> of(Stop stop, Feature feature, Transform placed) {
        boolean follows =
                stop.kind() == Stop.Kind.PROFILE && feature.isClosed() && stop.path().isPresent();
        if (!follows) {
            return List.of();
        }
        double half = stop.way().width() / 2;
        boolean outline = feature.kind() == Feature.Kind.OUTLINE;
        Contour path = new Contour(stop.path().orElseThrow().main());
        Contour wanted = feature.contour().transformed(placed);
        List<Region> made = Offsetter.round().offset(path, outline ? -half : half);
        List<Region> drawn = List.of(new Region(wanted, List.of()));
        List<Leftover> all = new ArrayList<>();
        // what is within the drawn line is kept of an outline, and goes of an opening
        add(stop, outline, wanted, Overlay.difference(drawn, made), all);
        add(stop, !outline, wanted, Overlay.difference(made, drawn), all);
        return all;
    }

    private static void add(
            Stop stop, boolean gouge, Contour wanted, List<Region> areas, List<Leftover> all) {
        for (Region area : areas) {
            double depth = depth(area, wanted);
            if (depth > LEAST) {
                all.add(new Leftover(stop.id(), gouge, area, depth));
            }
        }
    }

    private static double depth(Region area, Contour wanted) {
        double deepest = 0;
        for (Contour contour : area.contours()) {
            for (Segment segment : contour.segments()) {
                for (Point p : List.of(segment.start(), segment.middle())) {
                    deepest = Math.max(deepest, wanted.nearest(p).point().distance(p));
                }
            }
        }
        return deepest;
    }
}
