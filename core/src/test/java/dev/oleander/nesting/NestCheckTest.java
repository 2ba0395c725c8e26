package dev.oleander.nesting;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class NestCheckTest {

    private static final Region PLATE = NestTasks.rectangle(100, 50);
    private static final NestTask TASK =
            NestTasks.task(
                    List.of(NestTasks.line("a", PLATE, 3, AllowedTurns.HALF)),
                    NestTasks.sheet(400, 200));

    private static NestPlacement at(double x, double y) {
        return new NestPlacement("a", new Point(x, y), 0, false, false);
    }

    private static List<String> rules(NestTask task, NestPlacement... placements) {
        return NestCheck.faults(task, List.of(new NestedSheet("full", List.of(placements))))
                .stream()
                .map(NestFault::rule)
                .toList();
    }

    /** Packings that are known from how their pieces were cut. */
    @ParameterizedTest
    @ValueSource(strings = {"jig16", "openings6"})
    void aKnownSolutionIsLegal(String name) {
        JsonNode file =
                JsonMapper.shared().readTree(Samples.bytes("nest/" + name + ".result.json"));
        List<NestedSheet> sheets = new ArrayList<>();
        for (JsonNode sheet : file.get("sheets")) {
            List<NestPlacement> on = new ArrayList<>();
            for (JsonNode p : sheet.get("placements")) {
                Point at = new Point(p.get("x").asDouble(), p.get("y").asDouble());
                on.add(
                        new NestPlacement(
                                p.get("line").asString(),
                                at,
                                p.get("angle").asDouble(),
                                p.get("mirrored").asBoolean(),
                                false));
            }
            sheets.add(new NestedSheet(sheet.get("stock").asString(), on));
        }
        assertThat(NestCheck.faults(NestTasks.sample(name), sheets)).isEmpty();
    }

    @Test
    void exactlyTheGapAndTheMarginAreEnough() {
        assertThat(rules(TASK, at(8, 8), at(112, 8), at(8, 62))).isEmpty();
    }

    @Test
    void twoMicrometresLessAreNot() {
        assertThat(rules(TASK, at(8, 8), at(111.998, 8), at(8, 62))).containsExactly("gap");
        assertThat(rules(TASK, at(7.998, 8), at(112, 8), at(8, 62))).containsExactly("edge");
    }

    @Test
    void whatLiesInAnotherPartOrOffTheSheetIsFound() {
        Region small = NestTasks.rectangle(10, 10);
        NestTask two =
                NestTasks.task(
                        List.of(
                                NestTasks.line("a", PLATE, 1, AllowedTurns.HALF),
                                NestTasks.line("b", small, 1, AllowedTurns.HALF)),
                        NestTasks.sheet(400, 200));
        NestPlacement within = new NestPlacement("b", new Point(50, 25), 0, false, false);
        assertThat(rules(two, at(8, 8), within)).containsExactly("overlap");
        assertThat(rules(TASK, at(-500, 8))).containsExactly("edge");
    }

    @Test
    void openingsHoldPartsOnlyWhereThatIsAllowed() {
        List<OrderLine> lines =
                List.of(
                        NestTasks.line("r", NestTasks.ring(60, 40), 1, AllowedTurns.ANY),
                        NestTasks.line("a", NestTasks.rectangle(20, 20), 1, AllowedTurns.ANY));
        NestPlacement ring = new NestPlacement("r", new Point(100, 100), 0, false, false);
        NestPlacement in = at(90, 90);
        SheetStock sheet = NestTasks.sheet(400, 200);
        assertThat(rules(NestTasks.task(lines, sheet), ring, in)).isEmpty();
        NestTask closed =
                new NestTask(
                        lines,
                        List.of(sheet),
                        new NestRules(4, 8, false, Optional.empty()),
                        List.of());
        assertThat(rules(closed, ring, in)).containsExactly("opening");
    }

    @Test
    void turnsCountFromTheGrainOfTheSheet() {
        SheetStock across =
                new SheetStock(
                        "full",
                        NestTasks.rectangle(400, 200),
                        Optional.empty(),
                        1,
                        Optional.of(90.0),
                        false);
        NestTask task =
                NestTasks.task(List.of(NestTasks.line("a", PLATE, 1, AllowedTurns.HALF)), across);
        NestPlacement along = new NestPlacement("a", new Point(100, 20), 90, false, false);
        assertThat(rules(task, along)).isEmpty();
        assertThat(rules(task, at(8, 8))).containsExactly("turn");
        assertThat(rules(TASK, new NestPlacement("a", new Point(150, 8), 0, true, false)))
                .containsExactly("mirror");
    }

    @Test
    void countsArePartOfTheRules() {
        assertThat(rules(TASK, at(8, 8), at(112, 8), at(8, 62), at(112, 62)))
                .containsExactly("quantity");
        SheetStock one =
                new SheetStock(
                        "full",
                        NestTasks.rectangle(400, 200),
                        Optional.of(1),
                        1,
                        Optional.empty(),
                        false);
        NestTask scarce =
                NestTasks.task(List.of(NestTasks.line("a", PLATE, 2, AllowedTurns.HALF)), one);
        List<NestedSheet> two =
                List.of(
                        new NestedSheet("full", List.of(at(8, 8))),
                        new NestedSheet("full", List.of(at(8, 8))));
        assertThat(NestCheck.faults(scarce, two))
                .extracting(NestFault::sentence)
                .containsExactly("2 sheets of full are used; there are 1.");
    }

    @Test
    void nobodyIsPassedOverAndNoSheetIsOpenedForFilling() {
        OrderLine first = NestTasks.line("a", PLATE, 2, 1);
        OrderLine later = NestTasks.line("b", PLATE, 1, 2);
        NestTask task = NestTasks.task(List.of(first, later), NestTasks.sheet(400, 200));
        NestPlacement second = new NestPlacement("b", new Point(112, 8), 0, false, false);
        assertThat(rules(task, at(8, 8), second)).containsExactly("priority");
        OrderLine fill =
                new OrderLine(
                        "a",
                        "job",
                        PLATE,
                        5,
                        9,
                        Optional.empty(),
                        true,
                        AllowedTurns.HALF,
                        false,
                        0);
        assertThat(rules(NestTasks.task(List.of(fill), NestTasks.sheet(400, 200)), at(8, 8)))
                .containsExactly("fill");
    }

    @Test
    void aPairKeepsHalfOfBothGaps() {
        OrderLine plain = NestTasks.line("a", PLATE, 5, AllowedTurns.HALF);
        OrderLine wide = NestTasks.line("b", PLATE, 5, AllowedTurns.HALF).withGap(10);
        NestTask task = NestTasks.task(List.of(plain, wide), NestTasks.sheet(400, 200));
        double gap = (task.rules().gap() + 10) / 2;
        double right = 8 + PLATE.box().width();
        assertThat(rules(task, at(8, 8), wide(right + gap, 8))).isEmpty();
        assertThat(rules(task, at(8, 8), wide(right + gap - 0.002, 8))).containsExactly("gap");
        assertThat(rules(task, wide(8, 8), wide(right + 9.998, 8))).containsExactly("gap");
        assertThat(rules(task, at(8, 8), at(right + task.rules().gap(), 8))).isEmpty();
    }

    private static NestPlacement wide(double x, double y) {
        return new NestPlacement("b", new Point(x, y), 0, false, false);
    }

    @Test
    void whatWasLockedMustLieThere() {
        NestPlacement fixed = new NestPlacement("a", new Point(150, 100), 0, false, true);
        NestTask task =
                new NestTask(
                        TASK.lines(),
                        TASK.stock(),
                        TASK.rules(),
                        List.of(new NestedSheet("full", List.of(fixed))));
        assertThat(rules(task, fixed)).isEmpty();
        assertThat(rules(task, at(150, 100))).containsExactly("locked");
    }
}
