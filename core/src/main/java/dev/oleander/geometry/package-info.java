/**
 * Exact plane geometry of lines and circular arcs.
 *
 * <p>In: points, lines, arcs, chains of them; everything in mm and radians, in {@code double}. Out:
 * measures, intersections, distances, containment and parallel offsets that keep arcs as arcs.
 * Start at {@link dev.oleander.geometry.Contour} for closed chains and {@link
 * dev.oleander.geometry.Offsetter} for parallel curves. All types are immutable.
 *
 * <p>One package, since the values know each other: a contour is a chain, a chain is made of
 * segments, and all of them are used together everywhere.
 */
package dev.oleander.geometry;
