package dev.oleander.web.bench;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.work.wire.plan.RepeatChoice;
import dev.oleander.work.wire.plan.WireChoice;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** How the selected contours are repeated. */
public final class WireRepeatSlip {

    private final WireValues values;
    private final List<RepeatChoice> repeats;

    WireRepeatSlip(WireValues values) {
        this.values = values;
        this.repeats = values.choices().stream().map(WireChoice::repeat).toList();
    }

    public boolean isRound() {
        return repeats.stream().anyMatch(r -> r.count() != null);
    }

    public List<FieldView> fields() {
        List<FieldView> fields = new ArrayList<>();
        if (!isRound()) {
            fields.add(typed("columns", "Columns", "", "1", RepeatChoice::columns));
            if (repeats.stream().anyMatch(r -> r.columns() != null)) {
                fields.add(typed("pitchX", "Pitch x", "mm", "", RepeatChoice::pitchX));
            }
            fields.add(typed("rows", "Rows", "", "1", RepeatChoice::rows));
            if (repeats.stream().anyMatch(r -> r.rows() != null)) {
                fields.add(typed("pitchY", "Pitch y", "mm", "", RepeatChoice::pitchY));
            }
        }
        fields.add(typed("roundCount", "Round a centre", "", "", RepeatChoice::count));
        if (isRound()) {
            fields.add(field("roundAngle", "Angle between", "°", WireRepeatSlip::angle));
            fields.add(field("roundCentre", "Centre x y", "mm", WireRepeatSlip::centre));
        }
        return fields;
    }

    public FieldView indexed() {
        return field(
                "roundIndexed",
                "Turned by",
                "",
                r ->
                        new Shown(
                                String.valueOf(Boolean.TRUE.equals(r.indexed())),
                                r.indexed() != null));
    }

    public List<Choice> indexedWays() {
        return WireJobSlip.INDEXED_WAYS;
    }

    /** A value as it is shown, and whether a person set it. */
    private record Shown(String text, boolean set) {}

    private static Shown angle(RepeatChoice repeat) {
        if (repeat.angle() != null) {
            return new Shown(repeat.angle().text(), true);
        }
        return new Shown(
                repeat.count() == null ? "" : Numbers.plain(360 / repeat.count().value(), 4),
                false);
    }

    private static Shown centre(RepeatChoice repeat) {
        String text =
                "%s %s"
                        .formatted(
                                Numbers.plain(repeat.centreOr().x(), 4),
                                Numbers.plain(repeat.centreOr().y(), 4));
        return new Shown(text, repeat.centre() != null);
    }

    private FieldView typed(
            String name,
            String label,
            String unit,
            String usual,
            Function<RepeatChoice, Typed> value) {
        return field(
                name,
                label,
                unit,
                r ->
                        value.apply(r) == null
                                ? new Shown(usual, false)
                                : new Shown(value.apply(r).text(), true));
    }

    private FieldView field(
            String name, String label, String unit, Function<RepeatChoice, Shown> value) {
        List<Shown> all = repeats.stream().map(value).distinct().toList();
        boolean mixed = all.size() > 1;
        boolean here = all.stream().anyMatch(Shown::set);
        return values.shown(
                new FieldView(
                        name,
                        label,
                        mixed ? "" : all.get(0).text(),
                        "",
                        unit,
                        mixed
                                ? "differs"
                                : here ? "here" : all.get(0).text().isEmpty() ? "none" : "usual",
                        here,
                        mixed,
                        ""));
    }
}
