package dev.oleander.drawing;

import dev.oleander.geometry.Point;

/**
 * Text that stands in a drawing.
 *
 * @param text without what sets it
 * @param place where it begins, mm
 */
public record Label(String text, Point place) {}
