package dev.oleander.web.job;

import dev.oleander.plan.RunRules;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Edits of the run as a whole, of every kind of work: its order and what is kept together. */
@Component
public class RunEdits {

    /**
     * Moves stops, in their order and with what is pinned to them, before another one; the whole
     * order is then by hand.
     *
     * @param before id of a stop that stays; empty: to the end
     */
    public JobService.Edit move(List<String> stopIds, String before) {
        return result -> {
            List<String> all = withPinned(result, stopIds);
            List<Stop> moved = inRunOrder(result, result.requireStops(all));
            List<Stop> order = new ArrayList<>(result.run().stops());
            order.removeAll(moved);
            int at = before.isEmpty() ? order.size() : indexOf(order, firstPinned(result, before));
            order.addAll(at, moved);
            return byHand(result, order);
        };
    }

    /**
     * Pins stops that follow each other, so that they stay together in this order whatever the rule
     * of order is.
     */
    public JobService.Edit pin(List<String> stopIds) {
        return result -> {
            List<Stop> stretch = inRunOrder(result, result.requireStops(stopIds));
            List<Stop> run = result.run().stops();
            int first = run.indexOf(stretch.get(0));
            if (stretch.size() < 2 || !run.subList(first, first + stretch.size()).equals(stretch)) {
                throw new RefusedEditException(
                        "Only stops that follow each other can be pinned: select a stretch of two or more.");
            }
            RunRules rules = result.plan().rules();
            if (!rules.areAlike(stretch)) {
                throw new RefusedEditException(
                        "Marks are made before all cuts; they cannot be pinned together with one.");
            }
            List<List<String>> pins = unpinned(result, stretch);
            pins.add(stretch.stream().map(Stop::id).toList());
            if (!rules.permits(run, pins)) {
                throw new RefusedEditException(
                        "This stretch cannot stay together with the others that are pinned: a piece would be free before it is cut.");
            }
            return withPins(result, pins);
        };
    }

    /** Unpins every stretch that one of the stops belongs to. */
    public JobService.Edit unpin(List<String> stopIds) {
        return result -> {
            List<Stop> stops = result.requireStops(stopIds);
            return withPins(result, unpinned(result, stops));
        };
    }

    /** The stretches that none of the stops belongs to. */
    private static List<List<String>> unpinned(JobResult result, List<Stop> stops) {
        Set<String> ids = stops.stream().map(Stop::id).collect(Collectors.toSet());
        return result.runChoices().pins().stream()
                .filter(pin -> pin.stream().noneMatch(ids::contains))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    private static JobDocument withPins(JobResult result, List<List<String>> pins) {
        return result.document().rerun(result.kind(), run -> run.withPins(pins));
    }

    /** The first of the stretch that a stop is pinned in; itself when it is in none. */
    private static String firstPinned(JobResult result, String stop) {
        return result.runChoices().pins().stream()
                .filter(pin -> pin.contains(stop))
                .map(pin -> pin.get(0))
                .findFirst()
                .orElse(stop);
    }

    /** With all stops that are pinned together with one of them. */
    private static List<String> withPinned(JobResult result, List<String> stopIds) {
        Set<String> all = new LinkedHashSet<>(stopIds);
        for (List<String> pin : result.runChoices().pins()) {
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
            List<Stop> named = result.requireStops(stopIds);
            List<Stop> order = new ArrayList<>(result.run().stops());
            int at = named.stream().mapToInt(order::indexOf).min().orElseThrow();
            order.removeAll(named);
            order.addAll(at, named);
            return byHand(result, order);
        };
    }

    private static JobDocument byHand(JobResult result, List<Stop> order) {
        result.plan()
                .rules()
                .breach(order)
                .ifPresent(
                        breach -> {
                            throw new RefusedEditException(breach.sentence());
                        });
        List<String> ids = order.stream().map(Stop::id).toList();
        // the order that was given to stops of other runs stays
        Set<String> own = Set.copyOf(ids);
        List<String> sequence = new ArrayList<>(result.runChoices().sequence());
        sequence.removeIf(own::contains);
        sequence.addAll(ids);
        return result.document().rerun(result.kind(), run -> run.inSequence(sequence));
    }

    /** Moves stops one place up or down past their neighbour. */
    public JobService.Edit shift(List<String> stopIds, boolean up) {
        return result -> {
            List<Stop> moved = inRunOrder(result, result.requireStops(withPinned(result, stopIds)));
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
}
