package dev.oleander.work.sheet.cut;

import dev.oleander.geometry.Corners;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Tab;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Puts tabs on a closed path: spread evenly, then each to the nearest place that keeps away from
 * corners, on straight elements sooner than on curves.
 */
public final class TabPlacer {

    /** mm from a corner to the nearer end of a tab. */
    public static final double FROM_CORNER = 3;

    /** Degrees from which a joint counts as a corner. */
    private static final double CORNER = 20;

    /** Share of the whole path that a tab moves to come off a curve. */
    private static final double OFF_CURVE = 0.1;

    private final List<Segment> main;
    private final Corners corners;
    private final double length;
    private final double clear;

    /**
     * @param main the path once round, from where the cut begins
     * @param clear mm after the beginning and before the end without tabs: there the lead comes in
     *     and the cut closes
     */
    public TabPlacer(List<Segment> main, double clear) {
        this.main = main;
        this.corners = new Corners(main, true, CORNER);
        this.length = corners.length();
        this.clear = Math.max(clear, FROM_CORNER);
    }

    /** A free stretch for tabs. */
    private record Stretch(Corners.Room room, boolean straight) {}

    /**
     * @param byHand middles of tabs put by hand, mm along the path; those too near to the beginning
     *     are moved off it
     * @return in the order of the path; fewer than wanted where there is no room
     */
    public List<Tab> place(TabWish wish, List<Double> byHand) {
        List<Tab> tabs = new ArrayList<>();
        double half = wish.off() / 2;
        double first = clear + half;
        double last = length - clear - half;
        for (double at : byHand) {
            if (first <= last) {
                addIfFree(tabs, Math.max(first, Math.min(last, at)), wish);
            }
        }
        List<Stretch> stretches = stretches(wish.off());
        for (int i = 0; i < wish.count(); i++) {
            spread(tabs, stretches, length * (i + 0.5) / wish.count(), wish);
        }
        tabs.sort(Comparator.comparingDouble(Tab::from));
        return tabs;
    }

    /** Where a tab may lie: on straight elements, and between corners. */
    private List<Stretch> stretches(double off) {
        List<Stretch> stretches = new ArrayList<>();
        double after = 0;
        for (int i = 0; i < main.size(); i++) {
            double end = corners.end(i);
            boolean turns = corners.isAt(i + 1);
            if (main.get(i) instanceof Line) {
                double from = corners.start(i) + (corners.isAt(i) ? FROM_CORNER : 0);
                add(stretches, from, end - (turns ? FROM_CORNER : 0), off, true);
            }
            if (turns || i + 1 == main.size()) {
                add(stretches, after, end - (turns ? FROM_CORNER : 0), off, false);
                after = end + FROM_CORNER;
            }
        }
        return stretches;
    }

    private void add(
            List<Stretch> stretches, double from, double to, double off, boolean straight) {
        Corners.Room room = new Corners.Room(Math.max(from, clear), Math.min(to, length - clear));
        if (room.length() >= off) {
            stretches.add(new Stretch(room, straight));
        }
    }

    private void spread(List<Tab> tabs, List<Stretch> stretches, double wanted, TabWish wish) {
        double least = Double.POSITIVE_INFINITY;
        double best = -1;
        for (Stretch stretch : stretches) {
            double middle = stretch.room().middle(wanted, wish.off());
            double cost = Math.abs(middle - wanted) + (stretch.straight() ? 0 : OFF_CURVE * length);
            if (cost < least && isFree(tabs, middle, wish)) {
                least = cost;
                best = middle;
            }
        }
        if (best >= 0) {
            addIfFree(tabs, best, wish);
        }
    }

    private void addIfFree(List<Tab> tabs, double middle, TabWish wish) {
        double from = middle - wish.off() / 2;
        if (from >= 0 && middle + wish.off() / 2 <= length && isFree(tabs, middle, wish)) {
            tabs.add(new Tab(from, middle + wish.off() / 2, wish.lifts()));
        }
    }

    /** Two tabs leave at least their own length between them. */
    private static boolean isFree(List<Tab> tabs, double middle, TabWish wish) {
        double apart = 1.5 * wish.off();
        return tabs.stream().noneMatch(t -> middle > t.from() - apart && middle < t.to() + apart);
    }
}
