package dev.oleander.work.sheet.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Path;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.PierceKind;
import dev.oleander.motion.Program;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CommonLinesTest {

    private static final Reading PLATE =
            new Drawn().rectangle(0, 0, 80, 50).circle(40, 25, 8).reading();

    private static Run run(int quantity, boolean shared, PlanChoices choices) {
        SheetChoices usual = SheetChoices.defaults();
        SheetChoices grid =
                usual.withGrid(
                        new SheetChoices.Grid(Typed.of(0), null, Typed.of(3), null, null, false));
        return Samples.plan(
                PLATE,
                new SheetPlanner.Order("mild steel", 6, quantity),
                choices,
                grid.withCommonLines(shared));
    }

    private static double cut(Run run) {
        return new ProgramCompiler()
                .compile(run).items().stream()
                        .filter(i -> i instanceof Item.Feed f && f.on())
                        .mapToDouble(i -> ((Item.Feed) i).segment().length())
                        .sum();
    }

    private static double shared(Run run) {
        return run.stops().stream()
                .flatMap(s -> SheetCut.of(s).shared().stream())
                .mapToDouble(g -> g.to() - g.from())
                .sum();
    }

    @ParameterizedTest
    @EnumSource(value = OrderRule.class, mode = EnumSource.Mode.EXCLUDE, names = "BY_HAND")
    void everyLineBetweenTwoPlatesIsCutOnceWhateverTheOrder(OrderRule rule) {
        PlanChoices choices = PlanChoices.defaults().withOrder(rule);
        Run run = run(6, true, choices);
        assertThat(run.layout().gap()).isCloseTo(0.26, within(1e-9));
        // two rows of three: four upright lines of 50, three level ones of 80
        assertThat(shared(run)).isCloseTo(4 * 50 + 3 * 80, within(1e-6));
        assertThat(run.refused()).isEmpty();
        assertThat(Samples.prove(PLATE, run).open()).isEmpty();
    }

    @Test
    void lessIsCutAndWithFewerFullPierces() {
        Run apart = run(6, false, PlanChoices.defaults());
        Run joined = run(6, true, PlanChoices.defaults());
        assertThat(cut(joined)).isLessThan(cut(apart) - 430);
        assertThat(Samples.time(joined).total()).isLessThan(Samples.time(apart).total() - 8);
    }

    @Test
    void aPlateBeginsInTheKerfOfItsNeighbourAndEndsThere() {
        Run run = run(2, true, PlanChoices.defaults());
        Stop later =
                run.stops().stream()
                        .filter(s -> !SheetCut.of(s).shared().isEmpty())
                        .findFirst()
                        .orElseThrow();
        Path main = new Path(later.path().orElseThrow().main());
        Gap gap = SheetCut.of(later).shared().get(0);
        assertThat(later.path().orElseThrow().leadIn()).isEmpty();
        assertThat(gap.to()).isCloseTo(main.length(), within(1e-6));
        assertThat(SheetCut.end(later).distance(main.stationAt(gap.from()).point()))
                .isLessThan(1e-6);
        assertThat(later.remarks()).singleElement().asString().contains("50 mm", "common line");
        Program program = new ProgramCompiler().compile(run);
        double full = SheetCut.of(later).row().orElseThrow().pierceSeconds();
        assertThat(program.items())
                .filteredOn(i -> i.origin().stop().equals(later.id()))
                .filteredOn(i -> i instanceof Item.Event e && e.kind() == EventKind.PIERCE)
                .map(i -> ((Item.Event) i).args())
                .isNotEmpty()
                .allSatisfy(
                        args ->
                                assertThat(args)
                                        .containsEntry("kind", PierceKind.IN_KERF.number())
                                        .containsEntry("seconds", 0.3 * full));
        assertThat(Samples.write(run, Samples.time(run)).isTrue()).isTrue();
    }

    @Test
    void aStartSetByHandCutsItsWholeContour() {
        Run run = run(2, true, PlanChoices.defaults());
        Stop later =
                run.stops().stream()
                        .filter(s -> !SheetCut.of(s).shared().isEmpty())
                        .findFirst()
                        .orElseThrow();
        PlanChoices byHand =
                PlanChoices.defaults()
                        .withStop(later.id(), StopChoice.NOTHING.withStart(Typed.of(20)));
        assertThat(shared(run(2, true, byHand))).isZero();
    }

    @Test
    void edgesThatDifferInLengthAreNotShared() {
        Reading two = new Drawn().rectangle(0, 0, 80, 50).rectangle(80.26, 0, 40, 30).reading();
        Run run = Samples.plan(two, "mild steel", 6, 1);
        assertThat(shared(run)).isZero();
        Reading equal = new Drawn().rectangle(0, 0, 80, 50).rectangle(80.26, 0, 40, 50).reading();
        assertThat(shared(Samples.plan(equal, "mild steel", 6, 1))).isCloseTo(50, within(1e-6));
    }
}
