package dev.oleander.work.router.choice;

import com.fasterxml.jackson.annotation.JsonIgnore;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choice;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What a person set for what is done to a feature.
 *
 * @param values as they were typed, by word: formulas are worked out when it is planned, so that
 *     they follow stock and tool
 */
public record RouterChoice(Map<String, String> values) implements Choice<RouterChoice> {

    public static final RouterChoice NOTHING = new RouterChoice(Map.of());

    public RouterChoice {
        values = values == null ? Map.of() : Map.copyOf(values);
    }

    @Override
    @JsonIgnore
    public boolean isNothing() {
        return values.isEmpty();
    }

    public Optional<String> get(String word) {
        return Optional.ofNullable(values.get(word));
    }

    /**
     * @param text null or empty: as is usual
     */
    public RouterChoice with(String word, String text) {
        Map<String, String> changed = new TreeMap<>(values);
        if (text == null || text.isBlank()) {
            changed.remove(word);
        } else {
            changed.put(word, text);
        }
        return new RouterChoice(changed);
    }

    @Override
    public RouterChoice over(RouterChoice other) {
        Map<String, String> both = new TreeMap<>(other.values);
        both.putAll(values);
        return new RouterChoice(both);
    }

    /** None of the values is a place on a contour. */
    @Override
    public RouterChoice asRecipe() {
        return this;
    }

    @Override
    public RouterChoice ofPlace() {
        return NOTHING;
    }

    @Override
    public RouterChoice carried(String key, Carrying to) {
        return this;
    }
}
