package dev.oleander.plan.panel.whole;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import dev.oleander.plan.panel.Spot;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Whether dowel holes of panels that lie in the product meet.
 *
 * @param pairs of holes that do
 * @param faults what does not fit
 */
public record Mates(List<Pair> pairs, List<Fault> faults) {

    /** mm within which axes, and diameters, are the same. */
    private static final double SAME = 0.1;

    /** Beyond, the cosine of two ways is not that of opposite ones. */
    private static final double FACING = -1 + 1e-6;

    /** mm; the pitch of rows of holes, by which a partner is easily missed. */
    private static final double PITCH = 32;

    /** mm that a dowel must not fill. */
    private static final double AIR = 1;

    /** Parameter of a product that says how long its dowels are. */
    public static final String DOWEL = "dowel";

    /** Tag of holes that are held to have a partner. */
    private static final String TAG = "dowel";

    /** A hole of a panel: its panel and its id. */
    public record Hole(String panel, String feature) {

        @Override
        public String toString() {
            return panel + "/" + feature;
        }
    }

    public record Pair(Hole first, Hole second) {}

    /** What does not fit, and a sentence. */
    public record Fault(List<Hole> holes, String sentence) {

        public Fault {
            holes = List.copyOf(holes);
        }
    }

    public Mates {
        pairs = List.copyOf(pairs);
        faults = List.copyOf(faults);
    }

    public static Mates of(Product product) {
        List<Mouth> mouths = mouths(product);
        double farthest = Math.max(PITCH, thickest(product)) + SAME;
        List<Pair> pairs = new ArrayList<>();
        List<Fault> faults = new ArrayList<>();
        // those that meet first, so that none that is alone takes the partner of another
        Set<Hole> settled = new HashSet<>();
        for (double within : List.of(SAME, farthest)) {
            MouthIndex index = new MouthIndex(mouths, within);
            for (Mouth mouth : mouths) {
                Optional<Mouth> partner =
                        settled.contains(mouth.hole)
                                ? Optional.empty()
                                : index.nearest(mouth, settled);
                if (partner.isPresent()) {
                    settled.add(mouth.hole);
                    settled.add(partner.get().hole);
                    judge(mouth, partner.get(), product, pairs, faults);
                }
            }
        }
        mouths.stream().filter(m -> !settled.contains(m.hole)).forEach(m -> faults.add(alone(m)));
        return new Mates(pairs, faults);
    }

    private static void judge(
            Mouth a, Mouth b, Product product, List<Pair> pairs, List<Fault> faults) {
        wrong(a, b, product)
                .ifPresentOrElse(
                        why -> faults.add(new Fault(List.of(a.hole, b.hole), why)),
                        () -> pairs.add(new Pair(a.hole, b.hole)));
    }

    private static double thickest(Product product) {
        return product.made().stream().mapToDouble(p -> p.size().thickness()).max().orElse(0);
    }

    private static Fault alone(Mouth mouth) {
        return new Fault(
                List.of(mouth.hole),
                "Hole %s, Ø %s, has no partner in another panel."
                        .formatted(mouth.hole, Numbers.plain(mouth.diameter, 2)));
    }

    private static Optional<String> wrong(Mouth a, Mouth b, Product product) {
        double apart = a.at.distance(b.at);
        if (apart > SAME) {
            return Optional.of(
                    "Holes %s and %s miss each other by %s mm."
                            .formatted(a.hole, b.hole, Numbers.plain(apart, 2)));
        }
        if (a.outward.dot(b.outward) > FACING) {
            return Optional.of("Holes %s and %s do not face each other.".formatted(a.hole, b.hole));
        }
        if (Math.abs(a.diameter - b.diameter) > SAME) {
            return Optional.of(
                    "Holes %s and %s meet with Ø %s and Ø %s."
                            .formatted(
                                    a.hole,
                                    b.hole,
                                    Numbers.plain(a.diameter, 2),
                                    Numbers.plain(b.diameter, 2)));
        }
        Double dowel = product.parameters().get(DOWEL);
        if (dowel != null && a.depth + b.depth < dowel + AIR) {
            return Optional.of(
                    "Holes %s and %s are %s mm deep together; a dowel of %s mm needs %s."
                            .formatted(
                                    a.hole,
                                    b.hole,
                                    Numbers.plain(a.depth + b.depth, 2),
                                    Numbers.plain(dowel, 2),
                                    Numbers.plain(dowel + AIR, 2)));
        }
        return Optional.empty();
    }

    /**
     * Where a hole opens in the product.
     *
     * @param outward away from its panel
     */
    record Mouth(Hole hole, Spot at, Spot outward, double diameter, double depth) {}

    private static List<Mouth> mouths(Product product) {
        List<Mouth> mouths = new ArrayList<>();
        for (Panel panel : product.made()) {
            panel.place()
                    .ifPresent(
                            place ->
                                    panel.features().stream()
                                            .filter(f -> f.isHole() && f.tag().equals(TAG))
                                            .forEach(f -> mouths.add(mouth(panel, place, f))));
        }
        return mouths;
    }

    private static Mouth mouth(Panel panel, Panel.Place place, PanelFeature hole) {
        Face face = hole.face();
        return new Mouth(
                new Hole(panel.id(), hole.id()),
                place.at(panel.spot(hole)),
                place.turned(face.outward()),
                hole.diameter(),
                hole.depth());
    }
}
