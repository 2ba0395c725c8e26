package dev.oleander.winding.surface;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.CornerRounder;
import java.util.ArrayList;
import java.util.List;

/** A profile that is drawn: one chain of lines and arcs on one side of the axis. */
public final class HalfProfile {

    /** mm by which ends that meet may lie apart. */
    private static final double MEETS = 1e-3;

    /** Radians by which pieces may turn where they meet smoothly. */
    private static final double SMOOTH = 1e-4;

    /** Each is sought among all others. */
    private static final int MOST = 2000;

    private HalfProfile() {}

    /**
     * @param drawn in any order and direction
     * @param axis y of the mandrel's axis, mm
     * @param fillet of convex edges, mm; 0: they stay
     * @throws WindingException about loose ends, or where it crosses its axis
     */
    public static Meridian of(List<Segment> drawn, double axis, double fillet) {
        List<Segment> chain = ordered(drawn);
        boolean below = chain.get(0).at(0.5).y() < axis;
        List<Segment> upright = new ArrayList<>();
        for (Segment segment : chain) {
            upright.add(lifted(segment, axis, below));
        }
        requireAboveAxis(upright);
        List<Segment> rounded = fillet > 0 ? rounded(upright, fillet) : upright;
        return new Meridian(rounded.stream().map(HalfProfile::piece).toList());
    }

    /** One behind the other, from the end with the lesser x. */
    private static List<Segment> ordered(List<Segment> drawn) {
        if (drawn.size() > MOST) {
            throw new WindingException(
                    "The half profile has %d pieces; at most %d. Smooth it on Shape.",
                    drawn.size(), MOST);
        }
        if (drawn.isEmpty()) {
            throw new WindingException("There is no half profile in the drawing.");
        }
        List<Segment> left = new ArrayList<>(drawn);
        List<Segment> chain = new ArrayList<>(List.of(left.remove(0)));
        while (!left.isEmpty()) {
            Segment next = next(left, chain.get(chain.size() - 1).end());
            if (next != null) {
                chain.add(next);
                continue;
            }
            Segment before = next(left, chain.get(0).start());
            if (before == null) {
                throw loose(chain, left);
            }
            chain.add(0, before.reversed());
        }
        for (int i = 1; i < chain.size(); i++) {
            chain.set(i, chain.get(i).withEnds(chain.get(i - 1).end(), chain.get(i).end()));
        }
        boolean backward = chain.get(0).start().x() > chain.get(chain.size() - 1).end().x();
        return backward ? reversed(chain) : chain;
    }

    /** Taken out of what is left, turned so that it begins there. */
    private static Segment next(List<Segment> left, Point at) {
        for (int i = 0; i < left.size(); i++) {
            Segment segment = left.get(i);
            if (segment.start().distance(at) <= MEETS) {
                left.remove(i);
                return segment;
            }
            if (segment.end().distance(at) <= MEETS) {
                left.remove(i);
                return segment.reversed();
            }
        }
        return null;
    }

    private static WindingException loose(List<Segment> chain, List<Segment> left) {
        Point at = chain.get(chain.size() - 1).end();
        double best = Double.POSITIVE_INFINITY;
        for (Point end : List.of(at, chain.get(0).start())) {
            for (Segment other : left) {
                for (Point p : List.of(other.start(), other.end())) {
                    if (p.distance(end) < best) {
                        best = p.distance(end);
                        at = end;
                    }
                }
            }
        }
        return new WindingException(
                "The half profile has two loose ends %.4g mm apart at (%.4g, %.4g). Mend it on"
                        + " Shape.",
                best, at.x(), at.y());
    }

    private static List<Segment> reversed(List<Segment> chain) {
        List<Segment> back = new ArrayList<>();
        for (Segment segment : chain) {
            back.add(0, segment.reversed());
        }
        return back;
    }

    /** With the axis at y = 0 and the profile above it. */
    private static Segment lifted(Segment segment, double axis, boolean below) {
        double sign = below ? -1 : 1;
        Point start = new Point(segment.start().x(), sign * (segment.start().y() - axis));
        Point end = new Point(segment.end().x(), sign * (segment.end().y() - axis));
        return segment.fold(
                line -> new Line(start, end), arc -> new Arc(start, end, sign * arc.bulge()));
    }

    private static void requireAboveAxis(List<Segment> chain) {
        for (Segment segment : chain) {
            if (segment.box().min().y() <= 0) {
                double share = 0;
                for (int i = 0; i <= 200 && segment.at(share).y() > 0; i++) {
                    share = i / 200.0;
                }
                throw new WindingException(
                        "The half profile crosses its axis at x = %.4g.", segment.at(share).x());
            }
        }
    }

    /** Convex edges get an arc; concave ones stay, and bridge. */
    private static List<Segment> rounded(List<Segment> chain, double fillet) {
        Path path = new Path(chain);
        for (int i = chain.size() - 1; i >= 1; i--) {
            double turn =
                    Math.IEEEremainder(
                            omega(chain.get(i), 0) - omega(chain.get(i - 1), 1), 2 * Math.PI);
            if (turn < -SMOOTH) {
                path = CornerRounder.fillet(path, i, fillet);
            }
        }
        return path.segments();
    }

    private static double omega(Segment segment, double share) {
        Point direction = segment.direction(share);
        return Math.atan2(direction.y(), direction.x());
    }

    private static Piece piece(Segment segment) {
        return segment.fold(HalfProfile::straight, HalfProfile::round);
    }

    private static Piece straight(Line line) {
        return Straight.between(line.start().x(), line.start().y(), line.end().x(), line.end().y());
    }

    /** An arc that turns right, seen from left to right, is convex. */
    private static Piece round(Arc arc) {
        double from = omega(arc, 0);
        Point centre = arc.centre();
        return new Round(centre.x(), centre.y(), arc.radius(), from, from + arc.sweep());
    }
}
