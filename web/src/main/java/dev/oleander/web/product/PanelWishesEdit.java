package dev.oleander.web.product;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.quantity.Worded;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.product.ProductDocument.Wishes;
import java.util.List;
import java.util.Map;

/**
 * What a person changes of how a panel lies. Null: as it is; an empty text: it is decided again.
 *
 * @param up top or bottom
 * @param turn 0, 90, 180 or 270
 * @param clampingOf face that is up when a feature is made, by its id
 */
public record PanelWishesEdit(String up, String turn, Map<String, String> clampingOf) {

    private static final List<String> TURNS = List.of("0", "90", "180", "270");

    public PanelWishesEdit {
        clampingOf = clampingOf == null ? Map.of() : Map.copyOf(clampingOf);
    }

    /**
     * @throws RefusedEditException naming the value and what is possible
     */
    Wishes applied(Wishes before, Panel panel) {
        Wishes after = before;
        if (up != null) {
            after = after.withUp(up.isBlank() ? null : face(up));
        }
        if (turn != null) {
            after = after.withTurn(turn.isBlank() ? null : turned());
        }
        for (Map.Entry<String, String> of : clampingOf.entrySet()) {
            if (panel.feature(of.getKey()).isEmpty()) {
                throw new RefusedEditException(
                        "Panel %s has no feature %s.".formatted(panel.id(), of.getKey()));
            }
            after = after.with(of.getKey(), of.getValue().isBlank() ? null : face(of.getValue()));
        }
        return after;
    }

    private Integer turned() {
        if (!TURNS.contains(turn.strip())) {
            throw new RefusedEditException(
                    "The turn is \"%s\"; it is one of %s."
                            .formatted(turn, String.join(", ", TURNS)));
        }
        return Integer.valueOf(turn.strip());
    }

    private static String face(String word) {
        return Worded.of(Face.class, word.strip())
                .filter(face -> !face.isEdge())
                .map(Face::word)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "The face that is up is \"%s\"; it is top or bottom."
                                                .formatted(word)));
    }
}
