package dev.oleander.nesting.choice;

import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.Sheets;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * All that was decided about a nest.
 *
 * @param laid sheets with what lies on them; none before anything was laid
 */
public record NestChoices(
        List<PartLine> lines,
        List<StockLine> stock,
        DistanceChoices distances,
        List<NestedSheet> laid) {

    public NestChoices {
        lines = List.copyOf(lines);
        stock = List.copyOf(stock);
        laid = List.copyOf(laid);
    }

    /** Nothing is asked for yet. */
    public static NestChoices empty() {
        return new NestChoices(List.of(), List.of(), DistanceChoices.USUAL, List.of());
    }

    public Optional<PartLine> line(String id) {
        return lines.stream().filter(l -> l.id().equals(id)).findFirst();
    }

    public Optional<StockLine> stock(String id) {
        return stock.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** What is asked for besides what only fills. */
    public Demand demand() {
        Map<PartRef, Integer> wanted = new LinkedHashMap<>();
        lines.stream()
                .filter(line -> !line.fill())
                .forEach(line -> wanted.merge(line.ref(), line.quantity(), Integer::sum));
        return new Demand(wanted);
    }

    /** How many of each line lie on sheets, by id. */
    public Map<String, Integer> placed() {
        return Sheets.placed(laid);
    }

    public NestChoices withLines(List<PartLine> value) {
        return new NestChoices(value, stock, distances, laid);
    }

    public NestChoices withStock(List<StockLine> value) {
        return new NestChoices(lines, value, distances, laid);
    }

    public NestChoices withDistances(DistanceChoices value) {
        return new NestChoices(lines, stock, value, laid);
    }

    public NestChoices withLaid(List<NestedSheet> value) {
        return new NestChoices(lines, stock, distances, value);
    }

    /**
     * With a line changed.
     *
     * @throws NestException when there is none, or its numbers are not possible
     */
    public NestChoices withLine(String id, UnaryOperator<PartLine> change) {
        line(id).orElseThrow(() -> new NestException("There is no line %s.".formatted(id)));
        List<PartLine> changed = new ArrayList<>();
        lines.forEach(line -> changed.add(line.id().equals(id) ? change.apply(line) : line));
        return withLines(changed);
    }

    /** Without a line, and without its parts on the sheets. */
    public NestChoices withoutLine(String id) {
        return withLines(lines.stream().filter(line -> !line.id().equals(id)).toList())
                .withLaid(Sheets.without(laid, p -> p.line().equals(id)));
    }

    /** Without a kind of sheet, and without what lies on it. */
    public NestChoices withoutStock(String id) {
        return withStock(stock.stream().filter(s -> !s.id().equals(id)).toList())
                .withLaid(laid.stream().filter(s -> !s.stock().equals(id)).toList());
    }

    /** A name for another line: l1, l2, and so on. */
    public String nextLine() {
        return next("l", lines.stream().map(PartLine::id).toList());
    }

    /** A name for another kind of sheet. */
    public String nextStock() {
        return next("s", stock.stream().map(StockLine::id).toList());
    }

    private static String next(String letter, List<String> taken) {
        int number = taken.size() + 1;
        while (taken.contains(letter + number)) {
            number++;
        }
        return letter + number;
    }

    /**
     * Numbers that every line must have.
     *
     * @param name of a line for people
     * @throws NestException naming the line, the value and the limit
     */
    public static void require(PartLine line, String name) {
        if (line.quantity() < 1 || line.quantity() > OrderLine.MOST) {
            throw new NestException(
                    "%s: %d are asked for; it must be 1 to %d."
                            .formatted(name, line.quantity(), OrderLine.MOST));
        }
    }
}
