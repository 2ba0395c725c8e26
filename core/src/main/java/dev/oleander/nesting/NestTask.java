package dev.oleander.nesting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * What is asked for, what there is, and what is kept to.
 *
 * @param locked sheets with the parts that must lie on them as they do
 * @param start sheets with parts from which the search goes on; what does not fit is laid anew
 */
public record NestTask(
        List<OrderLine> lines,
        List<SheetStock> stock,
        NestRules rules,
        List<NestedSheet> locked,
        List<NestedSheet> start) {

    /** Of all lines that must be placed: every pair of them is kept in memory. */
    public static final int MOST_PARTS = 1_500;

    /** A task that is begun with nothing. */
    public NestTask(
            List<OrderLine> lines,
            List<SheetStock> stock,
            NestRules rules,
            List<NestedSheet> locked) {
        this(lines, stock, rules, locked, List.of());
    }

    /** The same, going on from what lies on some sheets. */
    public NestTask from(List<NestedSheet> sheets) {
        return new NestTask(lines, stock, rules, locked, sheets);
    }

    /**
     * @throws NestException when ids appear twice, nothing or more than {@link #MOST_PARTS} is
     *     asked for, or what is locked is of no line or sheet
     */
    public NestTask {
        lines = List.copyOf(lines);
        stock = List.copyOf(stock);
        locked = List.copyOf(locked);
        start = List.copyOf(start);
        if (lines.isEmpty() || stock.isEmpty()) {
            throw new NestException(
                    "There are %d lines and %d kinds of sheet; one of each is needed."
                            .formatted(lines.size(), stock.size()));
        }
        requireOnce(lines.stream().map(OrderLine::id).toList(), "line");
        requireOnce(stock.stream().map(SheetStock::id).toList(), "sheet");
        requireKnown(locked, "locked", lines, stock);
        requireKnown(start, "laid", lines, stock);
        int parts = lines.stream().filter(l -> !l.fill()).mapToInt(OrderLine::quantity).sum();
        if (parts > MOST_PARTS) {
            throw new NestException(
                    "%d parts are asked for; one nest holds %d.".formatted(parts, MOST_PARTS));
        }
    }

    /** Parts are of lines and sheets that there are, and no more than are asked for. */
    private static void requireKnown(
            List<NestedSheet> sheets, String how, List<OrderLine> lines, List<SheetStock> stock) {
        for (NestedSheet sheet : sheets) {
            found(stock, s -> s.id().equals(sheet.stock()), "sheet", sheet.stock());
        }
        Sheets.placed(sheets)
                .forEach(
                        (id, n) -> {
                            OrderLine line = found(lines, l -> l.id().equals(id), "line", id);
                            if (n > line.quantity()) {
                                throw new NestException(
                                        "%d parts of %s are %s; %d are asked for."
                                                .formatted(n, id, how, line.quantity()));
                            }
                        });
    }

    private static <T> T found(List<T> all, Predicate<T> wanted, String what, String id) {
        return all.stream()
                .filter(wanted)
                .findFirst()
                .orElseThrow(() -> new NestException("There is no %s %s.".formatted(what, id)));
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
     * mm that belong to a part of a line: two parts lie half of the one and half of the other
     * apart. Never less than what all keep, or parts would come too near the edge.
     */
    public double gap(OrderLine line) {
        return Math.max(rules.gap(), line.gap());
    }

    /**
     * @throws NestException when there is none
     */
    public OrderLine line(String id) {
        return found(lines, l -> l.id().equals(id), "line", id);
    }

    /**
     * @throws NestException when there is none
     */
    public SheetStock sheet(String id) {
        return found(stock, s -> s.id().equals(id), "sheet", id);
    }

    /**
     * A sheet as far as parts may lie on it.
     *
     * @return with the share of the price that the stretch has
     * @throws NestException when there is no such sheet
     */
    public SheetStock sheet(NestedSheet laid) {
        return laid.part().of(sheet(laid.stock()), rules, widestGap());
    }

    /** mm; the largest of all lines. */
    public double widestGap() {
        return lines.stream().mapToDouble(this::gap).max().orElseThrow();
    }
}
