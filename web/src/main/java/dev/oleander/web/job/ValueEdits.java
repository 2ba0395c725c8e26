package dev.oleander.web.job;

import dev.oleander.drawing.read.Counterparts;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.value.Entry;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.Task;
import dev.oleander.work.Work;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Edits of the values of stops and jobs, of every kind of work. */
@Component
public class ValueEdits {

    /** mm; parts that differ by less are equal. */
    private static final double EQUAL = 0.02;

    private final JobComputer computer;

    ValueEdits(JobComputer computer) {
        this.computer = computer;
    }

    /**
     * The value of stops with a word.
     *
     * @throws NotFoundException when there is none
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> Value<S> ofStop(
            Work<C, S> kind, String word) {
        return Value.find(kind.stopValues(), word)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "A stop has no value \"%s\" that can be set."
                                                .formatted(word)));
    }

    /**
     * The value of a whole job with a word.
     *
     * @throws RefusedEditException when it is one of stops
     * @throws NotFoundException when there is none
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> Value<C> ofJob(
            Work<C, S> kind, String word) {
        return Value.find(kind.values(), word)
                .orElseThrow(
                        () -> {
                            boolean ofStops = Value.find(kind.stopValues(), word).isPresent();
                            return ofStops
                                    ? new RefusedEditException("No stop is selected.")
                                    : new NotFoundException(
                                            "There is no value \"%s\".".formatted(word));
                        });
    }

    // ---- of stops

    /**
     * Sets values of stops. An edit after which one of them cannot be cut, and could before, is not
     * taken.
     *
     * @param values text by word; an empty one takes back what was set
     */
    public JobService.Edit ofStops(List<String> stopIds, Scope scope, Map<String, String> values) {
        return before -> ofStops(before, before.kind(), stopIds, scope, values);
    }

    private <C extends Choices<C, S>, S extends Choice<S>> JobDocument ofStops(
            JobResult before,
            Work<C, S> kind,
            List<String> stopIds,
            Scope scope,
            Map<String, String> values) {
        List<Stop> stops = onceEach(before.requireStops(stopIds));
        stops.forEach(stop -> requireOwn(before, stop));
        List<Subject<S>> subjects = kind.subjects(before.task(kind), before.plan(), stops);
        C choices = before.document().choices(kind);
        for (int i = 0; i < stops.size(); i++) {
            for (Map.Entry<String, String> value : values.entrySet()) {
                Entry entry = new Entry(value.getValue(), subjects.get(i).names());
                choices = set(choices, stops.get(i), scope, ofStop(kind, value.getKey()), entry);
            }
        }
        JobDocument after = before.document().with(kind, choices);
        if (values.values().stream().anyMatch(text -> !text.isBlank())) {
            requireCuttable(before, after, stops);
        }
        return after;
    }

    /** What is of another job is cut as it is decided there. */
    private static void requireOwn(JobResult result, Stop stop) {
        String letter = FeatureKey.sourceOf(stop.feature());
        result.document()
                .nest()
                .map(nest -> nest.sources().get(letter))
                .ifPresent(
                        source -> {
                            throw new RefusedEditException(
                                    "Stop %d is of job %d, %s. Change it there, then take it into the nest as it is now."
                                            .formatted(
                                                    stop.number(),
                                                    source.job(),
                                                    source.document().name()));
                        });
    }

    /** By feature and copy: several visits of one are set together. */
    private static List<Stop> onceEach(List<Stop> stops) {
        Map<String, Stop> once = new LinkedHashMap<>();
        stops.forEach(stop -> once.putIfAbsent(stop.subject(), stop));
        return List.copyOf(once.values());
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> C set(
            C choices, Stop stop, Scope scope, Value<S> value, Entry entry) {
        if (scope == Scope.COPY && !value.isOfAllCopies()) {
            return put(choices, stop.subject(), value, entry);
        }
        // a value set for one copy would hide the one for all
        C changed = choices;
        for (String key : choices.stops().keySet()) {
            FeatureKey of = FeatureKey.parse(key);
            if (of.copy().isPresent() && of.ofAllCopies().text().equals(stop.subjectOfAll())) {
                changed = put(changed, key, value, Entry.NOTHING);
            }
        }
        for (String key : stop.subjectsOfAll()) {
            changed = put(changed, key, value, entry);
        }
        return changed;
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> C put(
            C choices, String key, Value<S> value, Entry entry) {
        S now = choices.stops().getOrDefault(key, choices.nothing());
        return choices.withStop(key, value.put(now, entry));
    }

    /** Stops are named by their numbers before the edit, which people see. */
    private void requireCuttable(JobResult before, JobDocument after, List<Stop> edited) {
        int copies = before.allStops().mapToInt(Stop::copy).max().orElse(0);
        for (Stop stop : computer.result(after).allStops().toList()) {
            boolean refused =
                    stop.refusal().filter(r -> r.kind() != Refusal.Kind.NO_DATA).isPresent();
            if (!refused) {
                continue;
            }
            for (Stop seen : edited) {
                boolean fresh = stop.copy() > copies;
                boolean same =
                        stop.subjectOfAll().equals(seen.subjectOfAll())
                                && (stop.copy() == seen.copy() || fresh);
                if (same && seen.refusal().isEmpty()) {
                    throw RefusedEditException.of(fresh ? stop : stop.numbered(seen.number()));
                }
            }
        }
    }

    /** Copies what is set for a stop to the same contour of all equal parts, at the same place. */
    public JobService.Edit copyToEqual(String stopId) {
        return before -> copyToEqual(before, before.kind(), stopId);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> JobDocument copyToEqual(
            JobResult before, Work<C, S> kind, String stopId) {
        Stop stop = before.requireStops(List.of(stopId)).get(0);
        C choices = before.document().choices(kind);
        S set = choices.of(stop.key());
        if (set.isNothing()) {
            throw new RefusedEditException(
                    "Nothing is set for this stop that could be copied to equal parts.");
        }
        Map<String, Feature> features = before.reading().byId();
        Feature own = features.get(stop.feature());
        Map<String, Transform> others = new Counterparts(before.reading(), EQUAL).of(own);
        for (Map.Entry<String, Transform> other : others.entrySet()) {
            Carrying onto = Carrying.onto(own, features.get(other.getKey()), other.getValue());
            String key = stop.key().ofAllCopies().with(other.getKey()).text();
            choices = choices.withStop(key, set.carried(own.id(), onto));
        }
        return before.document().with(kind, choices);
    }

    // ---- of the job

    /** Sets a value of the whole job; an empty text takes it back. */
    public JobService.Edit ofJob(String word, String text) {
        return before -> ofJob(before, before.kind(), word, text);
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> JobDocument ofJob(
            JobResult before, Work<C, S> kind, String word, String text) {
        Task<C> task = before.task(kind);
        Entry entry = new Entry(text, kind.subject(task).names());
        return before.document().with(kind, ofJob(kind, word).put(task.choices(), entry));
    }
}
