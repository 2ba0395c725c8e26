package dev.oleander.geometry.flat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Boundaries of chosen faces, the faces to the left. Loops come apart where they touch themselves,
 * so every loop is simple: anticlockwise round what is chosen, clockwise round what is left out.
 */
public final class Tracer {

    private final Arrangement arrangement;
    private final boolean[] chosen;
    private final double tolerance;

    /**
     * @param chosen for every face cycle of the arrangement whether its face is taken
     * @param tolerance mm; loops narrower than this are dropped
     */
    public Tracer(Arrangement arrangement, boolean[] chosen, double tolerance) {
        this.arrangement = arrangement;
        this.chosen = chosen;
        this.tolerance = tolerance;
    }

    /** The boundary loops, in the order of the runs they begin with. */
    public List<Vertices> loops() {
        Runs runs = arrangement.runs();
        boolean[] done = new boolean[2 * runs.size()];
        int[] lastVisit = new int[runs.nodes()];
        Arrays.fill(lastVisit, -1);
        List<Vertices> loops = new ArrayList<>();
        for (int h = 0; h < done.length; h++) {
            if (!done[h] && isBoundary(h)) {
                trace(h, done, lastVisit, loops);
            }
        }
        return loops;
    }

    private boolean isBoundary(int half) {
        return arrangement.standIn(half >> 1) == half >> 1
                && chosen[arrangement.cycle(half)]
                && !chosen[arrangement.cycle(half ^ 1)];
    }

    private void trace(int first, boolean[] done, int[] lastVisit, List<Vertices> loops) {
        int[] walked = new int[16];
        int size = 0;
        int h = first;
        do {
            done[h] = true;
            if (size == walked.length) {
                walked = Arrays.copyOf(walked, 2 * size);
            }
            int tail = arrangement.tail(h);
            if (tail >= 0) {
                if (lastVisit[tail] >= 0) {
                    size = cutOff(walked, lastVisit[tail], size, lastVisit, loops);
                }
                lastVisit[tail] = size;
            }
            walked[size++] = h;
            h = following(h);
        } while (h != first);
        cutOff(walked, 0, size, lastVisit, loops);
    }

    /** Writes the loop that has just closed at a node and takes it off the walk. */
    private int cutOff(int[] walked, int from, int size, int[] lastVisit, List<Vertices> loops) {
        LoopWriter writer = new LoopWriter(arrangement.edges(), arrangement.runs(), tolerance);
        for (int n = from; n < size; n++) {
            int tail = arrangement.tail(walked[n]);
            if (tail >= 0) {
                lastVisit[tail] = -1;
            }
            writer.add(walked[n]);
        }
        Vertices loop = writer.close();
        if (loop != null) {
            loops.add(loop);
        }
        return from;
    }

    private int following(int half) {
        int h = arrangement.next(half);
        while (!isBoundary(h)) {
            h = arrangement.next(h ^ 1);
        }
        return h;
    }
}
