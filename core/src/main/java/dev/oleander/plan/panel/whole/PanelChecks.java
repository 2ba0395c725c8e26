package dev.oleander.plan.panel.whole;

import dev.oleander.geometry.Box;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Opposites;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Spot;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** What should be looked at in the panels of a product before anything is cut. */
public final class PanelChecks {

    /** mm of material that must stay between what is taken away from both sides. */
    private static final double SKIN = 2;

    private static final double ROUNDED = 1e-6;

    private final List<Finding> findings = new ArrayList<>();

    private PanelChecks() {}

    /**
     * Something to look at.
     *
     * @param rule thickness, skin-thickness, band, edge or overlap
     * @param panel that it is about
     * @param feature of it; empty: the whole panel
     */
    public record Finding(String rule, String panel, String feature, String sentence) {}

    public static List<Finding> of(Product product) {
        PanelChecks checks = new PanelChecks();
        for (Panel panel : product.made()) {
            checks.thickness(product, panel);
            checks.skins(panel);
            checks.bands(panel);
            checks.edges(panel);
        }
        for (Overlaps.Overlap overlap : Overlaps.of(product)) {
            checks.add(
                    "overlap",
                    overlap.first(),
                    "",
                    "%s and %s fill the same room in the product, %s mm³."
                            .formatted(
                                    overlap.first(),
                                    overlap.second(),
                                    Numbers.plain(overlap.volume(), 0)));
        }
        return List.copyOf(checks.findings);
    }

    private void add(String rule, String panel, String feature, String sentence) {
        findings.add(new Finding(rule, panel, feature, sentence));
    }

    /** A panel is as thick as what it is made of. */
    private void thickness(Product product, Panel panel) {
        double of = product.materials().get(panel.material()).thickness();
        if (Math.abs(of - panel.size().thickness()) > ROUNDED) {
            add(
                    "thickness",
                    panel.id(),
                    "",
                    "Panel %s is %s mm thick; its material %s has %s mm."
                            .formatted(
                                    panel.id(),
                                    Numbers.plain(panel.size().thickness(), 3),
                                    panel.material(),
                                    Numbers.plain(of, 3)));
        }
    }

    /** Little may stay between a feature of the top and one of the bottom. */
    private void skins(Panel panel) {
        for (Opposites.Pair pair : Opposites.of(panel)) {
            if (pair.left() < SKIN) {
                add(
                        "skin-thickness",
                        panel.id(),
                        pair.above().id(),
                        "Panel %s: between %s on the top and %s on the bottom %s mm stay, less than %s."
                                .formatted(
                                        panel.id(),
                                        pair.above().id(),
                                        pair.below().id(),
                                        Numbers.plain(pair.left(), 2),
                                        Numbers.plain(SKIN, 0)));
            }
        }
    }

    /** What opens in an edge is closed by a band that comes after it. */
    private void bands(Panel panel) {
        if (panel.machined() == Panel.Machined.AFTER) {
            return;
        }
        for (PanelFeature feature : panel.features()) {
            for (Face edge : panel.bands().keySet()) {
                if (opensIn(panel, feature, edge)) {
                    add(
                            "band",
                            panel.id(),
                            feature.id(),
                            "Panel %s: %s %s opens in the %s edge, which is banded after it: the band closes it."
                                    .formatted(
                                            panel.id(),
                                            feature.kind().label(),
                                            feature.id(),
                                            edge.label()));
                }
            }
        }
    }

    private static boolean opensIn(Panel panel, PanelFeature feature, Face edge) {
        if (feature.face() == edge) {
            return true;
        }
        if (feature.face().isEdge()) {
            return false;
        }
        Solid gone = gone(panel, feature);
        Spot size = new Spot(panel.size().length(), panel.size().width(), panel.size().thickness());
        return switch (edge) {
            case LEFT -> gone.least().x() <= 0;
            case RIGHT -> gone.most().x() >= size.x();
            case FRONT -> gone.least().y() <= 0;
            default -> gone.most().y() >= size.y();
        };
    }

    private static Solid gone(Panel panel, PanelFeature feature) {
        Box box = feature.box();
        return Solid.of(
                feature.face().at(box.min().x(), box.min().y(), 0, panel.size()),
                feature.face().at(box.max().x(), box.max().y(), feature.depth(), panel.size()));
    }

    /** A hole in an edge that runs into something else. */
    private void edges(Panel panel) {
        List<PanelFeature> holes =
                panel.features().stream().filter(f -> f.face().isEdge()).toList();
        for (PanelFeature hole : holes) {
            Solid bore = gone(panel, hole);
            for (PanelFeature other : panel.features()) {
                boolean first = other.id().compareTo(hole.id()) < 0 || !other.face().isEdge();
                if (other != hole && first && bore.meet(gone(panel, other)).volume() > 0) {
                    add(
                            "edge",
                            panel.id(),
                            hole.id(),
                            "Panel %s: hole %s in the %s edge runs into %s %s."
                                    .formatted(
                                            panel.id(),
                                            hole.id(),
                                            hole.face().label(),
                                            other.kind().label(),
                                            other.id()));
                }
            }
        }
    }
}
