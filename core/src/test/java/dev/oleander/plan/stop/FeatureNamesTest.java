package dev.oleander.plan.stop;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import java.util.List;
import org.junit.jupiter.api.Test;

class FeatureNamesTest {

    private static List<String> names(Drawn drawn) {
        return drawn.reading().features().stream().map(FeatureNames::of).toList();
    }

    @Test
    void saysWhatPeopleCallThings() {
        assertThat(
                        names(
                                new Drawn()
                                        .rectangle(0, 0, 200, 100)
                                        .circle(20, 20, 4.5)
                                        .rectangle(50, 20, 30, 12.5)
                                        .line(210, 0, 210, 40)
                                        .circle(300, 0, 25)))
                .containsExactly(
                        "Outline", "Hole Ø 9", "Rectangle 30 × 12.5", "Line 40", "Disc Ø 50");
    }

    @Test
    void aSlotIsTwoHalfCirclesAndTwoLines() {
        Drawn plate = new Drawn().rectangle(0, 0, 200, 100);
        assertThat(
                        names(
                                plate.line(50, 40, 84, 40)
                                        .arc(84, 40, 84, 52, 1)
                                        .line(84, 52, 50, 52)
                                        .arc(50, 52, 50, 40, 1)))
                .contains("Slot 46 × 12");
    }

    @Test
    void bentSlotsAreOpenings() {
        Drawn plate = new Drawn().rectangle(0, 0, 200, 100);
        assertThat(
                        names(
                                plate.line(50, 40, 84, 40)
                                        .arc(84, 40, 84, 52, 0.5)
                                        .line(84, 52, 50, 52)
                                        .arc(50, 52, 50, 40, 1)))
                .anyMatch(n -> n.startsWith("Opening"));
    }
}
