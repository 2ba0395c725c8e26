package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Axis;
import dev.oleander.machine.Machine;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import dev.oleander.motion.TimeModel;
import dev.oleander.plan.Run;
import dev.oleander.work.sheet.proof.SheetProof;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class AxisRuleTest {

    private static final Axis Z = new Axis(Axis.Name.Z, -60, 120, 6000, 1500, 2);
    private static final Axis ROTARY = new Axis(Axis.Name.ROTARY, -360, 360, 7200, 600, 5);
    private static final Machine DEEP = Samples.TEASEL.with(List.of(Z, ROTARY));
    private static final Reading PLATE = new Drawn().rectangle(0, 0, 80, 50).reading();

    /** What the rule says of a plan whose program also makes some plunges at its first stop. */
    private static List<Finding> findings(Machine machine, Rise... rises) {
        Run flat = Samples.plan(PLATE, "mild steel", 3, 1);
        Run run =
                new Run(
                        machine,
                        flat.order(),
                        flat.layout(),
                        flat.stops(),
                        flat.events(),
                        flat.drilled());
        List<Item> items = new ArrayList<>(Samples.time(flat).program().items());
        Origin first = new Origin(run.stops().get(0).id(), 1, 0);
        for (Rise rise : rises) {
            items.add(new Item.Plunge(Point.ORIGIN, rise, 600, true, first));
        }
        Machine free = Samples.TEASEL.with(List.of(Z, ROTARY));
        ProofInput input =
                SheetProof.input(PLATE, run, new TimeModel(free).time(new Program(items)));
        return Prover.withAllRules().prove(input, Map.of()).findings().stream()
                .filter(f -> f.rule().equals("axis"))
                .toList();
    }

    @Test
    void whatLiesWithinReachIsNotToldOf() {
        assertThat(findings(DEEP)).isEmpty();
        assertThat(findings(DEEP, down(0, -60), down(-60, 120))).isEmpty();
        assertThat(findings(Samples.TEASEL)).isEmpty();
    }

    @Test
    void theFurthestBeyondIsToldOnceForEachStopAndAxis() {
        List<Finding> told =
                findings(
                        DEEP,
                        down(0, -61),
                        down(-61, -64),
                        new Rise(new Pose(0, 0), new Pose(0, 365)));
        assertThat(told)
                .extracting(Finding::sentence)
                .containsExactlyInAnyOrder(
                        "Stop 1 (Outline) goes to Z -64 mm; Teasel reaches -60 mm.",
                        "Stop 1 (Outline) goes to rotary axis 365 °; Teasel reaches 360 °.");
        assertThat(told).allMatch(f -> f.severity() == Severity.MUST_FIX);
        assertThat(told).extracting(Finding::value).contains(-64.0, 365.0);
    }

    @Test
    void aMachineWithoutTheAxisIsNamed() {
        assertThat(findings(Samples.TEASEL, down(0, -3)))
                .extracting(Finding::sentence)
                .containsExactly("Stop 1 (Outline) goes to Z -3 mm; Teasel has no such axis.");
    }

    private static Rise down(double from, double to) {
        return new Rise(Pose.at(from), Pose.at(to));
    }
}
