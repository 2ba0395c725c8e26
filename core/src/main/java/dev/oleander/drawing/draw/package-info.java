/**
 * Drawing by steps: what people drew and changed, kept as they said it and done again whenever a
 * value changes, so that everything made from a shape follows it.
 *
 * <p>In: a {@link dev.oleander.drawing.Drawing} and a list of {@link
 * dev.oleander.drawing.draw.DrawStep}. Out: a {@link dev.oleander.drawing.draw.Drawn} with the new
 * drawing, guides, dimensions, and what could not be done. Start at {@link
 * dev.oleander.drawing.draw.DrawSteps}; the commands there are stand in {@link
 * dev.oleander.drawing.draw.Commands}.
 *
 * <p>One package, since every sort of command is one class and all of them work on the same sketch.
 */
package dev.oleander.drawing.draw;
