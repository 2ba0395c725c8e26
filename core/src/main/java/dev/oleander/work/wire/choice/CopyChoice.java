package dev.oleander.work.wire.choice;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;

/**
 * How the drawing is repeated round a centre.
 *
 * @param count copies in all
 * @param angle degrees from one to the next
 * @param centre in the coordinates of the drawing, mm
 * @param indexed whether a rotary axis turns the work instead of the path
 */
public record CopyChoice(Typed count, Typed angle, Point centre, boolean indexed) {}
