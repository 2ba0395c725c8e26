package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.flat.DisjointSets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.IntPredicate;

/** Boxes that hang together, directly or by others. */
final class Groups {

    private final DisjointSets sets;
    private final IntPredicate counts;

    /**
     * @param index of the boxes
     * @param counts by place in the list; the others are left out
     */
    Groups(List<Box> boxes, SegmentIndex<Box> index, IntPredicate counts) {
        this.counts = counts;
        this.sets = new DisjointSets(boxes.size());
        for (int i = 0; i < sets.size(); i++) {
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
                        sets.unite(one, other);
                    }
                });
    }

    /** Places in the list, ascending; the groups by their first. */
    List<List<Integer>> all() {
        Map<Integer, List<Integer>> groups = new TreeMap<>();
        for (int i = 0; i < sets.size(); i++) {
            if (counts.test(i)) {
                groups.computeIfAbsent(sets.leader(i), first -> new ArrayList<>()).add(i);
            }
        }
        return List.copyOf(groups.values());
    }
}
