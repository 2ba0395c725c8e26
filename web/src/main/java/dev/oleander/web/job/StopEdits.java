package dev.oleander.web.job;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.sheet.Precedence;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Edits of stops. An edit after which one of its stops cannot be cut is not taken. */
@Component
public class StopEdits {

    private final JobComputer computer;

    StopEdits(JobComputer computer) {
        this.computer = computer;
    }

    /** Which copies an edit of a stop is for. */
    public enum Scope {
        /** the stops named */
        COPY,
        /** the same feature on every copy */
        ALL
    }

    /**
     * Sets fields of stops; a null value takes back what was set.
     *
     * @param values text by field
     */
    public JobService.Edit set(List<String> stopIds, Scope scope, Map<StopField, String> values) {
        return before -> {
            List<Stop> stops = require(before, stopIds);
            PlanChoices plan = before.document().plan();
            for (Stop stop : stops) {
                for (Map.Entry<StopField, String> value : values.entrySet()) {
                    StopField.Entry entry =
                            new StopField.Entry(value.getValue(), names(before, stop));
                    plan = set(plan, stop, scope, value.getKey(), entry);
                }
            }
            JobDocument after = before.document().withPlan(plan);
            boolean taking = values.values().stream().anyMatch(v -> v != null);
            if (taking) {
                requireCuttable(after, stops);
            }
            return after;
        };
    }

    private static PlanChoices set(
            PlanChoices plan, Stop stop, Scope scope, StopField field, StopField.Entry entry) {
        if (scope == Scope.COPY) {
            return withField(plan, stop.id(), field, entry);
        }
        // a value set for one copy would hide the one for all
        StopField.Entry nothing = new StopField.Entry(null, Map.of());
        PlanChoices changed = plan;
        for (String key : plan.stops().keySet()) {
            if (key.startsWith(stop.feature() + ".")) {
                changed = withField(changed, key, field, nothing);
            }
        }
        return withField(changed, stop.feature(), field, entry);
    }

    private static PlanChoices withField(
            PlanChoices plan, String key, StopField field, StopField.Entry entry) {
        StopChoice now = plan.stops().getOrDefault(key, StopChoice.NOTHING);
        return plan.withStop(key, field.set(now, entry));
    }

    /** What may be used by name in formulas: t thickness, k kerf, r and d of a round feature. */
    private static Map<String, Double> names(JobResult result, Stop stop) {
        Map<String, Double> names = new TreeMap<>();
        names.put("t", result.document().thickness().value());
        stop.row().ifPresent(row -> names.put("k", row.kerf()));
        Feature feature = result.reading().byId().get(stop.feature());
        feature.circleDiameter()
                .ifPresent(
                        d -> {
                            names.put("d", d);
                            names.put("r", d / 2);
                        });
        return names;
    }

    /** Stops are named by their numbers before the edit, which people see. */
    private void requireCuttable(JobDocument after, List<Stop> before) {
        Map<String, Stop> stops = computer.result(after).stops();
        for (Stop seen : before) {
            Stop stop = stops.get(seen.id()).numbered(seen.number());
            boolean refused =
                    stop.refusal().filter(r -> r.kind() != Refusal.Kind.NO_DATA).isPresent();
            if (refused) {
                throw RefusedEditException.of(stop);
            }
        }
    }

    /**
     * Moves stops, in their order, before another one; the whole order is then by hand.
     *
     * @param before id of a stop that stays; empty: to the end
     */
    public JobService.Edit move(List<String> stopIds, String before) {
        return result -> {
            List<Stop> moved = inRunOrder(result, require(result, stopIds));
            List<Stop> order = new ArrayList<>(result.run().stops());
            order.removeAll(moved);
            int at = before.isEmpty() ? order.size() : indexOf(order, before);
            order.addAll(at, moved);
            new Precedence(result.reading().byId())
                    .firstBreach(order)
                    .ifPresent(
                            breach -> {
                                throw new RefusedEditException(breach.sentence());
                            });
            List<String> sequence = order.stream().map(Stop::id).toList();
            return result.document()
                    .withPlan(result.document().plan().withOrder(OrderRule.BY_HAND, sequence));
        };
    }

    /** Moves stops one place up or down past their neighbour. */
    public JobService.Edit shift(List<String> stopIds, boolean up) {
        return result -> {
            List<Stop> moved = inRunOrder(result, require(result, stopIds));
            List<Stop> all = result.run().stops();
            int first = all.indexOf(moved.get(0));
            int last = all.indexOf(moved.get(moved.size() - 1));
            if (up ? first == 0 : last == all.size() - 1) {
                return result.document();
            }
            String before = "";
            if (up) {
                before = all.get(first - 1).id();
            } else if (last + 2 < all.size()) {
                before = all.get(last + 2).id();
            }
            return move(stopIds, before).apply(result);
        };
    }

    private static List<Stop> inRunOrder(JobResult result, List<Stop> stops) {
        Set<Stop> chosen = new LinkedHashSet<>(stops);
        return result.run().stops().stream().filter(chosen::contains).toList();
    }

    private static int indexOf(List<Stop> order, String id) {
        for (int i = 0; i < order.size(); i++) {
            if (order.get(i).id().equals(id)) {
                return i;
            }
        }
        throw NotFoundException.stop(id);
    }

    private static List<Stop> require(JobResult result, List<String> ids) {
        Map<String, Stop> stops = result.stops();
        if (ids.isEmpty()) {
            throw new RefusedEditException("No stop is selected.");
        }
        return ids.stream()
                .map(
                        id -> {
                            Stop stop = stops.get(id);
                            if (stop == null) {
                                throw NotFoundException.stop(id);
                            }
                            return stop;
                        })
                .collect(Collectors.toList());
    }
}
