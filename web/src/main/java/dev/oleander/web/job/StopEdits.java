package dev.oleander.web.job;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.drawing.read.Counterparts;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopChoice;
import dev.oleander.quantity.Typed;
import java.util.List;
import java.util.Map;
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
            PlanChoices plan = before.document().choices(SHEET);
            for (Stop stop : stops) {
                for (Map.Entry<StopField, String> value : values.entrySet()) {
                    StopField.Entry entry =
                            new StopField.Entry(value.getValue(), names(before, stop));
                    plan = set(plan, stop, scope, value.getKey(), entry);
                }
            }
            JobDocument after = before.document().with(SHEET, plan);
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
     * Copies what is set of a stop's leads, start and tabs to the same contour of all equal parts,
     * at the same place of each.
     */
    public JobService.Edit copyToEqual(String stopId) {
        return before -> {
            Stop stop = require(before, List.of(stopId)).get(0);
            PlanChoices plan = before.document().choices(SHEET);
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
            return before.document().with(SHEET, plan);
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

    static List<Stop> require(JobResult result, List<String> ids) {
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
