package dev.oleander.winding.program;

import dev.oleander.winding.eye.EyePoint;
import dev.oleander.winding.eye.WindingAxis;
import java.util.EnumMap;
import java.util.Map;

/**
 * A point of a program: axes run straight from one to the next, all at once.
 *
 * @param l mm of the path that it is for
 * @param axes mm and radians
 */
public record Row(double l, Map<WindingAxis, Double> axes) {

    public Row {
        axes = new EnumMap<>(axes);
    }

    static Row of(EyePoint point) {
        return new Row(point.l(), point.axes());
    }

    public double of(WindingAxis axis) {
        return axes.getOrDefault(axis, 0.0);
    }
}
