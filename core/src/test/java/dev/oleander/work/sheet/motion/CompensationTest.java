package dev.oleander.work.sheet.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Segment;
import dev.oleander.machine.Compensation;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.PostedProgram;
import dev.oleander.motion.Program;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CompensationTest {

    private static final Reading PLATE =
            new Drawn()
                    .closed(0, 0, 200, 0, 200, 60, 120, 60, 120, 120, 0, 120)
                    .circle(60, 60, 15)
                    .rectangle(20, 90, 30, 12)
                    .reading();

    private static Run run(Reading reading, Compensation by, boolean mirrored, TabChoice tabs) {
        PlanChoices choices = PlanChoices.defaults();
        StopChoice choice = StopChoice.NOTHING.withCompensation(by).withTabs(tabs);
        for (var feature : reading.features()) {
            choices = choices.withStop(feature.id(), choice);
        }
        SheetChoices usual = SheetChoices.defaults();
        SheetChoices.Grid g = usual.grid();
        return Samples.plan(
                reading,
                new SheetPlanner.Order("mild steel", 6, 2),
                choices,
                usual.withGrid(
                        new SheetChoices.Grid(
                                g.turn(), g.rows(), g.columns(), g.gap(), g.margin(), mirrored)));
    }

    private static Run posted(Reading reading, Run run) {
        return new PostedRun(reading.byId()).of(run);
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void theHeadRunsHalfAKerfBesideTheContourThatIsWritten(boolean mirrored) {
        Run run = run(PLATE, Compensation.CONTROLLER, mirrored, TabChoice.NOTHING);
        Run posted = posted(PLATE, run);
        assertThat(run.refused()).isEmpty();
        for (int i = 0; i < run.stops().size(); i++) {
            CutPath head = run.stops().get(i).path().orElseThrow();
            CutPath written = posted.stops().get(i).path().orElseThrow();
            Path contour = new Path(written.main());
            for (Segment segment : head.main()) {
                for (double t : new double[] {0, 0.3, 0.7}) {
                    var p = segment.at(t);
                    assertThat(contour.nearest(p).point().distance(p))
                            .isCloseTo(0.13, within(1e-6));
                }
            }
            assertThat(written.pierce().distance(head.pierce())).isLessThan(1e-9);
            assertThat(written.leadIn()).hasSameSizeAs(head.leadIn());
            assertThat(written.leadIn().get(written.leadIn().size() - 1).end())
                    .isEqualTo(written.start());
        }
    }

    @Test
    void writtenProgramsReadBackWithTheirRegisters() {
        Run run = run(PLATE, Compensation.CONTROLLER, false, TabChoice.NOTHING);
        Program head = RunMotion.of(run).timeline().program();
        PostedProgram posted = PostedSheet.of(run, PLATE.byId(), head);
        assertThat(posted.itemOfHead()).hasSize(posted.program().size());
        var checked =
                new CheckedWriter(Samples.DIALECT).write(posted.program(), Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.written().text()).contains("G41 D1", "G40").doesNotContain("G42");
    }

    @Test
    void wearHasARegisterOfItsOwnAndThePathStaysOffset() {
        Run run = run(PLATE, Compensation.BOTH, false, TabChoice.NOTHING);
        assertThat(posted(PLATE, run)).isSameAs(run);
        List<Double> registers =
                RunMotion.of(run).timeline().program().items().stream()
                        .filter(i -> i instanceof Item.Event e && e.kind() == EventKind.COMP_LEFT)
                        .map(i -> ((Item.Event) i).args().get("register"))
                        .toList();
        assertThat(registers).hasSize(run.stops().size()).containsOnly(51.0);
        Stop stop = run.stops().get(0);
        assertThat(Registers.value(stop)).isZero();
        assertThat(stop.leadIn().kind().hasLine()).as("to switch it on along").isTrue();
    }

    @Test
    void tabsLieBesideThoseOfTheHead() {
        TabChoice three = TabChoice.NOTHING.withCount(Typed.of(3));
        Run run = run(PLATE, Compensation.CONTROLLER, false, three);
        Run posted = posted(PLATE, run);
        Stop head = run.stop("c1.1").orElseThrow();
        Stop written = posted.stop("c1.1").orElseThrow();
        assertThat(written.tabs()).hasSize(3);
        Path path = new Path(head.path().orElseThrow().main());
        Path contour = new Path(written.path().orElseThrow().main());
        for (int i = 0; i < 3; i++) {
            var a = path.stationAt(head.tabs().get(i).from()).point();
            var b = contour.stationAt(written.tabs().get(i).from()).point();
            assertThat(a.distance(b)).isCloseTo(0.13, within(1e-6));
        }
    }

    @Test
    void withoutItNothingDiffers() {
        Run run = run(PLATE, Compensation.PATH, false, TabChoice.NOTHING);
        Program head = RunMotion.of(run).timeline().program();
        assertThat(PostedSheet.of(run, PLATE.byId(), head).program()).isSameAs(head);
        assertThat(head.items())
                .noneMatch(i -> i instanceof Item.Event e && e.kind() == EventKind.COMP_OFF);
    }
}
