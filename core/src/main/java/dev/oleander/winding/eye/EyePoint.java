package dev.oleander.winding.eye;

import java.util.EnumMap;
import java.util.Map;

/**
 * Where the eye is while a place is laid.
 *
 * @param l mm of the path
 * @param free mm of roving between mandrel and eye
 * @param axes mm and radians, of those the machine has
 * @param twist radians of the band between mandrel and roller
 */
public record EyePoint(double l, double free, Map<WindingAxis, Double> axes, double twist) {

    public EyePoint {
        axes = new EnumMap<>(axes);
    }

    public double of(WindingAxis axis) {
        return axes.getOrDefault(axis, 0.0);
    }
}
