package dev.oleander.winding.form;

import dev.oleander.winding.path.Ends;
import dev.oleander.winding.path.LayerLaw;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.surface.WindingException;
import java.util.List;

/**
 * What people say of a layer; mm and degrees, null where nothing is said.
 *
 * @param law geodesic, steered, turnarounds, hoop, planar, table
 * @param coverage percent
 * @param close "none": as the law says, not closed
 * @param ease mm over which steering grows
 * @param on "mandrel" or "below": what it lies on
 * @param zone of a hoop layer, x
 * @param angles of a table
 * @param pattern by which it is closed
 */
public record LayerForm(
        String id,
        String name,
        String law,
        Double angle,
        Double turnRadius,
        StationForm reference,
        Double coverage,
        String close,
        EndForm.Both ends,
        Double ease,
        String on,
        Zone zone,
        Integer passes,
        Double dwell,
        List<Row> angles,
        PatternForm pattern) {

    /** The greatest number of passes; more is a slip of the keyboard. */
    private static final int MOST_PASSES = 1000;

    private static final int MOST_ANGLES = 500;

    /** Along x. */
    public record Zone(Double from, Double to) {}

    /** Of a table of angles. */
    public record Row(Double x, Double angle) {}

    /**
     * How a layer is closed.
     *
     * @param turns of the mandrel in the whole layer
     * @param change angle, dwell, turnRadius or zone
     */
    public record PatternForm(Integer circuits, Integer turns, String change) {}

    /**
     * @throws WindingException about what is missing or cannot be
     */
    public LayerLaw toLaw() {
        if (law == null) {
            throw new WindingException("The law is missing.");
        }
        Ends both = EndForm.Both.ends(ends);
        return switch (law) {
            case "geodesic" ->
                    new LayerLaw.Geodesic(
                            angle == null ? null : radians(angle),
                            turnRadius == null && angle == null ? least(both) : turnRadius,
                            StationForm.station(reference),
                            both);
            case "steered" ->
                    new LayerLaw.Steered(
                            radians(Required.number("Angle", angle)),
                            StationForm.station(reference),
                            both);
            case "turnarounds" ->
                    new LayerLaw.Turnarounds(
                            radians(Required.orElse(angle, 45)),
                            StationForm.station(reference),
                            both);
            case "planar" -> new LayerLaw.Planar(both);
            case "table" -> new LayerLaw.Table(rows(), both);
            case "hoop" -> hoop();
            default ->
                    throw new WindingException(
                            "Law %s: there are geodesic, steered, turnarounds, hoop, planar and"
                                    + " table.",
                            law);
        };
    }

    private static Double least(Ends ends) {
        Double left = ends.at(Side.LEFT).turnRadius();
        return left == null ? ends.at(Side.RIGHT).turnRadius() : left;
    }

    private static double radians(double degrees) {
        if (!(degrees > 0 && degrees < 90)) {
            throw degrees == 90
                    ? new WindingException("Angle 90: that winds nothing along; use a hoop layer.")
                    : new WindingException(
                            "Angle %.4g: it is more than 0 and less than 90 degrees.", degrees);
        }
        return Math.toRadians(degrees);
    }

    private List<LayerLaw.Table.Row> rows() {
        if (angles == null) {
            throw new WindingException("The table of angles is missing.");
        }
        if (angles.size() > MOST_ANGLES) {
            throw new WindingException(
                    "The table of angles has %d rows; at most %d.", angles.size(), MOST_ANGLES);
        }
        return angles.stream()
                .map(
                        row ->
                                new LayerLaw.Table.Row(
                                        Required.number("x of an angle", row.x()),
                                        Math.toRadians(Required.number("Angle", row.angle()))))
                .toList();
    }

    private LayerLaw hoop() {
        if (zone == null) {
            throw new WindingException("The zone of the hoop layer is missing.");
        }
        double from = Required.number("Zone from", zone.from());
        double to = Required.number("Zone to", zone.to());
        if (!(from < to)) {
            throw new WindingException(
                    "The zone runs from x = %.4g to %.4g; its end must lie behind its beginning.",
                    from, to);
        }
        int times = passes == null ? 1 : passes;
        if (times < 1 || times > MOST_PASSES) {
            throw new WindingException("Passes %d; from 1 to %d.", times, MOST_PASSES);
        }
        return new LayerLaw.Hoop(from, to, times, Math.toRadians(Required.orElse(dwell, 0)));
    }

    /** Share of the surface that is asked for, 1: all of it once. */
    public double cover() {
        double percent = Required.orElse(coverage, 100);
        if (!(percent > 0 && percent <= 1000)) {
            throw new WindingException(
                    "Coverage %.4g percent; more than 0, at most 1000.", percent);
        }
        return percent / 100;
    }

    /** Whether it is left as its law says. */
    public boolean isOpen() {
        return "none".equals(close);
    }

    public boolean isOnBelow() {
        return "below".equals(on);
    }
}
