package dev.oleander.work.sheet.motion;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.Tab;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * A path in pieces over which feed and process stay the same: cut at tabs and near corners, where
 * the feed is less.
 */
final class Stretches {

    /** mm; shorter pieces are not worth a block of their own. */
    private static final double SHORTEST = 1e-3;

    private final Stop stop;
    private final CutPath path;
    private final Pass pass;
    private final boolean cuts;

    /**
     * @param cuts whether tabs and corners matter, as they do not when only the surface is marked
     */
    Stretches(Stop stop, CutPath path, Pass pass, boolean cuts) {
        this.stop = stop;
        this.path = path;
        this.pass = pass;
        this.cuts = cuts;
    }

    /**
     * A piece of a segment.
     *
     * @param feed mm/min
     * @param on whether the process works
     * @param lifts whether the head is up over it
     * @param skipped whether it is a common line, cut already and passed over
     * @param index of the segment within the whole path
     */
    record Stretch(
            Segment segment, double feed, boolean on, boolean lifts, boolean skipped, int index) {}

    List<Stretch> all() {
        List<Segment> segments = path.all();
        List<Stretch> all = new ArrayList<>(segments.size());
        int first = path.leadIn().size();
        int end = first + path.main().size();
        double along = 0;
        for (int i = 0; i < segments.size(); i++) {
            boolean main = cuts && i >= first && i < end;
            if (main) {
                double slowFrom =
                        i > 0 && slows(segments.get(i - 1), segments.get(i)) ? within() : 0;
                boolean turns =
                        i + 1 < segments.size() && slows(segments.get(i), segments.get(i + 1));
                split(all, segments.get(i), i, along, slowFrom, turns ? within() : 0);
                along += segments.get(i).length();
            } else {
                all.add(new Stretch(segments.get(i), pass.feed(), true, false, false, i));
            }
        }
        return all;
    }

    private double within() {
        return SheetCut.of(stop).row().orElseThrow().corner().within();
    }

    /** Whether the feed is less where two segments meet. */
    private boolean slows(Segment before, Segment after) {
        CutRow.Corner corner = SheetCut.of(stop).row().orElseThrow().corner();
        if (corner.share() >= 1) {
            return false;
        }
        double cos = before.direction(1).dot(after.direction(0));
        boolean turns = cos < Math.cos(Math.toRadians(corner.over()));
        return turns || isCorner(before) || isCorner(after);
    }

    /** An arc no wider than the kerf, where the path goes round a sharp corner. */
    private boolean isCorner(Segment segment) {
        CutRow row = SheetCut.of(stop).row().orElseThrow();
        return row.corner().share() < 1
                && segment instanceof Arc arc
                && arc.radius() <= row.kerf()
                && Math.abs(arc.sweep()) > Math.toRadians(row.corner().over());
    }

    /**
     * @param along mm along the main path where the segment begins
     * @param slowFrom mm at its beginning with less feed
     * @param slowTo mm at its end
     */
    private void split(
            List<Stretch> all,
            Segment segment,
            int index,
            double along,
            double slowFrom,
            double slowTo) {
        double length = segment.length();
        if (length <= SHORTEST) {
            all.add(
                    new Stretch(
                            segment,
                            pass.feed(),
                            tabAt(along) == null,
                            false,
                            isShared(along),
                            index));
            return;
        }
        TreeSet<Double> cutsAt = new TreeSet<>(List.of(0.0, length));
        cutsAt.add(Math.min(length, slowFrom));
        cutsAt.add(Math.max(0, length - slowTo));
        for (Tab tab : stop.tabs()) {
            cutsAt.add(Math.max(0, Math.min(length, tab.from() - along)));
            cutsAt.add(Math.max(0, Math.min(length, tab.to() - along)));
        }
        double from = 0;
        for (double to : cutsAt.tailSet(SHORTEST)) {
            boolean last = to == length;
            if (!last && Math.min(to - from, length - to) < SHORTEST) {
                continue;
            }
            double middle = (from + to) / 2;
            boolean slow = isCorner(segment) || middle < slowFrom || middle > length - slowTo;
            double feed =
                    slow
                            ? pass.feed() * SheetCut.of(stop).row().orElseThrow().corner().share()
                            : pass.feed();
            Tab tab = tabAt(along + middle);
            boolean whole = from == 0 && last;
            Segment piece = whole ? segment : segment.between(from / length, to / length);
            all.add(
                    new Stretch(
                            piece,
                            feed,
                            tab == null,
                            tab != null && tab.lifts(),
                            isShared(along + middle),
                            index));
            from = to;
        }
    }

    private boolean isShared(double along) {
        return SheetCut.of(stop).shared().stream().anyMatch(g -> g.holds(along));
    }

    private Tab tabAt(double along) {
        return stop.tabs().stream()
                .filter(t -> along > t.from() && along < t.to())
                .findFirst()
                .orElse(null);
    }
}
