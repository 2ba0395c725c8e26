package dev.oleander.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Entry;
import dev.oleander.value.Form;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.value.Word;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The values of every kind of work are read, kept, put back and refused alike. */
class ValuesTest {

    static Stream<Work<?, ?>> kinds() {
        return Kinds.all().stream();
    }

    private static Entry typed(String text) {
        return new Entry(text, Map.of("t", 6.0));
    }

    /** What some values need before they can be set. */
    private static <C extends Choices<C, S>, S extends Choice<S>> S ready(
            Work<C, S> kind, Value<S> value) {
        S nothing = kind.usual().nothing();
        boolean ofUpper = List.of("matching", "lines", "upperStart").contains(value.word());
        return ofUpper
                ? Value.find(kind.stopValues(), "upper").orElseThrow().put(nothing, typed("c9"))
                : nothing;
    }

    @ParameterizedTest
    @MethodSource("kinds")
    <C extends Choices<C, S>, S extends Choice<S>> void wordsAreUniqueAndAllIsNamed(
            Work<C, S> kind) {
        assertThat(kind.stopValues()).extracting(Value::word).doesNotHaveDuplicates();
        assertThat(kind.values()).extracting(Value::word).doesNotHaveDuplicates();
        assertThat(kind.stopValues())
                .allSatisfy(
                        value -> {
                            assertThat(value.name()).isNotBlank();
                            assertThat(value.label()).isNotBlank();
                        });
    }

    @ParameterizedTest
    @MethodSource("kinds")
    <C extends Choices<C, S>, S extends Choice<S>> void numbersKeepWhatWasTypedWithinTheirLimits(
            Work<C, S> kind) {
        for (Value<S> value : kind.stopValues()) {
            if (!(value.form() instanceof Form.Number<S> limits)) {
                continue;
            }
            S before = ready(kind, value);
            String least = Numbers.plain(limits.least(), 4);
            S set = value.put(before, typed(least));
            assertThat(value.get(set)).as(value.word()).contains(least);
            assertThat(set.isNothing()).isFalse();
            assertThat(value.put(set, Entry.NOTHING))
                    .as("%s put back", value.word())
                    .isEqualTo(before);
            assertThat(value.sentence(set).orElseThrow()).contains(value.name(), least);
            for (double wrong : new double[] {limits.least() - 1, limits.most() + 1}) {
                assertThatThrownBy(() -> value.put(before, typed(Numbers.plain(wrong, 4))))
                        .as(value.word())
                        .isInstanceOf(FormulaException.class)
                        .hasMessageContaining(value.name())
                        .hasMessageContaining("between " + least);
            }
            assertThatThrownBy(() -> value.put(before, typed("long")))
                    .isInstanceOf(FormulaException.class)
                    .hasMessageContaining("is not a number");
            if (limits.whole()) {
                double half = limits.least() + 0.5;
                assertThatThrownBy(() -> value.put(before, typed(Numbers.plain(half, 4))))
                        .isInstanceOf(ValueException.class)
                        .hasMessageContaining("whole number");
            }
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    <C extends Choices<C, S>, S extends Choice<S>> void wordsAreThoseThereAreAndNoOthers(
            Work<C, S> kind) {
        for (Value<S> value : kind.stopValues()) {
            if (!(value.form() instanceof Form.Words<S> words)) {
                continue;
            }
            S before = ready(kind, value);
            List<Word> known = words.of(List.of());
            for (Word word : known) {
                S set = value.put(before, typed(word.value()));
                assertThat(value.get(set)).as(value.word()).contains(word.value());
                assertThat(value.put(set, typed(" "))).isEqualTo(before);
            }
            boolean ofBook = known.isEmpty();
            if (!ofBook) {
                assertThatThrownBy(() -> value.put(before, typed("wavy")))
                        .as(value.word())
                        .isInstanceOf(ValueException.class)
                        .hasMessageContaining("wavy");
            }
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    <C extends Choices<C, S>, S extends Choice<S>> void whatARecipeKeepsAndWhatStaysAreTheWhole(
            Work<C, S> kind) {
        S all = kind.usual().nothing();
        for (Value<S> value : kind.stopValues()) {
            if (value.form() instanceof Form.Number<S> limits) {
                all =
                        value.put(
                                all.isNothing() ? ready(kind, value) : upper(kind, all),
                                typed(Numbers.plain(limits.most(), 4)));
            }
        }
        assertThat(all.asRecipe().over(all.ofPlace())).isEqualTo(all);
        assertThat(all.ofPlace().over(all.asRecipe())).isEqualTo(all);
        assertThat(all.asRecipe().ofPlace().isNothing()).isTrue();
    }

    private static <C extends Choices<C, S>, S extends Choice<S>> S upper(Work<C, S> kind, S set) {
        return Value.find(kind.stopValues(), "upper")
                .filter(upper -> upper.get(set).isEmpty())
                .map(upper -> upper.put(set, typed("c9")))
                .orElse(set);
    }

    @ParameterizedTest
    @MethodSource("kinds")
    <C extends Choices<C, S>, S extends Choice<S>> void valuesOfJobsAreTakenBack(Work<C, S> kind) {
        for (Value<C> value : kind.values()) {
            C usual = kind.usual();
            assertThat(value.put(usual, Entry.NOTHING)).as(value.word()).isEqualTo(usual);
        }
    }
}
