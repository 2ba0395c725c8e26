package dev.oleander.bench;

import java.util.Arrays;
import java.util.SplittableRandom;

/**
 * A fixed piece of work that is timed before and after an area, in the same run: how much slower
 * the machine is than when the limits were set. What is limited in seconds may take so much longer,
 * or has to be so much quicker.
 */
final class Reference {

    /** Seconds that the work took on the quiet machine on which the limits hold as they stand. */
    static final double NOMINAL = 0.108;

    static final String WORK = "reference: a million random numbers made, sorted and summed up";

    private static final int NUMBERS = 1 << 20;
    private static final int RUNS = 7;

    private double sum;

    /** Seconds now: the median of some runs. */
    double seconds() {
        double seconds = Timing.median(RUNS, this::work);
        if (Double.isNaN(sum)) {
            throw new IllegalStateException("the work was not done");
        }
        return seconds;
    }

    private void work() {
        SplittableRandom random = new SplittableRandom(20);
        double[] numbers = new double[NUMBERS];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = random.nextDouble();
        }
        Arrays.sort(numbers);
        for (int i = 1; i < numbers.length; i++) {
            sum += Math.hypot(numbers[i], numbers[i - 1]);
        }
    }
}
