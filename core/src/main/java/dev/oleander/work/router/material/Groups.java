package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntPredicate;

/** Boxes that hang together, directly or by others. */
final class Groups {

    private final int[] leader;
    private final IntPredicate counts;

    /**
     * @param counts by place in the list; the others are left out
     */
    Groups(List<Box> boxes, IntPredicate counts) {
        this.counts = counts;
        this.leader = new int[boxes.size()];
        for (int i = 0; i < leader.length; i++) {
            leader[i] = i;
        }
        SegmentIndex<Box> index = SegmentIndex.ofBoxes(boxes);
        for (int i = 0; i < leader.length; i++) {
            if (counts.test(i)) {
                join(i, boxes.get(i), index);
            }
        }
    }

    private void join(int one, Box box, SegmentIndex<Box> index) {
        index.visit(
                box,
                other -> {
                    if (other < one && counts.test(other)) {
                        int a = leader(one);
                        int b = leader(other);
                        leader[Math.max(a, b)] = Math.min(a, b);
                    }
                });
    }

    private int leader(int of) {
        int first = of;
        while (leader[first] != first) {
            leader[first] = leader[leader[first]];
            first = leader[first];
        }
        return first;
    }

    /** Places in the list, ascending; the groups by their first. */
    List<List<Integer>> all() {
        Map<Integer, List<Integer>> groups = new TreeMap<>();
        for (int i = 0; i < leader.length; i++) {
            if (counts.test(i)) {
                groups.computeIfAbsent(leader(i), first -> new ArrayList<>()).add(i);
            }
        }
        return List.copyOf(groups.values());
    }
}
