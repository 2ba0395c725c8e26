package dev.oleander.drawing.intake;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.NotFiniteException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.CurveSampler;
import dev.oleander.geometry.fit.FitException;
import dev.oleander.geometry.fit.FitOptions;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/**
 * Draws one outline piece by piece. Curves that are neither lines nor arcs become tangent arcs
 * within a tolerance; curves that lead smoothly into each other are fitted as one.
 */
public final class OutlinePen {

    /** Gap of the points on a curve over the tolerance; so fine that it hardly costs any. */
    private static final double FINE = 0.04;

    /** Points of one curve; a finer one is far too large for its tolerance. */
    private static final int MOST_POINTS = 500_000;

    /** Turn between two curves, radians, up to which they lead smoothly into each other. */
    private static final double SMOOTH = 1e-3;

    /** Halvings in search of a nearer fit with as few segments. */
    private static final int CLOSER = 3;

    /** Points of a run up to which a nearer fit is sought. */
    private static final int MOST_REFITTED = 5_000;

    /** Curves smaller than this share of the tolerance are as good as straight. */
    private static final double SPECK = 1e-2;

    /** Share of the coordinates below which two ends are one place. */
    private static final double ROUNDING = 1e-11;

    private final double tolerance;
    private final List<Segment> segments = new ArrayList<>();
    private final List<Point> run = new ArrayList<>();
    private double runStart;
    private double runEnd;
    private Point first;
    private Point at;
    private int curves;
    private int fitted;

    /**
     * @param tolerance mm; how far fitted segments may lie from their curve
     */
    public OutlinePen(double tolerance) {
        this.tolerance = tolerance;
    }

    /** Starts at a place; to be called once, before everything else. */
    public void start(Point p) {
        first = p;
        at = p;
    }

    public Point at() {
        return at;
    }

    public Point first() {
        return first;
    }

    public void lineTo(Point p) {
        flush();
        if (!p.equals(at)) {
            segments.add(new Line(at, p));
            at = p;
        }
    }

    /** An arc from here; its start is moved to where the pen is. */
    public void arc(Arc arc) {
        flush();
        if (!arc.end().equals(at)) {
            segments.add(arc.start().equals(at) ? arc : arc.withEnds(at, arc.end()));
            at = arc.end();
        }
    }

    /**
     * A curve from here over a range of its parameter.
     *
     * @param in direction at its start, {@code out} at its end; of any length but 0
     * @throws UnreadableException when it has too many points for the tolerance
     */
    public void curve(DoubleFunction<Point> curve, double from, double to, Point in, Point out) {
        List<Point> points = sampled(curve, from, to);
        Point start = at;
        Point end = points.get(points.size() - 1);
        boolean isPoint =
                end.equals(start) && points.stream().allMatch(p -> p.distance(start) < 1e-9);
        if (isPoint) {
            return;
        }
        curves++;
        boolean joins = !run.isEmpty() && Math.abs(turn(runEnd, in.angle())) <= SMOOTH;
        if (!joins) {
            flush();
            run.add(at);
            runStart = in.angle();
        }
        run.addAll(points.subList(1, points.size()));
        runEnd = out.angle();
        at = end;
    }

    private List<Point> sampled(DoubleFunction<Point> curve, double from, double to) {
        try {
            return new CurveSampler(FINE * tolerance, MOST_POINTS).points(curve, from, to);
        } catch (FitException | NotFiniteException tooLarge) {
            throw new UnreadableException(
                    "its curve is far too large to be fitted within %s mm".formatted(tolerance));
        }
    }

    private static double turn(double from, double to) {
        return Math.IEEEremainder(to - from, 2 * Math.PI);
    }

    private void flush() {
        if (run.isEmpty()) {
            return;
        }
        List<Segment> arcs = isSpeck() ? chord() : withoutSpecks(closest(List.copyOf(run)));
        segments.addAll(arcs);
        fitted += arcs.size();
        run.clear();
    }

    private boolean isSpeck() {
        Point start = run.get(0);
        return run.stream().allMatch(p -> p.distance(start) <= SPECK * tolerance);
    }

    private List<Segment> chord() {
        Point start = run.get(0);
        Point end = run.get(run.size() - 1);
        return start.equals(end) ? List.of() : List.of(new Line(start, end));
    }

    /**
     * The fewest segments within the tolerance, and of these some that lie nearer than they must.
     */
    private List<Segment> closest(List<Point> points) {
        List<Segment> best = fit(points, tolerance);
        double enough = tolerance;
        double tooFine = 0;
        for (int i = 0; i < CLOSER && points.size() < MOST_REFITTED; i++) {
            double tried = (enough + tooFine) / 2;
            List<Segment> closer = fit(points, tried);
            if (closer.size() <= best.size()) {
                best = closer;
                enough = tried;
            } else {
                tooFine = tried;
            }
        }
        return best;
    }

    private List<Segment> fit(List<Point> points, double within) {
        return new ArcFitter(new FitOptions(within, Math.PI))
                .fit(points, runStart, runEnd)
                .segments();
    }

    /** Set directions at the ends can cost an arc far shorter than the tolerance. */
    private List<Segment> withoutSpecks(List<Segment> pieces) {
        List<Segment> kept = new ArrayList<>(pieces);
        for (int i = kept.size() - 1; i >= 0 && kept.size() > 1; i--) {
            int beside = i == 0 ? 1 : i - 1;
            Point start = kept.get(Math.min(i, beside)).start();
            Point end = kept.get(Math.max(i, beside)).end();
            if (kept.get(i).length() < tolerance && !start.equals(end)) {
                kept.set(beside, kept.get(beside).withEnds(start, end));
                kept.remove(i);
            }
        }
        return kept;
    }

    /**
     * What was drawn.
     *
     * @param close whether a line leads back to the start
     */
    public Outline finish(boolean close) {
        flush();
        if (close && first != null && !at.equals(first)) {
            close();
        }
        boolean closed = segments.size() > 1 && close;
        return new Outline(List.copyOf(segments), closed, curves, fitted);
    }

    /** A line to the start, or a nudge where only rounding is between. */
    private void close() {
        int last = segments.size() - 1;
        boolean rounding = at.distance(first) <= ROUNDING * (1 + first.norm());
        if (rounding && last > 0 && !segments.get(last).start().equals(first)) {
            Segment end = segments.get(last);
            segments.set(last, end.withEnds(end.start(), first));
        } else {
            segments.add(new Line(at, first));
        }
        at = first;
    }
}
