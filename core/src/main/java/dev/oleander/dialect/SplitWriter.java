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
     * A program's text in as many parts as it needs.
     *
     * @param checked all parts one after the other, with what reading them back gave
     * @param lines of each part
     */
    public record Texts(CheckedWriter.Checked checked, List<Integer> lines) {

        public Texts {
            lines = List.copyOf(lines);
        }
    }

    /**
     * Writes a program and reads it back, part by part. The frame tells each its number (part) and
     * how many there are (parts).
     *
     * @throws DialectException as {@link DialectWriter#write} does, and when a single stop is
     *     longer than a file may be
     */
    public Texts write(Program program, Map<String, String> frame, Map<String, String> stopNames) {
        CheckedWriter writer = new CheckedWriter(dialect);
        CheckedWriter.Checked whole = writer.write(program, framed(frame, 1, 1), stopNames);
        List<Excerpt> parts = parts(program, whole.written(), stopNames);
        if (parts.isEmpty()) {
            return new Texts(whole, List.of(whole.written().lines().size()));
        }
        List<CheckedWriter.Checked> texts = new ArrayList<>();
        for (Excerpt part : parts) {
            Map<String, String> own = framed(frame, texts.size() + 1, parts.size());
            CheckedWriter.Checked text = writer.write(part.program(), own, stopNames);
            if (!fits(text.written(), dialect.limits())) {
                throw new DialectException(
                        "Part %d has %d blocks; a file of %s holds %s."
                                .formatted(
                                        texts.size() + 1,
                                        text.written().lines().size(),
                                        dialect.title(),
                                        dialect.limits()));
            }
            texts.add(text);
        }
        return joined(parts, texts);
    }

    private static Map<String, String> framed(Map<String, String> frame, int part, int parts) {
        Map<String, String> framed = new HashMap<>(frame);
        framed.put("part", String.valueOf(part));
        framed.put("parts", String.valueOf(parts));
        return framed;
    }

    private static Texts joined(List<Excerpt> parts, List<CheckedWriter.Checked> texts) {
        List<String> lines = new ArrayList<>();
        List<Integer> items = new ArrayList<>();
        List<Integer> counts = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        double deviation = 0;
        for (int p = 0; p < texts.size(); p++) {
            CheckedWriter.Checked text = texts.get(p);
            int number = p + 1;
            lines.addAll(text.written().lines());
            for (int item : text.written().itemOfLine()) {
                items.add(item < 0 ? -1 : parts.get(p).itemOf().get(item));
            }
            counts.add(text.written().lines().size());
            text.faults().forEach(f -> faults.add("Part %d: %s".formatted(number, f)));
            deviation = Math.max(deviation, text.deviation());
        }
        CheckedWriter.Checked first = texts.get(0);
        Written written = new Written(lines, items, first.written().lineEnd());
        return new Texts(
                new CheckedWriter.Checked(written, deviation, first.limit(), faults), counts);
    }

    /**
     * The parts in order; none when the whole keeps to the limits.
     *
     * @param whole text of the program
     */
    private List<Excerpt> parts(Program program, Written whole, Map<String, String> stopNames) {
        Dialect.Limits limits = dialect.limits();
        if (fits(whole, limits)) {
            return List.of();
        }
        List<Excerpt> parts = new ArrayList<>();
        Set<String> part = new HashSet<>();
        Size frame = frame(whole);
        Size size = frame;
        Map<String, Size> sizes = sizes(program, whole);
        for (String stop : Excerpt.stops(program)) {
            Size own = sizes.getOrDefault(stop, Size.NONE);
            if (!frame.plus(own).fits(limits)) {
                throw new DialectException(
                        "Stop %s alone has %d blocks and %d bytes with header and footer; a file of %s holds %s."
                                .formatted(
                                        stopNames.getOrDefault(stop, stop),
                                        frame.plus(own).blocks(),
                                        frame.plus(own).bytes(),
                                        dialect.title(),
                                        limits));
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

    private Excerpt excerpt(Program program, Set<String> stops) {
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

    /** Header and footer: what stands before the first item and after the last. */
    private static Size frame(Written whole) {
        List<Integer> items = whole.itemOfLine();
        int first = 0;
        while (first < items.size() && items.get(first) < 0) {
            first++;
        }
        int last = items.size();
        while (last > first && items.get(last - 1) < 0) {
            last--;
        }
        Size size = Size.ENTRY;
        for (int i = 0; i < items.size(); i++) {
            if (i < first || i >= last) {
                size = size.plus(Size.of(whole.lines().get(i), whole));
            }
        }
        return size;
    }

    /** By stop; what belongs to no item, such as a remark, belongs to the stop that follows. */
    private static Map<String, Size> sizes(Program program, Written whole) {
        Map<String, Size> sizes = new HashMap<>();
        Size waiting = Size.NONE;
        boolean began = false;
        for (int i = 0; i < whole.lines().size(); i++) {
            Size line = Size.of(whole.lines().get(i), whole);
            int item = whole.itemOfLine().get(i);
            if (item >= 0) {
                String stop = program.items().get(item).origin().stop();
                sizes.merge(stop, waiting.plus(line), Size::plus);
                waiting = Size.NONE;
                began = true;
            } else if (began) {
                waiting = waiting.plus(line);
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
