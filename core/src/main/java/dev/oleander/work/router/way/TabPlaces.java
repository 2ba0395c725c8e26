package dev.oleander.work.router.way;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;

/**
 * Where tabs stand along a closed way: evenly, then moved by at most a quarter of the spacing away
 * from corners and off arcs.
 */
public final class TabPlaces {

    /** Radians by which the way may turn where segments meet without being a corner. */
    private static final double SMOOTH = 1e-4;

    /** Places that are tried to either side of the even one. */
    private static final int TRIED = 50;

    /** Share of the spacing by which a tab may be moved. */
    private static final double MOVED = 0.25;

    /** By how much less an arc is liked than a line as long. */
    private static final double ON_ARC = 1e-3;

    /** Shares of the spacing from the start of the way to the first. */
    private static final double[] PHASES = {0.5, 0, 0.25, 0.75};

    private final Contour way;
    private final double length;
    private final double clear;

    private TabPlaces(Contour way, double clear) {
        this.way = way;
        this.length = way.length();
        this.clear = clear;
    }

    /**
     * @param way of the tool's axis
     * @param count how many, 1 or more
     * @param width mm of the way that a tab takes
     * @param beside mm by which a tab keeps from corners and ends of arcs, where it can: the
     *     diameter of the tool, and its way down beside the tab
     * @return distances of their middles from the start of the way, mm
     */
    public static List<Double> even(Contour way, int count, double width, double beside) {
        if (count < 1) {
            throw new IllegalArgumentException("%d tabs".formatted(count));
        }
        TabPlaces places = new TabPlaces(way, width / 2 + beside);
        return places.best(count);
    }

    /** Begun where the tabs have to be moved least. */
    private List<Double> best(int count) {
        double spacing = length / count;
        List<Double> best = List.of();
        double least = Double.POSITIVE_INFINITY;
        for (double phase : PHASES) {
            List<Double> all = new ArrayList<>();
            double moved = 0;
            for (int i = 0; i < count; i++) {
                double even = (i + phase) * spacing;
                double place = best(even, MOVED * spacing);
                moved += Math.abs(place - even) + Math.max(0, clear - straight(place));
                all.add(place);
            }
            if (moved < least - 1e-9) {
                least = moved;
                best = List.copyOf(all);
            }
        }
        return best;
    }

    /** How many tabs stand no farther apart than a spacing, mm. */
    public static int count(double length, double spacing) {
        return (int) Math.max(1, Math.ceil(length / spacing - 1e-9));
    }

    /** The nearest place that is clear; where none is, the clearest. */
    private double best(double even, double most) {
        double best = even;
        double clearest = -1;
        for (int i = 0; i <= 2 * TRIED; i++) {
            int side = i % 2 == 0 ? 1 : -1;
            double place = even + side * ((i + 1) / 2) * most / TRIED;
            double clearance = straight(place);
            if (clearance >= clear) {
                return place;
            }
            if (clearance > clearest) {
                clearest = clearance;
                best = place;
            }
        }
        return best;
    }

    /**
     * mm of straight way to the nearer end of the line at a place; on an arc next to nothing, and
     * least at its ends.
     */
    private double straight(double place) {
        double within = ((place % length) + length) % length;
        double before = 0;
        List<Segment> segments = way.segments();
        for (int i = 0; i < segments.size(); i++) {
            double own = segments.get(i).length();
            if (within <= before + own || i == segments.size() - 1) {
                return segments.get(i) instanceof Line
                        ? Math.min(
                                within - before + joined(segments, i, -1),
                                before + own - within + joined(segments, i, 1))
                        : ON_ARC * Math.min(within - before, before + own - within);
            }
            before += own;
        }
        throw new IllegalStateException("a way without segments");
    }

    /** mm of lines that go straight on from one. */
    private static double joined(List<Segment> segments, int from, int step) {
        double more = 0;
        int n = segments.size();
        for (int k = 1; k < n; k++) {
            Segment here = segments.get(Math.floorMod(from + step * (k - 1), n));
            Segment next = segments.get(Math.floorMod(from + step * k, n));
            double turn =
                    here.direction(step > 0 ? 1 : 0)
                            .minus(next.direction(step > 0 ? 0 : 1))
                            .distance(Point.ORIGIN);
            if (!(next instanceof Line) || turn > SMOOTH) {
                return more;
            }
            more += next.length();
        }
        return more;
    }
}
