package dev.oleander.winding.layer;

import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.LayerLaw;
import dev.oleander.winding.pattern.Pattern;

/**
 * A pattern with what it takes.
 *
 * @param by radians or mm by which the law is changed
 * @param law changed
 * @param circuit by it
 * @param cover share of the surface, 1: all of it
 */
public record Reachable(
        Pattern pattern, Change change, double by, LayerLaw law, Circuit circuit, double cover) {

    public long crossings() {
        return pattern.crossings(circuit.dwellRight(), circuit.dwellLeft());
    }
}
