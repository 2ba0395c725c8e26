package dev.oleander.nesting.search;

/**
 * The largest disc within an opening that parts may lie in.
 *
 * @param radius mm
 */
record Hollow(double x, double y, double radius) {}
