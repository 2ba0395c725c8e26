package dev.oleander.drawing.mend;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Lets pieces that are kept reach as far as the doubles that were dropped for lying on them. A
 * double may stick out by up to the tolerance; where only that end came near to the next piece, the
 * contour would open. An end that has a neighbour already stays where it is, unless the double met
 * its own neighbour exactly.
 */
final class Overhangs {

    /** Where a dropped segment sticks out of a kept piece, and by how much, mm. */
    private record Overhang(Point to, double by) {}

    private final MendOptions options;

    /** The longest at each end: 2 i at the start of piece i, 2 i + 1 at its end. */
    private final Map<Integer, Overhang> found = new TreeMap<>();

    Overhangs(MendOptions options) {
        this.options = options;
    }

    /**
     * @param kept number of the piece that is kept
     */
    void note(int kept, Segment segment, Segment dropped) {
        for (Point end : List.of(dropped.start(), dropped.end())) {
            double t = segment.nearest(end);
            double by = segment.at(t).distance(end);
            if ((t <= 0 || t >= 1) && by > options.exact()) {
                found.merge(
                        2 * kept + (t >= 1 ? 1 : 0),
                        new Overhang(end, by),
                        (a, b) -> b.by() > a.by() ? b : a);
            }
        }
    }

    /** Stretches pieces in place; others are the pieces that have no double. */
    void stretch(List<Piece> pieces, List<Piece> others) {
        if (found.isEmpty()) {
            return;
        }
        List<Point> ends = new ArrayList<>();
        pieces.forEach(p -> ends.addAll(List.of(p.segment().start(), p.segment().end())));
        others.forEach(p -> ends.addAll(List.of(p.segment().start(), p.segment().end())));
        SegmentIndex<Point> index = SegmentIndex.ofPoints(ends);
        found.forEach(
                (end, overhang) -> {
                    Point own = ends.get(end);
                    boolean alone = !isMet(end, own, options.gap(), ends, index);
                    boolean meetsThere =
                            isMet(end, overhang.to(), options.exact(), ends, index)
                                    && !isMet(end, own, options.exact(), ends, index);
                    if (alone || meetsThere) {
                        Piece piece = pieces.get(end / 2);
                        pieces.set(end / 2, stretched(piece, end % 2 == 1, overhang.to()));
                    }
                });
    }

    /** Whether another end than one's own lies at a place. */
    private static boolean isMet(
            int own, Point place, double within, List<Point> ends, SegmentIndex<Point> index) {
        return index.positions(new Box(place, place).grown(within)).stream()
                .anyMatch(i -> i != own && ends.get(i).distance(place) <= within);
    }

    private static Piece stretched(Piece piece, boolean atEnd, Point to) {
        Segment segment = piece.segment();
        return piece.with(
                atEnd
                        ? segment.withEnds(segment.start(), to)
                        : segment.withEnds(to, segment.end()));
    }
}
