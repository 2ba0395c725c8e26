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
        List<SegmentIndex.Entry<Feature>> entries = new ArrayList<>();
        for (Feature feature : features) {
            feature.chain()
                    .segments()
                    .forEach(s -> entries.add(new SegmentIndex.Entry<>(feature, s)));
        }
        Map<String, Fault> found = new LinkedHashMap<>();
        SegmentIndex.pairs(
                entries.stream().map(SegmentIndex.Entry::segment).toList(),
                tolerance,
                MendOptions.MOST_PAIRS,
                (a, b) -> {
                    SegmentIndex.Entry<Feature> first = entries.get(Math.min(a, b));
                    SegmentIndex.Entry<Feature> second = entries.get(Math.max(a, b));
                    if (first.item() != second.item()) {
                        meet(first, second, found);
                    }
                    return found.size() < MOST;
                });
        return List.copyOf(found.values());
    }

    private void meet(
            SegmentIndex.Entry<Feature> a,
            SegmentIndex.Entry<Feature> b,
            Map<String, Fault> found) {
        List<Crossing> crossings = Intersections.of(a.segment(), b.segment(), tolerance);
        if (crossings.isEmpty()) {
            return;
        }
        Crossing first = crossings.get(0);
        Fault.Kind kind = kindOf(a.segment(), b.segment(), crossings);
        String key = kind + a.item().id() + b.item().id() + place(first.point());
        found.computeIfAbsent(key, k -> fault(kind, a.item(), b.item(), first.point()));
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
