package dev.oleander.web.bench;

import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What happens at the selected stops besides their cuts. */
public final class EventSlip {

    private final JobResult result;
    private final List<Stop> stops;

    EventSlip(JobResult result, List<Stop> stops) {
        this.result = result;
        this.stops = stops;
    }

    /**
     * An event of the selection.
     *
     * @param sentence what happens, in words
     * @param note how many of the stops have it, when not all do
     */
    public record Row(
            String kind, String when, double amount, String text, String sentence, String note) {}

    public List<Row> rows() {
        Map<StopEvent, Integer> counts = new LinkedHashMap<>();
        for (Stop stop : stops) {
            for (StopEvent event : result.run().eventsOf(stop)) {
                counts.merge(event, 1, Integer::sum);
            }
        }
        List<Row> rows = new ArrayList<>();
        counts.forEach((event, count) -> rows.add(row(event, count)));
        return rows;
    }

    private Row row(StopEvent event, int count) {
        return new Row(
                event.kind().word(),
                event.before() ? "before" : "after",
                event.amount(),
                event.text(),
                sentence(event),
                count < stops.size() ? "%d of %d stops".formatted(count, stops.size()) : "");
    }

    /** For example: Stop before the cut, about 1:00: turn the plate. */
    public static String sentence(StopEvent event) {
        String when = event.before() ? "before the cut" : "after the cut";
        String time =
                switch (event.kind()) {
                    case STOP, OPTIONAL_STOP -> ", about " + Numbers.duration(event.amount());
                    case DWELL -> ", " + Numbers.duration(event.amount());
                    case COMMENT -> "";
                    case GAS -> ", %s bar".formatted(Numbers.plain(event.amount(), 2));
                    case CONDITION -> " number " + Numbers.plain(event.amount(), 0);
                };
        String text = event.text().isEmpty() ? "" : ": " + event.text();
        return "%s %s%s%s".formatted(event.kind().label(), when, time, text);
    }

    /** What its text says. */
    public String hint(StopEvent.Kind kind) {
        return switch (kind) {
            case STOP, OPTIONAL_STOP -> "why, for the operator";
            case DWELL, CONDITION -> "why, may be empty";
            case COMMENT -> "text";
            case GAS -> "oxygen, nitrogen, air or argon";
        };
    }

    public List<StopEvent.Kind> kinds() {
        return List.of(StopEvent.Kind.values());
    }
}
