package dev.oleander.proof.panel;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.FeatureKind;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a feature of the top or the bottom asks to be taken away, seen from the top of the panel; mm
 * of the finished panel.
 *
 * @param low height over the bottom between which and {@code high} it is gone
 * @param loose whether its form is not exactly known: a line that is followed, an edge that is
 *     broken
 */
record WantedAway(PanelFeature feature, List<Region> area, double low, double high, boolean loose) {

    /** mm on both sides of a line that is followed, where nothing else is said. */
    private static final double BESIDE = 6;

    WantedAway {
        area = List.copyOf(area);
    }

    boolean reaches(double height) {
        return height > low && height < high;
    }

    /** Of a feature, with the wider steps of a hole as pieces of their own. */
    static List<WantedAway> of(Panel panel, PanelFeature feature) {
        List<WantedAway> all = new ArrayList<>();
        Optional<List<Region>> area = area(panel, feature);
        if (area.isEmpty()) {
            return all;
        }
        boolean loose = isLoose(feature);
        double depth = feature.through() ? panel.size().thickness() : feature.depth();
        all.add(piece(panel, feature, area.get(), depth, loose));
        for (PanelFeature.Step step : feature.steps()) {
            Point middle = toTop(panel, feature.face()).apply(feature.middle());
            Region rim = new Region(Contour.circle(middle, step.diameter() / 2), List.of());
            all.add(piece(panel, feature, List.of(rim), step.depth(), false));
        }
        return all;
    }

    private static WantedAway piece(
            Panel panel, PanelFeature feature, List<Region> area, double depth, boolean loose) {
        double thickness = panel.size().thickness();
        boolean top = feature.face() == Face.TOP;
        double low = top ? thickness - depth : 0;
        double high = top ? thickness : depth;
        return new WantedAway(feature, area, low, high, loose);
    }

    private static boolean isLoose(PanelFeature feature) {
        return feature.kind() == FeatureKind.FOLLOW || feature.kind() == FeatureKind.CHAMFER;
    }

    /** (u, v) of the bottom lie at (x, width - y). */
    private static Transform toTop(Panel panel, Face face) {
        return face == Face.TOP
                ? Transform.IDENTITY
                : new Transform(1, 0, 0, -1, 0, panel.size().width());
    }

    private static Optional<List<Region>> area(Panel panel, PanelFeature feature) {
        if (feature.face().isEdge()) {
            return Optional.empty();
        }
        Transform toTop = toTop(panel, feature.face());
        if (feature.area().isPresent()) {
            return Optional.of(List.of(feature.area().get().transformed(toTop)));
        }
        double width = feature.width().orElse(2 * BESIDE);
        double half = isLoose(feature) ? Math.max(width, BESIDE) : width / 2;
        Path path =
                feature.line() instanceof Path open ? open : new Path(feature.line().segments());
        return Optional.of(Offsetter.round().band((Path) path.transformed(toTop), half));
    }
}
