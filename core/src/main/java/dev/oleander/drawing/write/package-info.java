/**
 * Writes drawings in open formats, arcs as arcs, so that reading them again gives the same
 * contours. Start at {@link dev.oleander.drawing.write.DxfWriter} and {@link
 * dev.oleander.drawing.write.SvgWriter}.
 */
package dev.oleander.drawing.write;
