package dev.oleander.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BookCsvTest {

    private final BookCsv csv = new BookCsv();

    private String written(String cell) {
        return csv.write(List.of("note", "kerf"), List.of(Map.of("note", cell, "kerf", "-0.5")));
    }

    @ParameterizedTest
    @ValueSource(strings = {"=1+2", "+cmd", "-2+3", "@SUM(A1)", "\t=1", "|calc", "%x", "'=1", "''"})
    void noCellIsAFormula(String cell) {
        String text = written(cell);
        String line = text.lines().skip(1).findFirst().orElseThrow();
        assertThat(line.replace("\"", "")).doesNotMatch("^[=+\\-@\\t|%].*").endsWith(",-0.5");
        assertThat(csv.read(text).get(0)).containsEntry("note", cell).containsEntry("kerf", "-0.5");
    }

    @Test
    void whatIsNoFormulaStaysAsItIs() {
        assertThat(written("mild steel = S235")).contains("mild steel = S235");
        assertThat(csv.read("note\n'quoted'\n").get(0)).containsEntry("note", "'quoted'");
    }
}
