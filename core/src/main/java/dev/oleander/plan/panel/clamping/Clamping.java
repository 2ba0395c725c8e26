package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import java.util.List;

/**
 * One way in which a panel lies, and what is made in it.
 *
 * @param reference edges of the panel that lie at the stops: one of left and right, one of front
 *     and back
 * @param features ids, in the order of the panel
 * @param why a sentence
 */
public record Clamping(Lying lying, List<Face> reference, List<String> features, String why) {

    public Clamping {
        reference = List.copyOf(reference);
        features = List.copyOf(features);
    }

    /** The corner at the stops: front left. */
    public String corner() {
        return reference.get(1).label() + " " + reference.get(0).label();
    }
}
