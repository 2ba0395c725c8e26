package dev.oleander.winding.eye;

import dev.oleander.winding.surface.WindingException;
import java.util.EnumSet;
import java.util.Set;

/**
 * What guides the eye.
 *
 * @param axes the machine's
 * @param rule how far it stands off
 * @param yaw for those with C
 * @param heightShare of the roving's rise that Z takes
 * @param heightMost mm of Z either way
 */
public record EyeSet(
        Set<WindingAxis> axes, EyeRule rule, YawRule yaw, double heightShare, double heightMost) {

    /**
     * The usual axes by their number.
     *
     * @throws WindingException unless there are 2 to 6
     */
    public static Set<WindingAxis> axes(int number) {
        return switch (number) {
            case 2 -> EnumSet.of(WindingAxis.X, WindingAxis.A);
            case 3 -> EnumSet.of(WindingAxis.X, WindingAxis.A, WindingAxis.Y);
            case 4 -> EnumSet.of(WindingAxis.X, WindingAxis.A, WindingAxis.Y, WindingAxis.B);
            case 5 ->
                    EnumSet.of(
                            WindingAxis.X,
                            WindingAxis.A,
                            WindingAxis.Y,
                            WindingAxis.B,
                            WindingAxis.C);
            case 6 -> EnumSet.allOf(WindingAxis.class);
            default -> throw new WindingException("Axes %d; a winder has from 2 to 6.", number);
        };
    }

    public boolean has(WindingAxis axis) {
        return axes.contains(axis);
    }
}
