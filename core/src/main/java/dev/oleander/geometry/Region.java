package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;

/** Material: an outer contour less the contours of its openings. */
public record Region(Contour outer, List<Contour> openings) {

    public Region {
        openings = List.copyOf(openings);
    }

    /** Area of the material, mm2. */
    public double area() {
        return outer.area() - openings.stream().mapToDouble(Contour::area).sum();
    }

    /** Centre of the material. */
    public Point centroid() {
        Point sum = outer.centroid().times(outer.area());
        for (Contour opening : openings) {
            sum = sum.minus(opening.centroid().times(opening.area()));
        }
        return sum.times(1 / area());
    }

    public boolean contains(Point p) {
        return outer.contains(p) && openings.stream().noneMatch(o -> o.contains(p));
    }

    /** The outer contour first, then the openings. */
    public List<Contour> contours() {
        List<Contour> all = new ArrayList<>(openings.size() + 1);
        all.add(outer);
        all.addAll(openings);
        return all;
    }

    public Region transformed(Transform transform) {
        return new Region(
                outer.transformed(transform),
                openings.stream().map(o -> o.transformed(transform)).toList());
    }

    public Box box() {
        return outer.box();
    }
}
