package dev.oleander.web.product;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Face.Size;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;

/**
 * The six faces of a panel laid out in a plane, each as it is seen from outside: edges along the
 * top's sides, the bottom beside it.
 */
final class FaceNet {

    /** Gap between faces, in parts of the greater of length and width. */
    private static final double GAP = 0.09;

    private final Size size;
    private final Map<Face, Transform> places = new EnumMap<>(Face.class);

    FaceNet(Size size) {
        this.size = size;
        double l = size.length();
        double w = size.width();
        double t = size.thickness();
        double gap = GAP * Math.max(l, w);
        places.put(Face.TOP, Transform.IDENTITY);
        places.put(Face.FRONT, moved(0, -gap - t));
        // half a turn, quarter turns: the side that meets the top lies towards it
        places.put(Face.BACK, new Transform(-1, 0, 0, -1, l, w + gap + t));
        places.put(Face.LEFT, new Transform(0, -1, 1, 0, -gap - t, w));
        places.put(Face.RIGHT, new Transform(0, 1, -1, 0, l + gap + t, 0));
        places.put(Face.BOTTOM, moved(l + 2 * gap + t, 0));
    }

    private static Transform moved(double x, double y) {
        return Transform.translation(new Point(x, y));
    }

    /** From (u, v) of a face to the plane. */
    Transform of(Face face) {
        return places.get(face);
    }

    /** The outline of a face, of a panel without one of its own. */
    Box outline(Face face) {
        Point a = of(face).apply(Point.ORIGIN);
        Point b = of(face).apply(new Point(face.across(size), face.up(size)));
        return Box.of(a, b);
    }

    Box box() {
        return Box.around(Arrays.stream(Face.values()).map(this::outline).toList());
    }
}
