package dev.oleander.web.job.document;

import dev.oleander.nesting.choice.NestChoices;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * How the parts of a job, and of other jobs, are nested.
 *
 * @param sources the other jobs, each by a letter and as it was when it was taken in; parts of the
 *     job itself have no letter
 */
public record NestDocument(Map<String, Source> sources, NestChoices choices) {

    /** Most jobs that one nest takes parts of. */
    public static final int MOST_SOURCES = 200;

    private static final Comparator<String> IN_ORDER =
            Comparator.comparingInt(String::length).thenComparing(Comparator.naturalOrder());

    public NestDocument {
        sources = Map.copyOf(sources);
    }

    /**
     * A job of which parts are taken.
     *
     * @param job its number
     * @param step the step of it that was taken in
     */
    public record Source(long job, int step, JobDocument document) {}

    /** Nothing is asked for yet. */
    public static NestDocument empty() {
        return new NestDocument(Map.of(), NestChoices.empty());
    }

    /** Sources in the order of their letters. */
    public SortedMap<String, Source> inOrder() {
        SortedMap<String, Source> sorted = new TreeMap<>(IN_ORDER);
        sorted.putAll(sources);
        return sorted;
    }

    /** The letter of a job; empty when nothing of it is taken. */
    public Optional<String> letterOf(long job) {
        return inOrder().entrySet().stream()
                .filter(e -> e.getValue().job() == job)
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** A letter that no source has: A to Z, then AA and so on. */
    public String nextLetter() {
        int number = 0;
        while (sources.containsKey(letter(number))) {
            number++;
        }
        return letter(number);
    }

    private static String letter(int number) {
        String last = String.valueOf((char) ('A' + number % 26));
        return number < 26 ? last : letter(number / 26 - 1) + last;
    }

    public NestDocument withChoices(NestChoices value) {
        return new NestDocument(sources, value);
    }

    /** With what was decided changed; sources of which nothing is asked for any more are gone. */
    public NestDocument changed(UnaryOperator<NestChoices> change) {
        NestChoices changed = change.apply(choices);
        Map<String, Source> used = new TreeMap<>(sources);
        List<String> asked = new ArrayList<>();
        changed.lines().forEach(line -> asked.add(line.source()));
        used.keySet().retainAll(asked);
        return new NestDocument(used, changed);
    }

    /** With a source, new or as it is now. */
    public NestDocument with(String letter, Source source) {
        Map<String, Source> all = new TreeMap<>(sources);
        all.put(letter, source);
        return new NestDocument(all, choices);
    }
}
