package dev.oleander.winding.path;

import dev.oleander.winding.series.Series;
import dev.oleander.winding.surface.SurfacePoint;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** A band whose angle is known everywhere: how it has to be steered follows, (dc/dy) / (r k_n). */
final class ByCurve implements Angles {

    private final Toward toward;
    private final DoubleUnaryOperator c;
    private final List<Double> breaks;
    private final Series series;

    /**
     * @param c r sin alpha by the distance from the station, smooth between breaks
     * @param end as far as it is asked
     */
    ByCurve(Toward toward, DoubleUnaryOperator c, List<Double> breaks, double end) {
        this.toward = toward;
        this.c = c;
        this.breaks = breaks;
        this.series =
                Series.of(toward.breaks(0, end, breaks), y -> new double[] {c.applyAsDouble(y)});
    }

    @Override
    public double c(double y) {
        return c.applyAsDouble(y);
    }

    @Override
    public double lambda(double y) {
        SurfacePoint p = toward.at(y);
        double sin = Math.min(1, c(y) / p.r());
        double k = p.kappaM() * (1 - sin * sin) + p.kappaP() * sin * sin;
        return series.slope(y, 0) / (p.r() * k);
    }

    @Override
    public List<Double> breaks() {
        return breaks;
    }
}
