package dev.oleander.plan.panel.clamping;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Spot;
import dev.oleander.plan.panel.clamping.ClampingPlanner.Clamped;
import java.util.List;

/**
 * Chooses the edges that lie at the stops: none that is curved, cut in this clamping or banded
 * later where there is a better one; then those that the features lie nearest to.
 */
public final class References {

    /** mm within which a line lies in an edge. */
    private static final double AT = 1e-3;

    private References() {}

    /**
     * One of left and right, one of front and back. Those of the clamping before are kept where
     * they are as good: then no tolerance of the panel's size comes between what is made in both.
     *
     * @param before of the clamping before; none: it is the first
     */
    static List<Face> of(Panel panel, Clamped clamped, List<Face> before) {
        return List.of(
                better(panel, clamped, before, Face.LEFT, Face.RIGHT),
                better(panel, clamped, before, Face.FRONT, Face.BACK));
    }

    private static Face better(
            Panel panel, Clamped clamped, List<Face> before, Face first, Face second) {
        int poor = faults(panel, clamped, first) - faults(panel, clamped, second);
        if (poor != 0) {
            return poor < 0 ? first : second;
        }
        if (!before.isEmpty()) {
            return before.contains(first) ? first : second;
        }
        double nearer = distance(panel, clamped, first) - distance(panel, clamped, second);
        return nearer <= AT ? first : second;
    }

    private static int faults(Panel panel, Clamped clamped, Face edge) {
        int faults = isStraight(panel, edge) ? 0 : 4;
        faults += isCut(panel, clamped, edge) ? 2 : 0;
        boolean later =
                panel.machined() == Panel.Machined.BEFORE && panel.bands().containsKey(edge);
        return faults + (later ? 1 : 0);
    }

    private static boolean isStraight(Panel panel, Face edge) {
        if (panel.outline().isEmpty()) {
            return true;
        }
        Contour contour = panel.contour();
        double longest =
                contour.segments().stream()
                        .filter(Line.class::isInstance)
                        .filter(s -> depth(panel, edge, s.start()) < AT)
                        .filter(s -> depth(panel, edge, s.end()) < AT)
                        .mapToDouble(s -> s.length())
                        .sum();
        return longest > edge.across(panel.size()) / 2;
    }

    /** How far a place of the top lies from an edge. */
    private static double depth(Panel panel, Face edge, Point at) {
        Spot out = edge.outward();
        double far = edge == Face.RIGHT ? panel.size().length() : panel.size().width();
        double along = out.x() * at.x() + out.y() * at.y();
        return out.x() + out.y() > 0 ? far - along : -along;
    }

    private static boolean isCut(Panel panel, Clamped clamped, Face edge) {
        return isCut(panel, clamped.features(), edge);
    }

    /** Whether features of the top or the bottom, other than holes, reach an edge. */
    public static boolean isCut(Panel panel, List<PanelFeature> features, Face edge) {
        return features.stream()
                .filter(f -> !f.face().isEdge() && !f.isHole())
                .anyMatch(f -> reaches(panel, f, edge));
    }

    private static boolean reaches(Panel panel, PanelFeature feature, Face edge) {
        Spot a =
                feature.face()
                        .at(feature.box().min().x(), feature.box().min().y(), 0, panel.size());
        Spot b =
                feature.face()
                        .at(feature.box().max().x(), feature.box().max().y(), 0, panel.size());
        return Math.min(
                        depth(panel, edge, new Point(a.x(), a.y())),
                        depth(panel, edge, new Point(b.x(), b.y())))
                < AT;
    }

    private static double distance(Panel panel, Clamped clamped, Face edge) {
        return clamped.features().stream()
                .map(panel::spot)
                .mapToDouble(s -> depth(panel, edge, new Point(s.x(), s.y())))
                .sum();
    }
}
