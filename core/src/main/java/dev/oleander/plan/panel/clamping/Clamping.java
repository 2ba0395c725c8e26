package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import java.util.List;

/**
 * One way in which a panel lies, and what is made in it.
 *
 * @param reference edges of the panel that lie at the stops: one of left and right, one of front
 *     and back; on a board none
 * @param features ids, in the order of the panel
 * @param onBoard whether the panel still lies among others on a board, and is cut out of it
 * @param why a sentence
 */
public record Clamping(
        Lying lying, List<Face> reference, List<String> features, boolean onBoard, String why) {

    /** Of a panel that lies alone. */
    public Clamping(Lying lying, List<Face> reference, List<String> features, String why) {
        this(lying, reference, features, false, why);
    }

    public Clamping {
        reference = List.copyOf(reference);
        features = List.copyOf(features);
    }

    /** The corner at the stops: front left; on a board none. */
    public String corner() {
        if (reference.isEmpty()) {
            return "";
        }
        return reference.get(1).label() + " " + reference.get(0).label();
    }
}
