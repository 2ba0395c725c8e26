package dev.oleander.drawing.mend;

import java.util.Arrays;

/** Numbers places: equal coordinates get the same number, the first place the number 0. */
final class PlaceTable {

    private static final int FREE = -1;

    private double[] x;
    private double[] y;
    private int[] slots;
    private int size;

    PlaceTable(int expected) {
        x = new double[Math.max(4, expected)];
        y = new double[x.length];
        slots = new int[Integer.highestOneBit(Math.max(8, 2 * expected)) << 1];
        Arrays.fill(slots, FREE);
    }

    int size() {
        return size;
    }

    double x(int place) {
        return x[place];
    }

    double y(int place) {
        return y[place];
    }

    int number(double px, double py) {
        // 0 and -0 are one place
        double qx = px + 0.0;
        double qy = py + 0.0;
        int slot = slot(qx, qy);
        while (slots[slot] != FREE) {
            int known = slots[slot];
            if (x[known] == qx && y[known] == qy) {
                return known;
            }
            slot = (slot + 1) & (slots.length - 1);
        }
        return add(slot, qx, qy);
    }

    private int slot(double px, double py) {
        long bits = Double.doubleToLongBits(px) * 0x9E3779B97F4A7C15L;
        bits = (bits ^ bits >>> 29 ^ Double.doubleToLongBits(py)) * 0xBF58476D1CE4E5B9L;
        return (int) (bits >>> 33) & (slots.length - 1);
    }

    private int add(int slot, double px, double py) {
        if (size == x.length) {
            x = Arrays.copyOf(x, 2 * size);
            y = Arrays.copyOf(y, 2 * size);
        }
        x[size] = px;
        y[size] = py;
        slots[slot] = size;
        size++;
        if (2 * size > slots.length) {
            rehash();
        }
        return size - 1;
    }

    private void rehash() {
        slots = new int[2 * slots.length];
        Arrays.fill(slots, FREE);
        for (int i = 0; i < size; i++) {
            int slot = slot(x[i], y[i]);
            while (slots[slot] != FREE) {
                slot = (slot + 1) & (slots.length - 1);
            }
            slots[slot] = i;
        }
    }
}
