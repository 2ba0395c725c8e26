package dev.oleander.plan.panel.file;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.GeometryException;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Grain;
import dev.oleander.plan.panel.Opposites;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelException;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Role;
import dev.oleander.plan.panel.Spot;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Reads one panel of a product. */
final class PanelReader {

    /** Beyond, two axes that should be at a right angle, or of length 1, are not. */
    private static final double SKEW = 1e-6;

    private final Map<String, Double> names;
    private final Map<String, Product.Material> materials;
    private final Map<String, Double> bands;

    PanelReader(
            Map<String, Double> names,
            Map<String, Product.Material> materials,
            Map<String, Double> bands) {
        this.names = names;
        this.materials = materials;
        this.bands = bands;
    }

    /**
     * @throws PanelException naming what is wrong first
     */
    Panel read(ProductFile.Panel panel) {
        String what = "Panel " + ProductReader.named(panel.id(), "A panel");
        Role role = ProductReader.word(Role.class, panel.role(), "panel", what + ", role");
        Face.Size size = size(panel, what);
        Map<Face, String> bandIds = bandIds(panel, what);
        Map<Face, Double> thick = new EnumMap<>(Face.class);
        bandIds.forEach((edge, id) -> thick.put(edge, bands.get(id)));
        Panel read =
                new Panel(
                        panel.id(),
                        panel.name() == null ? panel.id() : panel.name().strip(),
                        role,
                        ProductReader.whole(panel.quantity(), names, what + ", quantity"),
                        role == Role.PANEL ? material(panel, what) : "",
                        size,
                        outline(panel, size, what),
                        ProductReader.word(Grain.class, panel.grain(), "none", what + ", grain"),
                        show(panel, what),
                        thick,
                        bandIds,
                        ProductReader.word(
                                Panel.Machined.class,
                                panel.machined(),
                                "before",
                                what + ", machined"),
                        Optional.ofNullable(panel.placed()).map(p -> place(p, what)),
                        features(panel, size, what));
        requireSolid(read, what);
        return read;
    }

    /** What is taken away from both sides must not meet. */
    private static void requireSolid(Panel panel, String what) {
        for (Opposites.Pair pair : Opposites.of(panel)) {
            if (pair.left() < 0) {
                throw new PanelException(
                        "%s: top and bottom, %s and %s overlap and leave %s mm of %s."
                                .formatted(
                                        what,
                                        pair.above().id(),
                                        pair.below().id(),
                                        Numbers.plain(pair.left(), 3),
                                        Numbers.plain(panel.size().thickness(), 3)));
            }
        }
    }

    private Face.Size size(ProductFile.Panel panel, String what) {
        return new Face.Size(
                side(panel.length(), what, "length"),
                side(panel.width(), what, "width"),
                side(panel.thickness(), what, "thickness"));
    }

    private double side(Amount amount, String what, String side) {
        if (amount == null) {
            throw new PanelException("%s has no %s.".formatted(what, side));
        }
        return ProductReader.above(amount, names, what + ", " + side);
    }

    private String material(ProductFile.Panel panel, String what) {
        Product.Material material = materials.get(panel.material() == null ? "" : panel.material());
        if (material == null) {
            throw new PanelException(
                    "%s: material \"%s\" is not in the product."
                            .formatted(what, panel.material() == null ? "" : panel.material()));
        }
        return material.id();
    }

    private Map<Face, String> bandIds(ProductFile.Panel panel, String what) {
        Map<Face, String> ids = new EnumMap<>(Face.class);
        panel.band()
                .forEach(
                        (edge, id) -> {
                            Face face = face(edge, what + ", band");
                            if (!face.isEdge()) {
                                throw new PanelException(
                                        "%s has a band on its %s; only edges have bands."
                                                .formatted(what, face.label()));
                            }
                            if (!bands.containsKey(id)) {
                                throw new PanelException(
                                        "%s: band '%s' is not in the product.".formatted(what, id));
                            }
                            ids.put(face, id);
                        });
        return ids;
    }

    static Face face(String word, String what) {
        return Worded.of(Face.class, word == null ? "" : word)
                .orElseThrow(
                        () ->
                                new PanelException(
                                        "%s: face '%s' is unknown: %s."
                                                .formatted(
                                                        what,
                                                        word == null ? "" : word,
                                                        Face.all())));
    }

    private Set<Face> show(ProductFile.Panel panel, String what) {
        Set<Face> faces = new TreeSet<>();
        panel.show().forEach(f -> faces.add(face(f, what + ", show")));
        return faces;
    }

    private Optional<Contour> outline(ProductFile.Panel panel, Face.Size size, String what) {
        if (panel.outline().isEmpty()) {
            return Optional.empty();
        }
        Corners corners = new Corners(panel.outline(), names, what + ", outline");
        Contour contour = corners.contour();
        corners.requireWithin(contour.box(), size.length(), size.width());
        return Optional.of(contour.turning(true));
    }

    private Panel.Place place(ProductFile.Placed placed, String what) {
        Spot x = spot(placed.x(), what + ", placed, x");
        Spot y = spot(placed.y(), what + ", placed, y");
        boolean square =
                Math.abs(x.length() - 1) < SKEW
                        && Math.abs(y.length() - 1) < SKEW
                        && Math.abs(x.dot(y)) < SKEW;
        if (!square) {
            throw new PanelException(
                    "%s: its axes x and y are skew; both have length 1 and lie at a right angle."
                            .formatted(what));
        }
        return new Panel.Place(spot(placed.origin(), what + ", placed, origin"), x, y);
    }

    private Spot spot(List<Amount> numbers, String what) {
        if (numbers == null || numbers.size() != 3) {
            throw new PanelException(what + " needs three numbers.");
        }
        return new Spot(
                numbers.get(0).in(names, what),
                numbers.get(1).in(names, what),
                numbers.get(2).in(names, what));
    }

    private List<PanelFeature> features(ProductFile.Panel panel, Face.Size size, String what) {
        List<PanelFeature> features = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (ProductFile.Feature feature : panel.features()) {
            PanelFeature read;
            try {
                read = new FeatureReader(feature, size, names, what).read();
            } catch (GeometryException | IllegalArgumentException crooked) {
                throw new PanelException(
                        "%s, %s: its outline is not usable: %s"
                                .formatted(what, feature.id(), crooked.getMessage()));
            }
            if (!ids.add(read.id())) {
                throw new PanelException(
                        "%s: two features are called %s.".formatted(what, read.id()));
            }
            features.add(read);
        }
        return features;
    }
}
