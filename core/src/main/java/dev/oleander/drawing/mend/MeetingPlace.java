package dev.oleander.drawing.mend;

import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.ChainCutter;
import dev.oleander.geometry.edit.EditException;
import java.util.Comparator;
import java.util.List;

/**
 * Where the two ends of a gap are joined. Where both go on to a corner within the tolerance they
 * meet there, so that neither is turned; else half way.
 */
final class MeetingPlace {

    /** Sine of the angle below which one line goes on as the other and there is no corner. */
    private static final double STRAIGHT_ON = 0.05;

    private final MendOptions options;

    MeetingPlace(MendOptions options) {
        this.options = options;
    }

    /** End 2 i is the start of piece i, end 2 i + 1 its end. */
    Point of(List<Piece> pieces, int first, int second) {
        Segment a = leadingTo(pieces, first);
        Segment b = leadingTo(pieces, second);
        Point half = a.end().midpoint(b.end());
        boolean corner = Math.abs(a.direction(1).cross(b.direction(1))) > STRAIGHT_ON;
        if (!corner) {
            return half;
        }
        try {
            return Intersections.of(longer(a), longer(b), options.exact()).stream()
                    .map(Intersections.Crossing::point)
                    .filter(p -> p.distance(a.end()) <= options.gap())
                    .filter(p -> p.distance(b.end()) <= options.gap())
                    .min(Comparator.comparingDouble(half::distance))
                    .orElse(half);
        } catch (EditException closes) {
            return half;
        }
    }

    private static Segment leadingTo(List<Piece> pieces, int end) {
        Segment segment = pieces.get(end / 2).segment();
        return end % 2 == 1 ? segment : segment.reversed();
    }

    private Segment longer(Segment segment) {
        return ChainCutter.continued(segment, options.gap());
    }
}
