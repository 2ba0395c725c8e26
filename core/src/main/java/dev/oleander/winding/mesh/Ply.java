package dev.oleander.winding.mesh;

/**
 * A ply of a lay-up.
 *
 * @param layer id of the layer it is of
 * @param angle radians from the meridian toward +phi
 * @param thickness mm
 */
public record Ply(String layer, double angle, double thickness) {}
