package dev.oleander.web.product;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Role;
import dev.oleander.plan.panel.Spot;
import java.util.ArrayList;
import java.util.List;

/**
 * What the view in space draws: panels where they lie, with what is taken away from their faces.
 * Lengths mm; a place, and a way of length 1, is three numbers.
 *
 * @param bodies of a product, or one
 * @param without how many bodies have no place
 */
record SpaceView(List<Body> bodies, int without) {

    private static final double CHORD = 0.1;

    /**
     * A panel.
     *
     * @param role panel, helper or bought
     * @param origin of its corner x = y = z = 0
     * @param size along x, y and z
     */
    record Body(
            String id,
            String name,
            String role,
            double[] origin,
            double[] x,
            double[] y,
            double[] z,
            double[] size,
            List<Mark> marks) {}

    /**
     * What is taken away from a face.
     *
     * @param origin of the face's (u, v)
     * @param outward away from the panel
     * @param closed whether it encloses something
     * @param uv places along it
     */
    record Mark(
            String feature,
            String title,
            double[] origin,
            double[] u,
            double[] v,
            double[] outward,
            double depth,
            boolean through,
            boolean closed,
            double[] uv) {}

    /** All that lie in the product. */
    static SpaceView of(Product product) {
        List<Body> bodies = new ArrayList<>();
        int without = 0;
        for (Panel panel : product.panels()) {
            if (panel.place().isPresent()) {
                bodies.add(body(panel, panel.place().get()));
            } else if (panel.role() != Role.BOUGHT) {
                without++;
            }
        }
        return new SpaceView(bodies, without);
    }

    /** One alone. */
    static SpaceView of(Panel panel) {
        Panel.Place flat = new Panel.Place(Spot.ORIGIN, new Spot(1, 0, 0), new Spot(0, 1, 0));
        return new SpaceView(List.of(body(panel, flat)), 0);
    }

    private static Body body(Panel panel, Panel.Place place) {
        Face.Size size = panel.size();
        return new Body(
                panel.id(),
                panel.name(),
                panel.role().word(),
                numbers(place.origin()),
                numbers(place.x()),
                numbers(place.y()),
                numbers(place.turned(new Spot(0, 0, 1))),
                new double[] {size.length(), size.width(), size.thickness()},
                panel.features().stream().map(f -> mark(panel, place, f)).toList());
    }

    private static Mark mark(Panel panel, Panel.Place place, PanelFeature feature) {
        Face face = feature.face();
        return new Mark(
                feature.id(),
                FeatureView.title(feature),
                numbers(place.at(face.at(0, 0, 0, panel.size()))),
                numbers(place.turned(face.u())),
                numbers(place.turned(face.v())),
                numbers(place.turned(face.outward())),
                feature.depth(),
                feature.through(),
                feature.line() instanceof Contour,
                along(feature));
    }

    private static double[] along(PanelFeature feature) {
        List<Point> points = new ArrayList<>();
        for (Segment segment : feature.line().segments()) {
            int parts = segment instanceof Arc arc ? parts(arc) : 1;
            for (int i = 0; i < parts; i++) {
                points.add(segment.at((double) i / parts));
            }
        }
        points.add(feature.line().end());
        return points.stream()
                .flatMap(p -> List.of(p.x(), p.y()).stream())
                .mapToDouble(n -> n)
                .toArray();
    }

    /** So many that no chord is farther from the arc than is seen. */
    private static int parts(Arc arc) {
        double step = 2 * Math.acos(Math.max(0, 1 - CHORD / arc.radius()));
        return (int) Math.max(2, Math.ceil(Math.abs(arc.sweep()) / step));
    }

    private static double[] numbers(Spot spot) {
        return new double[] {spot.x(), spot.y(), spot.z()};
    }
}
