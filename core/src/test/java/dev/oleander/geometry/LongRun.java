package dev.oleander.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.LongFunction;
import java.util.stream.LongStream;

/** Runs a check for many seeds on all processors and gathers what is broken. */
public final class LongRun {

    /** System property with the number of cases. */
    public static final String SWITCH = "oleander.long";

    private static final int SHOWN = 50;

    private LongRun() {}

    public static void of(LongFunction<List<String>> check) {
        long cases = Long.getLong(SWITCH);
        long first = Long.getLong(SWITCH + ".from", 0);
        List<String> broken = Collections.synchronizedList(new ArrayList<>());
        LongStream.range(first, first + cases)
                .parallel()
                .forEach(
                        seed -> {
                            List<String> found = checked(check, seed);
                            if (!found.isEmpty() && broken.size() < SHOWN) {
                                broken.add("seed " + seed + ": " + found.get(0));
                            }
                        });
        assertThat(broken).isEmpty();
    }

    private static List<String> checked(LongFunction<List<String>> check, long seed) {
        try {
            return check.apply(seed);
        } catch (RuntimeException unexpected) {
            return List.of(unexpected.toString());
        }
    }
}
