package dev.oleander.work.sheet.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import org.junit.jupiter.api.Test;

class KerfPathTest {

    private final KerfPath kerfPath = new KerfPath(false);

    private static Feature only(Drawn drawn) {
        return drawn.reading().features().get(0);
    }

    private Contour path(Drawn drawn, Side side, double kerf) {
        return kerfPath.of(only(drawn), side, kerf, Turn.SCRAP_LEFT).path().orElseThrow();
    }

    @Test
    void outsideRunsClockwiseInsideAnticlockwiseSoThatScrapIsLeft() {
        Drawn plate = new Drawn().rectangle(0, 0, 40, 30);
        assertThat(path(plate, Side.OUTSIDE, 0.3).isAnticlockwise()).isFalse();
        assertThat(path(plate, Side.INSIDE, 0.3).isAnticlockwise()).isTrue();
    }

    @Test
    void theKerfTakesHalfOnEitherSide() {
        Drawn plate = new Drawn().rectangle(0, 0, 40, 30);
        double k = 0.4;
        assertThat(path(plate, Side.INSIDE, k).area()).isCloseTo((40 - k) * (30 - k), within(1e-9));
        assertThat(path(plate, Side.OUTSIDE, k).area())
                .isCloseTo(40 * 30 + 140 * k / 2 + Math.PI * k * k / 4, within(1e-9));
        assertThat(path(plate, Side.ON, k).area()).isCloseTo(1200, within(1e-9));
    }

    @Test
    void aCircleStaysTwoArcs() {
        Contour inner = path(new Drawn().circle(10, 10, 5), Side.INSIDE, 0.5);
        assertThat(inner.segments()).hasSize(2);
        assertThat(inner.circleDiameter(1e-6).orElseThrow()).isCloseTo(9.5, within(1e-9));
    }

    @Test
    void whatIsTooNarrowIsMeasured() {
        KerfPath.Result slit =
                kerfPath.of(
                        only(new Drawn().rectangle(0, 0, 30, 0.18)),
                        Side.INSIDE,
                        0.26,
                        Turn.SCRAP_LEFT);
        Refusal refusal = slit.refusal().orElseThrow();
        assertThat(refusal.kind()).isEqualTo(Refusal.Kind.TOO_NARROW);
        assertThat(refusal.value()).isCloseTo(0.18, within(1e-4));
        assertThat(refusal.limit()).isEqualTo(0.26);
        assertThat(refusal.sentence()).contains("only 0.18 mm wide", "0.26 mm");
    }

    @Test
    void aNeckIsMeasuredToo() {
        Drawn dumbbell =
                new Drawn()
                        .closed(
                                0, 0, 20, 0, 20, 9.9, 30, 9.9, 30, 0, 50, 0, 50, 20, 30, 20, 30,
                                10.1, 20, 10.1, 20, 20, 0, 20);
        Refusal refusal =
                kerfPath.of(only(dumbbell), Side.INSIDE, 0.3, Turn.SCRAP_LEFT)
                        .refusal()
                        .orElseThrow();
        assertThat(refusal.value()).isCloseTo(0.2, within(1e-3));
        assertThat(refusal.sentence()).contains("neck");
    }
}
