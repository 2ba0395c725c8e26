package dev.oleander.plan.panel.whole;

import dev.oleander.plan.panel.Spot;
import dev.oleander.plan.panel.whole.Mates.Hole;
import dev.oleander.plan.panel.whole.Mates.Mouth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Finds the nearest hole of another panel, by cells of space. */
final class MouthIndex {

    private final double reach;
    private final Map<Cell, List<Mouth>> cells = new HashMap<>();

    private record Cell(long x, long y, long z) {}

    /**
     * @param reach mm; what lies farther is no partner
     */
    MouthIndex(List<Mouth> mouths, double reach) {
        this.reach = reach;
        for (Mouth mouth : mouths) {
            cells.computeIfAbsent(cell(mouth.at(), 0, 0, 0), c -> new ArrayList<>()).add(mouth);
        }
    }

    private Cell cell(Spot at, int right, int up, int high) {
        return new Cell(
                (long) Math.floor(at.x() / reach) + right,
                (long) Math.floor(at.y() / reach) + up,
                (long) Math.floor(at.z() / reach) + high);
    }

    /**
     * @param taken holes that have a partner already
     */
    Optional<Mouth> nearest(Mouth mouth, Set<Hole> taken) {
        List<Mouth> near = new ArrayList<>();
        for (int x = -1; x <= 1; x++) {
            for (int y = -1; y <= 1; y++) {
                for (int z = -1; z <= 1; z++) {
                    near.addAll(cells.getOrDefault(cell(mouth.at(), x, y, z), List.of()));
                }
            }
        }
        return near.stream()
                .filter(m -> !m.hole().panel().equals(mouth.hole().panel()))
                .filter(m -> !taken.contains(m.hole()))
                .filter(m -> m.at().distance(mouth.at()) <= reach)
                .min(Comparator.comparingDouble(m -> m.at().distance(mouth.at())));
    }
}
