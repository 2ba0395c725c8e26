package dev.oleander.quantity;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A constant that files, addresses and the interface name by a word: PART_BY_PART is partByPart.
 */
public interface Worded {

    /** As {@link Enum#name()}. */
    String name();

    /** The name in camel case. */
    default String word() {
        StringBuilder word = new StringBuilder();
        for (String part : name().toLowerCase(Locale.ROOT).split("_")) {
            word.append(
                    word.isEmpty()
                            ? part
                            : part.substring(0, 1).toUpperCase(Locale.ROOT) + part.substring(1));
        }
        return word.toString();
    }

    /** The constant with a word; empty when none has it. */
    static <E extends Enum<E> & Worded> Optional<E> of(Class<E> all, String word) {
        return Stream.of(all.getEnumConstants()).filter(c -> c.word().equals(word)).findFirst();
    }
}
