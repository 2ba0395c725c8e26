package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class EqualFindingsTest {

    private static Finding of(String stop, String sentence) {
        return Finding.of(Severity.LOOK, stop, null, 1, 0, sentence);
    }

    @Test
    void whatIsFoundTwiceOfOneThingIsToldOnceAndNamesNobodyElse() {
        Finding drawing = of("", "A line was left out.");
        Finding other = of("", "Another line was left out.");
        assertThat(new EqualFindings(Map.of()).folded(List.of(drawing, drawing, other)))
                .extracting(Finding::sentence)
                .containsExactly("A line was left out.", "Another line was left out.");
    }
}
