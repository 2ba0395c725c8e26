package dev.oleander.drawing.letter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.drawing.letter.TextValues.Counting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Values in braces. */
class TextValuesTest {

    private static final Counting THREE = new Counting(3, 8, 2);

    @Test
    void numbersFormulasAndColumnsAreWorkedOut() {
        JsonNode of = LetterCases.of("counting_texts");
        JsonNode request = of.get("request");
        List<String> wanted = new ArrayList<>();
        of.at("/truth/texts").forEach(t -> wanted.add(t.asString()));
        assertThat(
                        TextValues.of(
                                request.get("text").asString(),
                                new Counting(
                                        request.get("copies").asInt(),
                                        request.get("from").asLong(),
                                        request.get("step").asLong()),
                                request.get("csv").asString(),
                                Map.of()))
                .isEqualTo(wanted);
    }

    @Test
    void valuesOfTheJobAreKnownByName() {
        assertThat(TextValues.of("{job} {n}", THREE, "", Map.of("job", "Cleats")))
                .containsExactly("Cleats 8", "Cleats 10", "Cleats 12");
        String commas = "serial,no\n\"a \"\"b\"\"\",1\nc,2\nd,3\n";
        assertThat(TextValues.of("{serial}", THREE, commas, Map.of("job", "Cleats")))
                .containsExactly("a \"b\"", "c", "d");
    }

    @Test
    void whatIsMissingIsNamed() {
        assertThatThrownBy(() -> TextValues.of("{serial}", THREE, "no,date\n1,2\n", Map.of()))
                .hasMessage("The table has no column \"serial\"; it has no, date.");
        assertThatThrownBy(() -> TextValues.of("{no}", THREE, "no,date\n1,2\n", Map.of()))
                .hasMessage("The table has 1 rows, 3 copies are asked for.");
        assertThatThrownBy(() -> TextValues.of("{what}", THREE, "", Map.of()))
                .hasMessageContaining("There is no value \"what\"");
        assertThatThrownBy(() -> TextValues.of("a { b", THREE, "", Map.of()))
                .hasMessageContaining("A brace at letter 3 stands alone");
        assertThatThrownBy(() -> TextValues.of("{= 2 +}", THREE, "", Map.of()))
                .isInstanceOf(LetterException.class);
        assertThatThrownBy(() -> TextValues.of("a", new Counting(0, 1, 1), "", Map.of()))
                .hasMessageContaining("0 copies");
    }
}
