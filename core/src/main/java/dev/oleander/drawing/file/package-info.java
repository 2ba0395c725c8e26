/**
 * Reads a drawing file of any kind that Oleander knows, by its content. Start at {@link
 * dev.oleander.drawing.file.DrawingFiles}.
 */
package dev.oleander.drawing.file;
