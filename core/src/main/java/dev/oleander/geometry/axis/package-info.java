/**
 * The middle axis of regions: where a disc touches the border at two places or more. In: regions of
 * lines and arcs, mm. Out: branches, each with the radius of its discs. Start at {@link
 * dev.oleander.geometry.axis.MiddleAxis}.
 */
package dev.oleander.geometry.axis;
