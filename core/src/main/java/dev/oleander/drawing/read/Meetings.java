package dev.oleander.drawing.read;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Intersections.Crossing;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Finds where different features cross, touch or share a stretch. */
final class Meetings {

    /** Sine of the angle below which two lines touch rather than cross. */
    private static final double TOUCHING = 1e-4;

    /** More meetings are not listed one by one: such a drawing is no drawing of parts. */
    private static final int MOST = 2000;

    private final double tolerance;

    Meetings(double tolerance) {
        this.tolerance = tolerance;
    }

    List<Fault> find(List<Feature> features) {
        List<Segment> segments = new ArrayList<>();
        int[] ends = new int[features.size()];
        for (int i = 0; i < ends.length; i++) {
            segments.addAll(features.get(i).chain().segments());
            ends[i] = segments.size();
        }
        int[] owner = owners(ends, segments.size());
        Map<String, Fault> found = new LinkedHashMap<>();
        SegmentIndex.pairs(
                segments,
                tolerance,
                MendOptions.MOST_PAIRS,
                (a, b) -> {
                    if (owner[a] != owner[b]) {
                        int first = Math.min(a, b);
                        int second = Math.max(a, b);
                        meet(
                                features.get(owner[first]),
                                segments.get(first),
                                features.get(owner[second]),
                                segments.get(second),
                                found);
                    }
                    return found.size() < MOST;
                });
        return List.copyOf(found.values());
    }

    /** Which feature each segment belongs to. */
    private static int[] owners(int[] ends, int segments) {
        int[] owner = new int[segments];
        for (int i = 0; i < ends.length; i++) {
            Arrays.fill(owner, i == 0 ? 0 : ends[i - 1], ends[i], i);
        }
        return owner;
    }

    private void meet(Feature a, Segment onA, Feature b, Segment onB, Map<String, Fault> found) {
        List<Crossing> crossings = Intersections.of(onA, onB, tolerance);
        if (crossings.isEmpty()) {
            return;
        }
        Crossing first = crossings.get(0);
        Fault.Kind kind = kindOf(onA, onB, crossings);
        String key = kind + a.id() + b.id() + place(first.point());
        found.computeIfAbsent(key, k -> fault(kind, a, b, first.point()));
    }

    private Fault.Kind kindOf(Segment a, Segment b, List<Crossing> crossings) {
        Crossing first = crossings.get(0);
        Point along = a.direction(first.onFirst());
        double sine = Math.abs(along.cross(b.direction(first.onSecond())));
        if (crossings.size() > 1 && sine < TOUCHING) {
            return Fault.Kind.SHARED_EDGE;
        }
        boolean inner = isInner(a, first.onFirst()) && isInner(b, first.onSecond());
        return inner && sine > TOUCHING ? Fault.Kind.CROSSING : Fault.Kind.TOUCHING;
    }

    private boolean isInner(Segment segment, double t) {
        double least = tolerance / segment.length();
        return t > least && t < 1 - least;
    }

    private Fault fault(Fault.Kind kind, Feature a, Feature b, Point place) {
        String verb =
                switch (kind) {
                    case CROSSING -> "cross";
                    case SHARED_EDGE -> "share a stretch";
                    default -> "touch";
                };
        String sentence = "%s and %s %s at %s.".formatted(named(a), named(b), verb, place(place));
        return Fault.left(kind, place, 0, sentence).between(a.id(), b.id());
    }

    private static String named(Feature feature) {
        String what =
                switch (feature.kind()) {
                    case OUTLINE -> "Outline";
                    case OPENING -> "Opening";
                    case OPEN -> "Open line";
                };
        return what + " " + feature.id();
    }

    private static String place(Point p) {
        return "(" + Numbers.plain(p.x(), 2) + ", " + Numbers.plain(p.y(), 2) + ")";
    }
}
