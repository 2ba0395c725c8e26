package dev.oleander.web.nest;

import dev.oleander.nesting.NestedSheet;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A search with what it has found so far.
 *
 * @param number within the job, from 1
 * @param step of the job that it was begun from
 * @param seconds that it has taken
 * @param problem why it found nothing; empty when it did, or may yet
 * @param course how it went on, earliest first
 */
public record NestResult(
        long job,
        int number,
        int step,
        long account,
        NestWish wish,
        State state,
        Instant began,
        double seconds,
        String problem,
        Optional<Best> best,
        List<Point> course) {

    public NestResult {
        course = List.copyOf(course);
    }

    /** Where it stands. */
    public enum State {
        WAITING,
        RUNNING,
        DONE,
        /** by somebody; what was found is kept */
        STOPPED,
        FAILED;

        public boolean isOver() {
            return this == DONE || this == STOPPED || this == FAILED;
        }
    }

    /**
     * The best nest.
     *
     * @param share of the sheets without their rests that becomes parts, 0 to 1
     * @param cost of the sheets less what their rests are worth
     * @param front how far parts reach on the sheet that is filled last, mm
     * @param missing parts that lie nowhere
     */
    public record Best(
            List<NestedSheet> sheets,
            double share,
            double cost,
            double front,
            int missing,
            int rounds,
            int explored,
            long tests) {

        public Best {
            sheets = List.copyOf(sheets);
        }
    }

    /**
     * The best at a moment.
     *
     * @param seconds since the beginning
     */
    public record Point(double seconds, double share, double cost, int missing) {}
}
