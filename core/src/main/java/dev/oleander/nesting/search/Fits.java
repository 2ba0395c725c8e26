package dev.oleander.nesting.search;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * How a body can be laid corner on corner of another so that edges run along each other: for parts
 * of which few turns are allowed most corners on corners do not.
 */
final class Fits {

    /** Degrees within which edges are parallel, and a turn is one of those allowed. */
    static final double PARALLEL = 0.05;

    /** mm within which two edges are equally long. */
    private static final double SAME = 0.1;

    /** Edges that run along each other over their whole length. */
    private final List<Fit> whole = new ArrayList<>();

    private final List<Fit> aligned = new ArrayList<>();

    /**
     * One of them.
     *
     * @param mine corner of the body
     * @param on corner of the other one
     * @param turn degrees of the body more than of the other one
     */
    record Fit(Anchor mine, Anchor on, double turn) {}

    /**
     * @param step degrees between turns that may be; 0: any
     */
    private Fits(Body own, Body other, double step) {
        for (Anchor mine : own.anchors) {
            for (Anchor on : other.anchors) {
                add(mine, on, on.out() - mine.in(), on.lengthOut() - mine.lengthIn(), step);
                add(mine, on, on.in() - mine.out(), on.lengthIn() - mine.lengthOut(), step);
            }
        }
    }

    static Fits of(Body own, Body other, double step) {
        return new Fits(own, other, step);
    }

    private void add(Anchor mine, Anchor on, double turn, double longer, double step) {
        double degrees = StrictMath.toDegrees(turn) + 180;
        boolean same = Math.abs(longer) <= SAME;
        if (step > 0) {
            double off = Math.abs(degrees - Math.rint(degrees / step) * step);
            if (off <= PARALLEL) {
                Fit fit = new Fit(mine, on, Math.rint(degrees / step) * step);
                (same ? whole : aligned).add(fit);
            }
        } else if (same) {
            whole.add(new Fit(mine, on, degrees));
        }
    }

    boolean areWhole() {
        return !whole.isEmpty();
    }

    /** One at random, more often with edges of one length; null where there is none. */
    Fit any(SplittableRandom random) {
        List<Fit> from = aligned.isEmpty() || random.nextBoolean() ? whole : aligned;
        from = from.isEmpty() ? aligned : from;
        return from.isEmpty() ? null : from.get(random.nextInt(from.size()));
    }
}
