package dev.oleander.winding.cover;

import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.Leg;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.path.Side;
import dev.oleander.winding.series.Series;
import dev.oleander.winding.surface.Meridian;
import java.util.OptionalDouble;

/**
 * Both edges of a band on its way from the left end to the right one: half its width away by the
 * shortest way square to its middle. Angles are counted from where the middle passes the reference
 * station.
 */
public final class BandEdges {

    private static final int M = 0;
    private static final int PHI = 1;

    private final Circuit circuit;
    private final Aside aside;
    private final double half;
    private final Series[][] edges = new Series[2][];

    /** Which of both: the one toward +phi turned back, or forth. */
    public enum Edge {
        AFT(1),
        FORE(-1);

        private final int sign;

        Edge(int sign) {
            this.sign = sign;
        }
    }

    /** A place on the mandrel. */
    public record Spot(double m, double phi) {}

    public BandEdges(Meridian meridian, Circuit circuit, double width) {
        this.circuit = circuit;
        this.aside = new Aside(meridian);
        this.half = width / 2;
        for (Edge edge : Edge.values()) {
            edges[edge.ordinal()] = new Series[] {of(Side.LEFT, edge), of(Side.RIGHT, edge)};
        }
    }

    private Series of(Side side, Edge edge) {
        Leg leg = circuit.leg(side);
        return Series.of(
                leg.breaks(),
                v -> {
                    PathPoint p = leg.by(v);
                    double[] to =
                            aside.go(
                                    p.m(),
                                    side.sign() * p.phi(),
                                    p.alpha() + edge.sign * Math.PI / 2,
                                    half);
                    return new double[] {to[0], to[1]};
                });
    }

    /** Of any place of the band. */
    public Spot spot(PathPoint p, Edge edge) {
        double[] to = aside.go(p.m(), p.phi(), p.alpha() + edge.sign * Math.PI / 2, half);
        return new Spot(to[0], to[1]);
    }

    /** How far an edge comes at an end, mm of meridian from the mandrel's left end. */
    public double extreme(Edge edge, Side side) {
        return series(edge, side).at(0, M);
    }

    /** Where an edge crosses a circle, radians; empty when it does not come so far. */
    public OptionalDouble crossing(Edge edge, double m) {
        if (m < extreme(edge, Side.LEFT) || m > extreme(edge, Side.RIGHT)) {
            return OptionalDouble.empty();
        }
        Series right = series(edge, Side.RIGHT);
        Side side = m >= right.at(right.to(), M) ? Side.RIGHT : Side.LEFT;
        Series series = series(edge, side);
        return OptionalDouble.of(series.at(series.where(M, m), PHI));
    }

    private Series series(Edge edge, Side side) {
        return edges[edge.ordinal()][side.ordinal()];
    }
}
