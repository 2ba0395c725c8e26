package dev.oleander.work.router.pocket;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.axis.AxisPoint;
import dev.oleander.geometry.axis.Branch;
import dev.oleander.geometry.axis.MiddleAxis;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Branches of a middle axis by the places where they meet. */
public final class AxisGraph {

    /** mm within which ends of branches are one place. */
    private static final double SAME = 1.6e-5;

    private final Map<Node, List<Way>> ways = new HashMap<>();
    private final List<Way> all = new ArrayList<>();

    /** A place where branches end. */
    public record Node(long x, long y) {

        static Node of(AxisPoint p) {
            return new Node(Math.round(p.x() / SAME), Math.round(p.y() / SAME));
        }
    }

    /**
     * A branch gone along in one direction.
     *
     * @param number of the branch; both directions have the same
     * @param back whether from its end to its start
     */
    public record Way(int number, Branch branch, boolean back) {

        public AxisPoint at(double u) {
            return branch.at(back ? 1 - u : u);
        }

        public Node from() {
            return Node.of(at(0));
        }

        public Node to() {
            return Node.of(at(1));
        }

        public Way reversed() {
            return new Way(number, branch, !back);
        }

        /** Its points, evenly over its parameter. */
        public List<Point> points(int steps) {
            List<Point> points = new ArrayList<>();
            for (int i = 0; i <= steps; i++) {
                AxisPoint at = at((double) i / steps);
                points.add(new Point(at.x(), at.y()));
            }
            return points;
        }
    }

    private AxisGraph(Region region) {
        for (Branch branch : MiddleAxis.of(List.of(region))) {
            Way way = new Way(all.size(), branch, false);
            all.add(way);
            ways.computeIfAbsent(way.from(), n -> new ArrayList<>()).add(way);
            ways.computeIfAbsent(way.to(), n -> new ArrayList<>()).add(way.reversed());
        }
    }

    public static AxisGraph of(Region region) {
        return new AxisGraph(region);
    }

    /** Every branch once. */
    public List<Way> all() {
        return List.copyOf(all);
    }

    /** All that begin at a place. */
    public List<Way> from(Node node) {
        return ways.getOrDefault(node, List.of());
    }
}
