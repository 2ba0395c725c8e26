package dev.oleander.work.sheet.book;

import dev.oleander.book.CutDataException;

/**
 * Feed of a waterjet with abrasive: u = [f N P^1.594 do^1.374 M^0.343 / (C q H dm^0.618)]^1.15,
 * after J. Zeng and T. J. Kim, "Parameter prediction and cost analysis in abrasive waterjet cutting
 * operations", 7th American Water Jet Conference, 1993, with C = 788 for mm, MPa, g/min and mm/min.
 *
 * @param pressure of the water, MPa
 * @param orifice diameter, mm
 * @param mixingTube diameter, mm
 * @param abrasiveFlow g/min
 * @param abrasiveFactor 1 for garnet
 */
public record WaterjetEquation(
        double pressure,
        double orifice,
        double mixingTube,
        double abrasiveFlow,
        double abrasiveFactor) {

    private static final double C = 788;
    private static final double EXPONENT = 1.15;

    public WaterjetEquation {
        if (!(pressure > 0
                && orifice > 0
                && mixingTube > 0
                && abrasiveFlow > 0
                && abrasiveFactor > 0)) {
            throw new IllegalArgumentException("all values of a waterjet must be > 0");
        }
    }

    /**
     * Feed, mm/min.
     *
     * @param machinability of the material, N
     * @param thickness mm
     * @param quality from 1, parting, to 5, fine
     */
    public double feed(double machinability, double thickness, double quality) {
        return Math.pow(machinability * perMachinability(thickness, quality), EXPONENT);
    }

    /**
     * The machinability that a test cut shows.
     *
     * @param feed at which the quality was just reached, mm/min
     */
    public double machinability(double feed, double thickness, double quality) {
        if (!(feed > 0)) {
            throw new CutDataException(
                    "The feed of a test cut is %s mm/min; it must be more than 0.".formatted(feed));
        }
        return Math.pow(feed, 1 / EXPONENT) / perMachinability(thickness, quality);
    }

    private double perMachinability(double thickness, double quality) {
        return abrasiveFactor
                * Math.pow(pressure, 1.594)
                * Math.pow(orifice, 1.374)
                * Math.pow(abrasiveFlow, 0.343)
                / (C * quality * thickness * Math.pow(mixingTube, 0.618));
    }
}
