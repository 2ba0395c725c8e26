package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.CircleFit;
import dev.oleander.geometry.fit.FitOptions;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Curves that were chopped into many short lines become lines and arcs again. */
final class ShortLines {

    /** Fewer lines in a row are no curve. */
    private static final int FEWEST = 8;

    /**
     * Turn at a point, radians, beyond which it is a corner of a figure, not of a chopped curve.
     */
    private static final double CORNER = Math.toRadians(32);

    private final MendOptions options;
    private final List<Fault> faults;

    ShortLines(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    /** The chain with its chopped curves fitted; as it was when that is not wanted. */
    Chain fit(Chain chain, String layer) {
        List<Segment> segments = chain.segments();
        if (segments.size() < FEWEST) {
            return chain;
        }
        Optional<Contour> circle = circle(chain);
        if (circle.isPresent()) {
            return report(chain, circle.get(), segments.size(), 1, layer);
        }
        List<Segment> turned = chain instanceof Contour ? fromCorner(segments) : segments;
        List<Segment> fitted = new ArrayList<>();
        int before = 0;
        int after = 0;
        int at = 0;
        while (at < turned.size()) {
            int end = endOfRun(turned, at);
            List<Segment> run = turned.subList(at, end);
            List<Segment> better = end - at >= FEWEST ? better(run) : run;
            if (better.size() < run.size()) {
                before += run.size();
                after += better.size();
            }
            fitted.addAll(better);
            at = end;
        }
        if (before == 0 || fitted.size() < 2 && chain instanceof Contour) {
            return chain;
        }
        Chain result = chain instanceof Contour ? new Contour(fitted) : new Path(fitted);
        return report(chain, result, before, after, layer);
    }

    private Optional<Contour> circle(Chain chain) {
        boolean lines =
                chain instanceof Contour
                        && chain.segments().stream().allMatch(s -> s instanceof Line);
        if (!lines || hasCorner(chain.segments())) {
            return Optional.empty();
        }
        return new CircleFit(options.fit())
                .through(chain.segments().stream().map(Segment::start).toList())
                .map(c -> Contour.circle(c.centre(), c.radius()));
    }

    private static boolean hasCorner(List<Segment> segments) {
        for (int i = 0; i < segments.size(); i++) {
            if (turn(segments.get(i), segments.get((i + 1) % segments.size())) > CORNER) {
                return true;
            }
        }
        return false;
    }

    private static double turn(Segment before, Segment after) {
        Point in = before.direction(1);
        Point out = after.direction(0);
        return Math.abs(Math.atan2(in.cross(out), in.dot(out)));
    }

    /** The same round, begun where a run of short lines begins or at a corner. */
    private static List<Segment> fromCorner(List<Segment> segments) {
        int n = segments.size();
        for (int i = 0; i < n; i++) {
            if (isBreak(segments.get((i + n - 1) % n), segments.get(i))) {
                List<Segment> turned = new ArrayList<>(segments.subList(i, n));
                turned.addAll(segments.subList(0, i));
                return turned;
            }
        }
        return segments;
    }

    private static boolean isBreak(Segment before, Segment after) {
        boolean kinds = before instanceof Line != after instanceof Line;
        return kinds || turn(before, after) > CORNER;
    }

    private static int endOfRun(List<Segment> segments, int from) {
        if (!(segments.get(from) instanceof Line)) {
            return from + 1;
        }
        int end = from + 1;
        while (end < segments.size() && !isBreak(segments.get(end - 1), segments.get(end))) {
            end++;
        }
        return end;
    }

    /** At most half as many segments, or the lines as they are. */
    private List<Segment> better(List<Segment> run) {
        List<Point> points = new ArrayList<>(run.size() + 1);
        points.add(run.get(0).start());
        run.forEach(s -> points.add(s.end()));
        boolean round = points.get(0).equals(points.get(points.size() - 1));
        ArcFitter fitter = new ArcFitter(FitOptions.within(options.fit()));
        List<Segment> fitted =
                round && points.stream().distinct().count() > 3
                        ? fitter.fitClosed(points).segments()
                        : fitter.fit(points).segments();
        return 2 * fitted.size() <= run.size() ? fitted : run;
    }

    private Chain report(Chain chain, Chain fitted, int before, int after, String layer) {
        boolean does = options.does(MendOptions.Step.SHORT_LINES);
        Point place = chain.start();
        String counts =
                "%d short lines on layer %s from (%s, %s)"
                        .formatted(
                                before,
                                layer,
                                Numbers.plain(place.x(), 2),
                                Numbers.plain(place.y(), 2));
        String into =
                "%d %s within %s"
                        .formatted(
                                after,
                                after == 1 ? "curve" : "lines and arcs",
                                Numbers.length(options.fit()));
        faults.add(
                does
                        ? Fault.mended(
                                Fault.Kind.SHORT_LINES,
                                place,
                                chain.length(),
                                "%s became %s.".formatted(counts, into))
                        : Fault.left(
                                Fault.Kind.SHORT_LINES,
                                place,
                                chain.length(),
                                "%s could be %s.".formatted(counts, into)));
        return does ? fitted : chain;
    }
}
