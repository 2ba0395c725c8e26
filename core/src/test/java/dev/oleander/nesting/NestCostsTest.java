package dev.oleander.nesting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.search.Nester;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a nest costs, and who bears it. */
class NestCostsTest {

    private static final SheetStock SHEET =
            new SheetStock(
                    "s", rectangle(1000, 500), Optional.empty(), 100.01, Optional.empty(), false);

    private static Region rectangle(double width, double height) {
        return new Region(
                Contour.rectangle(new Box(Point.ORIGIN, new Point(width, height))), List.of());
    }

    private static NestPlacement at(String line, double x, double y) {
        return new NestPlacement(line, new Point(x, y), 0, false, false);
    }

    private static NestTask task(OrderLine... lines) {
        NestRules rules =
                new NestRules(10, 10, true, Optional.of(new NestRules.RemnantRule(200, 0.5)));
        return new NestTask(List.of(lines), List.of(SHEET), rules, List.of());
    }

    @Test
    void equalPartsBearEqualShares() {
        OrderLine a = NestTasks.line("a", rectangle(100, 100), 1, AllowedTurns.ANY);
        OrderLine b = NestTasks.line("b", rectangle(100, 100), 2, AllowedTurns.ANY);
        NestTask task = task(a, b);
        NestedSheet sheet =
                new NestedSheet("s", List.of(at("a", 10, 10), at("b", 120, 10), at("b", 230, 10)));
        Map<String, Double> costs = NestCosts.byLine(task, List.of(sheet, sheet));
        // above the parts 500 - 110 - 10 mm are left, more than beside, worth half their price
        double each = 100.01 * (1 - 0.5 * 380 / 500);
        assertThat(costs.get("a") + costs.get("b")).isCloseTo(2 * each, within(0.005));
        assertThat(costs.get("b")).isCloseTo(2 * costs.get("a"), within(0.02));
        assertThat(costs.values()).allMatch(c -> Math.abs(100 * c - Math.rint(100 * c)) < 1e-6);
    }

    @Test
    void anOpeningIsBorneByWhatLiesInIt() {
        Region ring =
                new Region(
                        Contour.rectangle(new Box(Point.ORIGIN, new Point(300, 300))),
                        List.of(
                                Contour.rectangle(new Box(new Point(50, 50), new Point(250, 250)))
                                        .turning(false)));
        OrderLine large = NestTasks.line("ring", ring, 1, AllowedTurns.ANY);
        OrderLine small = NestTasks.line("in", rectangle(100, 100), 1, AllowedTurns.ANY);
        NestTask task = task(large, small);
        Map<String, Double> inside =
                NestCosts.byLine(
                        task,
                        List.of(
                                new NestedSheet(
                                        "s", List.of(at("ring", 10, 10), at("in", 100, 100)))));
        Map<String, Double> beside =
                NestCosts.byLine(
                        task,
                        List.of(
                                new NestedSheet(
                                        "s", List.of(at("ring", 10, 10), at("in", 400, 100)))));
        double rounds = 4 * 5 * 300 + Math.PI * 25;
        double claimed = 300 * 300 + rounds - 200 * 200;
        double other = 100 * 100 + 4 * 5 * 100 + Math.PI * 25;
        assertThat(inside.get("ring") / inside.get("in")).isCloseTo(claimed / other, within(0.01));
        assertThat(beside.get("ring") / beside.get("in"))
                .isCloseTo((claimed + 200 * 200) / other, within(0.02));
    }

    @Test
    void whatIsMissingIsCountedAndSaidWhy() {
        OrderLine large = NestTasks.line("l", rectangle(2000, 900), 2, AllowedTurns.ANY);
        OrderLine long1 = NestTasks.line("t", rectangle(400, 800), 1, AllowedTurns.FIXED);
        OrderLine small = NestTasks.line("m", rectangle(300, 300), 7, AllowedTurns.ANY);
        NestTask task = task(large, long1, small);
        NestFigures figures =
                NestFigures.of(task, List.of(new NestedSheet("s", List.of(at("m", 10, 10)))));
        assertThat(figures.left())
                .containsEntry("l", 2)
                .containsEntry("t", 1)
                .containsEntry("m", 6);
        assertThat(figures.missing()).isEqualTo(9);
        assertThat(figures.parts()).isEqualTo(1);
        assertThat(Nester.missing(task, List.of()))
                .extracting(NestMissing::why)
                .containsExactly(
                        NestMissing.Why.TOO_LARGE, NestMissing.Why.TURNS, NestMissing.Why.NOT_LAID);
        SheetStock last =
                new SheetStock(
                        SHEET.id(),
                        SHEET.region(),
                        Optional.of(1),
                        SHEET.price(),
                        SHEET.grain(),
                        false);
        NestTask full = new NestTask(task.lines(), List.of(last), task.rules(), List.of());
        assertThat(Nester.missing(full, List.of(new NestedSheet("s", List.of(at("m", 10, 10))))))
                .extracting(NestMissing::why)
                .containsExactly(
                        NestMissing.Why.TOO_LARGE, NestMissing.Why.TURNS, NestMissing.Why.NO_ROOM);
    }
}
