package dev.oleander.winding.cover;

import dev.oleander.winding.cover.BandEdges.Edge;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.Leg;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What the circuits of a layer cover, circle by circle. A circuit covers of a circle the angles
 * between its edges; circuits follow each other by a whole turn over their number.
 */
public final class Cover {

    private static final double TURN = 2 * Math.PI;

    private final Meridian meridian;
    private final Circuit circuit;
    private final int circuits;
    private final double width;
    private final double section;
    private final BandEdges edges;

    /**
     * @param section of the band with its resin, mm2
     */
    public Cover(Meridian meridian, Circuit circuit, int circuits, double width, double section) {
        this.meridian = meridian;
        this.circuit = circuit;
        this.circuits = circuits;
        this.width = width;
        this.section = section;
        this.edges = new BandEdges(meridian, circuit, width);
    }

    public BandEdges edges() {
        return edges;
    }

    /**
     * On a circle.
     *
     * @param gap mm between neighbours, across the band
     * @param lap mm over each other
     * @param least how often a place is covered
     */
    public record On(double m, double gap, double lap, int least, int greatest) {}

    /** Angles of a circle that one circuit covers, radians, from the reference. */
    private List<double[]> covered(double m) {
        OptionalDouble aft = edges.crossing(Edge.AFT, m);
        OptionalDouble fore = edges.crossing(Edge.FORE, m);
        if (aft.isEmpty() && fore.isEmpty()) {
            return List.of();
        }
        if (aft.isPresent() && fore.isPresent()) {
            return twoPasses(aft.getAsDouble(), fore.getAsDouble());
        }
        Side side = m > circuit.right().stationM() ? Side.RIGHT : Side.LEFT;
        Leg leg = circuit.leg(side);
        double turn = side.sign() * (leg.angle() + circuit.dwell(side) / 2);
        double crossing = aft.isPresent() ? aft.getAsDouble() : fore.getAsDouble();
        double reach = Math.abs(turn - crossing);
        if (!leg.turns()) {
            return pinned(leg, m, turn);
        }
        return List.of(new double[] {turn - reach, turn + reach});
    }

    private List<double[]> twoPasses(double aft, double fore) {
        double low = Math.min(aft, fore);
        double high = Math.max(aft, fore);
        double turn = circuit.right().angle() + circuit.dwellRight() / 2;
        return List.of(new double[] {low, high}, new double[] {2 * turn - high, 2 * turn - low});
    }

    /** Close to pins only one edge is seen: the other is as far off on the other side. */
    private List<double[]> pinned(Leg leg, double m, double turn) {
        Leg clear = leg;
        double v = Math.max(0, clear.variable(Math.min(Math.max(m, 0), meridian.length())));
        double alpha = clear.by(v).alpha();
        double half = width / 2 / (meridian.beyond(m).r() * Math.cos(alpha));
        double phi = leg.side().sign() * clear.by(v).phi();
        return List.of(
                new double[] {phi - half, phi + half},
                new double[] {2 * turn - phi - half, 2 * turn - phi + half});
    }

    /** Angle of a circle that one circuit covers in all, radians. */
    public double angle(double m) {
        return covered(m).stream().mapToDouble(i -> i[1] - i[0]).sum() + atPins(m);
    }

    /** What lies round pins is taken as spread over the last band width of the mandrel. */
    private double atPins(double m) {
        double sum = 0;
        for (Side side : Side.values()) {
            Leg leg = circuit.leg(side);
            if (!leg.turns() && Math.abs(m - leg.endM()) <= width) {
                sum += circuit.dwell(side);
            }
        }
        return sum;
    }

    /** mm on the whole circle: as much as n circuits bring, spread evenly round it. */
    public double thickness(double m) {
        return circuits * section / width * angle(m) / TURN;
    }

    /** Circuits are taken as evenly spread. */
    public On on(double m) {
        List<double[]> covered = covered(m);
        if (covered.isEmpty()) {
            return new On(m, TURN * meridian.beyond(m).r() / circuits, 0, 0, 0);
        }
        double step = TURN / circuits;
        double one = covered.get(0)[1] - covered.get(0)[0];
        double free = (step - one) * across(m, covered.size() > 1);
        int[] often = often(covered, step);
        return new On(m, Math.max(0, free), Math.max(0, -free), often[0], often[1]);
    }

    /** mm across the band for a radian of the circle; along it where only turns lie. */
    private double across(double m, boolean crossing) {
        SurfacePoint p = meridian.beyond(m);
        if (!crossing) {
            return p.r();
        }
        Leg leg = m >= circuit.right().stationM() ? circuit.right() : circuit.left();
        double v = leg.variable(Math.min(Math.max(m, 0), meridian.length()));
        return p.r() * Math.cos(leg.by(v).alpha());
    }

    /** Least and greatest number of bands over a place, within one step round the circle. */
    private static int[] often(List<double[]> covered, double step) {
        int always = 0;
        List<double[]> ends = new ArrayList<>();
        for (double[] interval : covered) {
            double length = interval[1] - interval[0];
            int whole = (int) Math.floor(length / step + 1e-9);
            always += whole;
            double rest = length - whole * step;
            if (rest > 1e-9 * step) {
                double from = interval[0] - step * Math.floor(interval[0] / step);
                ends.add(new double[] {from, from + rest});
            }
        }
        int least = Integer.MAX_VALUE;
        int most = 0;
        for (double place : places(ends, step)) {
            int count = always;
            for (double[] interval : ends) {
                boolean in =
                        place > interval[0] && place < interval[1]
                                || place + step > interval[0] && place + step < interval[1];
                count += in ? 1 : 0;
            }
            least = Math.min(least, count);
            most = Math.max(most, count);
        }
        return new int[] {least, most};
    }

    /** One between each two neighbouring ends. */
    private static List<Double> places(List<double[]> ends, double step) {
        List<Double> cuts = new ArrayList<>(List.of(0.0, step));
        for (double[] interval : ends) {
            cuts.add(interval[0]);
            cuts.add(interval[1] >= step ? interval[1] - step : interval[1]);
        }
        cuts.sort(null);
        List<Double> places = new ArrayList<>();
        for (int i = 1; i < cuts.size(); i++) {
            if (cuts.get(i) - cuts.get(i - 1) > 1e-9 * step) {
                places.add((cuts.get(i) + cuts.get(i - 1)) / 2);
            }
        }
        return places;
    }
}
