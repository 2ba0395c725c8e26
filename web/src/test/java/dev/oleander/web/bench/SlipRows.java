package dev.oleander.web.bench;

import java.util.List;
import java.util.stream.Stream;

/** Finds rows of the slip for tests. */
public final class SlipRows {

    private SlipRows() {}

    /** All rows, those that are folded away too. */
    private static Stream<SlipRow> rows(List<SlipRow> rows) {
        return rows.stream()
                .flatMap(
                        row ->
                                row instanceof SlipRow.Fold fold
                                        ? Stream.concat(Stream.of(row), rows(fold.rows()))
                                        : Stream.of(row));
    }

    /** Those of one type. */
    public static <R extends SlipRow> List<R> all(List<SlipSection> sections, Class<R> type) {
        return sections.stream()
                .flatMap(s -> rows(s.rows()))
                .filter(type::isInstance)
                .map(type::cast)
                .toList();
    }

    private static Stream<FieldView> fields(List<SlipSection> sections) {
        return all(sections, SlipRow.class).stream()
                .flatMap(
                        row -> {
                            if (row instanceof SlipRow.Typed typed) {
                                return Stream.of(typed.field());
                            }
                            if (row instanceof SlipRow.Segments segments) {
                                return Stream.of(segments.field());
                            }
                            return row instanceof SlipRow.Listed listed
                                    ? Stream.of(listed.field())
                                    : Stream.empty();
                        });
    }

    /** Names of the values there are, in their order. */
    public static List<String> names(List<SlipSection> sections) {
        return fields(sections).map(FieldView::name).toList();
    }

    public static FieldView field(List<SlipSection> sections, String name) {
        return fields(sections).filter(f -> f.name().equals(name)).findFirst().orElseThrow();
    }
}
