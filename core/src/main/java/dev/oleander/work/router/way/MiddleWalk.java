package dev.oleander.work.router.way;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.axis.Branch;
import dev.oleander.geometry.axis.MiddleAxis;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A walk along the whole middle axis of a piece and back to where it begins. */
final class MiddleWalk {

    /** mm within which ends of branches are one place. */
    private static final double SAME = 1e-6;

    /** Points on a branch that is bent. */
    private static final int STEPS = 8;

    private record Key(long x, long y) {

        static Key of(Point p) {
            return new Key(Math.round(p.x() / SAME / 16), Math.round(p.y() / SAME / 16));
        }
    }

    private record Way(List<Point> points, Key to) {}

    private final Map<Key, List<Way>> ways = new HashMap<>();
    private final Set<Key> seen = new HashSet<>();
    private final List<Point> walk = new ArrayList<>();
    private final List<Point> ends = new ArrayList<>();

    private MiddleWalk(Region piece) {
        for (Branch branch : MiddleAxis.of(List.of(piece))) {
            List<Point> there = new ArrayList<>();
            for (int i = 0; i <= STEPS; i++) {
                var at = branch.at((double) i / STEPS);
                there.add(new Point(at.x(), at.y()));
            }
            List<Point> back = new ArrayList<>(there);
            Collections.reverse(back);
            Key from = Key.of(there.get(0));
            Key to = Key.of(back.get(0));
            ends.add(there.get(0));
            ends.add(back.get(0));
            ways.computeIfAbsent(from, k -> new ArrayList<>()).add(new Way(there, to));
            ways.computeIfAbsent(to, k -> new ArrayList<>()).add(new Way(back, from));
        }
    }

    /** Ends of all branches: where a walk may begin. */
    static List<Point> ends(Region piece) {
        return new MiddleWalk(piece).ends;
    }

    /**
     * @param from an end of a branch
     * @return places one after the other, straight between them, from there and back to it
     */
    static List<Point> of(Region piece, Point from) {
        MiddleWalk walk = new MiddleWalk(piece);
        walk.walk.add(from);
        walk.go(Key.of(from));
        for (Point end : walk.ends) {
            // rounding may part an axis
            walk.go(Key.of(end));
        }
        walk.walk.add(from);
        return walk.walk;
    }

    private void go(Key at) {
        if (!seen.add(at)) {
            return;
        }
        for (Way way : ways.getOrDefault(at, List.of())) {
            if (seen.contains(way.to())) {
                // a ring of branches is closed from one side
                continue;
            }
            walk.addAll(way.points().subList(1, way.points().size()));
            go(way.to());
            List<Point> back = new ArrayList<>(way.points());
            Collections.reverse(back);
            walk.addAll(back.subList(1, back.size()));
        }
    }
}
