package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Grain;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.plan.panel.Product;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Panels that are cut out of boards by the machine that works them: what lies on the face that is
 * up, and what goes through, is made on the board; what is left when the panel lies alone.
 */
public final class OnBoards {

    private static final int QUARTER = 90;

    private OnBoards() {}

    /**
     * How a panel is made from a board of its material: first on it, then as is decided for the
     * rest.
     */
    public static Decision decide(
            Panel panel, Product.Board board, PanelMachine machine, ClampingWishes wishes) {
        if (!panel.isMade()) {
            return Decision.NOTHING;
        }
        Decision alone = ClampingPlanner.decide(panel, machine, wishes);
        Face up =
                wishes.up()
                        .orElseGet(
                                () ->
                                        alone.clampings().isEmpty()
                                                ? Face.TOP
                                                : alone.clampings().get(0).lying().up());
        Lying lying = new Lying(up, turn(panel.grain(), board.grain()));
        // what is worked when its edges are banded is only cut out there
        boolean before = panel.machined() == Panel.Machined.BEFORE;
        List<PanelFeature> there =
                panel.features().stream().filter(f -> before && isMade(f, up, wishes)).toList();
        List<PanelFeature> left = new ArrayList<>(panel.features());
        left.removeAll(there);
        // the face is used up by the board: what is left says itself how it lies
        ClampingWishes rest =
                new ClampingWishes(Optional.empty(), wishes.turn(), wishes.features());
        Decision after = ClampingPlanner.decide(panel.with(left), machine, rest);
        String why = why(up, there.size(), after);
        List<Clamping> clampings = new ArrayList<>();
        clampings.add(
                new Clamping(
                        lying,
                        List.of(),
                        there.stream().map(PanelFeature::id).toList(),
                        true,
                        why));
        after.clampings().forEach(c -> clampings.add(afterTheBoard(c)));
        return new Decision(clampings, after.refused(), why);
    }

    private static Clamping afterTheBoard(Clamping then) {
        String why = then.why();
        return new Clamping(
                then.lying(),
                then.reference(),
                then.features(),
                "After the board: "
                        + why.substring(0, 1).toLowerCase(Locale.ROOT)
                        + why.substring(1));
    }

    private static boolean isMade(PanelFeature feature, Face up, ClampingWishes wishes) {
        Face wished = wishes.features().getOrDefault(feature.id(), up);
        boolean here = feature.face() == up || feature.belongsToNone();
        return here && wished == up && !feature.face().isEdge();
    }

    /** So that the grain of the panel runs along that of the board, whose length lies along X. */
    static int turn(Grain panel, Grain board) {
        boolean matters = panel != Grain.NONE && board != Grain.NONE;
        return matters && panel != board ? QUARTER : 0;
    }

    private static String why(Face up, int there, Decision after) {
        int left = after.clampings().stream().mapToInt(c -> c.features().size()).sum();
        String first =
                "On the board, %s up: its outline and %d %s."
                        .formatted(up.label(), there, there == 1 ? "feature" : "features");
        return left == 0
                ? first + " Nothing is left to do after it."
                : "%s Then %d more, in %d %s."
                        .formatted(
                                first,
                                left,
                                after.clampings().size(),
                                after.clampings().size() == 1 ? "clamping" : "clampings");
    }
}
