package dev.oleander.work.router.way;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.work.router.pocket.AxisGraph;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** A walk along the whole middle axis of a piece and back to where it begins. */
final class MiddleWalk {

    /** Points on a branch that is bent. */
    private static final int STEPS = 8;

    private final AxisGraph graph;
    private final Set<AxisGraph.Node> seen = new HashSet<>();
    private final List<Point> walk = new ArrayList<>();

    private MiddleWalk(Region piece) {
        this.graph = AxisGraph.of(piece);
    }

    /** Ends of all branches: where a walk may begin. */
    static List<Point> ends(Region piece) {
        return new MiddleWalk(piece).ends().stream().map(w -> w.points(1).get(0)).toList();
    }

    private List<AxisGraph.Way> ends() {
        List<AxisGraph.Way> ends = new ArrayList<>();
        for (AxisGraph.Way way : graph.all()) {
            ends.add(way);
            ends.add(way.reversed());
        }
        return ends;
    }

    /**
     * @param from an end of a branch
     * @return places one after the other, straight between them, from there and back to it
     */
    static List<Point> of(Region piece, Point from) {
        MiddleWalk walk = new MiddleWalk(piece);
        walk.walk.add(from);
        List<AxisGraph.Way> ends = walk.ends();
        ends.stream()
                .filter(w -> w.points(1).get(0).equals(from))
                .findFirst()
                .ifPresent(w -> walk.go(w.from()));
        // rounding may part an axis
        ends.forEach(w -> walk.go(w.from()));
        walk.walk.add(from);
        return walk.walk;
    }

    private void go(AxisGraph.Node at) {
        if (!seen.add(at)) {
            return;
        }
        for (AxisGraph.Way way : graph.from(at)) {
            if (seen.contains(way.to())) {
                // a ring of branches is closed from one side
                continue;
            }
            List<Point> points = way.points(STEPS);
            walk.addAll(points.subList(1, points.size()));
            go(way.to());
            Collections.reverse(points);
            walk.addAll(points.subList(1, points.size()));
        }
    }
}
