package dev.oleander.work.router.book;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Drills beside each other, of which any can come down together. A choice of them is a number: 1
 * stands for the first slot, 2 for the second, 4 for the third, and so on.
 *
 * @param slots at most 30, in their order
 */
public record Bank(List<Slot> slots) {

    private static final int MOST = 30;

    /**
     * A slot.
     *
     * @param position in which its tool stands
     * @param x mm from a place of the bank
     * @param y likewise
     */
    public record Slot(int position, double x, double y) {

        public Point place() {
            return new Point(x, y);
        }
    }

    /**
     * @throws IllegalArgumentException when there are too many, or two are one position
     */
    public Bank {
        slots = List.copyOf(slots);
        Set<Integer> positions = new HashSet<>();
        for (Slot slot : slots) {
            if (!positions.add(slot.position()) || positions.size() > MOST) {
                throw new IllegalArgumentException(
                        "a bank has up to 30 slots, each with a position of its own: "
                                + slot.position());
            }
        }
    }

    /** Indexes of the slots in which a tool stands. */
    public List<Integer> holding(int tool, List<Station> stations) {
        List<Integer> holding = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            int position = slots.get(i).position();
            if (stations.stream().anyMatch(s -> s.position() == position && s.tool() == tool)) {
                holding.add(i);
            }
        }
        return holding;
    }

    /** Whether a position is one of its slots. */
    public boolean has(int position) {
        return slots.stream().anyMatch(s -> s.position() == position);
    }

    /** Where the drills of a choice stand, from the first of them, which lies at 0, 0. */
    public List<Point> places(long choice) {
        List<Point> places = new ArrayList<>();
        Point first = null;
        for (int i = 0; i < slots.size(); i++) {
            if ((choice >> i & 1) == 1) {
                first = first == null ? slots.get(i).place() : first;
                places.add(slots.get(i).place().minus(first));
            }
        }
        return places;
    }
}
