package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Clamps: the head of Teasel is 28 mm in radius and lifted by 60 mm. */
class KeepOutRuleTest {

    private static final Reading PLATES =
            new Drawn().rectangle(0, 0, 40, 40).rectangle(60, 0, 40, 40).reading();

    private static Run plan(KeepOut... clamps) {
        return Samples.plan(
                PLATES,
                new SheetPlanner.Order("mild steel", 6, 1),
                PlanChoices.defaults(),
                SheetChoices.defaults().withKeepOut(List.of(clamps)));
    }

    private static List<Finding> found(Run run) {
        return Samples.prove(PLATES, run).findings().stream()
                .filter(f -> f.rule().equals("keep-out"))
                .toList();
    }

    @Test
    void aCutTooNearToAClampIsFoundWithBothFigures() {
        // the parts end about 110 mm from the zero point
        double right =
                plan().stops().stream().mapToDouble(s -> SheetCut.end(s).x()).max().orElseThrow();
        assertThat(found(plan(new KeepOut(300, 0, 60, 40, 30)))).isEmpty();
        List<Finding> near = found(plan(new KeepOut(right + 20, 0, 60, 40, 30)));
        assertThat(near)
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.MUST_FIX))
                .satisfies(f -> assertThat(f.limit()).isEqualTo(28))
                .satisfies(f -> assertThat(f.value()).isBetween(0.0, 28.0))
                .satisfies(f -> assertThat(f.sentence()).contains("while it is down", "clamp 1"));
    }

    @Test
    void aLiftedHeadPassesOverLowClampsOnly() {
        KeepOut low = new KeepOut(600, 400, 30, 30, 59);
        KeepOut tall = new KeepOut(600, 400, 30, 30, 61);
        Reading far = new Drawn().rectangle(0, 0, 40, 40).rectangle(1200, 800, 40, 40).reading();
        for (KeepOut clamp : List.of(low, tall)) {
            Run run =
                    Samples.plan(
                            far,
                            new SheetPlanner.Order("mild steel", 6, 1),
                            PlanChoices.defaults(),
                            SheetChoices.defaults().withKeepOut(List.of(clamp)));
            List<Finding> found =
                    Samples.prove(far, run).findings().stream()
                            .filter(f -> f.rule().equals("keep-out"))
                            .toList();
            assertThat(found).hasSize(clamp == low ? 0 : 1);
            found.forEach(f -> assertThat(f.sentence()).contains("lifted by 60 mm"));
        }
    }

    @Test
    void theHeadLiftsOverAClampBetweenTwoCuts() {
        Run free = plan();
        assertThat(SheetCut.of(free.stops().get(1)).approach().low()).isTrue();
        double between =
                (SheetCut.end(free.stops().get(0)).x()
                                + free.stops().get(1).path().orElseThrow().pierce().x())
                        / 2;
        double y = SheetCut.end(free.stops().get(0)).y();
        Run clamped = plan(new KeepOut(between - 1, y - 1, 2, 2, 30));
        assertThat(SheetCut.of(clamped.stops().get(1)).approach().low()).isFalse();
    }

    @Test
    void aClampHasASize() {
        assertThatThrownBy(() -> new KeepOut(0, 0, 0, 10, 10)).hasMessageContaining("above 0");
    }
}
