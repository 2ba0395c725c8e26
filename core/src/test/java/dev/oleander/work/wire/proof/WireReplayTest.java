package dev.oleander.work.wire.proof;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.ReadBack;
import dev.oleander.drawing.read.Reading;
import dev.oleander.motion.Program;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.choice.CornerTaper;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSamples;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is written for the wire's controller moves the wire as planned. */
class WireReplayTest {

    private static final Dialect BRACKEN = DialectLibrary.shipped().find("bracken").orElseThrow();

    /** A plate with an opening whose corners are round, a sharp one, a circle and a slot. */
    private static Reading plate() {
        Drawn drawn = new Drawn().rectangle(-15, -15, 130, 100).circle(80, 20, 9);
        drawn.closed(10, 50, 40, 50, 25, 76);
        double b = Math.tan(Math.PI / 8);
        drawn.line(5, 0, 35, 0).arc(35, 0, 40, 5, b).line(40, 5, 40, 25).arc(40, 25, 35, 30, b);
        drawn.line(35, 30, 25, 30).arc(25, 30, 22, 27, b).arc(22, 27, 18, 27, -1);
        drawn.arc(18, 27, 15, 30, b).line(15, 30, 5, 30).arc(5, 30, 0, 25, b);
        drawn.line(0, 25, 0, 5).arc(0, 5, 5, 0, b);
        return drawn.reading();
    }

    private static WireReplay.Result replayed(WirePlan plan) {
        assertThat(plan.run().refused()).isEmpty();
        WireMotion motion = WireMotion.of(plan);
        CheckedWriter.Checked checked =
                new CheckedWriter(BRACKEN).write(motion.posted(), Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
        ReadBack read = new DialectReader(BRACKEN).read(checked.written().text());
        assertThat(read.problems()).isEmpty();
        return compare(plan, motion, read.program());
    }

    private static WireReplay.Result compare(WirePlan plan, WireMotion motion, Program read) {
        return WireReplay.compare(motion.wire(), read, plan.registers(), plan.task().height());
    }

    private static void assertRunsAsPlanned(WireChoices choices) {
        WireReplay.Result result = replayed(WireSamples.plan(plate(), 40, choices));
        assertThat(result.faults()).isEmpty();
        assertThat(result.deviation()).isBetween(1e-7, 1e-3);
    }

    private static WireChoice taper(double angle) {
        return WireChoice.NOTHING.withTaper(TaperChoice.NOTHING.withAngle(Typed.of(angle)));
    }

    @Test
    void uprightPassesInEveryOrder() {
        for (WireOrder order : List.of(WireOrder.ONE_AT_A_TIME, WireOrder.PASS_BY_PASS)) {
            assertRunsAsPlanned(WireChoices.NOTHING.withOrder(order));
        }
        assertRunsAsPlanned(WireChoices.NOTHING);
    }

    @Test
    void leadsOnArcsAndAtRightAngles() {
        for (WireLead lead : WireLead.values()) {
            WireChoice choice =
                    WireChoice.NOTHING.withEntry(WireChoice.NOTHING.entry().withLead(lead));
            assertRunsAsPlanned(WireChoices.NOTHING.withAll(choice));
        }
    }

    @Test
    void leaningFlanksOfEitherSign() {
        assertRunsAsPlanned(WireChoices.NOTHING.withAll(taper(1.5)));
        assertRunsAsPlanned(WireChoices.NOTHING.withAll(taper(-1)));
    }

    @Test
    void cornersThatKeepTheirRadius() {
        TaperChoice cylindrical =
                TaperChoice.NOTHING.withAngle(Typed.of(2)).withCorners(CornerTaper.CYLINDRICAL);
        assertRunsAsPlanned(WireChoices.NOTHING.withAll(WireChoice.NOTHING.withTaper(cylindrical)));
    }

    @Test
    void aLandWithReliefBelowIt() {
        TaperChoice relief = TaperChoice.NOTHING.withAngle(Typed.of(-1)).withLand(Typed.of(8));
        assertRunsAsPlanned(WireChoices.NOTHING.withAll(WireChoice.NOTHING.withTaper(relief)));
    }

    @Test
    void aTaperTheWrongWayRoundIsFound() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING.withAll(taper(1.5)));
        WireMotion motion = WireMotion.of(plan);
        String text =
                new CheckedWriter(BRACKEN)
                        .write(motion.posted(), Samples.FRAME, Map.of())
                        .written()
                        .text();
        String wrong = text.replaceFirst("G51", "G52");
        assertThat(wrong).isNotEqualTo(text);
        Program read = new DialectReader(BRACKEN).read(wrong).program();
        assertThat(compare(plan, motion, read).deviation()).isGreaterThan(1);
        Program side = new DialectReader(BRACKEN).read(text.replaceFirst("G41", "G42")).program();
        assertThat(compare(plan, motion, side).deviation()).isGreaterThan(0.2);
        Program register =
                new DialectReader(BRACKEN).read(text.replaceFirst("D21", "D91")).program();
        assertThat(compare(plan, motion, register).faults())
                .singleElement()
                .asString()
                .contains("register D91 is empty");
    }
}
