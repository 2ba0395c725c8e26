package dev.oleander.work.pen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.drawing.revise.ReadingMatch;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Entry;
import dev.oleander.value.Source;
import dev.oleander.value.Subject;
import dev.oleander.value.Value;
import dev.oleander.work.Plan;
import dev.oleander.work.Task;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * A kind of work that is nothing but this package, one machine file and one format: planned, timed,
 * proved, written and read back by what all kinds share.
 */
class PenPlotterTest {

    private static final PenPlotting PEN = new PenPlotting();
    private static final MachineLibrary MACHINES = MachineLibrary.of(List.of(new PenMachines()));
    private static final Machine LARKSPUR = MACHINES.find("Larkspur").orElseThrow();
    private static final Reading DRAWING =
            new Drawn().rectangle(0, 0, 80, 40).circle(20, 20, 8).reading();

    private static Task<PenChoices> task(PenChoices choices) {
        return new Task<>(
                LARKSPUR,
                MACHINES.book(LARKSPUR),
                DRAWING,
                new Task.Order("paper", 0.1, 2, 0),
                SheetChoices.usual(),
                choices);
    }

    private static Plan plan(PenChoices choices) {
        return PEN.plan(task(choices), Optional.empty(), Progress.NONE);
    }

    private static Dialect format() throws IOException {
        try (InputStream in = new PenMachines().formats().get("larkspur").openStream()) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return DialectLibrary.parse("larkspur", text);
        }
    }

    @Test
    void itsMachineIsKnownByItsFileAlone() {
        assertThat(PEN.does(LARKSPUR)).isTrue();
        assertThat(MACHINES.book(LARKSPUR).materials()).containsExactly("paper");
        assertThat(MachineLibrary.shipped().machines())
                .filteredOn(PEN::does)
                .containsOnly(LARKSPUR);
    }

    @Test
    void itsPlanIsTimedByTheCommonModel() {
        Plan plan = plan(PenChoices.USUAL);
        assertThat(plan.run().stops()).hasSize(4);
        double length =
                plan.run().stops().stream()
                        .flatMap(s -> s.path().orElseThrow().all().stream())
                        .mapToDouble(s -> s.length())
                        .sum();
        assertThat(length).isCloseTo(2 * (240 + 16 * Math.PI), within(1e-6));
        double atSpeed = length / 6000 * 60;
        assertThat(plan.timeline(Progress.NONE).seconds().cutting())
                .as("corners slow it down")
                .isBetween(atSpeed, 1.5 * atSpeed);
    }

    @Test
    void itsProgramIsWrittenAndReadBackByItsFormatAlone() throws IOException {
        Plan plan = plan(PenChoices.USUAL);
        CheckedWriter.Checked checked =
                new CheckedWriter(format())
                        .write(plan.posted().program(), Samples.FRAME, plan.stopNames());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isLessThan(1e-3);
        assertThat(checked.written().text()).contains("M51", "M56", "G03", "M30");
    }

    @Test
    void itsRuleIsRunByTheCommonProver() {
        Prover prover = new Prover(List.of(new OnPaperRule()));
        assertThat(prover.prove(plan(PenChoices.USUAL).proofInput(), Map.of()).findings())
                .isEmpty();
        Prover all = Prover.withAllRules();
        assertThat(all.prove(plan(PenChoices.USUAL).proofInput(), Map.of()).findings())
                .as("rules of other kinds say nothing of it")
                .extracting(Finding::rule)
                .doesNotContain("lead", "slugWay");
    }

    @Test
    void itsValueIsSetByStopByCopyByRecipe() {
        Value<PenChoice> speed = PEN.stopValues().get(0);
        PenChoice slow = speed.put(PenChoice.NOTHING, new Entry("1500", Map.of()));
        PenChoices set = PenChoices.USUAL.withStop("c2.1", slow);
        assertThat(feeds(plan(set))).containsExactly(6000.0, 1500.0, 6000.0, 6000.0);
        Recipe<PenChoice> recipe =
                new Recipe<>("slow circles", new Recipe.Rule("line", null, 20.0), slow);
        assertThat(feeds(plan(PenChoices.USUAL.given(recipe, List.of()))))
                .containsExactly(6000.0, 1500.0, 6000.0, 1500.0);
        Task<PenChoices> task = task(set);
        Plan plan = plan(set);
        Subject<PenChoice> subject = PEN.subjects(task, plan, plan.run().stops()).get(1);
        assertThat(speed.used(subject)).contains("1500");
        assertThat(subject.sources()).containsEntry("speed", Source.HERE);
        assertThatThrownBy(() -> speed.put(slow, new Entry("5", Map.of())))
                .isInstanceOf(FormulaException.class)
                .hasMessage("The speed of the pen is 5; it must lie between 100 and 20000.");
    }

    private static List<Double> feeds(Plan plan) {
        return plan.run().stops().stream().map(s -> s.passes().get(0).feed()).toList();
    }

    @Test
    void whatWasDecidedFollowsTheFeatures() {
        Reading later = new Drawn().circle(20, 20, 8).rectangle(0, 0, 80, 40).reading();
        PenChoices set =
                PenChoices.USUAL
                        .withStop(circle(DRAWING), new PenChoice(Typed.of(900)))
                        .withRun(PenChoices.USUAL.run().withPins(List.of(List.of("c1.1", "c2.1"))));
        Carrying to = new Carrying(DRAWING, later, new ReadingMatch(0.02).match(DRAWING, later));
        PenChoices carried = set.carried(to);
        assertThat(carried.stops()).containsOnlyKeys(circle(later));
        assertThat(carried.run().pins()).hasSize(1);
    }

    private static String circle(Reading reading) {
        return reading.features().stream()
                .filter(f -> f.circleDiameter().isPresent())
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void pinnedStopsStayTogether() {
        PenChoices pinned =
                PenChoices.USUAL.withRun(
                        PenChoices.USUAL.run().withPins(List.of(List.of("c2.2", "c1.1"))));
        List<String> ids = plan(pinned).run().stops().stream().map(Stop::id).toList();
        assertThat(ids.indexOf("c1.1")).isEqualTo(ids.indexOf("c2.2") + 1);
    }
}
