package dev.oleander.work.wire.choice;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import java.util.List;
import org.junit.jupiter.api.Test;

class WireChoiceTest {

    @Test
    void aRecipeTakesWhatIsSetButNotThePlaces() {
        WireChoice set =
                WireChoice.NOTHING
                        .withEntry(
                                EntryChoice.NOTHING
                                        .withHole(new Point(3, 4))
                                        .withOverlap(Typed.of(0.5)))
                        .withSlug(
                                SlugChoice.NOTHING
                                        .withHold(Typed.of(2))
                                        .withAt(List.of(Typed.of(30))))
                        .withTaper(TaperChoice.NOTHING.withAngle(Typed.of(1)))
                        .withRepeat(RepeatChoice.NOTHING.withColumns(Typed.of(3)));
        WireChoice recipe = set.asRecipe();
        WireChoice places = set.ofPlace();
        assertThat(recipe.over(places)).as("nothing is lost").isEqualTo(set);
        assertThat(places.over(recipe)).isEqualTo(set);
        assertThat(recipe.repeat()).isEqualTo(RepeatChoice.NOTHING);
        assertThat(places.entry().overlap()).isNull();
        assertThat(places.slug().at()).hasSize(1);
    }
}
