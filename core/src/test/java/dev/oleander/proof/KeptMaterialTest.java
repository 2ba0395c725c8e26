package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.plan.SheetPlanner;
import org.junit.jupiter.api.Test;

class KeptMaterialTest {

    private static final Reading RING =
            new Drawn().rectangle(0, 0, 100, 50).circle(50, 25, 10).reading();

    /** Two copies side by side, 10 mm apart, the first with its corner at the zero point. */
    private static Run run() {
        SheetChoices sheet =
                SheetChoices.defaults()
                        .withGrid(
                                new SheetChoices.Grid(
                                        Typed.of(0),
                                        Typed.of(1),
                                        Typed.of(2),
                                        Typed.of(10),
                                        Typed.of(0),
                                        false));
        SheetPlanner.Order order = new SheetPlanner.Order("mild steel", 6, 2);
        return Samples.plan(RING, order, PlanChoices.defaults(), sheet);
    }

    private static KeptMaterial.Nearness nearest(double x0, double y0, double x1, double y1) {
        return KeptMaterial.of(RING, run().layout())
                .nearest(new Line(new Point(x0, y0), new Point(x1, y1)), 5);
    }

    @Test
    void aMoveBetweenTwoCopiesIsNearerToOne() {
        KeptMaterial.Nearness near = nearest(103, 10, 103, 40);
        assertThat(near.inside()).isFalse();
        assertThat(near.distance()).isCloseTo(3, within(1e-9));
        assertThat(near.piece().label()).isEqualTo("part 1, copy 1");
        assertThat(near.intrusion(2)).isCloseTo(-1, within(1e-9));
        assertThat(near.intrusion(4)).isCloseTo(1, within(1e-9));
        assertThat(nearest(107, 10, 107, 40).piece().copy()).isEqualTo(2);
    }

    @Test
    void aMoveWithinTheMaterialIsInsideByItsDistanceFromTheEdge() {
        KeptMaterial.Nearness near = nearest(20, 4, 30, 4);
        assertThat(near.inside()).isTrue();
        assertThat(near.intrusion(0.13)).isCloseTo(4.13, within(1e-9));
    }

    @Test
    void anOpeningIsNoMaterial() {
        KeptMaterial.Nearness near = nearest(49, 25, 51, 25);
        assertThat(near).isNull();
        assertThat(nearest(44, 25, 46, 25).inside()).isFalse();
    }

    @Test
    void whatLiesFarAwayIsNoNeighbour() {
        assertThat(nearest(400, 200, 410, 200)).isNull();
    }

    @Test
    void aStockLargerThanTheMachineIsFound() {
        SheetChoices large =
                SheetChoices.defaults()
                        .withStock(
                                new SheetChoices.Stock(
                                        false, Typed.of(4000), Typed.of(2000), Typed.of(10)));
        Run run =
                Samples.plan(
                        RING,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        PlanChoices.defaults(),
                        large);
        assertThat(Samples.prove(RING, run).findings())
                .filteredOn(f -> f.rule().equals("stock"))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.severity()).isEqualTo(Severity.MUST_FIX);
                            assertThat(f.sentence()).contains("4000 × 2000", "3050 × 1530");
                        });
    }

    @Test
    void aHoleTooSmallForItsDataIsLookedAt() {
        Reading small = new Drawn().rectangle(0, 0, 100, 50).circle(50, 25, 1.5).reading();
        Proof proof = Samples.prove(small, Samples.plan(small, "mild steel", 6, 1));
        assertThat(proof.findings())
                .filteredOn(f -> f.rule().equals("data"))
                .singleElement()
                .satisfies(
                        f -> {
                            assertThat(f.severity()).isEqualTo(Severity.LOOK);
                            assertThat(f.value()).isCloseTo(3, within(1e-9));
                            assertThat(f.limit()).isEqualTo(3.5);
                        });
    }

    @Test
    void aSharpInnerCornerLeavesLittle() {
        Reading plate = new Drawn().rectangle(0, 0, 100, 50).rectangle(30, 15, 40, 20).reading();
        Proof proof = Samples.prove(plate, Samples.plan(plate, "mild steel", 20, 1));
        assertThat(proof.findings()).noneMatch(f -> f.rule().equals("uncut"));
    }
}
