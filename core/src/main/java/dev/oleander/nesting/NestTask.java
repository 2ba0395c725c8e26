package dev.oleander.nesting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What is asked for, what there is, and what is kept to.
 *
 * @param locked sheets with the parts that must lie on them as they do
 */
public record NestTask(
        List<OrderLine> lines, List<SheetStock> stock, NestRules rules, List<NestedSheet> locked) {

    /** Of all lines that must be placed; more do not end in time. */
    public static final int MOST_PARTS = 5_000;

    /**
     * @throws NestException when ids appear twice, nothing is asked for, or more than {@link
     *     #MOST_PARTS}
     */
    public NestTask {
        lines = List.copyOf(lines);
        stock = List.copyOf(stock);
        locked = List.copyOf(locked);
        if (lines.isEmpty() || stock.isEmpty()) {
            throw new NestException(
                    "There are %d lines and %d kinds of sheet; one of each is needed."
                            .formatted(lines.size(), stock.size()));
        }
        requireOnce(lines.stream().map(OrderLine::id).toList(), "line");
        requireOnce(stock.stream().map(SheetStock::id).toList(), "sheet");
        int parts = lines.stream().filter(l -> !l.fill()).mapToInt(OrderLine::quantity).sum();
        if (parts > MOST_PARTS) {
            throw new NestException(
                    "%d parts are asked for; one nest holds %d.".formatted(parts, MOST_PARTS));
        }
    }

    private static void requireOnce(List<String> ids, String what) {
        Map<String, Integer> seen = new HashMap<>();
        for (String id : ids) {
            if (seen.merge(id, 1, Integer::sum) > 1) {
                throw new NestException(
                        "The id %s is used by more than one %s.".formatted(id, what));
            }
        }
    }

    /**
     * @throws NestException when there is none
     */
    public OrderLine line(String id) {
        return lines.stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NestException("There is no line " + id + "."));
    }

    /**
     * @throws NestException when there is none
     */
    public SheetStock sheet(String id) {
        return stock.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NestException("There is no sheet " + id + "."));
    }
}
