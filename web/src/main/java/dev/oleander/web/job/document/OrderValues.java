package dev.oleander.web.job.document;

import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** What people set of a whole job, before anybody planned it. */
public final class OrderValues {

    private static final int LONGEST_CUSTOMER = 80;

    /** No limit: what is possible depends on the shop, which is asked when the order is checked. */
    private static final double ANY = Integer.MAX_VALUE;

    public static final Value<JobDocument> NAME =
            word("name", JobDocument.Order::name, (o, name) -> o.withName(name.text()));
    public static final Value<JobDocument> MATERIAL =
            word("material", JobDocument.Order::material, (o, m) -> o.withMaterial(m.text()));
    public static final Value<JobDocument> MACHINE =
            word(
                    "machine",
                    JobDocument.Order::machine,
                    (o, m) -> o.withMachine(m.text().toLowerCase(Locale.ROOT)));
    public static final Value<JobDocument> THICKNESS =
            word(
                    "thickness",
                    o -> o.thickness().text(),
                    (o, mm) -> o.withThickness(mm.number("The thickness", -ANY, ANY)));
    public static final Value<JobDocument> QUANTITY =
            word(
                    "quantity",
                    o -> Integer.toString(o.quantity()),
                    (o, n) -> o.withQuantity((int) n.whole("The quantity", -ANY, ANY).value()));
    public static final Value<JobDocument> CUSTOMER =
            word(
                    "customer",
                    JobDocument.Order::customer,
                    (o, customer) -> o.withCustomer(customer(customer)));

    public static final Value<JobDocument> UNIT =
            Value.text(
                    "unit",
                    "unit of the drawing",
                    d -> Optional.ofNullable(d.shape().unit()).map(LengthUnit::symbol).orElse(null),
                    (d, unit) -> d.reshaped(s -> s.withUnit(unit(unit))));

    public static final Value<JobDocument> FIT =
            Value.number(
                            "fit",
                            "tolerance of fitted curves",
                            Value.<JobDocument>between(0.0005, 1),
                            d -> d.shape().fit(),
                            (d, mm) -> d.reshaped(s -> s.withFit(fitOr(mm))))
                    .label("Tolerance", "mm");

    public static final List<Value<JobDocument>> ALL =
            List.of(NAME, MATERIAL, MACHINE, THICKNESS, QUANTITY, UNIT, FIT, CUSTOMER);

    private OrderValues() {}

    private static Value<JobDocument> word(
            String word,
            Function<JobDocument.Order, String> get,
            BiFunction<JobDocument.Order, Entry, JobDocument.Order> put) {
        return Value.text(
                word,
                word,
                d -> get.apply(d.order()),
                (d, entry) -> d.withOrder(put.apply(d.order(), entry)));
    }

    private static Typed fitOr(Typed mm) {
        return mm == null ? ShapeChoices.of(List.of()).fit() : mm;
    }

    private static String customer(Entry entry) {
        if (entry.text().length() > LONGEST_CUSTOMER) {
            throw new ValueException(
                    "A customer's name has at most %d characters.".formatted(LONGEST_CUSTOMER));
        }
        return entry.text();
    }

    private static LengthUnit unit(Entry entry) {
        if (entry.isEmpty()) {
            return null;
        }
        return LengthUnit.ofSymbol(entry.text())
                .orElseThrow(
                        () ->
                                new ValueException(
                                        "\"%s\" is no unit of length known here; mm, cm, m, in, ft, thou and um are."
                                                .formatted(entry.text())));
    }
}
