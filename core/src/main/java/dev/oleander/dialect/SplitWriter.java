package dev.oleander.dialect;

import dev.oleander.motion.Excerpt;
import dev.oleander.motion.Program;
import dev.oleander.proof.ExcerptCheck;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntUnaryOperator;
import java.util.function.Predicate;

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

        /**
         * The same with other positions of items.
         *
         * @param itemOf by the position of an item; below 0 for one that is nowhere else
         */
        public Texts mapped(IntUnaryOperator itemOf) {
            Written text = checked.written();
            List<Integer> items =
                    text.itemOfLine().stream().map(i -> i < 0 ? -1 : itemOf.applyAsInt(i)).toList();
            return with(
                    new CheckedWriter.Checked(
                            new Written(text.lines(), items, text.lineEnd()),
                            checked.deviation(),
                            checked.limit(),
                            checked.faults()));
        }

        /** The same with what else was found when it was read back. */
        public Texts found(double deviation, List<String> faults) {
            List<String> all = new ArrayList<>(checked.faults());
            all.addAll(faults);
            return with(
                    new CheckedWriter.Checked(
                            checked.written(),
                            Math.max(checked.deviation(), deviation),
                            checked.limit(),
                            all));
        }

        private Texts with(CheckedWriter.Checked other) {
            return new Texts(other, lines);
        }

        /** The parts, each as a text of its own. */
        public List<Written> parts() {
            Written whole = checked.written();
            List<Written> parts = new ArrayList<>();
            int from = 0;
            for (int count : lines) {
                parts.add(
                        new Written(
                                whole.lines().subList(from, from + count),
                                whole.itemOfLine().subList(from, from + count),
                                whole.lineEnd()));
                from += count;
            }
            return parts;
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
        List<String> faults = new ArrayList<>();
        for (Excerpt part : parts) {
            Set<String> stops = Set.copyOf(Excerpt.stops(part.program()));
            faults.addAll(ExcerptCheck.faults(program, stops::contains, part.program()));
        }
        return joined(parts, texts).found(0, faults);
    }

    /**
     * Writes some stops of a program, with a safe entry, reads that back, and looks whether they
     * are worked as in the whole. Items are told by their position in the whole.
     *
     * @param chosen ids of stops
     */
    public Texts write(
            Program whole,
            Predicate<String> chosen,
            Map<String, String> frame,
            Map<String, String> stopNames) {
        Excerpt part = Excerpt.of(whole, chosen, endsAtZero());
        return write(part.program(), frame, stopNames)
                .mapped(part.itemOf()::get)
                .found(0, ExcerptCheck.faults(whole, chosen, part.program()));
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
        return Excerpt.of(program, Set.copyOf(stops)::contains, endsAtZero());
    }

    /** Where places are given from where the head is, the next program begins at the zero point. */
    private boolean endsAtZero() {
        return dialect.positions() == Dialect.Positions.INCREMENTAL
                || dialect.language() == Dialect.Language.CODES;
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
