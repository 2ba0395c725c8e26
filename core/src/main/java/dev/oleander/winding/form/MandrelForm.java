package dev.oleander.winding.form;

import dev.oleander.drawing.Drawing;
import dev.oleander.winding.surface.Eased;
import dev.oleander.winding.surface.Mandrels;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.Stretches;
import dev.oleander.winding.surface.TableProfile;
import dev.oleander.winding.surface.WindingException;
import java.util.List;

/**
 * A mandrel as people describe it; mm and degrees, null where it does not belong to the type.
 *
 * @param type vessel, tube, cone, table, dxf (a half profile that is drawn)
 * @param file name of the file that rows or drawing came from
 * @param rows of a table
 * @param smoothing "none", or mm by which no row may move more
 * @param profileLayer of the drawing; null: whatever is drawn
 * @param axisLayer of the drawing; null: y = 0
 * @param ease mm over which the slope is evened out
 * @param fillet mm, of convex edges
 */
public record MandrelForm(
        String type,
        Double radius,
        Double length,
        DomeForm left,
        DomeForm right,
        Double radiusLeft,
        Double radiusRight,
        String file,
        List<Row> rows,
        String smoothing,
        String profileLayer,
        String axisLayer,
        Double ease,
        Double fillet,
        Pins pinsLeft,
        Pins pinsRight) {

    /** mm of fillets when nothing is said. */
    private static final double FILLET = 1;

    private static final double MOST_SMOOTHING = 100;

    /** mm; longer ones are slips of the keyboard. */
    private static final double MOST_LENGTH = 100_000;

    /** Of a table. */
    public record Row(Double x, Double r) {}

    /**
     * Pins round an end.
     *
     * @param circle diameter of the circle on which they stand, mm
     * @param diameter mm
     */
    public record Pins(Integer count, Double circle, Double diameter) {}

    public boolean isDrawn() {
        return "dxf".equals(type);
    }

    /**
     * What is given by numbers.
     *
     * @throws WindingException naming what is missing or cannot be
     */
    public Meridian byNumbers() {
        if (type == null) {
            throw new WindingException("The type of the mandrel is missing.");
        }
        return switch (type) {
            case "vessel" ->
                    Mandrels.vessel(
                            Required.number("Radius", radius),
                            Required.number("Length", length),
                            end("left", left),
                            end("right", right));
            case "tube" ->
                    Mandrels.tube(
                            Required.number("Radius", radius), Required.number("Length", length));
            case "cone" ->
                    Mandrels.cone(
                            Required.number("Radius left", radiusLeft),
                            Required.number("Radius right", radiusRight),
                            Required.number("Length", length));
            default ->
                    throw new WindingException(
                            "Mandrel of type %s: there are vessel, tube, cone, table and dxf.",
                            type);
        };
    }

    /**
     * Its surface, rounded and eased as it says.
     *
     * @param drawing in which a half profile may be drawn
     * @param usualEase mm when nothing is said
     * @throws WindingException naming what is missing or cannot be
     */
    public Meridian surface(Drawing drawing, double usualEase) {
        Meridian bare = bare(drawing);
        if (!(bare.length() <= MOST_LENGTH)) {
            throw new WindingException(
                    "The profile is %.4g mm long; at most %.4g mm.", bare.length(), MOST_LENGTH);
        }
        return Eased.of(bare, Required.orElse(ease, usualEase), Stretches.widest(bare).middle());
    }

    private Meridian bare(Drawing drawing) {
        if (isDrawn()) {
            return new Drawn(drawing, profileLayer, axisLayer)
                    .meridian(Required.orElse(fillet, FILLET));
        }
        return "table".equals(type) ? table().meridian() : byNumbers();
    }

    /**
     * Of a table.
     *
     * @throws WindingException naming the row that cannot be
     */
    public TableProfile.Result table() {
        if (rows == null || rows.isEmpty()) {
            throw new WindingException("The table of the profile is missing.");
        }
        return TableProfile.of(
                rows.stream()
                        .map(
                                row ->
                                        new TableProfile.Row(
                                                Required.number("x", row.x()),
                                                Required.number("r", row.r())))
                        .toList(),
                tolerance());
    }

    private double tolerance() {
        if (smoothing == null || "none".equals(smoothing)) {
            return 0;
        }
        try {
            double mm = Double.parseDouble(smoothing);
            if (mm >= 0 && mm <= MOST_SMOOTHING) {
                return mm;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new WindingException(
                "Smoothing %s; it is none, or mm from 0 to %.0f.", smoothing, MOST_SMOOTHING);
    }

    /** With the rows of a file. */
    public MandrelForm withRows(List<Row> read, String from) {
        return new MandrelForm(
                type,
                radius,
                length,
                left,
                right,
                radiusLeft,
                radiusRight,
                from,
                read,
                smoothing,
                profileLayer,
                axisLayer,
                ease,
                fillet,
                pinsLeft,
                pinsRight);
    }

    private static Mandrels.End end(String side, DomeForm form) {
        if (form == null) {
            throw new WindingException("The end %s is missing.", side);
        }
        return form.end(side);
    }
}
