package dev.oleander.web.estimate;

import dev.oleander.price.Estimate;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.document.JobDocument;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Estimates side by side.
 *
 * @param bySheet whether material counts by whole sheets, else by area
 */
public record EstimateView(int quantity, boolean bySheet, List<Row> rows) {

    /**
     * One machine; money and shares as they are written.
     *
     * @param present whether the job is on it
     * @param lowest whether a part costs least here
     */
    public record Row(
            String machine,
            String process,
            String id,
            boolean present,
            boolean lowest,
            String cannot,
            String warning,
            String time,
            String pierces,
            String machineCost,
            String running,
            String setUp,
            String material,
            String materialNote,
            String part,
            String lot,
            String hits) {}

    /**
     * @param all whether none is missing, so that one of them is the lowest
     */
    static EstimateView of(
            JobDocument document,
            int quantity,
            boolean bySheet,
            boolean all,
            List<Estimate> estimates) {
        Estimate lowest =
                estimates.stream()
                        .filter(e -> all && e.isPossible())
                        .min(Comparator.comparingDouble(e -> e.costs().lot(bySheet)))
                        .orElse(null);
        return new EstimateView(
                quantity,
                bySheet,
                estimates.stream().map(e -> row(document, bySheet, e, e == lowest)).toList());
    }

    private static Row row(JobDocument document, boolean bySheet, Estimate e, boolean lowest) {
        Estimate.Costs costs = e.costs();
        return new Row(
                e.machine(),
                e.process(),
                e.id(),
                e.id().equals(document.machine()),
                lowest,
                e.cannot(),
                e.warning(),
                Numbers.duration(e.seconds()),
                e.hits().isEmpty() ? e.pierces() + " pierces" : e.pierces() + " hits",
                money(costs.machine() / costs.quantity()),
                money(costs.running() / costs.quantity()),
                money(costs.setUp() / costs.quantity()),
                money(costs.material(bySheet) / costs.quantity()),
                "%d on a sheet, %s %% of it; %s"
                        .formatted(
                                e.placed(),
                                Numbers.plain(100 * e.share(), 0),
                                e.sheets() == 1 ? "1 sheet" : e.sheets() + " sheets"),
                money(costs.part(bySheet)),
                money(costs.lot(bySheet)),
                hits(e.hits()));
    }

    static String money(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    private static String hits(Map<String, Integer> hits) {
        return hits.entrySet().stream()
                .map(h -> "%s: %d".formatted(h.getKey(), h.getValue()))
                .collect(Collectors.joining(", "));
    }
}
