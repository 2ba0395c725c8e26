package dev.oleander.winding.layer;

import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.SurfacePoint;
import dev.oleander.winding.surface.TableProfile;
import dev.oleander.winding.surface.WindingException;
import java.util.ArrayList;
import java.util.List;

/** What the next layer is wound on: the mandrel with a layer on it. */
public final class BuiltUp {

    private static final int STATIONS = 240;

    /** Share of the thickness by which the new surface may be smoothed. */
    private static final double SMOOTH = 0.1;

    private BuiltUp() {}

    /**
     * Each place moved outward by the layer's thickness, as a smooth table.
     *
     * @throws WindingException where the layer is thicker than a hollow is round
     */
    public static Meridian on(LaidLayer layer) {
        Meridian below = layer.meridian();
        List<TableProfile.Row> rows = new ArrayList<>();
        double most = 0;
        for (int i = 0; i <= STATIONS; i++) {
            double m = below.length() * i / STATIONS;
            SurfacePoint p = below.at(m);
            double t = layer.thickness(m);
            if (!(1 + t * p.kappaM() > 0)) {
                throw new WindingException(
                        "Layer %s is %.3g mm thick at x = %.4g, more than the hollow there is"
                                + " round (%.3g mm): nothing can be laid on it.",
                        layer.id(), t, p.x(), -1 / p.kappaM());
            }
            most = Math.max(most, t);
            rows.add(
                    new TableProfile.Row(
                            p.x() - t * Math.sin(p.omega()), p.r() + t * Math.cos(p.omega())));
        }
        return TableProfile.curve(rows, SMOOTH * most).meridian();
    }
}
