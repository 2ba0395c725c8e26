package dev.oleander.web.product;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.clamping.ClampingWishes;
import dev.oleander.plan.panel.file.ProductFile;
import dev.oleander.quantity.Worded;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;

/**
 * All that is kept of a product.
 *
 * @param machine on which its panels are made
 * @param preMilling mm that the bander mills off an edge before it bands it
 * @param materials what the book of the machine calls a material of the product, by its id
 * @param boards whether panels are cut out of boards by the machine that works them
 * @param trim mm round a panel on its board that are sawn off afterwards; 0: it is cut to size
 *     there
 * @param pods whether panels that lie alone lie on pods
 * @param roundCorners whether inner corners may stay as round as the tools are
 * @param wishes how panels lie, by their ids
 */
public record ProductDocument(
        ProductFile product,
        String machine,
        double preMilling,
        Map<String, String> materials,
        boolean roundCorners,
        boolean boards,
        double trim,
        boolean pods,
        Map<String, Wishes> wishes) {

    public ProductDocument {
        materials = materials == null ? Map.of() : Map.copyOf(materials);
        wishes = wishes == null ? Map.of() : Map.copyOf(wishes);
    }

    /** Nothing said of how panels lie, and nothing milled off. */
    public static ProductDocument of(ProductFile product, String machine) {
        return new ProductDocument(product, machine, 0, Map.of(), false, false, 0, false, Map.of());
    }

    /**
     * What a person says of a panel; null: it is decided.
     *
     * @param up top or bottom
     * @param turn degrees
     * @param clampingOf face that is up when a feature is made, by its id
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Wishes(String up, Integer turn, Map<String, String> clampingOf) {

        static final Wishes NONE = new Wishes(null, null, Map.of());

        public Wishes {
            clampingOf = clampingOf == null ? Map.of() : Map.copyOf(clampingOf);
        }

        boolean isNone() {
            return equals(NONE);
        }

        Wishes withUp(String face) {
            return new Wishes(face, turn, clampingOf);
        }

        Wishes withTurn(Integer degrees) {
            return new Wishes(up, degrees, clampingOf);
        }

        /**
         * @param face null: it is decided again
         */
        Wishes with(String feature, String face) {
            Map<String, String> changed = new TreeMap<>(clampingOf);
            if (face == null) {
                changed.remove(feature);
            } else {
                changed.put(feature, face);
            }
            return new Wishes(up, turn, changed);
        }

        ClampingWishes read() {
            Map<String, Face> features = new TreeMap<>();
            clampingOf.forEach((id, face) -> features.put(id, face(face)));
            return new ClampingWishes(
                    Optional.ofNullable(up).map(Wishes::face), Optional.ofNullable(turn), features);
        }

        private static Face face(String word) {
            return Worded.of(Face.class, word).orElseThrow();
        }
    }

    /** What is wished of a panel. */
    public Wishes wishes(String panel) {
        return Objects.requireNonNullElse(wishes.get(panel), Wishes.NONE);
    }

    /** With other wishes for a panel; without any it is decided again. */
    ProductDocument with(String panel, Wishes wished) {
        Map<String, Wishes> changed = new TreeMap<>(wishes);
        if (wished.isNone()) {
            changed.remove(panel);
        } else {
            changed.put(panel, wished);
        }
        return new ProductDocument(
                product, machine, preMilling, materials, roundCorners, boards, trim, pods, changed);
    }

    ProductDocument with(ProductFile other) {
        return new ProductDocument(
                other, machine, preMilling, materials, roundCorners, boards, trim, pods, wishes);
    }

    ProductDocument on(String otherMachine) {
        return new ProductDocument(
                product,
                otherMachine,
                preMilling,
                materials,
                roundCorners,
                boards,
                trim,
                pods,
                wishes);
    }

    ProductDocument milling(double millimetres) {
        return new ProductDocument(
                product, machine, millimetres, materials, roundCorners, boards, trim, pods, wishes);
    }

    ProductDocument rounding(boolean corners) {
        return new ProductDocument(
                product, machine, preMilling, materials, corners, boards, trim, pods, wishes);
    }

    /**
     * @param millimetres sawn off all round afterwards
     */
    ProductDocument onBoards(boolean cut, double millimetres) {
        return new ProductDocument(
                product,
                machine,
                preMilling,
                materials,
                roundCorners,
                cut,
                millimetres,
                pods,
                wishes);
    }

    ProductDocument onPods(boolean lies) {
        return new ProductDocument(
                product, machine, preMilling, materials, roundCorners, boards, trim, lies, wishes);
    }

    /**
     * @param called what the book calls a material; empty: it is found again
     */
    ProductDocument calling(String material, String called) {
        Map<String, String> changed = new TreeMap<>(materials);
        if (called.isBlank()) {
            changed.remove(material);
        } else {
            changed.put(material, called);
        }
        return new ProductDocument(
                product, machine, preMilling, changed, roundCorners, boards, trim, pods, wishes);
    }
}
