package dev.oleander.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class SetUpTest {

    @Test
    void whatFitsOnOneSheetIsOneSetUp() {
        assertThat(SetUp.of(4, 4, 4)).containsExactly(new SetUp(1, 1, 1, 4));
        assertThat(SetUp.of(1, 1, 1)).containsExactly(new SetUp(1, 1, 1, 1));
    }

    @Test
    void equalSheetsAreOneSetUpAndTheRestAnother() {
        assertThat(SetUp.of(12, 4, 4)).containsExactly(new SetUp(1, 3, 1, 4));
        assertThat(SetUp.of(14, 5, 5))
                .containsExactly(new SetUp(1, 2, 1, 5), new SetUp(2, 1, 6, 4));
    }

    @Test
    void rowsAndColumnsThatWereSetMayHoldMoreThanIsWanted() {
        assertThat(SetUp.of(1, 6, 6)).containsExactly(new SetUp(1, 1, 1, 6));
    }

    @Test
    void whereNothingFitsThereIsOneSetUpWithNothing() {
        assertThat(SetUp.of(7, 0, 0)).containsExactly(new SetUp(1, 1, 1, 0));
    }

    @Property
    void allThatIsWantedIsMadeAndNumberedOnce(
            @ForAll @IntRange(min = 1, max = 100_000) int wanted,
            @ForAll @IntRange(min = 1, max = 5_000) int fits) {
        List<SetUp> setUps = SetUp.of(wanted, Math.min(wanted, fits), Math.min(wanted, fits));
        assertThat(setUps.stream().mapToInt(SetUp::made).sum()).isEqualTo(wanted);
        int next = 1;
        for (SetUp setUp : setUps) {
            assertThat(setUp.firstCopy()).isEqualTo(next);
            assertThat(setUp.copies()).isLessThanOrEqualTo(fits);
            next += setUp.copies();
        }
    }
}
