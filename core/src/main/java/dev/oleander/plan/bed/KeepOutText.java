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

    /** mm; a height that nobody asks for. */
    private static final double FLAT = 1;

    private static final List<String> NAMES = List.of("x", "y", "width", "depth", "height");

    private KeepOutText() {}

    /**
     * Clamps.
     *
     * @throws ValueException when there are not five numbers of each, or too many
     * @throws dev.oleander.quantity.FormulaException when one is no number or out of limits
     */
    static List<KeepOut> read(Entry entry) {
        return read(entry, "clamp", NAMES);
    }

    /**
     * What lies under the stock, of which no height is said.
     *
     * @param what one of them is, in sentences
     */
    public static List<KeepOut> readFlat(Entry entry, String what) {
        return read(entry, what, NAMES.subList(0, NAMES.size() - 1));
    }

    private static List<KeepOut> read(Entry entry, String what, List<String> names) {
        List<KeepOut> all = new ArrayList<>();
        for (String one : entry.text().split(";")) {
            if (!one.isBlank()) {
                all.add(one(entry.with(one), "%s %d".formatted(what, all.size() + 1), names));
            }
        }
        if (all.size() > MOST) {
            throw new ValueException("%d %ss are possible at most.".formatted(MOST, what));
        }
        return all;
    }

    private static KeepOut one(Entry entry, String which, List<String> names) {
        String[] parts = entry.text().split(",");
        if (parts.length != names.size()) {
            throw new ValueException(
                    "%s has %d numbers; it needs %s: %s."
                            .formatted(
                                    Character.toUpperCase(which.charAt(0)) + which.substring(1),
                                    parts.length,
                                    names.size() == NAMES.size() ? "five" : "four",
                                    String.join(", ", names)));
        }
        double[] values = {0, 0, 0, 0, FLAT};
        for (int i = 0; i < names.size(); i++) {
            String what = "The %s of %s".formatted(names.get(i), which);
            double least = i < 2 ? -BedValues.LARGEST : 0.1;
            values[i] = entry.with(parts[i]).number(what, least, BedValues.LARGEST).value();
        }
        return new KeepOut(values[0], values[1], values[2], values[3], values[4]);
    }

    /** Without heights. */
    public static String writeFlat(List<KeepOut> all) {
        return write(all, NAMES.size() - 1);
    }

    public static String write(List<KeepOut> all) {
        return write(all, NAMES.size());
    }

    private static String write(List<KeepOut> all, int numbers) {
        return all.stream()
                .map(
                        k ->
                                List.of(k.x(), k.y(), k.width(), k.depth(), k.height()).stream()
                                        .limit(numbers)
                                        .map(v -> Numbers.plain(v, 3))
                                        .collect(Collectors.joining(", ")))
                .collect(Collectors.joining("; "));
    }
}
