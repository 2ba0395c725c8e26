package dev.oleander.drawing.letter;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.edit.Crumbs;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.FitOptions;
import dev.oleander.geometry.flat.DisjointSets;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * Letters as lines and arcs: curves are fitted by arcs that are tangent where the curve is smooth,
 * and what overlaps, within a letter or between letters, is one.
 */
public final class LetterOutlines {

    /** mm; finer arcs no machine can follow. */
    public static final double TOLERANCE = 0.01;

    /** Shares of the tolerance for chords of curves, and for arcs through them. */
    private static final double CHORD = 0.1;

    private static final double FITTED = 0.9;

    /** Length of a line, in tolerances, below which it is part of the curve beside it. */
    private static final double CRUMB = 10;

    /** Turn of a joint from which it is a corner, radians. */
    private static final double CORNER = Math.toRadians(1);

    private final double tolerance;
    private final Map<Form, List<Region>> forms = new HashMap<>();

    /** A letter, and how it is scaled and turned. */
    private record Form(Glyph glyph, double a, double b, double c, double d) {

        Transform transform() {
            return new Transform(a, b, c, d, 0, 0);
        }
    }

    private final boolean strokes;

    /**
     * For texts of one font and size; letters that stand alike are fitted once for all of them.
     *
     * @param strokes whether letters are lines that a tool follows
     * @param tolerance mm by which lines may lie beside the curves of the font, at most a
     *     five-hundredth of the height of capitals
     */
    public LetterOutlines(boolean strokes, double tolerance) {
        this.strokes = strokes;
        this.tolerance = tolerance;
    }

    /**
     * A line of the text.
     *
     * @param letter index of the letter in the text; of what several make together the first
     */
    public record Outline(Chain chain, int letter) {}

    /** What is inked of one or several letters. */
    private record Inked(Region region, int letter) {}

    /** The same of one text. */
    public static List<Outline> of(TextLayout.Laid laid, boolean strokes, double tolerance) {
        return new LetterOutlines(strokes, tolerance).of(laid);
    }

    /** Of a text that is laid out. */
    public List<Outline> of(TextLayout.Laid laid) {
        List<Inked> inked = new ArrayList<>();
        List<Outline> all = new ArrayList<>();
        for (Placed letter : laid.letters()) {
            if (strokes) {
                letter.glyph()
                        .outlines()
                        .forEach(o -> all.add(new Outline(open(letter, o), letter.index())));
            } else {
                placed(letter).forEach(r -> inked.add(new Inked(r, letter.index())));
            }
        }
        for (Inked one : united(inked)) {
            // with the material to the left, whatever way the font goes round
            all.add(new Outline(one.region().outer().turning(true), one.letter()));
            one.region()
                    .openings()
                    .forEach(c -> all.add(new Outline(c.turning(false), one.letter())));
        }
        return all;
    }

    /** Without what fitting and uniting leave where pieces meet: joints move by half of it. */
    private Region clean(Region region) {
        return new Region(
                clean(region.outer()), region.openings().stream().map(this::clean).toList());
    }

    private Contour clean(Contour contour) {
        return (Contour) Crumbs.without(contour, 2 * tolerance, (joint, length) -> {});
    }

    // ---- what is inked

    /** A letter that stands as another does is fitted once. */
    private List<Region> placed(Placed letter) {
        if (letter.bend().isPresent()) {
            return regions(letter);
        }
        Transform to = letter.to();
        Form form = new Form(letter.glyph(), to.a(), to.b(), to.c(), to.d());
        List<Region> there =
                forms.computeIfAbsent(form, f -> regions(letter.carriedBy(f.transform())));
        Transform shift = Transform.translation(new Point(to.e(), to.f()));
        return there.stream().map(r -> r.transformed(shift)).toList();
    }

    /** What the contours go round; in some fonts they cross themselves. */
    private List<Region> regions(Placed letter) {
        List<Contour> contours =
                letter.glyph().outlines().stream().map(o -> closed(letter, o)).toList();
        return contours.isEmpty()
                ? List.of()
                : Overlay.wound(contours).stream().map(this::clean).toList();
    }

    /** Regions that overlap become one; the others stay as they are. */
    private List<Inked> united(List<Inked> all) {
        Map<Integer, List<Inked>> groups = new TreeMap<>();
        DisjointSets sets = overlapping(all);
        for (int i = 0; i < all.size(); i++) {
            groups.computeIfAbsent(sets.leader(i), g -> new ArrayList<>()).add(all.get(i));
        }
        List<Inked> done = new ArrayList<>();
        for (List<Inked> group : groups.values()) {
            if (group.size() == 1) {
                done.addAll(group);
            } else {
                int first = group.stream().mapToInt(Inked::letter).min().orElseThrow();
                Overlay.union(group.stream().map(Inked::region).toList())
                        .forEach(r -> done.add(new Inked(clean(r), first)));
            }
        }
        done.sort(Comparator.comparingInt(Inked::letter));
        return done;
    }

    /** From left to right, each with those that begin before it ends. */
    private static DisjointSets overlapping(List<Inked> all) {
        DisjointSets sets = new DisjointSets(all.size());
        List<Box> boxes = all.stream().map(i -> i.region().box()).toList();
        List<Integer> order = new ArrayList<>(IntStream.range(0, all.size()).boxed().toList());
        order.sort(Comparator.comparingDouble(i -> boxes.get(i).min().x()));
        for (int a = 0; a < order.size(); a++) {
            int i = order.get(a);
            double end = boxes.get(i).max().x();
            for (int b = a + 1; b < order.size(); b++) {
                int j = order.get(b);
                if (boxes.get(j).min().x() > end) {
                    break;
                }
                boolean near = boxes.get(i).touches(boxes.get(j));
                if (near && sets.leader(i) != sets.leader(j) && meet(all.get(i), all.get(j))) {
                    sets.unite(i, j);
                }
            }
        }
        return sets;
    }

    private static boolean meet(Inked a, Inked b) {
        return !Overlay.intersection(List.of(a.region()), List.of(b.region())).isEmpty();
    }

    // ---- lines and arcs

    private Contour closed(Placed letter, List<Span> outline) {
        List<Span> spans = carried(letter, outline);
        int corner = firstCorner(spans);
        if (corner < 0) {
            List<Point> points = new ArrayList<>();
            spans.forEach(s -> points.addAll(flat(letter, s)));
            return new ArcFitter(FitOptions.within(FITTED * tolerance)).fitClosed(points);
        }
        List<Span> turned = new ArrayList<>(spans.subList(corner, spans.size()));
        turned.addAll(spans.subList(0, corner));
        List<Segment> segments = segments(letter, turned);
        Segment last = segments.get(segments.size() - 1);
        segments.set(segments.size() - 1, last.withEnds(last.start(), segments.get(0).start()));
        return new Contour(segments);
    }

    private Path open(Placed letter, List<Span> outline) {
        return new Path(segments(letter, carried(letter, outline)));
    }

    /** Without lines that lead nowhere: fonts repeat points. */
    private List<Span> carried(Placed letter, List<Span> outline) {
        List<Span> all = outline.stream().map(s -> s.transformed(letter.to())).toList();
        List<Span> longer =
                all.stream()
                        .filter(s -> !s.isLine() || s.start().distance(s.end()) > CHORD * tolerance)
                        .toList();
        return longer.isEmpty() ? all : longer;
    }

    /** The span that begins at a corner, or at the end of a line; -1 when all is one curve. */
    private static int firstCorner(List<Span> spans) {
        for (int i = 0; i < spans.size(); i++) {
            Span before = spans.get((i + spans.size() - 1) % spans.size());
            if (before.isLine() || spans.get(i).isLine() || isCorner(before, spans.get(i))) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isCorner(Span before, Span after) {
        Point in = before.end().minus(before.comes());
        Point out = after.leaves().minus(after.start());
        double cross = in.x() * out.y() - in.y() * out.x();
        double dot = in.x() * out.x() + in.y() * out.y();
        return Math.abs(Math.atan2(cross, dot)) > CORNER;
    }

    /** Lines stay; curves that lead smoothly into each other are fitted together. */
    private List<Segment> segments(Placed letter, List<Span> spans) {
        List<Segment> all = new ArrayList<>();
        List<Span> run = new ArrayList<>();
        for (Span span : spans) {
            boolean line = span.isLine() && letter.bend().isEmpty() && !isCrumb(span);
            if (!run.isEmpty() && (line || isCorner(run.get(run.size() - 1), span))) {
                all.addAll(fitted(letter, run));
                run.clear();
            }
            if (line) {
                all.add(new Line(span.start(), span.end()));
            } else {
                run.add(span);
            }
        }
        if (!run.isEmpty()) {
            all.addAll(fitted(letter, run));
        }
        return joined(all);
    }

    /** Steps of a unit of the font, where a curve should be: arcs go over them. */
    private boolean isCrumb(Span line) {
        return line.start().distance(line.end()) < CRUMB * tolerance;
    }

    private List<Segment> fitted(Placed letter, List<Span> run) {
        List<Point> points = new ArrayList<>();
        points.add(bent(letter, run.get(0).start()));
        run.forEach(s -> points.addAll(flat(letter, s)));
        double start =
                letter.bend().isPresent()
                        ? Double.NaN
                        : angle(run.get(0).start(), run.get(0).leaves());
        Span last = run.get(run.size() - 1);
        double end = letter.bend().isPresent() ? Double.NaN : angle(last.comes(), last.end());
        return new ArcFitter(FitOptions.within(FITTED * tolerance))
                .fit(points, start, end)
                .segments();
    }

    private static double angle(Point from, Point to) {
        return Math.atan2(to.y() - from.y(), to.x() - from.x());
    }

    private List<Point> flat(Placed letter, Span span) {
        List<Point> flat = span.isLine() ? divided(span) : span.flat(CHORD * tolerance);
        return flat.stream().map(p -> bent(letter, p)).toList();
    }

    /** A line that is bent becomes a curve. */
    private List<Point> divided(Span line) {
        int parts = (int) Math.ceil(line.start().distance(line.end()) / (20 * tolerance)) + 1;
        List<Point> points = new ArrayList<>();
        for (int i = 1; i <= parts; i++) {
            points.add(line.at((double) i / parts));
        }
        return points;
    }

    private static Point bent(Placed letter, Point p) {
        return letter.bend().map(b -> b.apply(p)).orElse(p);
    }

    /** Each begins exactly where the one before ends. */
    private static List<Segment> joined(List<Segment> segments) {
        List<Segment> all = new ArrayList<>();
        for (Segment segment : segments) {
            all.add(
                    all.isEmpty()
                            ? segment
                            : segment.withEnds(all.get(all.size() - 1).end(), segment.end()));
        }
        return all;
    }
}
