package dev.oleander.web.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/**
 * Slows down those who guess passwords: after some wrong ones for a name from an address, for a
 * name from anywhere, or from an address for any name, one has to wait, each time twice as long.
 * Counted by process: with several of them a guesser gets as many times more tries.
 */
@Component
class GuessGuard {

    /** Wrong passwords that cost nothing: of a name from one address, of a name, of an address. */
    private static final int FREE_FOR_BOTH = 5;

    private static final int FREE_FOR_NAME = 50;
    private static final int FREE_FOR_ADDRESS = 30;

    private static final Duration FIRST_WAIT = Duration.ofSeconds(5);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final int MOST_COUNTED = 100_000;

    private record Count(int wrong, Instant last) {}

    private record Limit(String key, int free) {}

    private final Cache<String, Count> counts =
            Caffeine.newBuilder()
                    .maximumSize(MOST_COUNTED)
                    .expireAfterWrite(LONGEST_WAIT.multipliedBy(2))
                    .build();
    private final Clock clock;

    GuessGuard(Clock clock) {
        this.clock = clock;
    }

    private static List<Limit> limits(String name, String address) {
        String who = name.strip().toLowerCase(Locale.ROOT);
        return List.of(
                new Limit(who + " at " + address, FREE_FOR_BOTH),
                new Limit(who, FREE_FOR_NAME),
                new Limit("at " + address, FREE_FOR_ADDRESS));
    }

    /** How long the next guess has to wait; zero: not at all. */
    Duration wait(String name, String address) {
        Duration longest = Duration.ZERO;
        for (Limit limit : limits(name, address)) {
            Duration wait = wait(limit);
            longest = wait.compareTo(longest) > 0 ? wait : longest;
        }
        return longest;
    }

    private Duration wait(Limit limit) {
        Count count = counts.getIfPresent(limit.key());
        if (count == null || count.wrong() < limit.free()) {
            return Duration.ZERO;
        }
        int doublings = Math.min(20, count.wrong() - limit.free());
        Duration asked = FIRST_WAIT.multipliedBy(1L << doublings);
        Duration whole = asked.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : asked;
        Duration left = Duration.between(clock.instant(), count.last().plus(whole));
        return left.isNegative() ? Duration.ZERO : left;
    }

    /** A password was wrong. */
    void wrong(String name, String address) {
        Instant now = clock.instant();
        for (Limit limit : limits(name, address)) {
            counts.asMap()
                    .merge(
                            limit.key(),
                            new Count(1, now),
                            (before, one) -> new Count(before.wrong() + 1, now));
        }
    }

    /** A password was right: what was wrong for that name there before counts no more. */
    void right(String name, String address) {
        counts.invalidate(limits(name, address).get(0).key());
    }
}
