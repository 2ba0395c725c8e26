package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Contour;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is written on shapes by numbers, and the shapes themselves against closed forms. */
class SizesTest {

    private static List<String> shapes() {
        return Commands.list().stream()
                .filter(c -> c.group() == Command.Group.SHAPES)
                .map(Command::word)
                .toList();
    }

    private static DrawStep step(String word, String... values) {
        Map<String, String> all = new TreeMap<>(Map.of("x", "0", "y", "0"));
        for (int i = 0; i < values.length; i += 2) {
            all.put(values[i], values[i + 1]);
        }
        return new DrawStep("d1", word, List.of(), all);
    }

    private static Drawn drawn(DrawStep step) {
        return new DrawSteps(Map.of()).apply(Drawing.empty("test"), List.of(step));
    }

    private static double area(DrawStep step) {
        Drawn drawn = drawn(step);
        assertThat(drawn.troubles()).isEmpty();
        List<Entity> entities = drawn.drawing().entities();
        double area = ((Contour) entities.get(0).chain()).area();
        for (Entity opening : entities.subList(1, entities.size())) {
            area -= ((Contour) opening.chain()).area();
        }
        return area;
    }

    /** Each length that is shown between two places is as long as it says. */
    @ParameterizedTest
    @MethodSource("shapes")
    void everyValueOfAShapeIsShownAsLongAsItIs(String word) {
        DrawStep step = step(word);
        assertThat(drawn(step).troubles()).isEmpty();
        List<Sizes.Size> sizes = Sizes.of(step, Map.of());
        List<String> own =
                Commands.find(word).orElseThrow().parameters().stream()
                        .map(Parameter::name)
                        .filter(p -> !List.of("x", "y", "turn").contains(p))
                        .toList();
        assertThat(sizes)
                .extracting(Sizes.Size::parameter)
                .containsExactlyInAnyOrderElementsOf(own);
        for (Sizes.Size size : sizes) {
            double shown = size.from().distance(size.to());
            boolean half = word.equals("ringSegment") && shown > 0;
            double wanted = half ? size.value() / 2 : size.value();
            assertThat(shown == 0 || Math.abs(shown - wanted) < 1e-9)
                    .as("%s: %s is shown as %s", size.parameter(), size.value(), shown)
                    .isTrue();
        }
    }

    @Test
    void whatIsShownMovesAndTurnsWithTheShape() {
        DrawStep turned = step("frame", "x", "50", "y", "20", "turn", "90", "width", "100");
        Sizes.Size width =
                Sizes.of(turned, Map.of()).stream()
                        .filter(s -> s.parameter().equals("width"))
                        .findFirst()
                        .orElseThrow();
        assertThat(width.from().x()).isCloseTo(width.to().x(), within(1e-9));
        assertThat(width.to().y() - width.from().y()).isCloseTo(100, within(1e-9));
        assertThat(Sizes.of(new DrawStep("d1", "line", List.of(), Map.of()), Map.of())).isEmpty();
    }

    @Test
    void fittingsHaveTheAreaOfTheirForms() {
        // a triangle with noses and a cope: straight when nothing is hollow
        double triangle = 150 * 120 - 130 * 100 / 2.0;
        assertThat(area(step("gusset", "hollow", "0", "cope", "0")))
                .isCloseTo(triangle, within(1e-6));
        assertThat(area(step("gusset", "hollow", "0", "cope", "15")))
                .isCloseTo(triangle - Math.PI * 225 / 4, within(1e-6));
        double slot = 15 * 9 + Math.PI * 4.5 * 4.5;
        assertThat(area(step("slottedAngle")))
                .isCloseTo(160 * 40 + 80 * 40 - 2 * slot, within(1e-6));
        double half = Math.acos((38 - 76 / 3.0) / 38);
        double segment = 38 * 38 * (half - Math.sin(half) * Math.cos(half));
        assertThat(area(step("saddle")))
                .isCloseTo(140 * 90 - segment - 2 * Math.PI * 5.5 * 5.5, within(1e-6));
        // three knuckles of five places, each 0.5 narrower together
        assertThat(area(step("hingePlate")))
                .isCloseTo(120 * 60 + (3 * 24 - 4 * 0.25) * 24 - 2 * Math.PI * 9, within(1e-6));
        assertThat(area(step("endCap")))
                .isCloseTo(77 * 37 - (4 - Math.PI) * 4.5 * 4.5, within(1e-6));
        double cut = Math.asin(0.5);
        double head = Math.PI * 36 - 36 * (cut - Math.sin(cut) * Math.cos(cut));
        double neck = 6 * (12 - 6 * Math.cos(cut)) + Math.PI * 9 / 2;
        assertThat(area(step("keyholePlate")))
                .isCloseTo(120 * 50 - (4 - Math.PI) * 36 - 2 * (head + neck), within(1e-6));
    }

    @Test
    void fittingsThatCannotBeAreRefusedWithTheirFigures() {
        assertThat(sentence(step("gusset", "nose", "130"))).contains("one is 120 mm");
        assertThat(sentence(step("saddle", "depth", "50"))).contains("half of it, 38 mm");
        assertThat(sentence(step("keyholePlate", "neck", "12"))).contains("as wide as a head");
        assertThat(sentence(step("hingePlate", "gap", "30")))
                .contains("leaves nothing of knuckles");
        assertThat(sentence(step("endCap", "seam", "20"))).contains("leaves nothing of 40 mm");
        assertThat(sentence(step("slottedAngle", "slot", "8"))).contains("longer than wide");
    }

    private static String sentence(DrawStep step) {
        return drawn(step).troubles().get(0).sentence();
    }
}
