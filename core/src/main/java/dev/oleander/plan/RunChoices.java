package dev.oleander.plan;

import com.fasterxml.jackson.annotation.JsonIgnore;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.stop.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What people decided about a run as a whole, whatever the kind of work.
 *
 * @param rule word of the rule by which the stops are put in order; empty: as is usual. The kind of
 *     work says which there are
 * @param sequence ids of stops in the order a person gave, beginning from that of the rule; empty
 *     unless it is by hand
 * @param pins stretches of ids of stops that stay together in this order, whatever the rule
 * @param events what happens at stops besides their work, by feature or by stop
 */
public record RunChoices(
        String rule,
        List<String> sequence,
        List<List<String>> pins,
        Map<String, List<StopEvent>> events) {

    /** What stands for the rule of an order that a person gave. */
    public static final String BY_HAND = "byHand";

    public static final RunChoices USUAL = new RunChoices("", List.of(), List.of(), Map.of());

    public RunChoices {
        rule = rule == null ? "" : rule;
        sequence = sequence == null ? List.of() : List.copyOf(sequence);
        pins = pins == null ? List.of() : pins.stream().map(List::copyOf).toList();
        events = events == null ? Map.of() : Map.copyOf(events);
    }

    @JsonIgnore
    public boolean isByHand() {
        return !sequence.isEmpty();
    }

    /** Whether the order follows from the same decisions. */
    public boolean ordersAs(RunChoices other) {
        return rule.equals(other.rule)
                && sequence.equals(other.sequence)
                && pins.equals(other.pins);
    }

    /** By a rule, by its word; what was given by hand ends, unless that is the word. */
    public RunChoices by(String word) {
        return word.equals(BY_HAND) ? this : new RunChoices(word, List.of(), pins, events);
    }

    /** In this order, by ids of stops. */
    public RunChoices inSequence(List<String> ids) {
        return new RunChoices(rule, ids, pins, events);
    }

    public RunChoices withPins(List<List<String>> stretches) {
        return new RunChoices(rule, sequence, stretches, events);
    }

    /** What happens at one stop: on every copy, then on this one. */
    public List<StopEvent> eventsOf(Stop stop) {
        List<StopEvent> all = new ArrayList<>(events.getOrDefault(stop.feature(), List.of()));
        all.addAll(events.getOrDefault(stop.id(), List.of()));
        return all;
    }

    /** What happens at stops, by id; stops without any are not in it. */
    public Map<String, List<StopEvent>> eventsOf(List<Stop> stops) {
        if (events.isEmpty()) {
            return Map.of();
        }
        Map<String, List<StopEvent>> of = new TreeMap<>();
        for (Stop stop : stops) {
            List<StopEvent> all = eventsOf(stop);
            if (!all.isEmpty()) {
                of.put(stop.id(), all);
            }
        }
        return of;
    }

    /** Replaces what happens under a key; nothing removes it. */
    public RunChoices withEvents(String key, List<StopEvent> all) {
        Map<String, List<StopEvent>> changed = new TreeMap<>(events);
        if (all.isEmpty()) {
            changed.remove(key);
        } else {
            changed.put(key, List.copyOf(all));
        }
        return new RunChoices(rule, sequence, pins, changed);
    }

    /** The same with the events of another. */
    public RunChoices withEventsOf(RunChoices other) {
        return new RunChoices(rule, sequence, pins, other.events);
    }

    /**
     * The same for a new version of the drawing. An order by hand of which stops are gone ends: the
     * rule takes its place.
     */
    public RunChoices carried(Carrying to) {
        List<String> left = to.keys(sequence);
        return new RunChoices(
                rule,
                left.size() < sequence.size() ? List.of() : left,
                to.stretches(pins),
                to.keys(events));
    }
}
