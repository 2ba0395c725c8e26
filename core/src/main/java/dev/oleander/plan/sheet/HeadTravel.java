package dev.oleander.plan.sheet;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.Stop;
import java.util.ArrayList;
import java.util.List;

/**
 * Decides on which ways the head stays down: short ones that cross no piece that has come free,
 * since that could have tipped up into the way.
 */
final class HeadTravel {

    /** mm a way may lie within the kerf round a free piece, where every cut ends. */
    private static final double ON_EDGE = 1e-3;

    private final double longest;

    /** What would come free with each stop; null where nothing does. */
    private final List<Contour> pieces;

    private final SegmentIndex<Box> boxes;

    /**
     * @param longest mm; longer ways are always travelled with the head up; 0: all are
     * @param ordered stops in cutting order; where they begin does not matter
     */
    HeadTravel(double longest, List<Stop> ordered) {
        this.longest = longest;
        this.pieces = new ArrayList<>(ordered.size());
        List<Box> all = new ArrayList<>(ordered.size());
        for (Stop stop : ordered) {
            boolean frees = stop.kind() == Stop.Kind.PROFILE && stop.path().isPresent();
            Contour piece = frees ? new Contour(stop.path().get().main()) : null;
            pieces.add(piece);
            all.add(frees ? piece.box() : new Box(Point.ORIGIN, Point.ORIGIN));
        }
        this.boxes = SegmentIndex.ofBoxes(all);
    }

    /** The same stops, each knowing whether the head comes to it low. */
    List<Stop> decide(List<Stop> stops) {
        List<Stop> decided = new ArrayList<>(stops.size());
        for (int i = 0; i < stops.size(); i++) {
            decided.add(decide(stops, i));
        }
        return decided;
    }

    /** One of them. */
    Stop decide(List<Stop> stops, int index) {
        Stop stop = stops.get(index);
        return longest <= 0 ? stop : stop.comingLow(staysDown(stops, index));
    }

    private boolean staysDown(List<Stop> stops, int index) {
        int before = index - 1;
        while (before >= 0 && stops.get(before).path().isEmpty()) {
            before--;
        }
        Stop stop = stops.get(index);
        if (before < 0 || stop.path().isEmpty()) {
            return false;
        }
        Point from = stops.get(before).end();
        Point to = stop.path().get().pierce();
        double way = from.distance(to);
        return way > ON_EDGE
                && way <= longest
                && stops.get(before).row().equals(stop.row())
                && isClear(new Line(from, to), stops, index);
    }

    private boolean isClear(Line way, List<Stop> stops, int index) {
        boolean[] clear = {true};
        boxes.visit(
                way.box(),
                i -> {
                    if (clear[0] && i < index && isFree(stops.get(i), i)) {
                        clear[0] = !crosses(way, pieces.get(i));
                    }
                });
        return clear[0];
    }

    /** Whether a piece has come free with a stop: not what tabs hold, nor what is not cut. */
    private boolean isFree(Stop stop, int index) {
        return pieces.get(index) != null && stop.path().isPresent() && stop.tabs().isEmpty();
    }

    /** Whether a way runs over a piece and not only along its kerf. */
    private static boolean crosses(Line way, Contour piece) {
        if (way.box().distance(piece.box()) > 0) {
            return false;
        }
        List<Double> places = new ArrayList<>(List.of(0.0, 1.0));
        for (Segment segment : piece.segments()) {
            if (way.box().distance(segment.box()) == 0) {
                Intersections.of(way, segment, ON_EDGE / 10)
                        .forEach(c -> places.add(way.nearest(c.point())));
            }
        }
        places.sort(null);
        for (int i = 1; i < places.size(); i++) {
            boolean stretch = (places.get(i) - places.get(i - 1)) * way.length() > ON_EDGE;
            if (stretch && piece.contains(way.at((places.get(i) + places.get(i - 1)) / 2))) {
                return true;
            }
        }
        return false;
    }
}
