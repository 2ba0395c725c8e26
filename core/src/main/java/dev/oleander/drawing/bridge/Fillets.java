package dev.oleander.drawing.bridge;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.CornerRounder;
import dev.oleander.geometry.edit.EditException;
import java.util.ArrayList;
import java.util.List;

/** Rounds what is cut away beside the ends of bridges, so that nothing tears from a corner. */
final class Fillets {

    /** mm within which a line lies on the side of a bridge. */
    private static final double ON = 1e-6;

    private final List<Line> sides = new ArrayList<>();
    private final double radius;

    Fillets(List<Bridge> bridges, double radius) {
        this.radius = radius;
        for (Bridge bridge : bridges) {
            List<Segment> strip = bridge.strip().outer().segments();
            // along, across, along, across
            sides.add((Line) strip.get(0));
            sides.add((Line) strip.get(2));
        }
    }

    /** With all corners rounded that a bridge made; one where the radius does not fit stays. */
    Contour of(Contour contour) {
        Contour rounded = contour;
        for (int i = contour.segments().size() - 1; i >= 0; i--) {
            rounded = corner(rounded, i);
        }
        return rounded;
    }

    private Contour corner(Contour contour, int i) {
        List<Segment> segments = contour.segments();
        Segment after = segments.get(i);
        Segment before = segments.get((i + segments.size() - 1) % segments.size());
        if (!isSide(before) && !isSide(after)) {
            return contour;
        }
        try {
            return CornerRounder.fillet(contour, i, radius);
        } catch (EditException doesNotFit) {
            return contour;
        }
    }

    private boolean isSide(Segment segment) {
        return segment instanceof Line line
                && sides.stream().anyMatch(s -> isOn(s, line.start()) && isOn(s, line.end()));
    }

    private static boolean isOn(Line side, Point place) {
        return side.distance(place) < ON;
    }
}
