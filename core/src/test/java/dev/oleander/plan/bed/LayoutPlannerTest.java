package dev.oleander.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.plan.bed.SheetChoices.Anchor;
import dev.oleander.plan.bed.SheetChoices.Grid;
import dev.oleander.plan.bed.SheetChoices.Stock;
import dev.oleander.plan.bed.SheetChoices.ZeroOf;
import dev.oleander.quantity.Typed;
import org.junit.jupiter.api.Test;

class LayoutPlannerTest {

    /** A part of 100 x 40 mm that does not lie at the origin. */
    private static final Box PART = new Box(new Point(7, 3), new Point(107, 43));

    private static final SheetChoices SHEET =
            SheetChoices.defaults()
                    .withStock(new Stock(false, Typed.of(500), Typed.of(200), Typed.of(10)));

    private static SheetLayout lay(SheetChoices choices, int quantity) {
        return new LayoutPlanner(choices, 10).lay(PART, quantity);
    }

    private static Box placed(Placement placement) {
        return Box.of(
                placement.transform().apply(PART.min()), placement.transform().apply(PART.max()));
    }

    @Test
    void fillsRowsFromTheCorner() {
        SheetLayout layout = lay(SHEET, 6);
        assertThat(layout.columns()).isEqualTo(4);
        assertThat(layout.rows()).isEqualTo(2);
        assertThat(layout.placed()).isEqualTo(6);
        Box fifth = placed(layout.placements().get(4));
        assertThat(fifth.min().x()).isCloseTo(10, within(1e-9));
        assertThat(fifth.min().y()).isCloseTo(60, within(1e-9));
    }

    @Test
    void countsWhatDoesNotFit() {
        SheetLayout layout = lay(SHEET, 30);
        assertThat(layout.placed()).isEqualTo(12);
        assertThat(layout.asked() - layout.placed()).isEqualTo(18);
        for (Placement placement : layout.placements()) {
            assertThat(layout.stock().contains(placed(placement))).isTrue();
        }
    }

    @Test
    void copiesKeepTheirGapAndNeverOverlap() {
        SheetLayout layout = lay(SHEET.withGrid(grid(90, null, null, 5.0, 20.0, false)), 30);
        for (Placement a : layout.placements()) {
            for (Placement b : layout.placements()) {
                if (a.copy() < b.copy()) {
                    assertThat(placed(a).grown(2.49).touches(placed(b).grown(2.49))).isFalse();
                }
            }
        }
        assertThat(placed(layout.placements().get(0)).width()).isCloseTo(40, within(1e-9));
    }

    @Test
    void theZeroPointIsWhereItWasChosen() {
        SheetLayout centre = lay(SHEET.withZero(ZeroOf.STOCK, Anchor.CENTRE), 1);
        assertThat(centre.stock().min()).isEqualTo(new Point(-250, -100));
        SheetLayout onPart = lay(SHEET.withZero(ZeroOf.PART, Anchor.TOP_RIGHT), 1);
        assertThat(placed(onPart.placements().get(0)).max().distance(Point.ORIGIN))
                .isLessThan(1e-9);
    }

    @Test
    void stockRoundThePartsFollowsThem() {
        SheetChoices around =
                SHEET.withStock(new Stock(true, SHEET.width(), SHEET.height(), Typed.of(12)));
        SheetLayout layout = lay(around, 1);
        assertThat(layout.stock().width()).isCloseTo(124, within(1e-9));
        assertThat(layout.stock().height()).isCloseTo(64, within(1e-9));
    }

    @Test
    void everySecondColumnIsMirroredWithinTheSamePlace() {
        SheetLayout layout = lay(SHEET.withGrid(grid(0, 1.0, 2.0, 8.0, 10.0, true)), 2);
        Placement second = layout.placements().get(1);
        assertThat(second.transform().isMirrored()).isTrue();
        assertThat(placed(second).min().distance(new Point(118, 10))).isLessThan(1e-9);
    }

    @Test
    void refusesRowsThatAreNoWholeNumber() {
        assertThatThrownBy(() -> lay(SHEET.withGrid(grid(0, 1.5, null, null, null, false)), 2))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("1.5 is not a whole number");
    }

    private static Grid grid(
            double turn, Double rows, Double columns, Double gap, Double margin, boolean mirror) {
        return new Grid(
                Typed.of(turn), typed(rows), typed(columns), typed(gap), typed(margin), mirror);
    }

    private static Typed typed(Double value) {
        return value == null ? null : Typed.of(value);
    }

    private static FullSheet full(double width, double height) {
        SheetChoices sheet =
                SHEET.withStock(new Stock(false, Typed.of(width), Typed.of(height), Typed.of(10)));
        FullSheet full = FullSheet.of(PART, sheet, 10, 10).orElseThrow();
        SheetLayout layout = lay(full.put(sheet), 1);
        assertThat(layout.placements()).hasSize(full.copies());
        assertThat(layout.placements()).allMatch(p -> layout.stock().contains(placed(p)));
        return full;
    }

    @Test
    void aSheetIsFilledWithAsManyAsItHolds() {
        assertThat(full(500, 200)).isEqualTo(new FullSheet(0, 3, 4));
        // too narrow for its length
        assertThat(full(115, 500)).isEqualTo(new FullSheet(90, 4, 2));
        SheetChoices small =
                SHEET.withStock(new Stock(false, Typed.of(90), Typed.of(50), Typed.of(10)));
        assertThat(FullSheet.of(PART, small, 10, 10)).isEmpty();
        SheetChoices around =
                SHEET.withStock(new Stock(true, Typed.of(500), Typed.of(200), Typed.of(10)));
        assertThat(FullSheet.of(PART, around, 10, 10)).isEmpty();
        SheetChoices huge =
                SHEET.withStock(new Stock(false, Typed.of(1e5), Typed.of(1e5), Typed.of(10)));
        assertThat(FullSheet.of(PART, huge, 10, 10).orElseThrow().copies()).isBetween(2_500, 5_000);
    }
}
