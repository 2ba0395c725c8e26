package dev.oleander.drawing.picture;

import java.util.function.IntBinaryOperator;

/**
 * The least or the greatest level in a square round each pixel, in the same time for any size of
 * the square (M. van Herk, 1992).
 */
final class Extremes {

    private Extremes() {}

    static byte[] least(Picture picture, int radius) {
        return both(picture, radius, Math::min);
    }

    static byte[] most(Picture picture, int radius) {
        return both(picture, radius, Math::max);
    }

    private static byte[] both(Picture picture, int radius, IntBinaryOperator of) {
        byte[] levels = picture.levels();
        int w = picture.width();
        int h = picture.height();
        for (int y = 0; y < h; y++) {
            row(levels, y * w, 1, w, radius, of);
        }
        for (int x = 0; x < w; x++) {
            row(levels, x, w, h, radius, of);
        }
        return levels;
    }

    private static void row(
            byte[] levels, int from, int step, int n, int radius, IntBinaryOperator of) {
        int window = 2 * radius + 1;
        int size = n + 2 * radius;
        int[] ahead = new int[size];
        int[] back = new int[size];
        for (int i = 0; i < size; i++) {
            int level = levels[from + clamp(i - radius, n) * step] & 0xff;
            ahead[i] = i % window == 0 ? level : of.applyAsInt(ahead[i - 1], level);
        }
        for (int i = size - 1; i >= 0; i--) {
            int level = levels[from + clamp(i - radius, n) * step] & 0xff;
            boolean last = i == size - 1 || (i + 1) % window == 0;
            back[i] = last ? level : of.applyAsInt(back[i + 1], level);
        }
        for (int i = 0; i < n; i++) {
            levels[from + i * step] = (byte) of.applyAsInt(back[i], ahead[i + window - 1]);
        }
    }

    private static int clamp(int i, int n) {
        return Math.min(n - 1, Math.max(0, i));
    }
}
