package dev.oleander.proof;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Something the proof wants a person to see.
 *
 * @param id within one proof: f1, f2, ...
 * @param stop id of the stop; empty when it belongs to none
 * @param moment machine time, s
 * @param value and {@code limit}: mm unless the sentence says otherwise
 * @param accepted reason with which a person accepted it
 * @param alike ids of all stops that it is true of; the first is {@code stop}
 */
public record Finding(
        String id,
        String rule,
        Severity severity,
        String stop,
        Optional<Point> place,
        double moment,
        double value,
        double limit,
        String sentence,
        Optional<String> accepted,
        List<String> alike) {

    private static final double SAME = 0.01;

    public Finding {
        alike = List.copyOf(alike);
    }

    /** What a rule found, before it gets its id and its moment. */
    public static Finding of(
            Severity severity, String stop, Point place, double value, double limit, String text) {
        return new Finding(
                "",
                "",
                severity,
                stop,
                Optional.ofNullable(place),
                0,
                value,
                limit,
                text,
                Optional.empty(),
                stop.isEmpty() ? List.of() : List.of(stop));
    }

    /**
     * Names the finding over several proofs: an acceptance holds as long as rule, stop and value
     * (to 0.01) stay the same; of a finding without a stop also its place. One that is true of
     * several stops is named by the first of them by id, so that another order changes nothing.
     */
    public String key() {
        String where =
                stop.isEmpty()
                        ? place.map(p -> Numbers.plain(p.x(), 2) + "," + Numbers.plain(p.y(), 2))
                                .orElse("")
                        : alike.stream().min(Comparator.naturalOrder()).orElse(stop);
        return FindingKey.of(rule, where, value).text();
    }

    /**
     * Whether another one, of another sheet with copies of the same parts, says the same: rule and
     * value (to 0.01) of the same feature, or of no stop at all.
     */
    public boolean isLike(Finding other) {
        if (!rule.equals(other.rule) || Math.abs(value - other.value) >= SAME) {
            return false;
        }
        return stop.isEmpty()
                ? sentence.equals(other.sentence)
                : features().stream().anyMatch(other.features()::contains);
    }

    private Set<String> features() {
        return alike.stream().map(s -> FeatureKey.parse(s).feature()).collect(Collectors.toSet());
    }

    /**
     * What was accepted, in a new version of the drawing: of a stop only when it did not change, so
     * that somebody looks again; what belongs to no stop names its place.
     *
     * @param acceptances reasons by key
     */
    public static Map<String, String> carried(Map<String, String> acceptances, Carrying to) {
        Map<String, String> carried = new TreeMap<>();
        acceptances.forEach(
                (key, reason) ->
                        FindingKey.carried(key, to).ifPresent(k -> carried.put(k, reason)));
        return carried;
    }

    public boolean blocks() {
        return severity == Severity.MUST_FIX || (severity == Severity.LOOK && accepted.isEmpty());
    }

    Finding with(String newId, String newRule, double at, Optional<String> reason) {
        return new Finding(
                newId, newRule, severity, stop, place, at, value, limit, sentence, reason, alike);
    }

    /** How many stops it is true of; 1 when it belongs to none. */
    public int count() {
        return Math.max(1, alike.size());
    }

    Finding alike(List<String> stops, String text) {
        return new Finding(
                id, rule, severity, stop, place, moment, value, limit, text, accepted, stops);
    }
}
