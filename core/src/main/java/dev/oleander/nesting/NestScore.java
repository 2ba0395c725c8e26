package dev.oleander.nesting;

import java.util.Arrays;

/**
 * How good a nest is; the first difference decides.
 *
 * @param missing mm2 of parts that found no place, by priority from 1
 * @param cost of sheets less worth of remnants
 * @param front how far parts reach on the sheet that is filled last, mm
 */
public record NestScore(double[] missing, double cost, double front)
        implements Comparable<NestScore> {

    private static final double SAME = 1e-9;

    /** Less is better. */
    @Override
    public int compareTo(NestScore other) {
        for (int i = 0; i < missing.length; i++) {
            int order = compare(missing[i], other.missing[i]);
            if (order != 0) {
                return order;
            }
        }
        int order = compare(cost, other.cost);
        return order != 0 ? order : compare(front, other.front);
    }

    private static int compare(double a, double b) {
        return Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a)) ? 0 : Double.compare(a, b);
    }

    public boolean isBetterThan(NestScore other) {
        return compareTo(other) < 0;
    }

    /** Whether everything has found a place. */
    public boolean isComplete() {
        return Arrays.stream(missing).allMatch(m -> m == 0);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof NestScore score
                && Arrays.equals(missing, score.missing)
                && cost == score.cost
                && front == score.front;
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(missing) + 31 * Double.hashCode(cost) + Double.hashCode(front);
    }

    @Override
    public String toString() {
        return "missing %s, cost %s, front %s".formatted(Arrays.toString(missing), cost, front);
    }
}
