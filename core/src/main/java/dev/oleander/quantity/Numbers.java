package dev.oleander.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Locale;

/** Numbers for reading, always with a decimal point. */
public final class Numbers {

    private Numbers() {}

    /** At most the given decimals, without trailing zeros: 12.5, 3, 0.02. */
    public static String plain(double value, int decimals) {
        if (!Double.isFinite(value)) {
            return String.valueOf(value);
        }
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        String text = rounded.stripTrailingZeros().toPlainString();
        return text.equals("-0") ? "0" : text;
    }

    /** With as many decimals as are said, zeros too: 0.40. */
    public static String fixed(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    /** A length for sentences: three decimals below 1 mm, two below 100 mm, else one. */
    public static String length(double millimetres) {
        double size = Math.abs(millimetres);
        int decimals = size < 1 ? 3 : size < 100 ? 2 : 1;
        return plain(millimetres, decimals) + " mm";
    }

    /** A duration: 4.2 s below a minute, else 12:07 min or 1:02:07 h. */
    public static String duration(double seconds) {
        if (seconds < 59.95) {
            return String.format(Locale.ROOT, "%.1f s", seconds);
        }
        long whole = Math.round(seconds);
        if (whole < 3600) {
            return String.format(Locale.ROOT, "%d:%02d", whole / 60, whole % 60);
        }
        return String.format(
                Locale.ROOT, "%d:%02d:%02d", whole / 3600, whole / 60 % 60, whole % 60);
    }

    /** Thousands apart by a narrow space: 14 794. */
    public static String grouped(double value) {
        return String.format(Locale.ROOT, "%,.0f", value).replace(',', '\u2009');
    }
}
