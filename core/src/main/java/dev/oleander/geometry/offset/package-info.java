/**
 * Parallel curves of contours, regions and open paths; arcs stay arcs.
 *
 * <p>In: simple contours, material to the left of an anticlockwise one; mm. Out: regions whose
 * boundary lies at the distance from the source, none of it nearer. Start at {@link
 * dev.oleander.geometry.offset.Offsetter}; {@link dev.oleander.geometry.offset.OffsetCheck} judges
 * a result without sharing any code.
 */
package dev.oleander.geometry.offset;
