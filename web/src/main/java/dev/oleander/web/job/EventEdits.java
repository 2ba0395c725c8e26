package dev.oleander.web.job;

import dev.oleander.plan.Gas;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
     * @param amount as typed; empty: as usual
     */
    public record Wish(String kind, boolean before, String amount, String text) {}

    /**
     * Adds an event to stops.
     *
     * @throws RefusedEditException when it cannot be
     */
    public JobService.Edit add(List<String> stopIds, Scope scope, Wish wish) {
        StopEvent event = event(wish);
        return result -> {
            RunChoices run = result.runChoices();
            for (String key : keys(result, stopIds, scope)) {
                List<StopEvent> all = new ArrayList<>(run.events().getOrDefault(key, List.of()));
                if (all.size() >= MOST) {
                    throw new RefusedEditException(
                            "A stop can have %d events at most.".formatted(MOST));
                }
                all.add(event);
                run = run.withEvents(key, all);
            }
            RunChoices changed = run;
            return result.document().rerun(result.kind(), r -> changed);
        };
    }

    /** Takes an event away wherever the stops have it, for this copy or for all. */
    public JobService.Edit remove(List<String> stopIds, StopEvent event) {
        return result -> {
            RunChoices run = result.runChoices();
            List<String> keys = new ArrayList<>(keys(result, stopIds, Scope.COPY));
            keys.addAll(keys(result, stopIds, Scope.ALL));
            for (String key : keys) {
                List<StopEvent> left = new ArrayList<>(run.events().getOrDefault(key, List.of()));
                left.remove(event);
                run = run.withEvents(key, left);
            }
            RunChoices changed = run;
            return result.document().rerun(result.kind(), r -> changed);
        };
    }

    private static List<String> keys(JobResult result, List<String> stopIds, Scope scope) {
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
            String key = scope == Scope.ALL ? stop.feature() : stop.id();
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
        requireText(kind, text);
        return new StopEvent(kind, wish.before(), amount(kind, wish.amount()), text);
    }

    private static void requireText(StopEvent.Kind kind, String text) {
        String missing =
                switch (kind) {
                    case STOP, OPTIONAL_STOP ->
                            "Say why it stops: the operator reads it at the machine.";
                    case COMMENT -> "A comment needs a text.";
                    case GAS -> "Say which gas: " + gases() + ".";
                    case DWELL, CONDITION -> "";
                };
        if (text.isEmpty() && !missing.isEmpty()) {
            throw new RefusedEditException(missing);
        }
        if (kind == StopEvent.Kind.GAS && Worded.of(Gas.class, text).isEmpty()) {
            throw new RefusedEditException(
                    "There is no gas \"%s\"; known are %s.".formatted(text, gases()));
        }
        if (text.length() > StopEvent.LONGEST_TEXT) {
            throw new RefusedEditException(
                    "The text has %d characters, %d fit on a line of a program."
                            .formatted(text.length(), StopEvent.LONGEST_TEXT));
        }
    }

    private static String gases() {
        return Arrays.stream(Gas.values()).map(Gas::word).collect(Collectors.joining(", "));
    }

    private static double amount(StopEvent.Kind kind, String typed) {
        if (kind == StopEvent.Kind.COMMENT) {
            return 0;
        }
        if (typed.isBlank()) {
            return usual(kind);
        }
        double amount;
        try {
            amount = Typed.parse(typed, Map.of()).value();
        } catch (FormulaException wrong) {
            throw new RefusedEditException(wrong.getMessage());
        }
        boolean whole = kind != StopEvent.Kind.CONDITION || amount == Math.rint(amount);
        if (!(amount >= 0 && amount <= kind.most()) || !whole) {
            throw new RefusedEditException(
                    "%s is %s %s; %s from 0 to %s is possible."
                            .formatted(
                                    kind.label(),
                                    Numbers.plain(amount, 2),
                                    kind.unit(),
                                    kind == StopEvent.Kind.CONDITION ? "a whole number" : "a value",
                                    Numbers.plain(kind.most(), 0)));
        }
        return amount;
    }

    private static double usual(StopEvent.Kind kind) {
        return switch (kind) {
            case STOP, OPTIONAL_STOP -> USUAL_STOP;
            case DWELL -> USUAL_WAIT;
            case COMMENT -> 0;
            case GAS -> throw new RefusedEditException("Say the pressure of the gas, bar.");
            case CONDITION -> throw new RefusedEditException("Say the number of the condition.");
        };
    }
}
