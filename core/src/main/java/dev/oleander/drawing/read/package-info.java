/**
 * Says what line work is: outlines, openings, open lines, parts and holes.
 *
 * <p>In: a {@link dev.oleander.drawing.Drawing} and what people decided about its layers. Out: a
 * {@link dev.oleander.drawing.read.Reading}. Start at {@link
 * dev.oleander.drawing.read.DrawingReading}.
 */
package dev.oleander.drawing.read;
