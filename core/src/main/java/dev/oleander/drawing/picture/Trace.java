package dev.oleander.drawing.picture;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Line work of a picture; pixels, or mm after {@link #scaled}. The origin is the lower left corner
 * of the picture.
 *
 * @param threshold level between ink and paper
 * @param contours outlines, ink on their left; none of centre lines
 * @param strokes centre lines, open and closed; none of outlines
 * @param strokeWidth mean width of the strokes; empty: there are none
 * @param spread share by which the widths of strokes differ
 * @param counts how many of what
 * @param off greatest distance from the edge of each line and arc of each chain, in the order of
 *     {@link #chains}
 * @param told sentences about what should be looked at
 */
public record Trace(
        double threshold,
        List<Contour> contours,
        List<Chain> strokes,
        OptionalDouble strokeWidth,
        double spread,
        Counts counts,
        List<List<Double>> off,
        List<String> told) {

    public Trace {
        contours = List.copyOf(contours);
        strokes = List.copyOf(strokes);
        off = off.stream().map(List::copyOf).toList();
        told = List.copyOf(told);
    }

    /**
     * How many there are.
     *
     * @param points of the edges as they were found
     * @param elements lines and arcs along them
     * @param specks of ink that were taken away
     * @param holes in ink that were filled
     */
    public record Counts(int outlines, int points, int elements, int specks, int holes) {}

    /** Greatest distance of the line work from the edge. */
    public double greatestDeviation() {
        return off.stream().flatMap(List::stream).mapToDouble(d -> d).max().orElse(0);
    }

    /** The same with another unit. */
    public Trace scaled(double by) {
        return through(Transform.scaling(by), by);
    }

    /** The same farther up. */
    Trace raised(double by) {
        return through(Transform.translation(new Point(0, by)), 1);
    }

    private Trace through(Transform to, double scale) {
        List<Chain> placed = new ArrayList<>();
        strokes.forEach(s -> placed.add(transformed(s, to)));
        return new Trace(
                threshold,
                contours.stream().map(c -> c.transformed(to)).toList(),
                placed,
                strokeWidth.isPresent()
                        ? OptionalDouble.of(scale * strokeWidth.getAsDouble())
                        : strokeWidth,
                spread,
                counts,
                off.stream().map(of -> of.stream().map(d -> scale * d).toList()).toList(),
                told);
    }

    private static Chain transformed(Chain chain, Transform by) {
        return chain instanceof Contour closed
                ? closed.transformed(by)
                : ((Path) chain).transformed(by);
    }

    /** All of it. */
    public List<Chain> chains() {
        List<Chain> all = new ArrayList<>(contours);
        all.addAll(strokes);
        return all;
    }
}
