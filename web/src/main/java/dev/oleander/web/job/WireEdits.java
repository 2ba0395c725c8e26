package dev.oleander.web.job;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.Refusal;
import dev.oleander.plan.Stop;
import dev.oleander.web.job.StopEdits.Scope;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireChoices;
import dev.oleander.work.wire.plan.WirePlan;
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
            WireChoices choices = before.document().choices(WIRE);
            Map<String, Stop> subjects = subjects(before, stopIds);
            for (Stop stop : subjects.values()) {
                for (Map.Entry<WireField, String> value : values.entrySet()) {
                    StopField.Entry entry =
                            new StopField.Entry(value.getValue(), names(before, stop));
                    choices = set(choices, stop, scope, value.getKey(), entry);
                }
            }
            JobDocument after = before.document().with(WIRE, choices);
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
        WirePlan plan = Wires.plan(result).orElseThrow();
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
                boolean fresh = stop.copy() > Wires.plan(before).orElseThrow().copies().size();
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
}
