package dev.oleander.web.job;

import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.read.Reading;

/**
 * The drawing of a job after everything people did to it.
 *
 * @param drawn files and steps, with guides and dimensions
 * @param reading what the line work is
 */
public record Shape(Drawn drawn, Reading reading) {}
