package dev.oleander.winding.form;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Segment;
import dev.oleander.winding.surface.HalfProfile;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.WindingException;
import java.util.List;

/**
 * A half profile in a drawing.
 *
 * @param profileLayer null: all that is not the axis
 * @param axisLayer null: the axis is y = 0
 */
record Drawn(Drawing drawing, String profileLayer, String axisLayer) {

    /** mm by which both ends of the axis may differ in y. */
    private static final double LEVEL = 1e-3;

    Meridian meridian(double fillet) {
        List<Segment> profile =
                drawing.entities().stream()
                        .filter(this::isProfile)
                        .flatMap(e -> e.segments().stream())
                        .toList();
        if (profile.isEmpty()) {
            throw new WindingException(
                    profileLayer == null
                            ? "There is no half profile in the drawing. Draw it on Shape."
                            : "There is no half profile on layer %s.",
                    profileLayer);
        }
        return HalfProfile.of(profile, axis(), fillet);
    }

    private boolean isProfile(Entity entity) {
        return profileLayer == null
                ? !entity.layer().equals(axisLayer)
                : entity.layer().equals(profileLayer);
    }

    private double axis() {
        if (axisLayer == null) {
            return 0;
        }
        List<Segment> lines =
                drawing.entities().stream()
                        .filter(e -> e.layer().equals(axisLayer))
                        .flatMap(e -> e.segments().stream())
                        .toList();
        if (lines.isEmpty()) {
            throw new WindingException("There is no axis on layer %s.", axisLayer);
        }
        Segment line = lines.get(0);
        if (Math.abs(line.start().y() - line.end().y()) > LEVEL) {
            throw new WindingException(
                    "The axis on layer %s runs from y = %.4g to %.4g mm; it must be level.",
                    axisLayer, line.start().y(), line.end().y());
        }
        return line.start().y();
    }
}
