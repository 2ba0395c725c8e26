package dev.oleander.web.job;

import dev.oleander.drawing.read.Counterparts;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.OrderRule;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.plan.sheet.Precedence;
import dev.oleander.quantity.Typed;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Edits of stops. An edit after which one of its stops cannot be cut is not taken. */
@Component
public class StopEdits {

    /** mm; parts that differ by less are equal. */
    private static final double EQUAL = 0.02;

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
            boolean taking = values.values().stream().anyMatch(v -> v != null && !v.isBlank());
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
     * Moves stops, in their order and with what is pinned to them, before another one; the whole
     * order is then by hand.
     *
     * @param before id of a stop that stays; empty: to the end
     */
    public JobService.Edit move(List<String> stopIds, String before) {
        return result -> {
            List<String> all = withPinned(result, stopIds);
            List<Stop> moved = inRunOrder(result, require(result, all));
            List<Stop> order = new ArrayList<>(result.run().stops());
            order.removeAll(moved);
            int at = before.isEmpty() ? order.size() : indexOf(order, firstPinned(result, before));
            order.addAll(at, moved);
            return byHand(result, order);
        };
    }

    /**
     * Copies what is set of a stop's leads, start and tabs to the same contour of all equal parts,
     * at the same place of each.
     */
    public JobService.Edit copyToEqual(String stopId) {
        return before -> {
            Stop stop = require(before, List.of(stopId)).get(0);
            PlanChoices plan = before.document().plan();
            StopChoice set = plan.of(stop.feature(), stop.copy());
            if (set.isNothing()) {
                throw new RefusedEditException(
                        "Nothing is set for this stop that could be copied to equal parts.");
            }
            Feature own = before.reading().byId().get(stop.feature());
            Map<String, Transform> others = new Counterparts(before.reading(), EQUAL).of(own);
            for (Map.Entry<String, Transform> other : others.entrySet()) {
                Feature there = before.reading().byId().get(other.getKey());
                plan = plan.withStop(other.getKey(), carried(set, own, there, other.getValue()));
            }
            return before.document().withPlan(plan);
        };
    }

    private static StopChoice carried(StopChoice set, Feature from, Feature to, Transform motion) {
        UnaryOperator<Typed> place =
                typed -> {
                    double along = typed.value() % from.contour().length();
                    Point there = motion.apply(from.contour().stationAt(along).point());
                    return Typed.of(to.contour().distanceAt(to.contour().nearest(there)));
                };
        StopChoice copied =
                set.withTabs(set.tabs().withAt(set.tabs().at().stream().map(place).toList()));
        return set.start() == null ? copied : copied.withStart(place.apply(set.start()));
    }

    /**
     * Pins stops that follow each other, so that they stay together in this order whatever the rule
     * of order is.
     */
    public JobService.Edit pin(List<String> stopIds) {
        return result -> {
            List<Stop> stretch = inRunOrder(result, require(result, stopIds));
            List<Stop> run = result.run().stops();
            int first = run.indexOf(stretch.get(0));
            if (stretch.size() < 2 || !run.subList(first, first + stretch.size()).equals(stretch)) {
                throw new RefusedEditException(
                        "Only stops that follow each other can be pinned: select a stretch of two or more.");
            }
            if (stretch.stream().map(s -> s.kind() == Stop.Kind.MARK).distinct().count() > 1) {
                throw new RefusedEditException(
                        "Marks are made before all cuts; they cannot be pinned together with one.");
            }
            List<List<String>> pins = unpinned(result.document().plan(), stretch);
            pins.add(stretch.stream().map(Stop::id).toList());
            boolean wire = result.wireTask().isPresent();
            if (!wire && !new Precedence(result.reading().byId()).permits(run, pins)) {
                throw new RefusedEditException(
                        "This stretch cannot stay together with the others that are pinned: a piece would be free before it is cut.");
            }
            return result.document().withPlan(result.document().plan().withPins(pins));
        };
    }

    /** Unpins every stretch that one of the stops belongs to. */
    public JobService.Edit unpin(List<String> stopIds) {
        return result -> {
            List<Stop> stops = require(result, stopIds);
            PlanChoices plan = result.document().plan();
            return result.document().withPlan(plan.withPins(unpinned(plan, stops)));
        };
    }

    /** The stretches that none of the stops belongs to. */
    private static List<List<String>> unpinned(PlanChoices plan, List<Stop> stops) {
        Set<String> ids = stops.stream().map(Stop::id).collect(Collectors.toSet());
        return plan.pins().stream()
                .filter(pin -> pin.stream().noneMatch(ids::contains))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    /** The first of the stretch that a stop is pinned in; itself when it is in none. */
    private static String firstPinned(JobResult result, String stop) {
        return result.document().plan().pins().stream()
                .filter(pin -> pin.contains(stop))
                .map(pin -> pin.get(0))
                .findFirst()
                .orElse(stop);
    }

    /** With all stops that are pinned together with one of them. */
    private static List<String> withPinned(JobResult result, List<String> stopIds) {
        Set<String> all = new LinkedHashSet<>(stopIds);
        for (List<String> pin : result.document().plan().pins()) {
            if (pin.stream().anyMatch(all::contains)) {
                all.addAll(pin);
            }
        }
        return List.copyOf(all);
    }

    /**
     * Cuts stops one after the other in the order in which they are named, from where the first of
     * them stands in the run; the whole order is then by hand.
     */
    public JobService.Edit inSequence(List<String> stopIds) {
        return result -> {
            List<Stop> named = require(result, stopIds);
            List<Stop> order = new ArrayList<>(result.run().stops());
            int at = named.stream().mapToInt(order::indexOf).min().orElseThrow();
            order.removeAll(named);
            order.addAll(at, named);
            return byHand(result, order);
        };
    }

    private static JobDocument byHand(JobResult result, List<Stop> order) {
        new Precedence(result.reading().byId())
                .firstBreach(order)
                .ifPresent(
                        breach -> {
                            throw new RefusedEditException(breach.sentence());
                        });
        List<String> sequence = order.stream().map(Stop::id).toList();
        return result.document()
                .withPlan(result.document().plan().withOrder(OrderRule.BY_HAND, sequence));
    }

    /** Moves stops one place up or down past their neighbour. */
    public JobService.Edit shift(List<String> stopIds, boolean up) {
        return result -> {
            List<Stop> moved = inRunOrder(result, require(result, withPinned(result, stopIds)));
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
