package dev.oleander.drawing.draw;

import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.edit.ChainCutter;
import dev.oleander.geometry.edit.CornerRounder;
import dev.oleander.geometry.edit.EditException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiFunction;

/** Corners of one chain, or of two that are brought together first. */
final class CornerCommands {

    private static final double MEETS = 1e-6;

    private CornerCommands() {}

    static void fillet(Sketch sketch, Args args) {
        double radius = args.positive("radius", "The radius");
        change(
                sketch,
                args,
                (chain, corner) ->
                        chain instanceof Contour contour
                                ? CornerRounder.fillet(contour, corner, radius)
                                : CornerRounder.fillet((Path) chain, corner, radius));
    }

    static void chamfer(Sketch sketch, Args args) {
        double before = args.positive("length", "The length cut off");
        double after = args.positive("other", "The length cut off");
        change(
                sketch,
                args,
                (chain, corner) ->
                        chain instanceof Contour contour
                                ? CornerRounder.chamfer(contour, corner, before, after)
                                : CornerRounder.chamfer((Path) chain, corner, before, after));
    }

    /** Both are extended or cut to where they meet and become one. */
    static void meet(Sketch sketch, Args args) {
        change(sketch, args, (chain, corner) -> chain);
    }

    private static void change(Sketch sketch, Args args, BiFunction<Chain, Integer, Chain> deed) {
        List<Entity> targets = sketch.targets(args.step());
        Point near = args.point("x", "y");
        if (targets.size() == 1) {
            Chain chain = targets.get(0).chain();
            sketch.reshape(targets.get(0), deed.apply(chain, corner(chain, near)));
            return;
        }
        Path joined = brought(targets.get(0), targets.get(1), near);
        int corner = corner(joined, near);
        Chain changed = deed.apply(joined, corner);
        sketch.reshape(targets.get(0), Joining.chain(changed.segments()));
        sketch.remove(targets.get(1));
    }

    /** Number of the segment that starts at the corner nearest to a place. */
    private static int corner(Chain chain, Point near) {
        List<Segment> segments = chain.segments();
        int best = -1;
        for (int i = chain instanceof Contour ? 0 : 1; i < segments.size(); i++) {
            double distance = segments.get(i).start().distance(near);
            if (best < 0 || distance < segments.get(best).start().distance(near)) {
                best = i;
            }
        }
        if (best < 0) {
            throw new DrawException("A single line has no corner; choose the second line too.");
        }
        return best;
    }

    /** One path through the place where two meet: of each the end that lies farther away stays. */
    private static Path brought(Entity a, Entity b, Point near) {
        if (!(a.chain() instanceof Path first) || !(b.chain() instanceof Path second)) {
            throw new DrawException(
                    "Only open lines can be brought to a corner; %s is closed.",
                    a.chain() instanceof Contour ? a.key() : b.key());
        }
        Path in = endingAt(first, near);
        Path out = endingAt(second, near);
        Point corner = meeting(in, out, near);
        List<Segment> segments = new ArrayList<>(upTo(in, corner).segments());
        segments.addAll(upTo(out, corner).reversed().segments());
        return new Path(segments);
    }

    private static Path endingAt(Path path, Point near) {
        return path.end().distance(near) <= path.start().distance(near) ? path : path.reversed();
    }

    private static Point meeting(Path a, Path b, Point near) {
        Segment first = longer(last(a), near);
        Segment second = longer(last(b), near);
        return Intersections.of(first, second, MEETS).stream()
                .map(Intersections.Crossing::point)
                .min(Comparator.comparingDouble(near::distance))
                .orElseThrow(
                        () ->
                                new DrawException(
                                        "The two lines do not meet near (%.2f, %.2f), even when they go on.",
                                        near.x(), near.y()));
    }

    private static Segment last(Path path) {
        return path.segments().get(path.segments().size() - 1);
    }

    private static Segment longer(Segment segment, Point near) {
        double reach = 10 * (segment.length() + segment.end().distance(near)) + 100;
        try {
            return ChainCutter.continued(segment, reach);
        } catch (EditException closes) {
            double rest = 2 * Math.PI * ((Arc) segment).radius();
            return ChainCutter.continued(segment, 0.999 * (rest - segment.length()));
        }
    }

    /** The path with its last segment ended at a place on its line or circle. */
    private static Path upTo(Path path, Point corner) {
        List<Segment> segments = new ArrayList<>(path.segments());
        int last = segments.size() - 1;
        Segment whole = longer(segments.get(last), corner);
        double share = whole.nearest(corner);
        if (!(share * whole.length() > MEETS)) {
            throw new DrawException("Nothing of a line would be left at the corner.");
        }
        Segment cut = whole.between(0, share);
        segments.set(last, cut.withEnds(cut.start(), corner));
        return new Path(segments);
    }
}
