package dev.oleander.nesting;

import java.util.Optional;

/**
 * How long and how a nest is looked for.
 *
 * @param seconds after which the search ends with the round it is in
 * @param rounds in place of seconds: exactly so many, of which {@code explored} look for something
 *     new
 * @param seed of all that is left to chance
 * @param worlds searches side by side that learn from each other; the result depends on it
 * @param threads that carry them; the result does not depend on it
 */
public record NestBudget(
        double seconds,
        Optional<Integer> rounds,
        Optional<Integer> explored,
        long seed,
        int worlds,
        int threads) {

    /** Share of the time in which something new is looked for. */
    public static final double EXPLORE = 0.7;

    public static final double LONGEST = 24 * 3600;

    public NestBudget {
        if (!(seconds > 0 && seconds <= LONGEST)) {
            throw new NestException(
                    "%s seconds; a search takes more than 0 and at most %s."
                            .formatted(seconds, LONGEST));
        }
        if (worlds < 1 || worlds > 16 || threads < 1 || threads > 64) {
            throw new NestException(
                    "%d worlds on %d threads; there are 1 to 16 worlds and 1 to 64 threads."
                            .formatted(worlds, threads));
        }
    }

    public static NestBudget ofSeconds(double seconds, long seed) {
        return new NestBudget(seconds, Optional.empty(), Optional.empty(), seed, 2, 2);
    }

    /** The same search again, however long it takes. */
    public static NestBudget ofRounds(int rounds, int explored, long seed) {
        return new NestBudget(LONGEST, Optional.of(rounds), Optional.of(explored), seed, 2, 2);
    }

    public NestBudget withThreads(int number) {
        return new NestBudget(seconds, rounds, explored, seed, worlds, number);
    }
}
