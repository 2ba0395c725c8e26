package dev.oleander.work.wire.book;

import dev.oleander.machine.BookText;
import dev.oleander.machine.CutDataException;
import dev.oleander.quantity.Numbers;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * A value of the cut book of a wire machine, by the name it has in forms and in CSV files: first
 * those of a row, then those of each of its passes.
 */
public enum WireDataField {
    WIRE("wire", "Wire", WireRow::wire),
    WIRE_DIAMETER("wireDiameter", "Diameter", "mm", false, 2, WireRow::wireDiameter, null),
    MATERIAL("material", "Material", WireRow::material),
    HEIGHT("height", "Height", "mm", false, 400, WireRow::height, null),
    FINISH("finish", "Finish", WireRow::finish),
    GAP("gap", "Gap", "mm", false, 1, null, WirePass::gap),
    STOCK("stock", "Left", "mm", true, 1, null, WirePass::stock),
    REGISTER("register", "Register", "", true, 999, null, WirePass::register),
    CONDITION("condition", "Condition", "", true, 9999, null, WirePass::condition),
    RATE("rate", "Rate", "mm²/min", false, 10_000, null, WirePass::rate),
    FLUSHING("flushing", "Flushing", "bar", true, 100, null, WirePass::flushing),
    TENSION("tension", "Tension", "N", false, 100, null, WirePass::tension);

    private final String word;
    private final String label;
    private final String unit;
    private final boolean fromZero;
    private final double most;
    private final Function<WireRow, String> ofRow;
    private final ToDoubleFunction<WirePass> ofPass;

    WireDataField(String word, String label, Function<WireRow, String> text) {
        this.word = word;
        this.label = label;
        this.unit = "";
        this.fromZero = false;
        this.most = 0;
        this.ofRow = text;
        this.ofPass = null;
    }

    WireDataField(
            String word,
            String label,
            String unit,
            boolean fromZero,
            double most,
            ToDoubleFunction<WireRow> ofRow,
            ToDoubleFunction<WirePass> ofPass) {
        this.word = word;
        this.label = label;
        this.unit = unit;
        this.fromZero = fromZero;
        this.most = most;
        this.ofRow = ofRow == null ? null : row -> Numbers.plain(ofRow.applyAsDouble(row), 6);
        this.ofPass = ofPass;
    }

    public String word() {
        return word;
    }

    public String label() {
        return label;
    }

    public String unit() {
        return unit;
    }

    /** Whether each pass has its own. */
    public boolean isOfPass() {
        return ofPass != null;
    }

    public static List<WireDataField> ofRows() {
        return Arrays.stream(values()).filter(f -> !f.isOfPass()).toList();
    }

    public static List<WireDataField> ofPasses() {
        return Arrays.stream(values()).filter(WireDataField::isOfPass).toList();
    }

    public static Optional<WireDataField> ofWord(String word) {
        return Arrays.stream(values()).filter(f -> f.word.equals(word)).findFirst();
    }

    /** The value as it is written. */
    String of(WireRow row, WirePass pass) {
        return isOfPass() ? Numbers.plain(ofPass.applyAsDouble(pass), 6) : ofRow.apply(row);
    }

    /**
     * @throws CutDataException naming the value and its limits
     */
    double number(String written) {
        return BookText.number(label, unit, fromZero, most, written);
    }

    /**
     * @throws CutDataException when it is no whole number, or out of its limits
     */
    int whole(String written) {
        double value = number(written);
        if (value != Math.rint(value)) {
            throw new CutDataException(
                    "%s is %s; it must be a whole number."
                            .formatted(label, Numbers.plain(value, 6)));
        }
        return (int) value;
    }

    /**
     * @throws CutDataException when there is none or it is too long
     */
    String text(String written) {
        return BookText.text(label, written);
    }
}
