package dev.oleander.plan.bed;

import dev.oleander.quantity.Numbers;
import dev.oleander.value.Entry;
import dev.oleander.value.ValueException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Clamps as people type them: x, y, width, depth and height of each in mm, one after the other with
 * semicolons between.
 */
public final class KeepOutText {

    private static final int MOST = 20;
    private static final List<String> NAMES = List.of("x", "y", "width", "depth", "height");

    private KeepOutText() {}

    /**
     * @throws ValueException when there are not five numbers, or too many clamps
     * @throws dev.oleander.quantity.FormulaException when one is no number or out of limits
     */
    static List<KeepOut> read(Entry entry) {
        List<KeepOut> all = new ArrayList<>();
        for (String one : entry.text().split(";")) {
            if (!one.isBlank()) {
                all.add(clamp(entry.with(one), all.size() + 1));
            }
        }
        if (all.size() > MOST) {
            throw new ValueException("%d clamps are possible at most.".formatted(MOST));
        }
        return all;
    }

    private static KeepOut clamp(Entry entry, int number) {
        String[] parts = entry.text().split(",");
        if (parts.length != NAMES.size()) {
            throw new ValueException(
                    "Clamp %d has %d numbers; it needs five: x, y, width, depth, height."
                            .formatted(number, parts.length));
        }
        double[] values = new double[NAMES.size()];
        for (int i = 0; i < values.length; i++) {
            String what = "The %s of clamp %d".formatted(NAMES.get(i), number);
            double least = i < 2 ? -BedValues.LARGEST : 0.1;
            values[i] = entry.with(parts[i]).number(what, least, BedValues.LARGEST).value();
        }
        return new KeepOut(values[0], values[1], values[2], values[3], values[4]);
    }

    public static String write(List<KeepOut> all) {
        return all.stream()
                .map(
                        k ->
                                List.of(k.x(), k.y(), k.width(), k.depth(), k.height()).stream()
                                        .map(v -> Numbers.plain(v, 3))
                                        .collect(Collectors.joining(", ")))
                .collect(Collectors.joining("; "));
    }
}
