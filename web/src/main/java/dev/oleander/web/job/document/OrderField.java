package dev.oleander.web.job.document;

import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** A value of the whole job that people set. */
public enum OrderField implements EditField {
    NAME("name", "name", order((o, t) -> order(o, t, o.material(), o.thickness(), o.quantity()))),
    MATERIAL(
            "material",
            "material",
            order((o, t) -> order(o, o.name(), t, o.thickness(), o.quantity()))),
    MACHINE(
            "machine",
            "machine",
            (d, t) -> d.withOrder(d.order().withMachine(t.strip().toLowerCase(Locale.ROOT)))),
    THICKNESS(
            "thickness",
            "thickness",
            order((o, t) -> order(o, o.name(), o.material(), thickness(t), o.quantity()))),
    QUANTITY(
            "quantity",
            "quantity",
            order((o, t) -> order(o, o.name(), o.material(), o.thickness(), quantity(t)))),
    UNIT("unit", "unit of the drawing", (d, t) -> d.reshaped(s -> s.withUnit(unit(t)))),
    FIT("fit", "tolerance of fitted curves", (d, t) -> d.reshaped(s -> s.withFit(fit(t)))),
    CUSTOMER("customer", "customer", (d, t) -> d.withOrder(d.order().withCustomer(customer(t))));

    private final String word;
    private final String label;
    private final BiFunction<JobDocument, String, JobDocument> setter;

    OrderField(String word, String label, BiFunction<JobDocument, String, JobDocument> setter) {
        this.word = word;
        this.label = label;
        this.setter = setter;
    }

    @Override
    public String word() {
        return word;
    }

    @Override
    public String label() {
        return label;
    }

    /**
     * @throws dev.oleander.quantity.FormulaException when the text is no number or out of limits
     * @throws RefusedEditException when it is none of the words there are
     */
    public JobDocument set(JobDocument document, String text) {
        return setter.apply(document, text);
    }

    public static Optional<OrderField> ofWord(String word) {
        return EditField.ofWord(values(), word);
    }

    private static BiFunction<JobDocument, String, JobDocument> order(
            BiFunction<JobDocument.Order, String, JobDocument.Order> change) {
        return (document, text) -> document.withOrder(change.apply(document.order(), text));
    }

    private static JobDocument.Order order(
            JobDocument.Order o, String name, String material, Typed thickness, int quantity) {
        return new JobDocument.Order(
                name.strip(), o.machine(), material, thickness, quantity, o.customer());
    }

    private static Typed thickness(String text) {
        return Typed.parse(text, Map.of());
    }

    private static int quantity(String text) {
        double value = Typed.parse(text, Map.of()).value();
        if (value != Math.rint(value) || Math.abs(value) > Integer.MAX_VALUE) {
            throw new RefusedEditException(
                    "The quantity %s is not a whole number.".formatted(text));
        }
        return (int) value;
    }

    private static Typed fit(String text) {
        if (text.isBlank()) {
            return ShapeChoices.of(List.of()).fit();
        }
        return Typed.parse(text, Map.of()).within("The tolerance", 0.0005, 1);
    }

    private static String customer(String text) {
        String name = text.strip();
        if (name.length() > 80) {
            throw new RefusedEditException("A customer's name has at most 80 characters.");
        }
        return name;
    }

    private static LengthUnit unit(String text) {
        if (text.isBlank()) {
            return null;
        }
        return LengthUnit.ofSymbol(text)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "\"%s\" is no unit of length known here; mm, cm, m, in, ft, thou and um are."
                                                .formatted(text)));
    }
}
