package dev.oleander.drawing.read;

import java.util.List;

/** Round openings of one diameter, mm. */
public record HoleGroup(double diameter, List<String> features) {

    public int count() {
        return features.size();
    }
}
