package dev.oleander.plan.panel;

import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;

/** What is taken away from the top and from the bottom at one place. */
public final class Opposites {

    /** mm2; smaller areas are how numbers are rounded. */
    private static final double TOUCH = 1e-3;

    private Opposites() {}

    /**
     * @param left mm between the floors; below 0 they meet
     */
    public record Pair(PanelFeature above, PanelFeature below, double left) {}

    /** Blind features of the top with those of the bottom that lie under them. */
    public static List<Pair> of(Panel panel) {
        Transform toTop = new Transform(1, 0, 0, -1, 0, panel.size().width());
        List<PanelFeature> above = blind(panel, Face.TOP);
        List<Under> below =
                blind(panel, Face.BOTTOM).stream()
                        .map(f -> new Under(f, f.area().orElseThrow().transformed(toTop)))
                        .toList();
        List<Pair> pairs = new ArrayList<>();
        for (PanelFeature over : above) {
            Region area = over.area().orElseThrow();
            for (Under under : below) {
                if (under.meets(area)) {
                    double left = panel.size().thickness() - over.depth() - under.feature.depth();
                    pairs.add(new Pair(over, under.feature, left));
                }
            }
        }
        return pairs;
    }

    private record Under(PanelFeature feature, Region area) {

        boolean meets(Region other) {
            return area.box().touches(other.box())
                    && Overlay.intersection(List.of(area), List.of(other)).stream()
                                    .mapToDouble(Region::area)
                                    .sum()
                            > TOUCH;
        }
    }

    private static List<PanelFeature> blind(Panel panel, Face face) {
        return panel.features().stream()
                .filter(f -> f.face() == face && !f.through() && f.area().isPresent())
                .toList();
    }
}
