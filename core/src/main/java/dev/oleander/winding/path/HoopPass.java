package dev.oleander.winding.path;

import dev.oleander.winding.series.Nodes;
import dev.oleander.winding.series.Series;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.WindingException;
import java.util.List;

/**
 * Round and round from one end of a zone to the other and back, a band's width apart: cos alpha = b
 * / (2 pi r cover).
 */
public final class HoopPass implements BandPath {

    private static final int LENGTH = 0;
    private static final int ANGLE = 1;

    private final Toward toward;
    private final double pitchShare;
    private final double zone;
    private final double dwell;
    private final Series sums;
    private final ByCurve angles;

    /**
     * @param cover share of the surface that one pass covers
     */
    public HoopPass(Meridian meridian, LayerLaw.Hoop law, double width, double cover) {
        double from = meridian.mAt(law.from());
        this.zone = meridian.mAt(law.to()) - from;
        this.dwell = law.dwell();
        this.toward = new Toward(meridian, from, Side.RIGHT);
        this.pitchShare = width / (2 * Math.PI * cover);
        if (!(zone > 0)) {
            throw new WindingException("The zone of the hoop layer has no length.");
        }
        this.angles = new ByCurve(toward, this::c, List.of(), zone);
        this.sums = sums();
    }

    private double c(double y) {
        double r = toward.at(y).r();
        if (!(pitchShare < r)) {
            throw new WindingException(
                    "The band is too wide for a hoop at x = %.4g, where the radius is %.4g mm.",
                    toward.at(y).x(), r);
        }
        return Math.sqrt((r - pitchShare) * (r + pitchShare));
    }

    private Series sums() {
        double[] breaks = toward.breaks(0, zone, List.of());
        Series.Builder builder = new Series.Builder(0);
        double length = 0;
        double angle = 0;
        for (int i = 1; i < breaks.length; i++) {
            double[] lengths = new double[Nodes.COUNT];
            double[] turns = new double[Nodes.COUNT];
            for (int k = 0; k < Nodes.COUNT; k++) {
                double y = Nodes.place(breaks[i - 1], breaks[i], k);
                double r = toward.at(y).r();
                lengths[k] = r / pitchShare;
                turns[k] = c(y) / (pitchShare * r);
            }
            double[] l = Nodes.integrals(breaks[i - 1], breaks[i], lengths);
            double[] phi = Nodes.integrals(breaks[i - 1], breaks[i], turns);
            double[][] values = new double[Nodes.COUNT][];
            for (int k = 0; k < Nodes.COUNT; k++) {
                values[k] = new double[] {length + l[k], angle + phi[k]};
            }
            builder.add(breaks[i], values);
            length += l[Nodes.COUNT];
            angle += phi[Nodes.COUNT];
        }
        return builder.build();
    }

    /** mm of one pass, without dwell. */
    public double passLength() {
        return sums.at(zone, LENGTH);
    }

    /** Radians of one pass. */
    public double passAngle() {
        return sums.at(zone, ANGLE);
    }

    /** Angle of the band where the zone begins, radians. */
    public double alpha() {
        return Math.acos(pitchShare / toward.at(0).r());
    }

    /** mm of meridian from one winding to the next. */
    public double pitch() {
        double alpha = alpha();
        return 2 * Math.PI * toward.at(0).r() / Math.tan(alpha);
    }

    public double fromM() {
        return toward.from();
    }

    public double toM() {
        return toward.m(zone);
    }

    /** There and back, with both stays. */
    @Override
    public double length() {
        return 2 * passLength() + stay(zone) + stay(0);
    }

    private double stay(double y) {
        return dwell * toward.at(y).r();
    }

    @Override
    public double angle() {
        return 2 * passAngle() + 2 * dwell;
    }

    @Override
    public PathPoint at(double l) {
        double whole = Math.floor(l / length());
        return within(l - whole * length()).later(whole * length(), whole * angle());
    }

    private PathPoint within(double l) {
        double there = passLength();
        double back = there + stay(zone);
        if (l <= there) {
            return on(l, l, 0, false);
        }
        if (l < back) {
            return stayed(l, zone, passAngle() + (l - there) / toward.at(zone).r());
        }
        if (l <= back + there) {
            return on(l, back + there - l, 2 * passAngle() + dwell, true);
        }
        return stayed(l, 0, 2 * passAngle() + dwell + (l - back - there) / toward.at(0).r());
    }

    private PathPoint on(double l, double along, double angle, boolean returning) {
        double y = sums.where(LENGTH, Math.min(along, passLength()));
        SurfacePoint p = toward.at(y);
        double phi = sums.at(y, ANGLE);
        double alpha = Math.acos(pitchShare / p.r());
        return new PathPoint(
                l,
                toward.m(y),
                returning ? angle - phi : phi,
                returning ? Math.PI - alpha : alpha,
                returning ? -angles.lambda(y) : angles.lambda(y),
                p);
    }

    private PathPoint stayed(double l, double y, double phi) {
        SurfacePoint p = toward.at(y);
        return new PathPoint(l, toward.m(y), phi, Math.PI / 2, Math.tan(p.omega()), p);
    }
}
