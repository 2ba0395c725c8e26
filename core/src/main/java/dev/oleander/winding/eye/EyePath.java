package dev.oleander.winding.eye;

import dev.oleander.winding.path.BandPath;
import dev.oleander.winding.path.PathPoint;
import java.util.EnumMap;
import java.util.Map;

/**
 * The way of the eye: on the lines that touch the band's middle, so that whatever its distance the
 * same band is laid (the lines are the tangents of a curve, a developable).
 */
public final class EyePath {

    /** Below it a direction in plan has no angle. */
    private static final double HARDLY = 1e-9;

    private final BandPath path;
    private final EyeSet set;

    public EyePath(BandPath path, EyeSet set) {
        this.path = path;
        this.set = set;
    }

    public BandPath path() {
        return path;
    }

    public EyeSet set() {
        return set;
    }

    /**
     * @param l mm of the path
     */
    public EyePoint at(double l) {
        return of(path.at(l));
    }

    EyePoint of(PathPoint p) {
        double s = set.rule().free(p);
        EyeRule.Ray ray = EyeRule.Ray.of(p, s);
        double rho = ray.rho();
        double height = height(ray, rho);
        Map<WindingAxis, Double> axes = new EnumMap<>(WindingAxis.class);
        double a = p.phi() + Math.atan2(ray.h(), ray.u()) - Math.asin(height / rho);
        axes.put(WindingAxis.X, ray.x());
        axes.put(WindingAxis.A, a);
        axes.put(WindingAxis.Y, Math.sqrt((rho - height) * (rho + height)));
        if (set.has(WindingAxis.Z)) {
            axes.put(WindingAxis.Z, height);
        }
        Vector t = along(p, p.phi() - a);
        Vector w = across(p, t, p.phi() - a);
        double[] turned = turned(t, w);
        if (set.has(WindingAxis.B)) {
            axes.put(WindingAxis.B, turned[0]);
        }
        if (set.has(WindingAxis.C)) {
            axes.put(WindingAxis.C, turned[1]);
        }
        return new EyePoint(p.l(), s, axes, twist(t, w, turned));
    }

    private double height(EyeRule.Ray ray, double rho) {
        if (!set.has(WindingAxis.Z)) {
            return 0;
        }
        double most = Math.min(set.heightMost(), rho);
        return Math.max(-most, Math.min(most, set.heightShare() * ray.h()));
    }

    /** Direction of the band, in the machine. */
    private static Vector along(PathPoint p, double angle) {
        double cos = Math.cos(p.alpha());
        double sin = Math.sin(p.alpha());
        double out = cos * Math.sin(p.surface().omega());
        return new Vector(
                cos * Math.cos(p.surface().omega()),
                out * Math.cos(angle) - sin * Math.sin(angle),
                out * Math.sin(angle) + sin * Math.cos(angle));
    }

    /** Across it: normal times direction. */
    private static Vector across(PathPoint p, Vector t, double angle) {
        double out = Math.cos(p.surface().omega());
        Vector n =
                new Vector(
                        -Math.sin(p.surface().omega()),
                        out * Math.cos(angle),
                        out * Math.sin(angle));
        return n.cross(t);
    }

    /** B and C. */
    private double[] turned(Vector t, Vector w) {
        if (!set.has(WindingAxis.C)) {
            // square to the roving; where that runs along the arm any roll will do
            boolean none = Math.hypot(t.x(), t.z()) < HARDLY || !set.has(WindingAxis.B);
            return new double[] {none ? 0 : Math.atan2(t.x(), t.z()), 0};
        }
        return switch (set.yaw()) {
            case FLAT ->
                    new double[] {
                        Math.asin(Math.max(-1, Math.min(1, -w.z()))),
                        Math.hypot(w.x(), w.y()) < HARDLY ? 0 : Math.atan2(w.y(), w.x())
                    };
            case SQUARE -> new double[] {0, Math.atan2(-t.x(), t.y())};
            case FIXED -> new double[] {0, 0};
        };
    }

    /** Angle from the band's width to the roller's, about the roving; either end of it serves. */
    private static double twist(Vector t, Vector w, double[] turned) {
        double b = turned[0];
        double c = turned[1];
        Vector roller =
                new Vector(Math.cos(c) * Math.cos(b), Math.sin(c) * Math.cos(b), -Math.sin(b));
        double angle = Math.atan2(w.cross(roller).dot(t), w.dot(roller));
        double folded = Math.abs(angle);
        return Math.min(folded, Math.PI - folded);
    }
}
