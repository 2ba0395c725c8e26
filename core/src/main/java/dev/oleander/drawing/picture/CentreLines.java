package dev.oleander.drawing.picture;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.DisjointSets;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The middle lines of strokes: ink is thinned, short branches are cut, what is left is moved to the
 * middle between the edges; branches that go on straight over a node become one.
 */
final class CentreLines {

    /** Branches shorter than so many half widths are of the edge, not of the stroke. */
    private static final double STUB = 1.5;

    /** Turn at a node up to which a stroke goes on, radians. */
    private static final double STRAIGHT_ON = Math.toRadians(35);

    /** Branches at most: each is compared with all others. */
    private static final int MOST = 5_000;

    /** Share by which widths differ, above which outlines say more. */
    private static final double UNEVEN = 0.25;

    private final Ink ink;
    private final TraceSpec.Fit fit;
    private final double threshold;
    private final Specks.Gone gone;
    private final float[] distances;
    private final Ridge ridge;
    private final List<Double> widths = new ArrayList<>();
    private int points;
    private final List<List<Double>> off = new ArrayList<>();

    CentreLines(Ink ink, TraceSpec.Fit fit, double threshold, Specks.Gone gone) {
        this.ink = ink;
        this.fit =
                new TraceSpec.Fit(
                        Math.max(fit.tolerance(), Tracer.NOISY),
                        fit.corner(),
                        fit.chip(),
                        fit.circles(),
                        fit.axes());
        this.threshold = threshold;
        this.gone = gone;
        this.distances = DistanceMap.of(ink.width(), ink.height(), ink.pixels());
        this.ridge = new Ridge(ink);
    }

    Trace trace(Progress progress) {
        progress.at(0.1, "Thinning strokes");
        boolean[] thin = ink.pixels();
        Thinning.thin(ink.width(), ink.height(), thin);
        requireFew(Skeleton.of(ink.width(), ink.height(), thin.clone()));
        Skeleton skeleton = withoutStubs(thin);
        List<Stroke> strokes = strokes(skeleton);
        List<Chain> chains = new ArrayList<>();
        for (int i = 0; i < strokes.size(); i++) {
            progress.at(0.5 + 0.5 * i / strokes.size(), "Laying lines and arcs along strokes");
            draw(strokes.get(i), chains);
        }
        if (chains.isEmpty()) {
            throw new PictureException("There are no strokes: the ink is in specks.");
        }
        double width = widths.stream().mapToDouble(w -> w).average().orElse(0);
        return told(new MetStrokes(chains, width / 2).met());
    }

    private static void requireFew(Skeleton skeleton) {
        int count = skeleton.branches().size();
        if (count > MOST) {
            throw new PictureException(
                    "%,d strokes meet or end; %,d are allowed: remove specks, smooth the picture, or take outlines.",
                    count, MOST);
        }
    }

    private Trace told(List<Chain> chains) {
        double mean = widths.stream().mapToDouble(w -> w).average().orElse(0);
        double differs =
                Math.sqrt(
                        widths.stream()
                                .mapToDouble(w -> (w - mean) * (w - mean))
                                .average()
                                .orElse(0));
        double spread = mean == 0 ? 0 : differs / mean;
        List<String> told =
                spread > UNEVEN
                        ? List.of(
                                "The strokes differ in width by %.0f %%: outlines would say more."
                                        .formatted(100 * spread))
                        : List.of();
        int elements = chains.stream().mapToInt(c -> c.segments().size()).sum();
        return new Trace(
                threshold,
                List.of(),
                chains,
                mean == 0 ? OptionalDouble.empty() : OptionalDouble.of(mean),
                spread,
                new Trace.Counts(chains.size(), points, elements, gone.specks(), gone.holes()),
                off,
                told);
    }

    // ---- stubs

    /**
     * Thinned ink without what ends after less than a stroke's width; looked for anew each time.
     */
    private Skeleton withoutStubs(boolean[] thin) {
        Skeleton skeleton = Skeleton.of(ink.width(), ink.height(), thin);
        boolean more = true;
        for (int round = 0; more && round < 4; round++) {
            more = false;
            for (Skeleton.Branch branch : skeleton.branches()) {
                if (isStub(branch, skeleton)) {
                    for (int i = 0; i < branch.pixels().length; i++) {
                        int at = branch.pixels()[i];
                        thin[at] &= isOfCrossing(at, branch, skeleton);
                    }
                    more = true;
                }
            }
            if (more) {
                Thinning.thin(ink.width(), ink.height(), thin);
                skeleton = Skeleton.of(ink.width(), ink.height(), thin);
            }
        }
        return skeleton;
    }

    private boolean isOfCrossing(int at, Skeleton.Branch branch, Skeleton skeleton) {
        return isOf(at, branch.from(), skeleton) || isOf(at, branch.to(), skeleton);
    }

    private static boolean isOf(int at, int node, Skeleton skeleton) {
        int[] pixels = skeleton.node(node);
        return pixels.length > 0
                && !isEnd(node, skeleton)
                && Arrays.stream(pixels).anyMatch(p -> p == at);
    }

    private static boolean isEnd(int node, Skeleton skeleton) {
        return skeleton.branches().stream()
                        .filter(b -> b.from() == node || b.to() == node)
                        .limit(2)
                        .count()
                < 2;
    }

    private boolean isStub(Skeleton.Branch branch, Skeleton skeleton) {
        if (branch.from() < 0) {
            return false;
        }
        boolean first = isEnd(branch.from(), skeleton);
        boolean last = isEnd(branch.to(), skeleton);
        if (first == last) {
            return false;
        }
        int crossing = skeleton.node(first ? branch.to() : branch.from())[0];
        return branch.pixels().length < STUB * distances[crossing];
    }

    // ---- strokes

    /**
     * A stroke as points, with half its width at each.
     *
     * @param begins where others meet it; null: it begins there
     * @param ends likewise
     */
    private record Stroke(
            List<Point> way, double[] halves, Point begins, Point ends, boolean closed) {}

    private Point point(int pixel) {
        return new Point(pixel % ink.width() + 0.5, ink.height() - (pixel / ink.width()) - 0.5);
    }

    private Point middle(int[] pixels) {
        Point sum = Point.ORIGIN;
        for (int pixel : pixels) {
            sum = sum.plus(point(pixel));
        }
        return sum.times(1.0 / pixels.length);
    }

    private List<Stroke> strokes(Skeleton skeleton) {
        List<Through> open = new ArrayList<>();
        List<Stroke> strokes = new ArrayList<>();
        for (Skeleton.Branch branch : skeleton.branches()) {
            if (branch.from() < 0) {
                strokes.add(stroke(branch.pixels(), null, null, true));
            } else {
                open.add(new Through(branch.from(), branch.to(), branch.pixels()));
            }
        }
        int[] merged = merged(open, skeleton.nodeCount());
        for (int node = 0; node < skeleton.nodeCount(); node++) {
            goOn(node, open);
        }
        for (Through way : open) {
            boolean round =
                    way.from == way.to
                            && open.stream().noneMatch(o -> o != way && o.touches(way.from));
            if (round) {
                strokes.add(stroke(way.pixels, null, null, true));
            } else {
                strokes.add(
                        stroke(
                                way.pixels,
                                crossing(way.from, open, merged, skeleton),
                                crossing(way.to, open, merged, skeleton),
                                false));
            }
        }
        return strokes;
    }

    /** Where others meet it; null: it ends there. */
    private Point crossing(int node, List<Through> open, int[] merged, Skeleton skeleton) {
        long met = open.stream().filter(o -> o.touches(node) || o.passes(node)).count();
        if (met < 2) {
            return null;
        }
        List<Integer> pixels = new ArrayList<>();
        for (int other = 0; other < merged.length; other++) {
            if (merged[other] == node) {
                Arrays.stream(skeleton.node(other)).forEach(pixels::add);
            }
        }
        return middle(pixels.stream().mapToInt(i -> i).toArray());
    }

    /**
     * Thinning parts a crossing into nodes that are less than the ink's width apart: they are one.
     *
     * @return for each node the one that it is part of
     */
    private int[] merged(List<Through> open, int count) {
        DisjointSets sets = new DisjointSets(count);
        List<Through> within = new ArrayList<>();
        for (Through way : open) {
            double width = 2 * Math.max(distances[way.pixels[0]], distances[way.last()]);
            boolean ends = isEnd(way.from, open) || isEnd(way.to, open);
            if (way.from != way.to && !ends && way.pixels.length < width) {
                sets.unite(way.from, way.to);
                within.add(way);
            }
        }
        open.removeAll(within);
        int[] merged = new int[count];
        for (int node = 0; node < count; node++) {
            merged[node] = sets.leader(node);
        }
        for (Through way : open) {
            way.from = merged[way.from];
            way.to = merged[way.to];
        }
        return merged;
    }

    private static boolean isEnd(int node, List<Through> open) {
        return open.stream().filter(o -> o.touches(node)).limit(2).count() < 2;
    }

    /** Branches that were joined. */
    private static final class Through {
        private int from;
        private int to;
        private int[] pixels;
        private final List<Integer> passed = new ArrayList<>();

        Through(int from, int to, int[] pixels) {
            this.from = from;
            this.to = to;
            this.pixels = pixels;
        }

        int last() {
            return pixels[pixels.length - 1];
        }

        boolean touches(int node) {
            return from == node || to == node;
        }

        boolean passes(int node) {
            return passed.contains(node);
        }

        void turn() {
            int swap = from;
            from = to;
            to = swap;
            for (int i = 0, j = pixels.length - 1; i < j; i++, j--) {
                int pixel = pixels[i];
                pixels[i] = pixels[j];
                pixels[j] = pixel;
            }
        }
    }

    /** Joins the branches at a node that go on in each other best, as long as some do. */
    private void goOn(int node, List<Through> open) {
        while (true) {
            Through first = null;
            Through then = null;
            double best = STRAIGHT_ON;
            List<Through> here = open.stream().filter(o -> o.touches(node)).toList();
            for (int i = 0; i < here.size(); i++) {
                for (int j = i + 1; j < here.size(); j++) {
                    double turn =
                            Math.PI
                                    - Math.abs(
                                            Math.IEEEremainder(
                                                    away(here.get(i), node)
                                                            - away(here.get(j), node),
                                                    2 * Math.PI));
                    boolean only = here.size() == 2;
                    if (turn < best || only) {
                        best = turn;
                        first = here.get(i);
                        then = here.get(j);
                    }
                }
            }
            if (first == null) {
                return;
            }
            join(first, then, node, open);
        }
    }

    private static void join(Through first, Through then, int node, List<Through> open) {
        if (first.to != node) {
            first.turn();
        }
        if (then.from != node) {
            then.turn();
        }
        int[] both = Arrays.copyOf(first.pixels, first.pixels.length + then.pixels.length);
        System.arraycopy(then.pixels, 0, both, first.pixels.length, then.pixels.length);
        first.pixels = both;
        first.to = then.to;
        first.passed.add(node);
        first.passed.addAll(then.passed);
        open.remove(then);
    }

    /** Direction in which a branch leaves a node. */
    private double away(Through of, int node) {
        int n = of.pixels.length;
        boolean begins = of.from == node;
        int half = (int) distances[of.pixels[begins ? 0 : n - 1]];
        int near = Math.min(n - 1, half);
        int far = Math.min(n - 1, half + 8);
        if (far == near) {
            near = 0;
        }
        Point a = point(of.pixels[begins ? near : n - 1 - near]);
        Point b = point(of.pixels[begins ? far : n - 1 - far]);
        return b.minus(a).angle();
    }

    private Stroke stroke(int[] pixels, Point begins, Point ends, boolean closed) {
        List<Point> way = new ArrayList<>();
        double[] halves = new double[pixels.length];
        for (int i = 0; i < pixels.length; i++) {
            way.add(point(pixels[i]));
            halves[i] = distances[pixels[i]];
        }
        return new Stroke(way, halves, begins, ends, closed);
    }

    // ---- as chains

    private void draw(Stroke stroke, List<Chain> chains) {
        if (stroke.closed()) {
            List<Ridge.Place> places = ridge.places(stroke.way(), stroke.halves(), true);
            Loop loop = loop(places.stream().map(Ridge.Place::at).toList());
            new Outliner(loop, fit)
                    .closed()
                    .ifPresent(d -> add(d.chain(), d.off(), places, chains));
            return;
        }
        int n = stroke.way().size();
        int first = Math.min(n - 1, (int) Math.ceil(1.2 * stroke.halves()[0]));
        int last = Math.max(0, n - 1 - (int) Math.ceil(1.2 * stroke.halves()[n - 1]));
        List<Ridge.Place> inner =
                last - first < 2
                        ? List.of()
                        : ridge.places(
                                stroke.way().subList(first, last + 1),
                                Arrays.copyOfRange(stroke.halves(), first, last + 1),
                                false);
        List<Point> all = inner.stream().map(Ridge.Place::at).toList();
        if (all.size() < 3) {
            all = List.of(stroke.way().get(0), stroke.way().get(n - 1));
        }
        double half = inner.stream().mapToDouble(Ridge.Place::width).average().orElse(2) / 2;
        new Outliner(loop(all), fit)
                .open(
                        end(all, stroke.begins(), half, false),
                        end(all, stroke.ends(), half, true),
                        2 * half)
                .ifPresent(d -> add(d.chain(), d.off(), inner, chains));
    }

    private void add(Chain chain, List<Double> own, List<Ridge.Place> places, List<Chain> chains) {
        chains.add(chain);
        off.add(own);
        points += places.size();
        places.forEach(p -> widths.add(p.width()));
    }

    /**
     * Where a stroke ends: at the node, or half a width before the end of the ink.
     *
     * @param at where others meet it; null: nowhere
     */
    private Point end(List<Point> way, Point at, double half, boolean last) {
        int n = way.size();
        Point near = way.get(last ? n - 1 : 0);
        int back = Math.min(n - 1, 8);
        Point far = way.get(last ? n - 1 - back : back);
        if (at != null || near.distance(far) < 1e-9) {
            return at == null ? near : at;
        }
        Point along = near.minus(far).unit();
        double reach = ridge.reach(near, along, 4 * half + 4);
        return near.plus(along.times(Math.max(0.01, reach - half)));
    }

    private static Loop loop(List<Point> way) {
        Loop.Growing points = new Loop.Growing();
        way.forEach(p -> points.add(p.x(), p.y()));
        return points.loop();
    }
}
