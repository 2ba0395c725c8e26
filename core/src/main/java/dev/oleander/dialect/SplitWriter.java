package dev.oleander.dialect;

import dev.oleander.motion.Excerpt;
import dev.oleander.motion.Program;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Parts a program between its stops into as many as the limits of a format ask for. Each part ends
 * the program and begins it again with a safe entry; where places are given from where the head is,
 * each ends at the zero point.
 */
public final class SplitWriter {

    private final Dialect dialect;

    public SplitWriter(Dialect dialect) {
        this.dialect = dialect;
    }

    /**
     * The parts in order; the program itself when it keeps to the limits.
     *
     * @param whole text of the program
     * @throws DialectException when a single stop is longer than a file may be
     */
    public List<Program> parts(Program program, Written whole) {
        Dialect.Limits limits = dialect.limits();
        if (fits(whole, limits)) {
            return List.of(program);
        }
        List<Program> parts = new ArrayList<>();
        Set<String> part = new HashSet<>();
        Size frame = frame(whole);
        Size size = frame;
        Map<String, Size> sizes = sizes(program, whole);
        for (String stop : Excerpt.stops(program)) {
            Size own = sizes.getOrDefault(stop, Size.NONE).plus(Size.ENTRY);
            if (!frame.plus(own).fits(limits)) {
                throw new DialectException(
                        "The stop %s alone has %d blocks and %d bytes; a file of %s holds %s."
                                .formatted(
                                        stop, own.blocks(), own.bytes(), dialect.title(), limits));
            }
            if (!size.plus(own).fits(limits)) {
                parts.add(excerpt(program, part));
                part = new HashSet<>();
                size = frame;
            }
            part.add(stop);
            size = size.plus(own);
        }
        parts.add(excerpt(program, part));
        return parts;
    }

    private Program excerpt(Program program, Set<String> stops) {
        boolean home =
                dialect.positions() == Dialect.Positions.INCREMENTAL
                        || dialect.language() == Dialect.Language.CODES;
        return Excerpt.of(program, Set.copyOf(stops)::contains, home);
    }

    private static boolean fits(Written whole, Dialect.Limits limits) {
        Size size = Size.NONE;
        for (String line : whole.lines()) {
            size = size.plus(Size.of(line, whole));
        }
        return size.fits(limits);
    }

    /** Header, footer and what else belongs to no stop. */
    private static Size frame(Written whole) {
        Size size = Size.ENTRY;
        for (int i = 0; i < whole.lines().size(); i++) {
            if (whole.itemOfLine().get(i) < 0) {
                size = size.plus(Size.of(whole.lines().get(i), whole));
            }
        }
        return size;
    }

    private static Map<String, Size> sizes(Program program, Written whole) {
        Map<String, Size> sizes = new HashMap<>();
        for (int i = 0; i < whole.lines().size(); i++) {
            int item = whole.itemOfLine().get(i);
            if (item >= 0) {
                String stop = program.items().get(item).origin().stop();
                sizes.merge(stop, Size.of(whole.lines().get(i), whole), Size::plus);
            }
        }
        return sizes;
    }

    private record Size(int blocks, long bytes) {

        static final Size NONE = new Size(0, 0);

        /** What a safe entry and an end take at most, and words that are no longer modal. */
        static final Size ENTRY = new Size(8, 400);

        static Size of(String line, Written whole) {
            int bytes = line.getBytes(StandardCharsets.US_ASCII).length + whole.lineEnd().length();
            return new Size(1, bytes);
        }

        Size plus(Size other) {
            return new Size(blocks + other.blocks, bytes + other.bytes);
        }

        boolean fits(Dialect.Limits limits) {
            return blocks <= limits.blocks() && bytes <= limits.bytes();
        }
    }
}
