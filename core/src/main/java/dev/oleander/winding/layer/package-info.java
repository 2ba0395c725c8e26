/**
 * Layers laid on a mandrel: how many circuits, how they close, what they cover and weigh. Start at
 * {@link dev.oleander.winding.layer.LayerPlanner}.
 */
package dev.oleander.winding.layer;
