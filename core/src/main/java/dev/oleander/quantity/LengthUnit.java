package dev.oleander.quantity;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Units of length, with their size in mm and their code in the header of a DXF file. A pixel is
 * that of CSS: 96 on an inch.
 */
public enum LengthUnit {
    MILLIMETRE("mm", 1, 4),
    CENTIMETRE("cm", 10, 5),
    METRE("m", 1000, 6),
    INCH("in", 25.4, 1),
    FOOT("ft", 304.8, 2),
    THOU("thou", 0.0254, 9),
    MICROMETRE("um", 1e-3, 13),
    PIXEL("px", 25.4 / 96, -1);

    private final String symbol;
    private final double millimetres;
    private final int dxfCode;

    LengthUnit(String symbol, double millimetres, int dxfCode) {
        this.symbol = symbol;
        this.millimetres = millimetres;
        this.dxfCode = dxfCode;
    }

    public String symbol() {
        return symbol;
    }

    public double millimetres() {
        return millimetres;
    }

    /** The unit of a DXF header variable INSUNITS; empty for 0 (none) and codes not known here. */
    public static Optional<LengthUnit> ofDxfCode(int code) {
        return Arrays.stream(values()).filter(u -> code > 0 && u.dxfCode == code).findFirst();
    }

    public static Optional<LengthUnit> ofSymbol(String symbol) {
        String wanted = symbol.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values()).filter(u -> u.symbol.equals(wanted)).findFirst();
    }
}
