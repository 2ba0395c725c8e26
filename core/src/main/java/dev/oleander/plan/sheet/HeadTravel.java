package dev.oleander.plan.sheet;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.CutPath;
import dev.oleander.plan.Stop;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Decides on which ways the head stays down: short ones that cross no piece that has come free,
 * since that could have tipped up into the way.
 */
final class HeadTravel {

    /** mm; side of the cells in which free pieces are kept. */
    private static final double CELL = 50;

    /** mm a way may lie within the kerf round a free piece, where every cut ends. */
    private static final double ON_EDGE = 1e-3;

    private final double longest;
    private final Map<Long, List<Contour>> free = new HashMap<>();

    /**
     * @param longest mm; longer ways are always travelled with the head up; 0: all are
     */
    HeadTravel(double longest) {
        this.longest = longest;
    }

    /** The same stops, each knowing whether the head comes to it low. */
    List<Stop> decide(List<Stop> stops) {
        if (longest <= 0) {
            return stops;
        }
        List<Stop> decided = new ArrayList<>(stops.size());
        Stop before = null;
        for (Stop stop : stops) {
            boolean low = before != null && stop.path().isPresent() && staysDown(before, stop);
            decided.add(stop.comingLow(low));
            if (stop.path().isPresent()) {
                before = stop;
                addFree(stop, stop.path().get());
            }
        }
        return decided;
    }

    private boolean staysDown(Stop before, Stop stop) {
        Point from = before.path().orElseThrow().end();
        Point to = stop.path().orElseThrow().pierce();
        double way = from.distance(to);
        return way > ON_EDGE
                && way <= longest
                && before.row().equals(stop.row())
                && isClear(new Line(from, to));
    }

    private boolean isClear(Line way) {
        boolean[] clear = {true};
        Cells.visit(
                way.box(),
                CELL,
                cell -> {
                    for (Contour piece : free.getOrDefault(cell, List.of())) {
                        clear[0] = clear[0] && !crosses(way, piece);
                    }
                });
        return clear[0];
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

    /** What comes free with a cut: a part, or the slug of an opening; not what tabs hold. */
    private void addFree(Stop stop, CutPath path) {
        if (stop.kind() == Stop.Kind.PROFILE && stop.tabs().isEmpty()) {
            Contour piece = new Contour(path.main());
            Box box = piece.box();
            Cells.visit(
                    box,
                    CELL,
                    cell -> free.computeIfAbsent(cell, c -> new ArrayList<>()).add(piece));
        }
    }
}
