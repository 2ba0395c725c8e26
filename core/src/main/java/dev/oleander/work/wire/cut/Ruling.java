package dev.oleander.work.wire.cut;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * A stretch of the wire's way: in the lower plane and, at the same moments, in the upper one.
 * Places at equal shares of both belong together.
 */
public record Ruling(Segment lower, Segment upper) {

    /** A stretch on which the wire stands upright. */
    public static Ruling upright(Segment segment) {
        return new Ruling(segment, segment);
    }

    public boolean isUpright() {
        return lower.equals(upper);
    }

    public Ruling reversed() {
        return isUpright()
                ? upright(lower.reversed())
                : new Ruling(lower.reversed(), upper.reversed());
    }

    /**
     * One edge of a closed surface; small gaps between its stretches are closed.
     *
     * @param edge lower or upper
     */
    public static Contour closed(List<Ruling> surface, Function<Ruling, Segment> edge) {
        List<Segment> closed = new ArrayList<>(surface.size());
        Point begin = edge.apply(surface.get(0)).start();
        Point at = begin;
        for (int i = 0; i < surface.size(); i++) {
            Segment segment = edge.apply(surface.get(i));
            Point end = i + 1 == surface.size() ? begin : segment.end();
            closed.add(segment.withEnds(at, end));
            at = end;
        }
        return new Contour(closed);
    }

    /** All stretches the other way round. */
    public static List<Ruling> reversed(List<Ruling> rulings) {
        List<Ruling> back = new ArrayList<>(rulings.size());
        for (int i = rulings.size() - 1; i >= 0; i--) {
            back.add(rulings.get(i).reversed());
        }
        return back;
    }

    /**
     * Into straight stretches, since guides that move apart run straight.
     *
     * @param tolerance mm; how far chords may leave arcs
     */
    public List<Ruling> straight(double tolerance) {
        int parts = Math.max(chords(lower, tolerance), chords(upper, tolerance));
        if (parts == 1) {
            return List.of(new Ruling(chord(lower, 0, 1, 1), chord(upper, 0, 1, 1)));
        }
        List<Ruling> all = new ArrayList<>(parts);
        for (int i = 0; i < parts; i++) {
            all.add(new Ruling(chord(lower, i, i + 1, parts), chord(upper, i, i + 1, parts)));
        }
        return all;
    }

    private static Segment chord(Segment of, int from, int to, int parts) {
        return Segment.of(of.at((double) from / parts), of.at((double) to / parts), 0);
    }

    /** The sagitta of a chord over the angle a is r (1 - cos(a / 2)). */
    private static int chords(Segment segment, double tolerance) {
        if (!(segment instanceof Arc arc)) {
            return 1;
        }
        double share = Math.min(1, tolerance / arc.radius());
        double most = 2 * Math.acos(1 - share);
        return Math.max(1, (int) Math.ceil(Math.abs(arc.sweep()) / most));
    }
}
