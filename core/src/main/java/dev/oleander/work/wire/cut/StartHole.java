package dev.oleander.work.wire.cut;

import dev.oleander.geometry.Point;

/**
 * A hole that the wire is threaded through.
 *
 * @param stop id of the stop that needs it
 * @param at on the machine's table, mm
 * @param diameter mm
 * @param given where it comes from
 */
public record StartHole(String stop, int copy, Point at, double diameter, Given given) {

    /** Where a start hole comes from. */
    public enum Given {
        /** it is in the drawing */
        DRAWN("drawn"),
        /** a person clicked it */
        CLICKED("set"),
        /** it was proposed, and has to be drilled */
        PROPOSED("proposed"),
        /** the wire comes in over the edge; nothing is drilled */
        EDGE("from the edge");

        private final String label;

        Given(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
