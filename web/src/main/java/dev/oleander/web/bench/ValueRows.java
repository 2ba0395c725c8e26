package dev.oleander.web.bench;

import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Form;
import dev.oleander.value.Value;
import dev.oleander.value.Word;
import java.util.List;
import java.util.Map;

/**
 * Values of one thing as rows of the slip.
 *
 * @param <T> what the values are kept in
 */
final class ValueRows<T> {

    private final T of;
    private final String prefix;
    private final EditError error;

    /**
     * @param prefix of the names of the fields: l1. of the line l1; empty for none
     */
    ValueRows(T of, String prefix, EditError error) {
        this.of = of;
        this.prefix = prefix;
        this.error = error;
    }

    /** A value that was typed or chosen; of the job where it is not found by itself. */
    SlipRow row(Value<T> value) {
        return row(value, "", value.absent().isEmpty() ? "job" : value.absent());
    }

    /**
     * A value that is found by itself unless it was set.
     *
     * @param found what it is then; empty: nothing
     * @param source where that comes from, in a word
     */
    SlipRow row(Value<T> value, String found, String source) {
        String set = value.get(of).orElse("");
        boolean here = !found.isEmpty() && !set.isEmpty();
        FieldView field =
                new FieldView(
                        prefix + value.word(),
                        value.label(),
                        set.isEmpty() ? found : set,
                        "",
                        value.unit(),
                        set.isEmpty() ? source : "job",
                        here,
                        false,
                        "");
        FieldView shown = error.in(field);
        if (value.form() instanceof Form.Words<T> words) {
            List<Word> all = words.of(List.of());
            return all.size() > 3
                    ? new SlipRow.Listed(shown, all)
                    : new SlipRow.Segments(shown, all);
        }
        boolean plain = set.isEmpty() || shown.hasError() || !(value.form() instanceof Form.Number);
        return new SlipRow.Typed(plain ? shown : shown.meaning(meaning(set)));
    }

    /** What was typed in numbers; empty when it was a number. */
    private static String meaning(String typed) {
        String number = Numbers.plain(Typed.parse(typed, Map.of()).value(), 4);
        return number.equals(typed) ? "" : number;
    }
}
