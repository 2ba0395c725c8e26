package dev.oleander.dialect;

import dev.oleander.dialect.Dialect.NumberForm;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** Writes numbers the way a dialect wants them. */
final class NumberWriter {

    private NumberWriter() {}

    static String write(double value, NumberForm form) {
        BigDecimal rounded =
                BigDecimal.valueOf(value).setScale(form.decimals(), RoundingMode.HALF_EVEN);
        if (rounded.signum() == 0) {
            rounded = BigDecimal.ZERO.setScale(form.decimals());
        }
        BigDecimal shown = form.trailingZeros() ? rounded : rounded.stripTrailingZeros();
        return shown.toPlainString();
    }
}
