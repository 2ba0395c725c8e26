package dev.oleander.work.sheet.plan;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.order.HeadTravel;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What stays of a plan while only leads and tabs change: the order, and what lies where. */
final class PlanFrame {

    private final CutLibrary cuts;
    private final List<Stop> ordered;
    private final HeadTravel travel;
    private final SegmentIndex<Box> reaches;
    private final Map<String, Integer> byStop = new HashMap<>();
    private final Map<String, List<Integer>> byFeature = new HashMap<>();

    /**
     * @param ordered stops by rule, in their order
     */
    PlanFrame(CutLibrary cuts, List<Stop> ordered, HeadTravel travel) {
        this.cuts = cuts;
        this.ordered = ordered;
        this.travel = travel;
        Box nowhere = new Box(Point.ORIGIN, Point.ORIGIN);
        List<Box> boxes = new ArrayList<>(ordered.size());
        for (Stop stop : ordered) {
            byStop.put(stop.id(), boxes.size());
            byFeature.computeIfAbsent(stop.feature(), f -> new ArrayList<>()).add(boxes.size());
            boxes.add(stop.path().map(path -> reach(stop, path)).orElse(nowhere));
        }
        this.reaches = SegmentIndex.ofBoxes(boxes);
    }

    CutLibrary cuts() {
        return cuts;
    }

    List<Stop> ordered() {
        return ordered;
    }

    HeadTravel travel() {
        return travel;
    }

    /** Where each stop looks for room, by its place in the order. */
    SegmentIndex<Box> reaches() {
        return reaches;
    }

    /** Place in the order of a stop; null when there is none. */
    Integer indexOf(String stop) {
        return byStop.get(stop);
    }

    /** Places in the order that a key of choices speaks of: c3 or c3.2. */
    List<Integer> indicesOf(String key) {
        Integer one = byStop.get(key);
        return one != null ? List.of(one) : byFeature.getOrDefault(key, List.of());
    }

    /** A stop's longest lead by rule and its clearance, round its path. */
    private static Box reach(Stop stop, CutPath path) {
        Box main = Box.around(path.main().stream().map(Segment::box).toList());
        double lead = stop.leadIn().length() + 2 * stop.leadIn().radius();
        double room =
                SheetCut.of(stop)
                        .row()
                        .map(r -> 2 * Math.max(r.pierceClearance(), r.kerf()) + 3 * r.lead())
                        .orElse(0.0);
        return main.grown(lead + room);
    }
}
