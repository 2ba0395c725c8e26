package dev.oleander.winding.form;

import dev.oleander.winding.path.Band;
import dev.oleander.winding.surface.WindingException;
import java.util.Locale;

/**
 * What is laid.
 *
 * @param rovings side by side
 * @param rovingWidth mm
 * @param tex of one roving, g/km
 * @param fibreDensity g/cm3
 * @param resinDensity g/cm3
 * @param fibreShare of the volume
 * @param friction greatest lambda at which the band stays
 * @param moduli null: not known
 */
public record MaterialForm(
        Integer rovings,
        Double rovingWidth,
        Double tex,
        Double fibreDensity,
        Double resinDensity,
        Double fibreShare,
        Double friction,
        Moduli moduli) {

    private static final int MOST_ROVINGS = 200;
    private static final double MOST_SHARE = 0.85;
    private static final double MOST_FRICTION = 2;

    /** Of a ply, MPa. */
    public record Moduli(Double e1, Double e2, Double nu12, Double g12, Double g1z, Double g2z) {}

    /**
     * @throws WindingException naming what cannot be
     */
    public MaterialForm checked() {
        if (rovings == null || rovings < 1 || rovings > MOST_ROVINGS) {
            throw new WindingException("Rovings %s; from 1 to %d.", rovings, MOST_ROVINGS);
        }
        Required.positive("Roving width", rovingWidth, " mm");
        Required.positive("Tex", tex, " g/km");
        Required.positive("Fibre density", fibreDensity, " g/cm3");
        Required.positive("Resin density", resinDensity, " g/cm3");
        double share = Required.number("Fibre share", fibreShare);
        if (!(share > 0 && share < MOST_SHARE)) {
            throw new WindingException(
                    "Fibre share %.4g: a share of the volume between 0 and 0.85 is meant%s.",
                    share,
                    share > 1 && share < 100 * MOST_SHARE
                            ? " (" + String.format(Locale.ROOT, "%.2f", share / 100) + ")"
                            : "");
        }
        double mu = Required.number("Friction", friction);
        if (!(mu >= 0 && mu <= MOST_FRICTION)) {
            throw new WindingException("Friction %.4g; from 0 to 2.", mu);
        }
        return this;
    }

    /** mm. */
    public double width() {
        return rovings * rovingWidth;
    }

    public Band band() {
        return new Band(width(), friction);
    }

    /** Of the band with its resin, mm2. */
    public double section() {
        return rovings * tex / (1000 * fibreDensity) / fibreShare;
    }

    /** g of fibre for mm of band. */
    public double fibreMass(double length) {
        return length * 1e-6 * rovings * tex;
    }

    /** g of resin with so much fibre. */
    public double resinMass(double fibre) {
        return fibre * (1 - fibreShare) / fibreShare * resinDensity / fibreDensity;
    }
}
