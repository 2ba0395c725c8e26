package dev.oleander.work.router.choice;

import com.fasterxml.jackson.annotation.JsonIgnore;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.plan.Choice;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a person set for what is done to a feature.
 *
 * @param values as they were typed, by word: formulas are worked out when it is planned, so that
 *     they follow stock and tool
 */
public record RouterChoice(Map<String, String> values) implements Choice<RouterChoice> {

    /** Places on a contour, mm along it. */
    private static final Set<String> PLACES = Set.of(WishValues.START, WishValues.TAB_AT);

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

    @Override
    public RouterChoice asRecipe() {
        return only(word -> !PLACES.contains(word));
    }

    @Override
    public RouterChoice ofPlace() {
        return only(PLACES::contains);
    }

    private RouterChoice only(Predicate<String> words) {
        Map<String, String> kept = new TreeMap<>(values);
        kept.keySet().removeIf(words.negate());
        return new RouterChoice(kept);
    }

    @Override
    public RouterChoice carried(String key, Carrying to) {
        RouterChoice carried = this;
        for (String word : PLACES) {
            Optional<String> now =
                    get(word)
                            .map(
                                    text ->
                                            Stream.of(text.split(" "))
                                                    .map(place -> carried(place, key, to))
                                                    .collect(Collectors.joining(" ")));
            carried = carried.with(word, now.orElse(null));
        }
        return carried;
    }

    /** A formula of stock or tool stays: it says where along the new contour, too. */
    private static String carried(String place, String key, Carrying to) {
        try {
            return to.along(key, Typed.parse(place, Map.of())).text();
        } catch (FormulaException named) {
            return place;
        }
    }
}
