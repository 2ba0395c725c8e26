/**
 * Compares the readings of two versions of a drawing. Start at {@link
 * dev.oleander.drawing.revise.ReadingMatch}.
 */
package dev.oleander.drawing.revise;
