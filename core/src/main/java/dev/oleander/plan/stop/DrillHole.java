package dev.oleander.plan.stop;

import dev.oleander.geometry.Point;

/**
 * A hole that is not cut but drilled later.
 *
 * @param centre on the sheet, mm
 * @param diameter mm
 */
public record DrillHole(String feature, int copy, Point centre, double diameter) {}
