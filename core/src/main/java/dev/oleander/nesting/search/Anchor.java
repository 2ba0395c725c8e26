package dev.oleander.nesting.search;

/**
 * A corner that may be laid on a corner of something else, and the directions of its edges.
 *
 * @param in direction of the edge that comes, rad
 * @param out direction of the edge that leaves, rad
 * @param lengthIn mm from end to end of the edge that comes
 * @param lengthOut of the edge that leaves
 */
record Anchor(double x, double y, double in, double out, double lengthIn, double lengthOut) {}
