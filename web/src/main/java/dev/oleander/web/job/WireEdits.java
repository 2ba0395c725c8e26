package dev.oleander.web.job;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Stop;
import dev.oleander.plan.wire.WireChoice;
import dev.oleander.plan.wire.WireChoices;
import dev.oleander.plan.wire.WireOrder;
import dev.oleander.plan.wire.WirePlan;
import dev.oleander.web.job.StopEdits.Scope;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Edits of stops of a wire machine. One after which a stop cannot be cut is not taken. */
@Component
public class WireEdits {

    private final JobComputer computer;

    WireEdits(JobComputer computer) {
        this.computer = computer;
    }

    /** Sets a value of stops; null takes back what was set. */
    public JobService.Edit set(List<String> stopIds, Scope scope, WireField field, String text) {
        return set(stopIds, scope, Collections.singletonMap(field, text));
    }

    /** Sets values of stops; a null takes back what was set. */
    public JobService.Edit set(List<String> stopIds, Scope scope, Map<WireField, String> values) {
        return before -> {
            WireChoices choices = before.document().wire();
            Map<String, Stop> subjects = subjects(before, stopIds);
            for (Stop stop : subjects.values()) {
                for (Map.Entry<WireField, String> value : values.entrySet()) {
                    StopField.Entry entry =
                            new StopField.Entry(value.getValue(), names(before, stop));
                    choices = set(choices, stop, scope, value.getKey(), entry);
                }
            }
            JobDocument after = before.document().withWire(choices);
            if (values.values().stream().anyMatch(Objects::nonNull)) {
                requireCuttable(before, after, subjects.values());
            }
            return after;
        };
    }

    /** Stops by feature and copy: several visits of one are set together. */
    private static Map<String, Stop> subjects(JobResult result, List<String> ids) {
        if (ids.isEmpty()) {
            throw new RefusedEditException("No stop is selected.");
        }
        Map<String, Stop> stops = result.stops();
        Map<String, Stop> subjects = new LinkedHashMap<>();
        for (String id : ids) {
            Stop stop = stops.get(id);
            if (stop == null) {
                throw NotFoundException.stop(id);
            }
            subjects.putIfAbsent(Stop.id(stop.feature(), stop.copy()), stop);
        }
        return subjects;
    }

    private static WireChoices set(
            WireChoices choices, Stop stop, Scope scope, WireField field, StopField.Entry entry) {
        if (scope == Scope.COPY && !field.isOfAllCopies()) {
            return with(choices, Stop.id(stop.feature(), stop.copy()), field, entry);
        }
        StopField.Entry nothing = new StopField.Entry(null, Map.of());
        WireChoices changed = choices;
        for (String key : choices.stops().keySet()) {
            if (key.startsWith(stop.feature() + ".")) {
                changed = with(changed, key, field, nothing);
            }
        }
        return with(changed, stop.feature(), field, entry);
    }

    private static WireChoices with(
            WireChoices choices, String key, WireField field, StopField.Entry entry) {
        WireChoice now = choices.stops().getOrDefault(key, WireChoice.NOTHING);
        boolean takesBack = entry.text() == null && now.upper() == null;
        boolean ofUpper =
                field == WireField.MATCHING
                        || field == WireField.LINES
                        || field == WireField.UPPER_START;
        return takesBack && ofUpper ? choices : choices.withStop(key, field.set(now, entry));
    }

    /** What may be used by name in formulas: t height, w wire, r and d of a round feature. */
    private static Map<String, Double> names(JobResult result, Stop stop) {
        Map<String, Double> names = new TreeMap<>();
        names.put("t", result.document().thickness().value());
        WirePlan plan = result.wire().orElseThrow();
        var settings = plan.settings().get(Stop.id(stop.feature(), stop.copy()));
        if (settings != null) {
            names.put("w", settings.row().wireDiameter());
        }
        Feature feature = result.reading().byId().get(stop.feature());
        feature.circleDiameter()
                .ifPresent(
                        d -> {
                            names.put("d", d);
                            names.put("r", d / 2);
                        });
        return names;
    }

    private void requireCuttable(JobResult before, JobDocument after, Iterable<Stop> subjects) {
        List<Stop> stops = computer.result(after).run().stops();
        for (Stop seen : subjects) {
            for (Stop stop : stops) {
                boolean fresh = stop.copy() > before.wire().orElseThrow().copies().size();
                boolean same =
                        stop.feature().equals(seen.feature())
                                && (stop.copy() == seen.copy() || fresh);
                boolean refused =
                        stop.refusal().filter(r -> r.kind() != Refusal.Kind.NO_DATA).isPresent();
                if (same && refused && seen.refusal().isEmpty()) {
                    throw RefusedEditException.of(fresh ? stop : stop.numbered(seen.number()));
                }
            }
        }
    }

    /**
     * Moves stops before another one; the whole order is then by hand.
     *
     * @param before id of a stop that stays; empty: to the end
     */
    public JobService.Edit move(List<String> stopIds, String before) {
        return result -> {
            Map<String, Stop> stops = result.stops();
            List<String> order =
                    new ArrayList<>(result.run().stops().stream().map(Stop::id).toList());
            List<String> moved = order.stream().filter(stopIds::contains).toList();
            if (moved.isEmpty()) {
                throw new RefusedEditException("No stop is selected.");
            }
            order.removeAll(moved);
            int at = before.isEmpty() ? order.size() : order.indexOf(before);
            if (at < 0) {
                throw NotFoundException.stop(before);
            }
            order.addAll(at, moved);
            WirePlan plan = result.wire().orElseThrow();
            plan.order()
                    .breach(order)
                    .ifPresent(
                            breach -> {
                                throw new RefusedEditException(
                                        sentence(
                                                stops.get(breach.stop()),
                                                stops.get(breach.must())));
                            });
            return result.document()
                    .withWire(result.document().wire().withOrder(WireOrder.BY_HAND, order));
        };
    }

    private static String sentence(Stop stop, Stop must) {
        boolean same = stop.feature().equals(must.feature()) && stop.copy() == must.copy();
        String why =
                same && stop.name().contains("cut-off")
                        ? "the cut-off would come before its skims"
                        : same
                                ? "it would come before what it follows from"
                                : "the piece it lies in would be free before";
        return "Stop %d (%s) must come after stop %d (%s): %s."
                .formatted(stop.number(), stop.name(), must.number(), must.name(), why);
    }

    /** Moves stops one place up or down past their neighbour. */
    public JobService.Edit shift(List<String> stopIds, boolean up) {
        return result -> {
            List<String> all = result.run().stops().stream().map(Stop::id).toList();
            List<Integer> places = stopIds.stream().map(all::indexOf).sorted().toList();
            int first = places.get(0);
            int last = places.get(places.size() - 1);
            if (first < 0 || (up ? first == 0 : last == all.size() - 1)) {
                return result.document();
            }
            String before = "";
            if (up) {
                before = all.get(first - 1);
            } else if (last + 2 < all.size()) {
                before = all.get(last + 2);
            }
            return move(stopIds, before).apply(result);
        };
    }
}
