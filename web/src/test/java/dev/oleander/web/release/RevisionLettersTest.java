package dev.oleander.web.release;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RevisionLettersTest {

    @ParameterizedTest
    @CsvSource({"A,B", "Y,Z", "Z,AA", "AZ,BA", "ZZ,AAA"})
    void countOn(String before, String after) {
        assertThat(RevisionLetters.after(before)).isEqualTo(after);
    }
}
