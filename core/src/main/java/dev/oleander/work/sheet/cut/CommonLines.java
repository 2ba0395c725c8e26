package dev.oleander.work.sheet.cut;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Straight edges of two parts that lie a kerf apart: the middle line of the cut is the same for
 * both, so the part that comes later need not cut it again.
 */
public final class CommonLines {

    /** mm that the ends of both lines may lie apart. */
    private static final double SAME = 0.02;

    /** mm; shorter lines are not worth starting in the kerf. */
    private static final double SHORTEST = 5;

    private record Edge(int stop, int segment, Segment line) {}

    private final List<Edge> edges = new ArrayList<>();
    private final SegmentIndex<SegmentIndex.Entry<Edge>> index;

    /**
     * @param ordered stops by rule, in cutting order
     */
    public CommonLines(List<Stop> ordered) {
        List<SegmentIndex.Entry<Edge>> entries = new ArrayList<>();
        for (int i = 0; i < ordered.size(); i++) {
            Stop stop = ordered.get(i);
            if (stop.side() == Side.OUTSIDE && stop.path().isPresent()) {
                List<Segment> main = stop.path().get().main();
                for (int s = 0; s < main.size(); s++) {
                    if (main.get(s) instanceof Line && main.get(s).length() >= SHORTEST) {
                        Edge edge = new Edge(i, s, main.get(s));
                        edges.add(edge);
                        entries.add(new SegmentIndex.Entry<>(edge, edge.line()));
                    }
                }
            }
        }
        this.index = SegmentIndex.ofEntries(entries);
    }

    /**
     * A line that an earlier stop cuts.
     *
     * @param by number of that stop
     */
    public record Shared(Segment line, int by) {}

    /** By place in the order: the lines of each stop that an earlier one cuts. */
    public List<List<Shared>> ofStops(int count) {
        List<List<Shared>> shared = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            shared.add(List.of());
        }
        Set<Edge> taken = new HashSet<>();
        for (Edge edge : edges) {
            Edge first = earlier(edge, taken);
            if (first != null) {
                // a line lies between two parts: it is shared once
                taken.add(first);
                List<Shared> more = new ArrayList<>(shared.get(edge.stop()));
                more.add(new Shared(edge.line(), first.stop() + 1));
                shared.set(edge.stop(), more);
            }
        }
        return shared;
    }

    private Edge earlier(Edge edge, Set<Edge> taken) {
        Box around = edge.line().box().grown(SAME);
        for (SegmentIndex.Entry<Edge> near : index.touching(around)) {
            Edge other = near.item();
            if (other.stop() < edge.stop() && !taken.contains(other) && isSame(edge, other)) {
                return other;
            }
        }
        return null;
    }

    private static boolean isSame(Edge a, Edge b) {
        return a.line().start().distance(b.line().end()) <= SAME
                && a.line().end().distance(b.line().start()) <= SAME;
    }
}
