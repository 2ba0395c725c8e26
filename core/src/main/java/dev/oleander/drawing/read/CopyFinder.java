package dev.oleander.drawing.read;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Finds parts that are equal but for their place, also turned or turned over. Candidates agree in
 * what no motion changes: number of openings, area, length. Then a motion is sought that carries
 * the outline onto the other, and every opening has to come to lie on one.
 */
final class CopyFinder {

    private final double tolerance;

    /**
     * @param tolerance mm; how far a contour may lie from its copy
     */
    CopyFinder(double tolerance) {
        this.tolerance = tolerance;
    }

    /** What no motion changes; areas in mm2, lengths in mm. */
    private record Sizes(Part part, double area, double length) {}

    List<Part> mark(List<Part> parts) {
        Map<Integer, NavigableMap<Double, List<Sizes>>> firsts = new HashMap<>();
        List<Part> marked = new ArrayList<>(parts.size());
        for (Part part : parts) {
            Region region = part.region();
            double length = region.contours().stream().mapToDouble(Contour::length).sum();
            Sizes sizes = new Sizes(part, region.area(), length);
            NavigableMap<Double, List<Sizes>> byArea =
                    firsts.computeIfAbsent(region.openings().size(), n -> new TreeMap<>());
            double margin = tolerance * length;
            Optional<Part> copy =
                    byArea
                            .subMap(sizes.area() - margin, true, sizes.area() + margin, true)
                            .values()
                            .stream()
                            .flatMap(List::stream)
                            .filter(first -> isLike(first, sizes))
                            .map(first -> copy(first.part(), part))
                            .flatMap(Optional::stream)
                            .findFirst();
            if (copy.isEmpty()) {
                byArea.computeIfAbsent(sizes.area(), a -> new ArrayList<>()).add(sizes);
            }
            marked.add(copy.orElse(part));
        }
        return marked;
    }

    private boolean isLike(Sizes a, Sizes b) {
        int contours = 1 + a.part().region().openings().size();
        return Math.abs(a.length() - b.length()) <= 8 * tolerance * contours;
    }

    private Optional<Part> copy(Part first, Part other) {
        for (boolean over : new boolean[] {false, true}) {
            if (motion(first.region(), other.region(), over).isPresent()) {
                return Optional.of(other.asCopyOf(first.id(), over));
            }
        }
        return Optional.empty();
    }

    /**
     * The motion that carries a region onto an equal one; empty when they are not.
     *
     * @param over whether it is turned over first
     */
    Optional<Transform> motion(Region from, Region to, boolean over) {
        Transform flip = over ? Transform.mirror() : Transform.IDENTITY;
        Region turned = over ? from.transformed(flip) : from;
        Landing landing = new Landing(to);
        for (Transform motion : motions(turned, to)) {
            if (landing.takes(turned, motion)) {
                return Optional.of(flip.then(motion));
            }
        }
        return Optional.empty();
    }

    /** Motions that put the centre of one outline on the other's and a marked direction on one. */
    private List<Transform> motions(Region from, Region to) {
        Point a = from.outer().centroid();
        Point b = to.outer().centroid();
        if (!a.isFinite() || !b.isFinite()) {
            // there and back on one line: an outline without area has no centre
            return List.of();
        }
        Optional<Point> mark = landmarks(from, a).stream().findFirst();
        List<Transform> motions = new ArrayList<>();
        if (mark.isEmpty()) {
            motions.add(Transform.translation(b.minus(a)));
            return motions;
        }
        double reach = mark.get().distance(a);
        for (Point other : landmarks(to, b)) {
            if (Math.abs(other.distance(b) - reach) <= 2 * tolerance) {
                double turn = other.minus(b).angle() - mark.get().minus(a).angle();
                motions.add(
                        Transform.translation(a.times(-1))
                                .then(Transform.rotation(turn))
                                .then(Transform.translation(b)));
            }
        }
        return motions;
    }

    /** Corners of the outline and middles of openings away from its centre, the farthest first. */
    private List<Point> landmarks(Region region, Point centre) {
        List<Point> marks = new ArrayList<>();
        boolean round = region.outer().circleDiameter(tolerance).isPresent();
        if (!round) {
            region.outer().segments().forEach(s -> marks.add(s.start()));
        }
        if (round || marks.isEmpty()) {
            region.openings().forEach(o -> marks.add(o.centroid()));
        }
        marks.removeIf(m -> m.distance(centre) <= 4 * tolerance);
        marks.sort((p, q) -> Double.compare(q.distance(centre), p.distance(centre)));
        return marks;
    }

    /** Asks of many motions whether they put a region onto this one. */
    private final class Landing {
        private final Region to;
        private final SegmentIndex<Point> centres;

        Landing(Region to) {
            this.to = to;
            this.centres =
                    SegmentIndex.ofPoints(to.openings().stream().map(Contour::centroid).toList());
        }

        boolean takes(Region from, Transform motion) {
            if (!liesOn(from.outer(), motion, to.outer())) {
                return false;
            }
            for (Contour opening : from.openings()) {
                Point centre = motion.apply(opening.centroid());
                Box near = new Box(centre, centre).grown(2 * tolerance);
                boolean met =
                        centres.positions(near).stream()
                                .anyMatch(i -> liesOn(opening, motion, to.openings().get(i)));
                if (!met) {
                    return false;
                }
            }
            return true;
        }

        private boolean liesOn(Contour contour, Transform motion, Contour other) {
            if (Math.abs(contour.length() - other.length())
                    > 4 * tolerance * contour.vertices().edges()) {
                return false;
            }
            return contour.segments().stream()
                    .allMatch(
                            s ->
                                    isOn(motion.apply(s.start()), other)
                                            && isOn(motion.apply(s.middle()), other));
        }

        private boolean isOn(Point p, Contour other) {
            return other.nearest(p).point().distance(p) <= 2 * tolerance;
        }
    }
}
