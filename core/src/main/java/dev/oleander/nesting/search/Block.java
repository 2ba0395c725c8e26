package dev.oleander.nesting.search;

import java.util.List;

/**
 * One or two items that fill a rectangle along the sheet.
 *
 * @param items their places in the list of all
 * @param lies the ways in which the rectangle may lie: one or two
 */
record Block(List<Integer> items, List<Lie> lies) {

    /**
     * A rectangle with its share of the gap.
     *
     * @param ways of the items, and where each lies seen from the corner of the rectangle, mm
     */
    record Lie(double width, double height, List<Turned> ways, double[] x, double[] y) {}

    /** The same rectangle with other parts of the same kind. */
    Block of(List<Integer> others) {
        return new Block(others, lies);
    }
}
