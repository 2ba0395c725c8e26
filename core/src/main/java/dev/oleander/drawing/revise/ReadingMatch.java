package dev.oleander.drawing.revise;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Says which feature of a new drawing is which of the old one: first the same contour in the same
 * place; then one of the same kind, form and size near by; then one of the same kind whose middle
 * lies where the old one's did.
 */
public final class ReadingMatch {

    /** Share of its size that a feature may have moved and still be looked for. */
    private static final double NEAR = 1.5;

    private final double tolerance;

    /**
     * @param tolerance mm; how far a contour may lie from the old one and still be the same
     */
    public ReadingMatch(double tolerance) {
        this.tolerance = tolerance;
    }

    /**
     * What became of the features of the old drawing.
     *
     * @param same ids in the new drawing by old ids, where nothing changed
     * @param changed ids in the new drawing by old ids, where it moved or has another shape
     * @param lost old features that the new drawing does not have
     * @param added ids that the old drawing did not have
     */
    public record Match(
            Map<String, String> same,
            Map<String, String> changed,
            List<Feature> lost,
            List<String> added) {}

    public Match match(Reading before, Reading after) {
        return new Run(before.features(), after.features()).match();
    }

    private final class Run {
        private final List<Feature> before;
        private final List<Feature> after;
        private final SegmentIndex<Point> centres;
        private final Set<String> taken = new HashSet<>();
        private final Map<String, String> same = new LinkedHashMap<>();
        private final Map<String, String> changed = new LinkedHashMap<>();

        Run(List<Feature> before, List<Feature> after) {
            this.before = before;
            this.after = after;
            this.centres = SegmentIndex.ofPoints(after.stream().map(f -> centre(f)).toList());
        }

        Match match() {
            List<Feature> left = new ArrayList<>();
            for (Feature old : before) {
                if (!take(old, same, tolerance, candidate -> isSame(old, candidate))) {
                    left.add(old);
                }
            }
            List<Feature> other = new ArrayList<>();
            for (Feature old : left) {
                if (!take(old, changed, NEAR * size(old), c -> isAlike(old, c))) {
                    other.add(old);
                }
            }
            List<Feature> lost = new ArrayList<>();
            for (Feature old : other) {
                if (!take(old, changed, size(old) / 4, c -> isOfKind(old, c))) {
                    lost.add(old);
                }
            }
            List<String> added =
                    after.stream().map(Feature::id).filter(id -> !taken.contains(id)).toList();
            return new Match(same, changed, lost, added);
        }

        /** Takes the nearest one that fits and nobody has. */
        private boolean take(
                Feature old, Map<String, String> into, double reach, Predicate<Feature> fits) {
            Point here = centre(old);
            return centres.positions(new Box(here, here).grown(reach)).stream()
                    .map(after::get)
                    .filter(f -> !taken.contains(f.id()))
                    .filter(fits)
                    .min(Comparator.comparingDouble(f -> centre(f).distance(here)))
                    .map(
                            f -> {
                                taken.add(f.id());
                                into.put(old.id(), f.id());
                                return true;
                            })
                    .orElse(false);
        }
    }

    private static Point centre(Feature f) {
        return f.chain().box().centre();
    }

    private static double size(Feature f) {
        return Math.hypot(f.chain().box().width(), f.chain().box().height());
    }

    private static boolean isOfKind(Feature a, Feature b) {
        return a.isClosed() == b.isClosed()
                && a.kind() == b.kind()
                && a.purpose() == b.purpose()
                && a.form().map(f -> f.kind()).equals(b.form().map(f -> f.kind()));
    }

    /** Of the same kind and size, wherever it lies. */
    private boolean isAlike(Feature a, Feature b) {
        double length = a.chain().length();
        return isOfKind(a, b)
                && Math.abs(length - b.chain().length())
                        <= tolerance * (1 + a.chain().segments().size())
                && Math.abs(a.area() - b.area()) <= tolerance * (1 + length);
    }

    private boolean isSame(Feature a, Feature b) {
        return a.isClosed() == b.isClosed()
                && a.purpose() == b.purpose()
                && a.kind() == b.kind()
                && liesOn(a.chain(), b.chain())
                && liesOn(b.chain(), a.chain());
    }

    private boolean liesOn(Chain a, Chain b) {
        for (Segment s : a.segments()) {
            for (Point p : List.of(s.start(), s.middle(), s.end())) {
                if (b.nearest(p).point().distance(p) > tolerance) {
                    return false;
                }
            }
        }
        return true;
    }
}
