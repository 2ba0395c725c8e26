/**
 * The middle of a band on a mandrel: laws by which it is laid, one circuit of it there and back.
 * Start at {@link dev.oleander.winding.path.CircuitPlanner}.
 */
package dev.oleander.winding.path;
