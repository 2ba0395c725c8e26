package dev.oleander.value;

import dev.oleander.quantity.Named;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One of a few words that a value can be.
 *
 * @param label for people
 */
public record Word(String value, String label) {

    /** A word that people read as it is. */
    public static Word same(String value) {
        return new Word(value, value);
    }

    public static Word of(Named constant) {
        return new Word(constant.word(), constant.label());
    }

    public static List<Word> all(Named... constants) {
        return Stream.of(constants).map(Word::of).toList();
    }

    /** In a sentence: a, b or c. */
    static String either(List<Word> words) {
        List<String> values = words.stream().map(Word::value).toList();
        int last = values.size() - 1;
        String before = values.subList(0, last).stream().collect(Collectors.joining(", "));
        return before.isEmpty() ? values.get(last) : before + " or " + values.get(last);
    }
}
