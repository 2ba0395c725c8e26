package dev.oleander.bench;

import java.util.Arrays;

/** Seconds that work takes. */
final class Timing {

    private Timing() {}

    /** The median of several runs, s. */
    static double median(int runs, Runnable work) {
        double[] seconds = new double[runs];
        for (int i = 0; i < runs; i++) {
            long began = System.nanoTime();
            work.run();
            seconds[i] = (System.nanoTime() - began) / 1e9;
        }
        Arrays.sort(seconds);
        return seconds[runs / 2];
    }
}
