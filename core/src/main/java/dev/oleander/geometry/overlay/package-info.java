/**
 * Regions combined with each other; arcs stay arcs.
 *
 * <p>In: regions, which may touch, overlap or cross themselves; mm. Out: regions that do neither,
 * the largest first. Start at {@link dev.oleander.geometry.overlay.Overlay}.
 */
package dev.oleander.geometry.overlay;
