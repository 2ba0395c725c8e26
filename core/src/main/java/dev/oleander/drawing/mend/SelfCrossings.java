package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Parts a contour that crosses itself into loops that do not, and says where it crossed. */
final class SelfCrossings {

    /** Up to so many segments are compared one by one. */
    private static final int FEW = 8;

    private final MendOptions options;
    private final List<Fault> faults;

    SelfCrossings(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    List<Contour> part(Contour contour) {
        List<Segment> segments = contour.segments();
        Map<Integer, Map<Double, Point>> cuts = crossings(segments);
        if (cuts.isEmpty()) {
            return List.of(contour);
        }
        List<Segment> pieces = new ArrayList<>();
        for (int i = 0; i < segments.size(); i++) {
            pieces.addAll(pieces(segments.get(i), cuts.getOrDefault(i, Map.of())));
        }
        return loops(pieces);
    }

    private Map<Integer, Map<Double, Point>> crossings(List<Segment> segments) {
        Map<Integer, Map<Double, Point>> cuts = new HashMap<>();
        if (segments.size() <= FEW) {
            Box[] boxes = segments.stream().map(Segment::box).toArray(Box[]::new);
            for (int i = 0; i < segments.size(); i++) {
                for (int j = i + 1; j < segments.size(); j++) {
                    if (overlapsBeyondAPoint(boxes[i], boxes[j])) {
                        cut(segments, i, j, cuts);
                    }
                }
            }
            return cuts;
        }
        SegmentIndex.pairs(
                segments,
                options.exact(),
                MendOptions.MOST_PAIRS,
                (i, j) -> {
                    cut(segments, Math.min(i, j), Math.max(i, j), cuts);
                    return true;
                });
        return cuts;
    }

    /** Neighbours whose boxes share no more than a corner meet in their common end alone. */
    private static boolean overlapsBeyondAPoint(Box a, Box b) {
        double width = Math.min(a.max().x(), b.max().x()) - Math.max(a.min().x(), b.min().x());
        double height = Math.min(a.max().y(), b.max().y()) - Math.max(a.min().y(), b.min().y());
        return width >= 0 && height >= 0 && width + height > 0;
    }

    private void cut(List<Segment> segments, int i, int j, Map<Integer, Map<Double, Point>> cuts) {
        Segment a = segments.get(i);
        Segment b = segments.get(j);
        for (Intersections.Crossing c : Intersections.of(a, b, options.exact())) {
            if (isInside(a, c.onFirst()) && isInside(b, c.onSecond())) {
                cuts.computeIfAbsent(i, k -> new HashMap<>()).put(c.onFirst(), c.point());
                cuts.computeIfAbsent(j, k -> new HashMap<>()).put(c.onSecond(), c.point());
                report(c.point());
            }
        }
    }

    private boolean isInside(Segment segment, double t) {
        double least = options.exact() / segment.length();
        return t > least && t < 1 - least;
    }

    private static List<Segment> pieces(Segment segment, Map<Double, Point> cuts) {
        List<Double> order = cuts.keySet().stream().sorted().toList();
        List<Segment> pieces = new ArrayList<>(order.size() + 1);
        double from = 0;
        Point start = segment.start();
        for (double t : order) {
            Point cut = cuts.get(t);
            // two cuts can fall together, with nothing between them
            boolean apart = !cut.equals(start) && !segment.at(from).equals(segment.at(t));
            if (apart) {
                pieces.add(segment.between(from, t).withEnds(start, cut));
                from = t;
                start = cut;
            }
        }
        boolean rest = !segment.end().equals(start) && !segment.at(from).equals(segment.end());
        if (rest) {
            pieces.add(segment.between(from, 1).withEnds(start, segment.end()));
        }
        return pieces;
    }

    /** Walks along; whenever a node comes up again, the stretch since is a loop of its own. */
    private static List<Contour> loops(List<Segment> pieces) {
        List<Contour> loops = new ArrayList<>();
        List<Segment> walked = new ArrayList<>();
        for (Segment piece : pieces) {
            walked.add(piece);
            int back = walked.size() - 1;
            while (back >= 0 && !walked.get(back).start().equals(piece.end())) {
                back--;
            }
            if (back >= 0) {
                List<Segment> loop = walked.subList(back, walked.size());
                loops.add(new Contour(loop));
                loop.clear();
            }
        }
        return loops;
    }

    private void report(Point place) {
        String sentence =
                "A contour crosses itself at (%s, %s); it was parted there. Check both loops."
                        .formatted(Numbers.plain(place.x(), 2), Numbers.plain(place.y(), 2));
        faults.add(Fault.left(Fault.Kind.CROSSING, place, 0, sentence));
    }
}
