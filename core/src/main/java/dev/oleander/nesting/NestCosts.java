package dev.oleander.nesting;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What the material of a nest costs, shared to what lies on it: the price of each sheet, less what
 * its rest is worth, by the area that each part claims. A part claims itself with half the gap
 * round it, and its openings unless something lies in them.
 */
public final class NestCosts {

    private static final double CENTS = 100;

    private final NestTask task;

    private NestCosts(NestTask task) {
        this.task = task;
    }

    /**
     * Money by id of the line; to the cent, and in sum what the sheets cost to the cent.
     *
     * @param sheets that the task knows
     */
    public static Map<String, Double> byLine(NestTask task, List<NestedSheet> sheets) {
        Map<String, Double> shares = new LinkedHashMap<>();
        double all = 0;
        NestCosts costs = new NestCosts(task);
        for (NestedSheet sheet : sheets) {
            double cost = costs.of(sheet);
            all += cost;
            costs.claims(sheet)
                    .forEach((line, share) -> shares.merge(line, cost * share, Double::sum));
        }
        return rounded(shares, Math.round(CENTS * all));
    }

    /** What a sheet costs less what its rest is worth. */
    private double of(NestedSheet sheet) {
        SheetStock stock = task.sheet(sheet);
        double share = task.rules().remnant().map(NestRules.RemnantRule::share).orElse(0.0);
        double rest = Rest.of(task, sheet).map(box -> box.width() * box.height()).orElse(0.0);
        return stock.price() * (1 - share * rest / Rest.area(task, sheet));
    }

    /** Share of each line in what all parts of a sheet claim. */
    private Map<String, Double> claims(NestedSheet sheet) {
        List<Region> laid =
                sheet.placements().stream()
                        .map(p -> task.line(p.line()).shape().transformed(p.transform()))
                        .toList();
        List<Double> gaps =
                sheet.placements().stream().map(p -> task.gap(task.line(p.line()))).toList();
        Map<String, Double> claims = new LinkedHashMap<>();
        double all = 0;
        for (int i = 0; i < laid.size(); i++) {
            double area = claimed(laid, i, gaps.get(i));
            all += area;
            claims.merge(sheet.placements().get(i).line(), area, Double::sum);
        }
        double sum = all;
        claims.replaceAll((line, area) -> area / sum);
        return claims;
    }

    private static double claimed(List<Region> laid, int own, double gap) {
        Region part = laid.get(own);
        Region whole = new Region(part.outer(), List.of());
        double area =
                Offsetter.round().offset(whole, gap / 2).stream().mapToDouble(Region::area).sum();
        for (Contour opening : part.openings()) {
            area -= isUsed(opening, laid, own) ? opening.area() : 0;
        }
        return area;
    }

    private static boolean isUsed(Contour opening, List<Region> laid, int own) {
        for (int i = 0; i < laid.size(); i++) {
            Point corner = laid.get(i).outer().segments().get(0).start();
            if (i != own && opening.box().contains(corner) && opening.contains(corner)) {
                return true;
            }
        }
        return false;
    }

    /** To whole cents; what is lost by rounding goes where most was lost. */
    private static Map<String, Double> rounded(Map<String, Double> shares, long cents) {
        Map<String, Double> rounded = new LinkedHashMap<>();
        long left = cents;
        for (Map.Entry<String, Double> share : shares.entrySet()) {
            double down = Math.floor(CENTS * share.getValue() + 1e-9);
            rounded.put(share.getKey(), down / CENTS);
            left -= (long) down;
        }
        List<String> byLoss = new ArrayList<>(shares.keySet());
        byLoss.sort(
                Comparator.comparingDouble(
                        line -> CENTS * rounded.get(line) - CENTS * shares.get(line)));
        for (int i = 0; i < left && !byLoss.isEmpty(); i++) {
            rounded.merge(byLoss.get(i % byLoss.size()), 1 / CENTS, Double::sum);
        }
        return rounded;
    }
}
