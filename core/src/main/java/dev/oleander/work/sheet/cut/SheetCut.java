package dev.oleander.work.sheet.cut;

import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Approach;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.StopWork;
import dev.oleander.work.sheet.book.CutRow;
import java.util.List;
import java.util.Optional;

/**
 * How a stop is cut from a sheet.
 *
 * @param startAt where the path begins, mm along the drawn contour
 * @param row data used; empty when the book has none
 * @param shared stretches of the main path that an earlier stop has cut
 * @param approach how the head comes from the stop before
 */
public record SheetCut(double startAt, Optional<CutRow> row, List<Gap> shared, Approach approach)
        implements StopWork {

    public SheetCut {
        shared = List.copyOf(shared);
    }

    /**
     * That of a stop on a sheet.
     *
     * @throws ClassCastException when it is another kind of work
     */
    public static SheetCut of(Stop stop) {
        return (SheetCut) stop.work();
    }

    @Override
    public double commonLine() {
        return shared.stream().mapToDouble(gap -> gap.to() - gap.from()).sum();
    }

    /** The stop, come to in another way. */
    public static Stop approached(Stop stop, Approach other) {
        SheetCut cut = of(stop);
        return other.equals(cut.approach)
                ? stop
                : stop.with(new SheetCut(cut.startAt, cut.row, cut.shared, other));
    }

    /**
     * Where the head is when the process goes off for the last time; a common line at the end of
     * the path is not travelled.
     *
     * @throws java.util.NoSuchElementException when the stop has no path
     */
    public static Point end(Stop stop) {
        CutPath path = stop.path().orElseThrow();
        List<Gap> shared = of(stop).shared;
        if (shared.isEmpty() || !path.overRun().isEmpty() || !path.leadOut().isEmpty()) {
            return path.end();
        }
        Path main = new Path(path.main());
        Gap last = shared.get(shared.size() - 1);
        boolean atEnd = last.to() > main.length() - 1e-6;
        return atEnd ? main.stationAt(last.from()).point() : path.end();
    }
}
