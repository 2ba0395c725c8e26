package dev.oleander.value;

import dev.oleander.quantity.Named;
import dev.oleander.quantity.Worded;
import java.util.List;
import java.util.function.Function;

/**
 * Constants that a value can be.
 *
 * @param wordOf names one in files and forms
 * @param labelOf names one for people
 */
public record Constants<E>(List<E> all, Function<E, String> wordOf, Function<E, String> labelOf) {

    @SafeVarargs
    public static <E extends Named> Constants<E> named(E... all) {
        return new Constants<>(List.of(all), Worded::word, Named::label);
    }

    /** Constants that people read by their words. */
    @SafeVarargs
    public static <E extends Worded> Constants<E> worded(E... all) {
        return new Constants<>(List.of(all), Worded::word, Worded::word);
    }

    /** The same with other names for people. */
    public Constants<E> labelled(Function<E, String> other) {
        return new Constants<>(all, wordOf, other);
    }

    List<Word> words() {
        return all.stream().map(e -> new Word(wordOf.apply(e), labelOf.apply(e))).toList();
    }

    /**
     * @param name of the value, for the sentence
     * @throws ValueException when no constant has the word
     */
    E require(String name, String word) {
        return all.stream()
                .filter(e -> wordOf.apply(e).equalsIgnoreCase(word))
                .findFirst()
                .orElseThrow(
                        () ->
                                new ValueException(
                                        "\"%s\" is no %s: %s."
                                                .formatted(word, name, Word.either(words()))));
    }
}
