package dev.oleander.drawing.revise;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Feature;
import org.junit.jupiter.api.Test;

class ReadingMatchTest {

    private static ReadingMatch.Match match(Drawn before, Drawn after) {
        return new ReadingMatch(0.02).match(before.reading(), after.reading());
    }

    private static Drawn plate() {
        return new Drawn()
                .rectangle(0, 0, 200, 100)
                .circle(20, 20, 5)
                .circle(180, 20, 5)
                .circle(100, 50, 15);
    }

    @Test
    void theSameDrawingInAnotherOrderIsTheSame() {
        Drawn shuffled =
                new Drawn()
                        .circle(100, 50, 15)
                        .circle(180, 20, 5)
                        .rectangle(0, 0, 200, 100)
                        .circle(20, 20, 5);
        ReadingMatch.Match match = match(plate(), shuffled);
        assertThat(match.same())
                .containsEntry("c1", "c3")
                .containsEntry("c2", "c4")
                .containsEntry("c3", "c2")
                .containsEntry("c4", "c1");
        assertThat(match.changed()).isEmpty();
        assertThat(match.lost()).isEmpty();
        assertThat(match.added()).isEmpty();
    }

    @Test
    void whatMovedOrGrewIsChangedAndWhatIsGoneIsLost() {
        Drawn after =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .circle(22, 20, 5)
                        .circle(100, 50, 16)
                        .rectangle(140, 60, 20, 10);
        ReadingMatch.Match match = match(plate(), after);
        assertThat(match.same()).containsOnlyKeys("c1");
        assertThat(match.changed()).containsEntry("c2", "c2").containsEntry("c4", "c3");
        assertThat(match.lost()).extracting(Feature::id).containsExactly("c3");
        assertThat(match.added()).containsExactly("c4");
    }

    @Test
    void aPurposeThatChangedIsNotTheSame() {
        Drawn marked = new Drawn().rectangle(0, 0, 200, 100).on("MARK").circle(20, 20, 5);
        ReadingMatch.Match match =
                match(new Drawn().rectangle(0, 0, 200, 100).circle(20, 20, 5), marked);
        assertThat(match.lost()).hasSize(1);
        assertThat(match.added()).containsExactly("c2");
    }
}
