package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.List;

/**
 * A picture as holes: each takes away as much of its cell as is dark there. What diameters at hand
 * take too much or too little goes to the cells after it (R. W. Floyd, L. Steinberg, "An adaptive
 * algorithm for spatial grey scale", 1976).
 */
public final class Dots {

    /** Holes at most. */
    public static final int MOST = 500_000;

    private static final double ROW = Math.sqrt(3) / 2;

    private final DotSpec spec;
    private final Tones tones;
    private final double height;
    private final double cell;

    private Dots(Picture picture, DotSpec spec) {
        this.spec = spec;
        this.height = spec.width() * picture.height() / picture.width();
        this.tones = new Tones(picture, spec);
        boolean triangular = spec.pattern() == DotSpec.Pattern.TRIANGULAR;
        this.cell = spec.pitch() * spec.pitch() * (triangular ? ROW : 1);
    }

    /**
     * A hole.
     *
     * @param at mm from the lower left corner of the picture
     * @param diameter mm
     */
    public record Hole(Point at, double diameter) {

        double area() {
            return Math.PI * diameter * diameter / 4;
        }
    }

    /**
     * Holes, row by row from below, or ring by ring from the middle.
     *
     * @param openShare of the whole picture that they take away
     */
    public record Made(List<Hole> holes, double openShare) {}

    /**
     * @throws PictureException when there would be far too many
     * @throws dev.oleander.progress.CancelledException when the progress says so
     */
    public static Made of(Picture picture, DotSpec spec, Progress progress) {
        return new Dots(picture, spec).made(progress);
    }

    private Made made(Progress progress) {
        double count = spec.width() * height / cell;
        if (count > MOST) {
            throw new PictureException("%,.0f holes at this pitch; %,d are allowed.", count, MOST);
        }
        List<Hole> holes = new ArrayList<>();
        List<List<Point>> rows = spec.pattern() == DotSpec.Pattern.RINGS ? rings() : rows();
        double[] later = new double[0];
        for (int i = 0; i < rows.size(); i++) {
            progress.at((double) i / rows.size(), "Placing holes");
            later = row(rows.get(i), later, holes);
        }
        double open = holes.stream().mapToDouble(Hole::area).sum();
        return new Made(holes, open / (spec.width() * height));
    }

    /**
     * Holes of a row.
     *
     * @param owed by the row before: area at each place, from the first to the last
     * @return what this one owes the next
     */
    private double[] row(List<Point> places, double[] owed, List<Hole> holes) {
        int n = places.size();
        double[] own = new double[n];
        for (int i = 0; i < n; i++) {
            // rings have other numbers of places than those before
            own[i] = owed.length == 0 ? 0 : owed[(int) ((long) i * owed.length / n)];
        }
        double[] next = new double[n];
        for (int i = 0; i < n; i++) {
            double wanted = tones.at(places.get(i)) * cell + own[i];
            double diameter = diameter(wanted);
            if (diameter > 0) {
                holes.add(new Hole(places.get(i), diameter));
            }
            if (!spec.diameters().isEmpty()) {
                hand(wanted - Math.PI * diameter * diameter / 4, i, own, next);
            }
        }
        return next;
    }

    private static void hand(double left, int i, double[] own, double[] next) {
        int n = own.length;
        if (i + 1 < n) {
            own[i + 1] += left * 7 / 16;
            next[i + 1] += left / 16;
        }
        if (i > 0) {
            next[i - 1] += left * 3 / 16;
        }
        next[i] += left * 5 / 16;
    }

    /** Of a hole of an area; 0: none. */
    private double diameter(double area) {
        double exact = Math.sqrt(4 * Math.max(0, area) / Math.PI);
        if (spec.diameters().isEmpty()) {
            double most = spec.pitch() - spec.web();
            return exact < spec.least() || exact <= 0 ? 0 : Math.min(exact, most);
        }
        double best = 0;
        double off = Math.abs(area);
        for (double diameter : spec.diameters()) {
            double differs = Math.abs(area - Math.PI * diameter * diameter / 4);
            if (differs < off) {
                off = differs;
                best = diameter;
            }
        }
        return best;
    }

    // ---- places

    private List<List<Point>> rows() {
        boolean triangular = spec.pattern() == DotSpec.Pattern.TRIANGULAR;
        double step = spec.pitch() * (triangular ? ROW : 1);
        int count = (int) Math.floor(height / step + 1e-9);
        double below = (height - (count - 1) * step) / 2;
        List<List<Point>> rows = new ArrayList<>();
        for (int j = 0; j < count; j++) {
            double shift = triangular && j % 2 == 1 ? spec.pitch() / 2 : 0;
            int columns =
                    (int)
                            Math.floor(
                                    (spec.width() - (triangular ? spec.pitch() / 2 : 0))
                                                    / spec.pitch()
                                            + 1e-9);
            double used = (columns - 1) * spec.pitch() + (triangular ? spec.pitch() / 2 : 0);
            double left = (spec.width() - used) / 2;
            List<Point> row = new ArrayList<>();
            for (int i = 0; i < columns; i++) {
                row.add(new Point(left + shift + i * spec.pitch(), below + j * step));
            }
            rows.add(row);
        }
        return rows;
    }

    private List<List<Point>> rings() {
        Point middle = new Point(spec.width() / 2, height / 2);
        double farthest = middle.norm();
        List<List<Point>> rings = new ArrayList<>();
        rings.add(List.of(middle));
        for (int k = 1; k * spec.pitch() < farthest; k++) {
            double radius = k * spec.pitch();
            int count = (int) Math.floor(Math.PI / Math.asin(1.0 / (2 * k)) + 1e-9);
            List<Point> ring = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                Point at = middle.plus(Point.polar(radius, 2 * Math.PI * i / count));
                if (isIn(at)) {
                    ring.add(at);
                }
            }
            rings.add(ring);
        }
        return rings;
    }

    private boolean isIn(Point at) {
        double half = spec.pitch() / 2;
        return at.x() >= half
                && at.y() >= half
                && at.x() <= spec.width() - half
                && at.y() <= height - half;
    }
}
