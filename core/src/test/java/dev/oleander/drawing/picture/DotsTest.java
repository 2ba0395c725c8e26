package dev.oleander.drawing.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.picture.DotSpec.Pattern;
import dev.oleander.progress.Progress;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class DotsTest {

    private static Picture even(int level) {
        byte[] levels = new byte[60 * 40];
        Arrays.fill(levels, (byte) level);
        return new Picture(60, 40, levels);
    }

    private static DotSpec spec(Pattern pattern, double... diameters) {
        return new DotSpec(
                6, pattern, 180, 1, 1, Arrays.stream(diameters).boxed().toList(), false, false);
    }

    private static Dots.Made made(int level, DotSpec spec) {
        return Dots.of(even(level), spec, Progress.NONE);
    }

    /** d = p sqrt(4 c / pi). */
    @Test
    void anEvenToneHasOneDiameter() {
        Dots.Made made = made(128, spec(Pattern.SQUARE));
        double share = 1 - 128 / 255.0;
        assertThat(made.holes()).hasSize(600);
        assertThat(made.holes())
                .allSatisfy(
                        h ->
                                assertThat(h.diameter())
                                        .isCloseTo(
                                                6 * Math.sqrt(4 * share / Math.PI), within(1e-9)));
        assertThat(made.openShare()).isCloseTo(share, within(1e-9));
    }

    @Test
    void websStayAndSmallHolesGo() {
        assertThat(made(0, spec(Pattern.SQUARE)).holes()).allMatch(h -> h.diameter() == 5);
        assertThat(made(250, spec(Pattern.SQUARE)).holes()).isEmpty();
        List<Dots.Hole> rings = made(0, spec(Pattern.RINGS)).holes();
        for (Dots.Hole a : rings) {
            for (Dots.Hole b : rings) {
                double web = a.at().distance(b.at()) - (a.diameter() + b.diameter()) / 2;
                assertThat(a == b || web >= 1 - 1e-9).isTrue();
            }
        }
    }

    @Test
    void aTriangularPatternTakesTheSameShare() {
        Dots.Made made = made(153, spec(Pattern.TRIANGULAR));
        double share = 1 - 153 / 255.0;
        assertThat(made.holes().get(0).diameter())
                .isCloseTo(6 * Math.sqrt(2 * Math.sqrt(3) * share / Math.PI), within(1e-9));
        assertThat(made.openShare()).isCloseTo(share, within(0.03));
    }

    @Test
    void fewDiametersMakeUpForEachOther() {
        Dots.Made made = made(128, spec(Pattern.SQUARE, 3, 5));
        assertThat(made.holes()).allMatch(h -> h.diameter() == 3 || h.diameter() == 5);
        assertThat(made.openShare()).isCloseTo(1 - 128 / 255.0, within(0.01));
        assertThat(made(128, spec(Pattern.RINGS, 3, 5)).holes()).isNotEmpty();
    }

    @Test
    void lightIsNotWrittenAsItIs() {
        DotSpec linear = new DotSpec(6, Pattern.SQUARE, 180, 0, 0, List.of(), true, false);
        // a written 128 is 0.2159 of the light
        assertThat(made(128, linear).openShare()).isCloseTo(1 - 0.2159, within(1e-3));
    }

    @Test
    void whatCannotBeIsSaid() {
        assertThatThrownBy(
                        () ->
                                new DotSpec(
                                        4, Pattern.SQUARE, 100, 0, 1.5, List.of(3.0), false, false))
                .isInstanceOf(PictureException.class)
                .hasMessage("A drill of 3 mm leaves a web of 1 mm at pitch 4; 1.5 is asked.");
        assertThatThrownBy(
                        () ->
                                made(
                                        9,
                                        new DotSpec(
                                                0.01,
                                                Pattern.SQUARE,
                                                180,
                                                0,
                                                0,
                                                List.of(),
                                                false,
                                                false)))
                .isInstanceOf(PictureException.class)
                .hasMessageContaining("500,000 are allowed");
    }
}
