package dev.oleander.machine;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.drawing.read.Reading;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every machine cuts the same drawing in its own way. */
class MachinesTest {

    private static Run plan(Machine machine, Reading reading, String material) {
        return new SheetPlanner(machine, (CutBook) Samples.MACHINES.book(machine))
                .plan(
                        reading,
                        new SheetPlanner.Order(material, 10, 2),
                        PlanChoices.defaults(),
                        SheetChoices.defaults());
    }

    private static Machine machine(String id) {
        return Samples.MACHINES.find(id).orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"teasel", "sorrel", "yarrow"})
    void itsProgramIsReadBackAsItWasPlanned(String id) {
        Machine machine = machine(id);
        Dialect dialect = DialectLibrary.shipped().find(machine.dialect()).orElseThrow();
        for (String sample : List.of("cleat_backing_plate", "sheave_cheek_plate")) {
            Run run = plan(machine, Samples.reading(sample), "mild steel");
            assertThat(run.stops()).isNotEmpty();
            Timeline timeline = new TimeModel(machine).time(new ProgramCompiler().compile(run));
            CheckedWriter.Checked checked =
                    new CheckedWriter(dialect).write(timeline.program(), Samples.FRAME, Map.of());
            assertThat(checked.isTrue()).as("%s on %s", sample, id).isTrue();
        }
    }

    @ParameterizedTest
    @CsvSource({"teasel, 0.3, 20", "sorrel, 2.2, 20", "yarrow, 1.1, 20"})
    void itsKerfAndItsSpeedAreItsOwn(String id, double kerf, double least) {
        Run run = plan(machine(id), Samples.reading("cleat_backing_plate"), "mild steel");
        assertThat(run.stops()).allMatch(s -> SheetCut.of(s).row().orElseThrow().kerf() == kerf);
        assertThat(run.stops())
                .allMatch(
                        s ->
                                s.passes().get(0).offset() == kerf / 2
                                        && s.passes().get(0).feed() > least);
    }

    @ParameterizedTest
    @CsvSource({"sorrel, yarrow", "teasel, yarrow"})
    void waterIsSlowest(String quicker, String slower) {
        Reading reading = Samples.reading("cleat_backing_plate");
        double[] seconds =
                List.of(quicker, slower).stream()
                        .mapToDouble(
                                id -> {
                                    Machine m = machine(id);
                                    Run run = plan(m, reading, "stainless");
                                    return new TimeModel(m)
                                            .time(new ProgramCompiler().compile(run))
                                            .total();
                                })
                        .toArray();
        assertThat(seconds[1]).isGreaterThan(1.1 * seconds[0]);
    }
}
