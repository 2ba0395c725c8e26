package dev.oleander.plan.bed;

import dev.oleander.geometry.Transform;

/** One copy of the drawing on the stock. {@code copy} counts from 1. */
public record Placement(int copy, Transform transform) {}
