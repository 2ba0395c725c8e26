package dev.oleander.plan.panel.whole;

import dev.oleander.geometry.Box;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Panels that fill the same room in the product, what is taken away from them aside. Panels lie
 * along the axes; what is taken away counts as the box round it, those that lie otherwise are
 * passed over.
 */
public final class Overlaps {

    /** mm3; less is how numbers are rounded. */
    private static final double LEAST = 0.1;

    private static final double ROUNDED = 1e-9;

    private Overlaps() {}

    /**
     * @param volume mm3 that both fill
     */
    public record Overlap(String first, String second, double volume) {}

    private record Placed(Panel panel, Solid body, List<Solid> gone) {}

    public static List<Overlap> of(Product product) {
        List<Placed> placed = product.made().stream().flatMap(Overlaps::placed).toList();
        List<Overlap> overlaps = new ArrayList<>();
        for (int i = 0; i < placed.size(); i++) {
            for (int k = i + 1; k < placed.size(); k++) {
                Placed a = placed.get(i);
                Placed b = placed.get(k);
                Solid both = a.body.meet(b.body);
                double volume = both.volume() > LEAST ? left(both, a, b) : 0;
                if (volume > LEAST) {
                    overlaps.add(new Overlap(a.panel.id(), b.panel.id(), volume));
                }
            }
        }
        return overlaps;
    }

    private static Stream<Placed> placed(Panel panel) {
        return panel
                .place()
                .filter(p -> isAlongAxes(p.x()) && isAlongAxes(p.y()))
                .map(p -> new Placed(panel, body(panel, p), gone(panel, p)))
                .stream();
    }

    private static boolean isAlongAxes(Spot way) {
        return Math.max(Math.abs(way.x()), Math.max(Math.abs(way.y()), Math.abs(way.z())))
                > 1 - ROUNDED;
    }

    private static Solid body(Panel panel, Panel.Place place) {
        Face.Size size = panel.size();
        return Solid.of(
                place.at(Spot.ORIGIN),
                place.at(new Spot(size.length(), size.width(), size.thickness())));
    }

    private static List<Solid> gone(Panel panel, Panel.Place place) {
        return panel.features().stream().map(f -> gone(panel, place, f)).toList();
    }

    private static Solid gone(Panel panel, Panel.Place place, PanelFeature feature) {
        Box box = feature.box();
        Face face = feature.face();
        Spot a = face.at(box.min().x(), box.min().y(), 0, panel.size());
        Spot b = face.at(box.max().x(), box.max().y(), feature.depth(), panel.size());
        return Solid.of(place.at(a), place.at(b));
    }

    /** By cells between all walls that there are. */
    private static double left(Solid both, Placed a, Placed b) {
        List<Solid> gone =
                Stream.concat(a.gone.stream(), b.gone.stream())
                        .filter(g -> g.meet(both).volume() > 0)
                        .toList();
        List<Double> xs = cuts(both.least().x(), both.most().x(), gone, 0);
        List<Double> ys = cuts(both.least().y(), both.most().y(), gone, 1);
        List<Double> zs = cuts(both.least().z(), both.most().z(), gone, 2);
        double volume = 0;
        for (int i = 1; i < xs.size(); i++) {
            for (int j = 1; j < ys.size(); j++) {
                for (int k = 1; k < zs.size(); k++) {
                    Solid cell =
                            Solid.of(
                                    new Spot(xs.get(i - 1), ys.get(j - 1), zs.get(k - 1)),
                                    new Spot(xs.get(i), ys.get(j), zs.get(k)));
                    Spot middle = cell.least().plus(cell.most()).times(0.5);
                    volume += gone.stream().anyMatch(g -> g.contains(middle)) ? 0 : cell.volume();
                }
            }
        }
        return volume;
    }

    private static List<Double> cuts(double from, double to, List<Solid> gone, int axis) {
        TreeSet<Double> cuts = new TreeSet<>(List.of(from, to));
        for (Solid solid : gone) {
            for (Spot corner : List.of(solid.least(), solid.most())) {
                double at = axis == 0 ? corner.x() : axis == 1 ? corner.y() : corner.z();
                if (at > from && at < to) {
                    cuts.add(at);
                }
            }
        }
        return List.copyOf(cuts);
    }
}
