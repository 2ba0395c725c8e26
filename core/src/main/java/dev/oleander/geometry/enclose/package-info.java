/**
 * What encloses a shape and what it encloses: convex hull, smallest rectangle, largest circle.
 *
 * <p>In: chains and regions, mm. Out: exact hulls with arcs; rectangles and circles for leads,
 * remnants and labels.
 */
package dev.oleander.geometry.enclose;
