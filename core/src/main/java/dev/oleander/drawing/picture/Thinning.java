package dev.oleander.drawing.picture;

import java.util.Arrays;

/**
 * Ink thinned to ways one pixel wide (T. Y. Zhang, C. Y. Suen, "A fast parallel algorithm for
 * thinning digital patterns", 1984); steps that are two wide are cleared afterwards.
 */
final class Thinning {

    /** Neighbours round a pixel, from the one above to the right. */
    static final int[] DX = {0, 1, 1, 1, 0, -1, -1, -1};

    static final int[] DY = {-1, -1, 0, 1, 1, 1, 0, -1};

    private final int width;
    private final int height;
    private final boolean[] is;

    private Thinning(int width, int height, boolean[] is) {
        this.width = width;
        this.height = height;
        this.is = is;
    }

    /**
     * @param is ink; changed
     */
    static void thin(int width, int height, boolean[] is) {
        new Thinning(width, height, is).thin();
    }

    private void thin() {
        int[] list = all();
        boolean more = true;
        while (more) {
            int before = list.length;
            list = pass(list, true);
            list = pass(list, false);
            more = list.length < before;
        }
        for (int at : list) {
            if (is[at] && isStep(at)) {
                is[at] = false;
            }
        }
    }

    private int[] all() {
        int[] list = new int[is.length];
        int count = 0;
        for (int i = 0; i < is.length; i++) {
            if (is[i]) {
                list[count++] = i;
            }
        }
        return Arrays.copyOf(list, count);
    }

    private int[] pass(int[] list, boolean first) {
        int[] gone = new int[list.length];
        int count = 0;
        for (int at : list) {
            if (goes(at, first)) {
                gone[count++] = at;
            }
        }
        for (int i = 0; i < count; i++) {
            is[gone[i]] = false;
        }
        return Arrays.stream(list).filter(at -> is[at]).toArray();
    }

    private boolean goes(int at, boolean first) {
        int around = around(at);
        int neighbours = Integer.bitCount(around);
        if (neighbours < 2 || neighbours > 6 || turns(around) != 1) {
            return false;
        }
        boolean up = has(around, 0);
        boolean right = has(around, 2);
        boolean down = has(around, 4);
        boolean left = has(around, 6);
        return first
                ? !(up && right && down) && !(right && down && left)
                : !(up && right && left) && !(up && down && left);
    }

    /**
     * A pixel without which its neighbours still hang together, so that ways are strictly one wide:
     * there is one of them, counted over corners too (S. Yokoi, J. Toriwaki, T. Fukumura, 1975).
     */
    private boolean isStep(int at) {
        int around = around(at);
        int pieces = 0;
        for (int i = 0; i < DX.length; i += 2) {
            boolean next = has(around, (i + 1) % DX.length) || has(around, (i + 2) % DX.length);
            pieces += !has(around, i) && next ? 1 : 0;
        }
        return pieces == 1 && Integer.bitCount(around) > 1;
    }

    private static boolean has(int around, int neighbour) {
        return (around >> neighbour & 1) == 1;
    }

    /** Neighbours as bits. */
    private int around(int at) {
        int x = at % width;
        int y = at / width;
        int bits = 0;
        for (int i = 0; i < DX.length; i++) {
            int u = x + DX[i];
            int v = y + DY[i];
            if (u >= 0 && v >= 0 && u < width && v < height && is[v * width + u]) {
                bits |= 1 << i;
            }
        }
        return bits;
    }

    /** How often paper is followed by ink, once round. */
    static int turns(int around) {
        int turns = 0;
        for (int i = 0; i < DX.length; i++) {
            if (!has(around, i) && has(around, (i + 1) % DX.length)) {
                turns++;
            }
        }
        return turns;
    }
}
