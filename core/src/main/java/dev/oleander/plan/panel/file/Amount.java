package dev.oleander.plan.panel.file;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import dev.oleander.plan.panel.PanelException;
import dev.oleander.quantity.Formula;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import java.math.BigDecimal;
import java.util.Map;

/** A number as it stands in a file: digits, or a formula that may use parameters. */
public record Amount(String text) {

    private static final int DECIMALS = 6;

    /**
     * @throws PanelException when it is neither a number nor a text
     */
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public static Amount of(Object value) {
        if (value instanceof Number number) {
            return new Amount(new BigDecimal(number.toString()).toPlainString());
        }
        if (value instanceof String text) {
            return new Amount(text.strip());
        }
        throw new PanelException("%s is neither a number nor a formula.".formatted(value));
    }

    public static Amount of(double value) {
        return new Amount(Numbers.plain(value, DECIMALS));
    }

    /** Digits as a number, formulas as text. */
    @JsonValue
    public Object value() {
        try {
            return new BigDecimal(text);
        } catch (NumberFormatException formula) {
            return text;
        }
    }

    /**
     * @param what names it in a sentence
     * @throws PanelException when it is not understood
     */
    double in(Map<String, Double> names, String what) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException formula) {
            return worked(names, what);
        }
    }

    private double worked(Map<String, Double> names, String what) {
        try {
            return Formula.evaluate(text, names);
        } catch (FormulaException wrong) {
            throw new PanelException("%s: %s".formatted(what, wrong.getMessage()));
        }
    }
}
