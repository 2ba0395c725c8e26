package dev.oleander.drawing.picture;

import dev.oleander.geometry.Contour;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Makes line work of a picture: lines and arcs that are fitted to many points of an edge lie within
 * a hundredth of a pixel where levels say how much of a pixel is covered.
 */
public final class Tracer {

    /**
     * Distance of line work from the edge, pixels: of sharp ones, for looking at, of noisy and
     * two-level pictures.
     */
    static final double SHARP = 0.15;

    static final double ROUGH = 0.25;
    static final double NOISY = 0.35;
    static final double STEPPED = 0.6;

    /** Length below which what lies beside a corner of a rough edge is part of it, pixels. */
    private static final double CHIP = 5;

    /** Share of the levels between ink and paper from which on they are noise. */
    private static final double NOISE = 0.012;

    /** Share of meetings of ink and paper with something between, below which there is nothing. */
    private static final double BETWEEN = 0.03;

    /** Pixels of which each is looked at; larger pictures are reduced, which moves no edge. */
    private static final int MOST_PIXELS = 16_000_000;

    /** Outlines at most, so that nobody waits for dust. */
    private static final int MOST = 20_000;

    private final Picture picture;
    private final TraceSpec spec;
    private final double threshold;
    private final Ink ink;
    private final double range;

    private Tracer(Picture given, TraceSpec spec) {
        this.spec = spec;
        this.picture = given.smoothed(spec.smooth());
        this.threshold =
                spec.threshold().isPresent()
                        ? spec.threshold().get()
                        : Threshold.of(picture.histogram());
        byte[] local = spec.local() ? LocalThreshold.of(picture, threshold) : null;
        this.ink = new Ink(picture, threshold, local, spec.invert());
        double[] means = Threshold.means(picture.histogram(), threshold);
        this.range = means[1] - means[0];
    }

    /**
     * @param progress is told how far it is, and can end it
     * @throws PictureException when there is no ink, or far too much of it
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static Trace trace(Picture picture, TraceSpec spec, Progress progress) {
        return trace(Reduced.of(picture, MOST_PIXELS), spec, progress);
    }

    /**
     * The same of a picture with fewer pixels for looking at: not as near to the edge, which takes
     * a tenth of the time where edges are bad.
     */
    public static Trace roughly(Reduced picture, TraceSpec spec) {
        return trace(picture, picture.by() == 1 ? spec : spec.rough(picture.by()), Progress.NONE);
    }

    /** The same of a picture with fewer pixels, as that of the whole one. */
    public static Trace trace(Reduced picture, TraceSpec spec, Progress progress) {
        Tracer own = new Tracer(picture.picture(), spec.reduced(picture.by()));
        return picture.whole(own.trace(progress));
    }

    private Trace trace(Progress progress) {
        progress.at(0, "Telling ink from paper");
        Specks.Gone gone = Specks.remove(ink, spec.speckPx(), spec.holePx());
        requireInk();
        Edges.Kind kind = kind();
        TraceSpec.Fit fit = spec.fit(tolerance(kind), kind == Edges.Kind.SHARP ? 0 : CHIP);
        List<Loop> loops = Edges.of(ink, kind);
        if (loops.size() > MOST) {
            throw tooMany(loops);
        }
        return spec.mode() == TraceSpec.Mode.CENTRE
                ? new CentreLines(ink, fit, threshold, gone).trace(progress)
                : outlines(loops, fit, gone, progress);
    }

    private void requireInk() {
        int count = ink.count();
        if (count == 0) {
            throw new PictureException(
                    "Nothing is %s than %.0f: there is no ink to outline.",
                    spec.invert() ? "lighter" : "darker", threshold);
        }
    }

    private static PictureException tooMany(List<Loop> loops) {
        long small = loops.stream().filter(l -> Math.abs(l.area()) < 9).count();
        return new PictureException(
                "%,d outlines, %,d under 9 pixels; %,d are allowed: remove specks first.",
                loops.size(), small, MOST);
    }

    private Edges.Kind kind() {
        if (ink.hasTwoLevels(range, BETWEEN)) {
            return Edges.Kind.STEPPED;
        }
        return ink.noise() > NOISE * range ? Edges.Kind.NOISY : Edges.Kind.SHARP;
    }

    private static double tolerance(Edges.Kind kind) {
        return switch (kind) {
            case STEPPED -> STEPPED;
            case NOISY -> NOISY;
            case SHARP -> SHARP;
        };
    }

    private Trace outlines(
            List<Loop> loops, TraceSpec.Fit fit, Specks.Gone gone, Progress progress) {
        List<Contour> contours = new ArrayList<>();
        List<List<Double>> off = new ArrayList<>();
        int points = 0;
        int elements = 0;
        for (int i = 0; i < loops.size(); i++) {
            progress.at((double) i / loops.size(), "Laying lines and arcs along edges");
            points += loops.get(i).size();
            var drawn = new Outliner(loops.get(i), fit).closed();
            if (drawn.isPresent()) {
                contours.add(drawn.get().chain());
                off.add(drawn.get().off());
                elements += drawn.get().chain().segments().size();
            }
        }
        List<Contour> polished =
                fit.circles() ? EqualCircles.of(contours, fit.tolerance() / 2) : contours;
        return new Trace(
                threshold,
                polished,
                List.of(),
                OptionalDouble.empty(),
                0,
                new Trace.Counts(contours.size(), points, elements, gone.specks(), gone.holes()),
                off,
                List.of());
    }
}
