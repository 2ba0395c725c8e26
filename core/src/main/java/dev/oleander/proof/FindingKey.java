package dev.oleander.proof;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.quantity.Numbers;
import java.util.Optional;

/**
 * Names a finding over several proofs, as a text of three parts between colons.
 *
 * @param where id of a stop, or a place as x,y in mm; empty when it has neither
 * @param value to 0.01
 */
record FindingKey(String rule, String where, String value) {

    static FindingKey of(String rule, String where, double value) {
        return new FindingKey(rule, where, Numbers.plain(value, 2));
    }

    private static FindingKey parse(String key) {
        String[] parts = key.split(":", 3);
        return new FindingKey(
                parts[0], parts.length > 1 ? parts[1] : "", parts.length > 2 ? parts[2] : "");
    }

    /**
     * What a key is in a new version of the drawing; empty when its stop is gone or has changed, so
     * that somebody has to look again.
     */
    static Optional<String> carried(String key, Carrying to) {
        FindingKey old = parse(key);
        boolean ofStop = !old.where.isEmpty() && !old.where.contains(",");
        if (!ofStop) {
            return Optional.of(key);
        }
        return to.key(old.where)
                .filter(stop -> to.isSame(old.where))
                .map(stop -> new FindingKey(old.rule, stop, old.value).text());
    }

    String text() {
        return rule + ":" + where + ":" + value;
    }
}
