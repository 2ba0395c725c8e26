package dev.oleander.book;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the rows of a book consist of, and how they are made of text.
 *
 * @param <R> the row
 */
public final class BookForm<R extends BookRow> {

    private final Class<R> type;
    private final List<BookField<R>> fields;
    private final List<BookField<R>> naming;
    private final Optional<Lines<R, ?>> lines;
    private final Function<Given, R> reader;

    private BookForm(
            Class<R> type,
            List<BookField<R>> fields,
            List<BookField<R>> naming,
            Optional<Lines<R, ?>> lines,
            Function<Given, R> reader) {
        this.type = type;
        this.fields = List.copyOf(fields);
        this.naming = List.copyOf(naming);
        this.lines = lines;
        this.reader = reader;
    }

    /**
     * @param fields in the order in which they are written
     * @param naming those that tell one row from all others; a new row's id is made of them
     * @param reader makes a row of what was given for it
     */
    public static <R extends BookRow> BookForm<R> of(
            Class<R> type,
            List<BookField<R>> fields,
            List<BookField<R>> naming,
            Function<Given, R> reader) {
        return new BookForm<>(type, fields, naming, Optional.empty(), reader);
    }

    /** The same, whose rows consist of lines besides. */
    public BookForm<R> withLines(Lines<R, ?> several) {
        return new BookForm<>(type, fields, naming, Optional.of(several), reader);
    }

    /**
     * Lines that a row consists of, each with values of its own: passes.
     *
     * @param word of their number in files
     * @param label of one, for people: Pass
     * @param many of several: passes
     * @param most how many a row may have
     * @param help how a person changes them
     * @param of those of a row
     */
    public record Lines<R, L>(
            String word,
            String label,
            String many,
            int most,
            String help,
            List<BookField<L>> fields,
            Function<R, List<L>> of) {

        private List<Map<String, String>> write(R row) {
            return of.apply(row).stream().map(line -> written(fields, line)).toList();
        }
    }

    /** What was given for a row, or for one of its lines. */
    public static final class Given {

        private final String id;
        private final Map<String, String> values;
        private final List<Given> lines;
        private final String label;

        private Given(String id, Map<String, String> values, List<Given> lines, String label) {
            this.id = id;
            this.values = values;
            this.lines = lines;
            this.label = label;
        }

        /** Of the row. */
        public String id() {
            return id;
        }

        /**
         * @throws CutDataException naming the value and its limits
         */
        public double number(BookField<?> field) {
            return field.number(given(field));
        }

        /**
         * @throws CutDataException when it is too long
         */
        public String text(BookField<?> field) {
            return field.text(given(field));
        }

        /** What is left out says what says nothing. */
        private String given(BookField<?> field) {
            String text = values.getOrDefault(field.word(), "");
            return text.isBlank() ? field.silent().orElse(text) : text;
        }

        /**
         * All lines.
         *
         * @throws CutDataException of a line, with its number
         */
        public <L> List<L> lines(Function<Given, L> reading) {
            List<L> read = new ArrayList<>();
            for (Given line : lines) {
                try {
                    read.add(reading.apply(line));
                } catch (CutDataException wrong) {
                    throw line.told(read.size() + 1, wrong);
                }
            }
            return read;
        }

        private CutDataException told(int number, CutDataException wrong) {
            return new CutDataException("%s %d: %s".formatted(label, number, wrong.getMessage()));
        }
    }

    public Class<R> type() {
        return type;
    }

    public List<BookField<R>> fields() {
        return fields;
    }

    public Optional<Lines<R, ?>> lines() {
        return lines;
    }

    /** The values of a row as text. */
    public RowText write(R row) {
        return new RowText(
                written(fields, row), lines.map(several -> several.write(row)).orElse(List.of()));
    }

    private static <T> Map<String, String> written(List<BookField<T>> fields, T of) {
        Map<String, String> values = new LinkedHashMap<>();
        fields.forEach(f -> values.put(f.word(), f.get().apply(of)));
        return values;
    }

    /** The same row with another id. */
    public R named(R row, String id) {
        return read(id, write(row));
    }

    /**
     * @param id of the row; empty: made of what tells it from others
     * @throws CutDataException when a value is missing, no number or out of its limits, with the
     *     line where it is one of a line
     */
    public R read(String id, RowText text) {
        lines.ifPresent(several -> requireCount(several, text.lines().size()));
        requireAll(fields, text.values());
        String own = id.isEmpty() ? id(text.values()) : id;
        return reader.apply(new Given(own, text.values(), given(own, text), ""));
    }

    private static void requireCount(Lines<?, ?> several, int count) {
        if (count < 1 || count > several.most()) {
            throw new CutDataException(
                    "A row has from 1 to %d %s; this one has %d."
                            .formatted(several.most(), several.many(), count));
        }
    }

    private List<Given> given(String id, RowText text) {
        if (lines.isEmpty()) {
            return List.of();
        }
        Lines<R, ?> several = lines.get();
        List<Given> given = new ArrayList<>();
        for (Map<String, String> values : text.lines()) {
            Given line = new Given(id, values, List.of(), several.label());
            try {
                requireAll(several.fields(), values);
            } catch (CutDataException missing) {
                throw line.told(given.size() + 1, missing);
            }
            given.add(line);
        }
        return given;
    }

    private static void requireAll(
            List<? extends BookField<?>> fields, Map<String, String> values) {
        for (BookField<?> field : fields) {
            boolean left = values.getOrDefault(field.word(), "").isBlank();
            if (left && field.silent().isEmpty()) {
                throw new CutDataException("%s is missing.".formatted(field.label()));
            }
        }
    }

    private String id(Map<String, String> values) {
        return naming.stream()
                .map(f -> values.get(f.word()).strip())
                .collect(Collectors.joining("-"))
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9.]+", "-");
    }
}
