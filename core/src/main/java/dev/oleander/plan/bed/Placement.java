package dev.oleander.plan.bed;

import dev.oleander.geometry.Transform;

/**
 * A place on the stock where something of the drawing lies.
 *
 * @param copy its number, from 1; no two places of a job have the same
 * @param transform from the drawing to the stock
 * @param of what lies there
 */
public record Placement(int copy, Transform transform, PartRef of) {

    /** A copy of the whole drawing. */
    public Placement(int copy, Transform transform) {
        this(copy, transform, PartRef.WHOLE);
    }
}
