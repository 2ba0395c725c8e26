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
public record AxisRow(double l, Map<WindingAxis, Double> axes) {

    public AxisRow {
        axes = new EnumMap<>(axes);
    }

    static AxisRow of(EyePoint point) {
        return new AxisRow(point.l(), point.axes());
    }

    /** The same some circuits later. */
    public AxisRow turned(double length, double angle) {
        Map<WindingAxis, Double> later = new EnumMap<>(axes);
        later.merge(WindingAxis.A, angle, Double::sum);
        return new AxisRow(l + length, later);
    }

    public double of(WindingAxis axis) {
        return axes.getOrDefault(axis, 0.0);
    }
}
