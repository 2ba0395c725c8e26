package dev.oleander.geometry.flat;

import java.util.Arrays;

/** Sorts boxes by the place of their centres along a Hilbert curve through their common box. */
final class HilbertOrder {

    private HilbertOrder() {}

    /**
     * @param grid cells of the curve along either side; a power of two, at most 2^16
     * @return positions of the boxes in their new order; equal places keep the order given
     */
    static int[] of(double[] boxes, int items, int grid) {
        double lowX = Double.POSITIVE_INFINITY;
        double lowY = Double.POSITIVE_INFINITY;
        double highX = Double.NEGATIVE_INFINITY;
        double highY = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < items; i++) {
            lowX = Math.min(lowX, boxes[4 * i]);
            lowY = Math.min(lowY, boxes[4 * i + 1]);
            highX = Math.max(highX, boxes[4 * i + 2]);
            highY = Math.max(highY, boxes[4 * i + 3]);
        }
        double scale =
                (grid - 1) / Math.max(Double.MIN_NORMAL, Math.max(highX - lowX, highY - lowY));
        long[] keys = new long[items];
        for (int i = 0; i < items; i++) {
            double x = (boxes[4 * i] + boxes[4 * i + 2]) / 2 - lowX;
            double y = (boxes[4 * i + 1] + boxes[4 * i + 3]) / 2 - lowY;
            long place = place((int) (x * scale), (int) (y * scale), grid);
            keys[i] = place << 31 | i;
        }
        Arrays.sort(keys);
        int[] order = new int[items];
        for (int i = 0; i < items; i++) {
            order[i] = (int) (keys[i] & Integer.MAX_VALUE);
        }
        return order;
    }

    /** Distance along the curve: each step down turns the quadrant so that the pieces join. */
    private static long place(int x, int y, int grid) {
        long place = 0;
        int px = x;
        int py = y;
        for (int side = grid / 2; side > 0; side /= 2) {
            int right = (px & side) > 0 ? 1 : 0;
            int up = (py & side) > 0 ? 1 : 0;
            place += (long) side * side * (3 * right ^ up);
            if (up == 0) {
                if (right == 1) {
                    px = grid - 1 - px;
                    py = grid - 1 - py;
                }
                int swap = px;
                px = py;
                py = swap;
            }
        }
        return place;
    }
}
