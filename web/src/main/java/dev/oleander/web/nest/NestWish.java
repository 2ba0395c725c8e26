package dev.oleander.web.nest;

import dev.oleander.nesting.NestBudget;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.Locale;
import java.util.Optional;

/**
 * What a search is asked to do.
 *
 * @param seconds after which it ends
 * @param rounds in place of seconds; null: as many as there is time for
 * @param explored of the rounds, in which something new is looked for; null: most of them
 * @param threads that carry it; what is found does not depend on them
 */
public record NestWish(
        From from, double seconds, Integer rounds, Integer explored, long seed, int threads) {

    /** s; whoever wants longer begins again from what was found. */
    public static final double LONGEST = 3600;

    public static final double USUAL_SECONDS = 30;

    private static final int WORLDS = 2;

    /** s in which parts that lie well already come as close as they can. */
    private static final double PRESSING = 5;

    private static final int MOST_ROUNDS = 100_000;
    private static final int MOST_THREADS = 16;

    /** What the search begins with. */
    public enum From {
        /** nothing but what a person has fixed */
        AFRESH,
        /** what lies on the sheets now */
        HERE,
        /** all that lies on the sheets stays, and what is missing is added */
        REST;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        /**
         * @throws RefusedEditException when it is none
         */
        public static From ofWord(String word) {
            for (From from : values()) {
                if (from.word().equals(word)) {
                    return from;
                }
            }
            throw new RefusedEditException(
                    "\"%s\" is no beginning of a search: afresh, here or rest.".formatted(word));
        }
    }

    /**
     * @throws RefusedEditException naming the value and its limits
     */
    public NestWish {
        if (!(seconds > 0 && seconds <= LONGEST)) {
            throw new RefusedEditException(
                    "A search of %s s; it takes more than 0 and at most %s s."
                            .formatted(Numbers.plain(seconds, 3), Numbers.plain(LONGEST, 0)));
        }
        requireWithin("rounds", rounds, 1, MOST_ROUNDS);
        requireWithin("rounds that look for something new", explored, 0, MOST_ROUNDS);
        requireWithin("threads", threads, 1, MOST_THREADS);
    }

    /** Parts are only pushed together from where they lie. */
    public static NestWish pressing(int threads) {
        return new NestWish(From.HERE, PRESSING, null, 0, 1, threads);
    }

    private static void requireWithin(String what, Integer value, int least, int most) {
        if (value != null && (value < least || value > most)) {
            throw new RefusedEditException(
                    "%d %s; it must lie between %d and %d.".formatted(value, what, least, most));
        }
    }

    /** As the search is told, when some of the time is over already. */
    NestBudget budget(double spent) {
        double left = rounds == null ? Math.max(1, seconds - spent) : NestBudget.LONGEST;
        Integer usual = rounds == null ? null : (int) Math.rint(NestBudget.EXPLORE * rounds);
        return new NestBudget(
                left,
                Optional.ofNullable(rounds),
                Optional.ofNullable(explored == null ? usual : explored),
                seed,
                WORLDS,
                threads);
    }
}
