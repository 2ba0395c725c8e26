package dev.oleander.web.job;

import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Stop;
import dev.oleander.plan.StopEvent;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Edits of what happens at stops besides their cuts. */
@Component
public class EventEdits {

    /** Seconds a person is likely to take when nobody said how long. */
    static final double USUAL_STOP = 60;

    private static final double USUAL_WAIT = 1;

    /** Of one stop; a list that nobody reads is of no use at the machine. */
    private static final int MOST = 8;

    /**
     * What somebody typed.
     *
     * @param kind word of the kind
     * @param before whether it happens before the cut
     * @param seconds as typed; empty: as usual
     */
    public record Wish(String kind, boolean before, String seconds, String text) {}

    /**
     * Adds an event to stops.
     *
     * @throws RefusedEditException when it cannot be
     */
    public JobService.Edit add(List<String> stopIds, StopEdits.Scope scope, Wish wish) {
        StopEvent event = event(wish);
        return result -> {
            PlanChoices plan = result.document().plan();
            for (String key : keys(result, stopIds, scope)) {
                List<StopEvent> all = new ArrayList<>(plan.events().getOrDefault(key, List.of()));
                if (all.size() >= MOST) {
                    throw new RefusedEditException(
                            "A stop can have %d events at most.".formatted(MOST));
                }
                all.add(event);
                plan = plan.withEvents(key, all);
            }
            return result.document().withPlan(plan);
        };
    }

    /** Takes an event away wherever the stops have it, for this copy or for all. */
    public JobService.Edit remove(List<String> stopIds, StopEvent event) {
        return result -> {
            PlanChoices plan = result.document().plan();
            List<String> keys = new ArrayList<>(keys(result, stopIds, StopEdits.Scope.COPY));
            keys.addAll(keys(result, stopIds, StopEdits.Scope.ALL));
            for (String key : keys) {
                List<StopEvent> left = new ArrayList<>(plan.events().getOrDefault(key, List.of()));
                left.remove(event);
                plan = plan.withEvents(key, left);
            }
            return result.document().withPlan(plan);
        };
    }

    private static List<String> keys(
            JobResult result, List<String> stopIds, StopEdits.Scope scope) {
        Map<String, Stop> stops = result.stops();
        if (stopIds.isEmpty()) {
            throw new RefusedEditException("Select the stop first.");
        }
        List<String> keys = new ArrayList<>();
        for (String id : stopIds) {
            Stop stop = stops.get(id);
            if (stop == null) {
                throw new RefusedEditException("There is no stop \"%s\".".formatted(id));
            }
            String key = scope == StopEdits.Scope.ALL ? stop.feature() : stop.id();
            if (!keys.contains(key)) {
                keys.add(key);
            }
        }
        return keys;
    }

    private static StopEvent event(Wish wish) {
        StopEvent.Kind kind =
                Worded.of(StopEvent.Kind.class, wish.kind())
                        .orElseThrow(
                                () ->
                                        new RefusedEditException(
                                                "There is no event \"%s\"."
                                                        .formatted(wish.kind())));
        String text = wish.text().strip();
        if (text.isEmpty() && kind != StopEvent.Kind.DWELL) {
            throw new RefusedEditException(
                    kind.isForPeople()
                            ? "Say why it stops: the operator reads it at the machine."
                            : "A comment needs a text.");
        }
        if (text.length() > StopEvent.LONGEST_TEXT) {
            throw new RefusedEditException(
                    "The text has %d characters, %d fit on a line of a program."
                            .formatted(text.length(), StopEvent.LONGEST_TEXT));
        }
        return new StopEvent(kind, wish.before(), seconds(kind, wish.seconds()), text);
    }

    private static double seconds(StopEvent.Kind kind, String typed) {
        if (kind == StopEvent.Kind.COMMENT) {
            return 0;
        }
        if (typed.isBlank()) {
            return kind == StopEvent.Kind.DWELL ? USUAL_WAIT : USUAL_STOP;
        }
        double seconds;
        try {
            seconds = Typed.parse(typed, Map.of()).value();
        } catch (FormulaException wrong) {
            throw new RefusedEditException(wrong.getMessage());
        }
        if (!(seconds >= 0 && seconds <= StopEvent.LONGEST)) {
            throw new RefusedEditException(
                    "It lasts %s s; from 0 to %s s is possible."
                            .formatted(
                                    Numbers.plain(seconds, 2),
                                    Numbers.plain(StopEvent.LONGEST, 0)));
        }
        return seconds;
    }
}
