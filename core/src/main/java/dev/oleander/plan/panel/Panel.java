package dev.oleander.plan.panel;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Worded;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * A panel of a product. Sizes and features are those of the finished panel, its edges banded; mm.
 *
 * @param quantity in one product
 * @param material id of a material of the product; empty of what is not made
 * @param outline of its top; empty: the rectangle
 * @param show faces that will be seen
 * @param bands thickness of the band of each edge that has one
 * @param bandIds what those bands are called
 * @param machined whether it is worked before or after its edges are banded
 * @param place where it lies in the product; empty when nobody said
 */
public record Panel(
        String id,
        String name,
        Role role,
        int quantity,
        String material,
        Face.Size size,
        Optional<Contour> outline,
        Grain grain,
        Set<Face> show,
        Map<Face, Double> bands,
        Map<Face, String> bandIds,
        Machined machined,
        Optional<Place> place,
        List<PanelFeature> features) {

    /** When a panel is worked. */
    public enum Machined implements Worded {
        BEFORE,
        AFTER
    }

    /**
     * Where a panel lies in its product.
     *
     * @param origin of its corner x = y = z = 0
     * @param x way of its length; of length 1
     * @param y way of its width; of length 1, at a right angle to x
     */
    public record Place(Spot origin, Spot x, Spot y) {

        /** Where a place of the panel lies in the product. */
        public Spot at(Spot ofPanel) {
            return origin.plus(turned(ofPanel));
        }

        /** A way of the panel, in the product. */
        public Spot turned(Spot way) {
            return x.times(way.x()).plus(y.times(way.y())).plus(x.cross(y).times(way.z()));
        }
    }

    public Panel {
        show = Set.copyOf(show);
        bands = Collections.unmodifiableMap(new TreeMap<>(bands));
        bandIds = Collections.unmodifiableMap(new TreeMap<>(bandIds));
        features = List.copyOf(features);
    }

    /** Whether it is made here. */
    public boolean isMade() {
        return role == Role.PANEL;
    }

    /** The same with some of its features only. */
    public Panel with(List<PanelFeature> some) {
        return new Panel(
                id, name, role, quantity, material, size, outline, grain, show, bands, bandIds,
                machined, place, some);
    }

    public Optional<PanelFeature> feature(String featureId) {
        return features.stream().filter(f -> f.id().equals(featureId)).findFirst();
    }

    /** Its outline seen from the top. */
    public Contour contour() {
        return outline.orElseGet(
                () ->
                        Contour.rectangle(
                                new Box(Point.ORIGIN, new Point(size.length(), size.width()))));
    }

    /** Where a feature lies on the panel: its middle, on its face. */
    public Spot spot(PanelFeature feature) {
        Point middle = feature.middle();
        return feature.face().at(middle.x(), middle.y(), 0, size);
    }

    /** mm that an edge grows when it is banded. */
    public double band(Face edge) {
        return bands.getOrDefault(edge, 0.0);
    }

    /**
     * Its size before its edges are banded.
     *
     * @param allowance mm that the bander mills off an edge before it bands it
     */
    public Face.Size cut(double allowance) {
        return new Face.Size(
                size.length() - grown(Face.LEFT, allowance) - grown(Face.RIGHT, allowance),
                size.width() - grown(Face.FRONT, allowance) - grown(Face.BACK, allowance),
                size.thickness());
    }

    /** By how much an edge lies farther out when it is banded. */
    public double grown(Face edge, double allowance) {
        return bands.containsKey(edge) ? band(edge) - allowance : 0;
    }

    /** A place of the finished panel on the one that is cut, before its edges are banded. */
    public Spot beforeBanding(Spot finished, double allowance) {
        return finished.minus(
                new Spot(grown(Face.LEFT, allowance), grown(Face.FRONT, allowance), 0));
    }
}
