package dev.oleander.winding.layer;

import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.PathPoint;

/** How many circuits a layer needs. */
public final class Circuits {

    /** So much less than whole is whole: rounding. */
    private static final double ROUNDING = 1e-9;

    private Circuits() {}

    /** Greatest way round the mandrel square to the band, mm: 2 pi r cos alpha. */
    public static double widest(Circuit circuit) {
        double most = 0;
        for (PathPoint p : circuit.places()) {
            most = Math.max(most, p.surface().r() * Math.cos(p.alpha()));
        }
        return 2 * Math.PI * most;
    }

    /**
     * @param cover share of the surface, 1: all of it
     */
    public static int least(Circuit circuit, double width, double cover) {
        return Math.max(1, (int) Math.ceil(cover * widest(circuit) / width - ROUNDING));
    }

    /** Share of the surface that so many circuits cover, where they lie farthest apart. */
    public static double cover(Circuit circuit, double width, int circuits) {
        return circuits * width / widest(circuit);
    }
}
