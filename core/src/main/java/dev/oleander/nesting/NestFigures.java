package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a nest comes to.
 *
 * @param sheets that are used
 * @param parts that lie on them
 * @param share of the sheets without their rests that becomes parts, 0 to 1
 * @param cost of the sheets less what their rests are worth
 * @param rests of each sheet; empty where none is worth keeping
 * @param left how many of each line that is needed lie nowhere, by id; lines with none are not in
 *     it
 */
public record NestFigures(
        int sheets,
        int parts,
        double share,
        double cost,
        List<Optional<Box>> rests,
        Map<String, Integer> left) {

    public NestFigures {
        rests = List.copyOf(rests);
        left = Map.copyOf(left);
    }

    public static NestFigures of(NestTask task, List<NestedSheet> sheets) {
        double kept = 0;
        double used = 0;
        double cost = 0;
        int parts = 0;
        List<Optional<Box>> rests = new ArrayList<>();
        for (NestedSheet sheet : sheets) {
            SheetStock stock = task.sheet(sheet);
            Optional<Box> rest = Rest.of(task, sheet);
            double area = Rest.area(task, sheet);
            double left = rest.map(box -> box.width() * box.height()).orElse(0.0);
            double share = task.rules().remnant().map(NestRules.RemnantRule::share).orElse(0.0);
            rests.add(rest);
            used += area - left;
            cost += stock.price() * (1 - share * left / area);
            for (NestPlacement p : sheet.placements()) {
                kept += sheet.heads() * task.line(p.line()).shape().area();
                parts += sheet.heads();
            }
        }
        return new NestFigures(
                Sheets.count(sheets),
                parts,
                used > 0 ? kept / used : 0,
                cost,
                rests,
                left(task, Sheets.placed(sheets)));
    }

    private static Map<String, Integer> left(NestTask task, Map<String, Integer> placed) {
        Map<String, Integer> left = new HashMap<>();
        for (OrderLine line : task.lines()) {
            int missing = line.quantity() - placed.getOrDefault(line.id(), 0);
            if (!line.fill() && missing > 0) {
                left.put(line.id(), missing);
            }
        }
        return left;
    }

    /** How many of all lines lie nowhere. */
    public int missing() {
        return left.values().stream().mapToInt(Integer::intValue).sum();
    }
}
