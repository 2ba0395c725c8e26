package dev.oleander.drawing.mend;

import dev.oleander.quantity.Worded;
import java.util.EnumSet;
import java.util.Set;

/**
 * What may be mended without asking; lengths in mm.
 *
 * @param gap ends closer than this are joined; also how far doubled line work may lie apart
 * @param exact ends closer than this are the same point: the rounding of coordinates in files
 * @param fit how far lines and arcs may lie from the many short lines they are made of
 * @param steps what is mended; the rest is only found
 */
public record MendOptions(double gap, double exact, double fit, Set<Step> steps) {

    /** One kind of mending. */
    public enum Step implements Worded {
        GAPS,
        DOUBLES,
        CRUMBS,
        SPURS,
        SHORT_LINES
    }

    /** Pairs of segments that are compared; drawings of parts have a few for each segment. */
    public static final long MOST_PAIRS = 2_000_000;

    /** What changes nothing that anybody would miss. */
    public static final Set<Step> USUAL =
            Set.copyOf(EnumSet.of(Step.GAPS, Step.DOUBLES, Step.CRUMBS));

    public static final Set<Step> ALL = Set.copyOf(EnumSet.allOf(Step.class));

    public MendOptions {
        if (!(gap > 0 && exact > 0 && exact <= gap)) {
            throw new IllegalArgumentException("gap " + gap + ", exact " + exact);
        }
        if (!(fit > 0)) {
            throw new IllegalArgumentException("fit must be > 0 mm: " + fit);
        }
        steps = Set.copyOf(steps);
    }

    public static MendOptions defaults() {
        return new MendOptions(0.05, 1e-6, 0.01, USUAL);
    }

    public MendOptions withGap(double mm) {
        return new MendOptions(mm, Math.min(exact, mm), fit, steps);
    }

    public MendOptions withFit(double mm) {
        return new MendOptions(gap, exact, mm, steps);
    }

    public MendOptions withSteps(Set<Step> wanted) {
        return new MendOptions(gap, exact, fit, wanted);
    }

    boolean does(Step step) {
        return steps.contains(step);
    }
}
