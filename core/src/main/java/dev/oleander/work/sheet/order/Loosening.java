package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.HeldEdge;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import java.util.List;

/**
 * What it costs to cut early where the sheet is loose. A sheet that is cut into far from where it
 * is held swings and shifts under all the cuts that follow.
 *
 * @param cost seconds for a metre of cut at the loose edge that comes first of all
 */
public record Loosening(HeldEdge held, Box stock, double cost) {

    private static final double MM_PER_M = 1000;

    /** The sheet does not move. */
    public static final Loosening NONE = new Loosening(HeldEdge.NONE, null, 0);

    /** Where a run begins that leaves for later what is loose: at the held edge, the head near. */
    Point begin() {
        return held == HeldEdge.NONE ? Point.ORIGIN : held.nearest(stock, Point.ORIGIN);
    }

    /** Seconds that stops would cost if they came first of all. */
    double of(List<Stop> stops) {
        return held == HeldEdge.NONE ? 0 : stops.stream().mapToDouble(this::of).sum();
    }

    /** Seconds that an order costs. */
    public double ofOrder(List<Stop> ordered) {
        List<Stop> cut = ordered.stream().filter(s -> s.path().isPresent()).toList();
        double sum = 0;
        for (int i = 0; i < cut.size() - 1; i++) {
            sum += of(cut.subList(i, i + 1)) * (cut.size() - 1 - i) / (cut.size() - 1);
        }
        return sum;
    }

    private double of(Stop stop) {
        if (stop.kind() == Stop.Kind.MARK) {
            return 0;
        }
        CutPath path = stop.path().orElseThrow();
        double length = path.main().stream().mapToDouble(Segment::length).sum();
        return cost * length / MM_PER_M * held.looseness(stock, path.pierce());
    }
}
