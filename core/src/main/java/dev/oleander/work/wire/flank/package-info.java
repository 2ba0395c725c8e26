/**
 * Ways of the wire in two planes: offset, leaning, joined to another contour above. Start at {@code
 * FlankPlanner}; {@code Flanks} holds what both planes have in common.
 */
package dev.oleander.work.wire.flank;
