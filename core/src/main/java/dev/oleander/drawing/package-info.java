/**
 * Drawings as they came in: entities with layer, type and place in the file, lengths in mm.
 *
 * <p>Readers ({@code drawing.dxf}) make a {@link dev.oleander.drawing.Drawing}; {@code
 * drawing.mend} closes its line work; {@code drawing.read} says what it is. Start at {@link
 * dev.oleander.drawing.Drawing}.
 */
package dev.oleander.drawing;
