package dev.oleander.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Side;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChoicesTest {

    private static StopChoice overRun(double mm) {
        return StopChoice.NOTHING.withOverRun(Typed.of(mm));
    }

    @Test
    void aCopysChoiceStandsBeforeThatOfItsFeature() {
        PlanChoices plan =
                PlanChoices.defaults()
                        .withStop("c3", overRun(1).withQuality("fine"))
                        .withStop("c3.2", overRun(2));
        assertThat(plan.of("c3", 1).overRun().value()).isEqualTo(1);
        assertThat(plan.of("c3", 2).overRun().value()).isEqualTo(2);
        assertThat(plan.of("c3", 2).quality()).isEqualTo("fine");
        assertThat(plan.of("c4", 1).isNothing()).isTrue();
    }

    @Test
    void leadsAreLayeredValueByValue() {
        LeadChoice form = LeadChoice.NOTHING.withKind(LeadKind.LINE).withAngle(Typed.of(45));
        LeadChoice size = LeadChoice.NOTHING.withLength(Typed.of(3)).withAngle(Typed.of(60));
        StopChoice both =
                StopChoice.NOTHING
                        .withLeadIn(size)
                        .over(StopChoice.NOTHING.withLeadIn(form).withSide(Side.ON));
        assertThat(both.leadIn().kind()).isEqualTo(LeadKind.LINE);
        assertThat(both.leadIn().length().value()).isEqualTo(3);
        assertThat(both.leadIn().angle().value()).isEqualTo(60);
        assertThat(both.side()).isEqualTo(Side.ON);
    }

    @Test
    void aChoiceOfNothingLeavesNoTrace() {
        PlanChoices plan = PlanChoices.defaults().withStop("c1", overRun(1));
        assertThat(plan.withStop("c1", StopChoice.NOTHING)).isEqualTo(PlanChoices.defaults());
        assertThat(LeadChoice.NOTHING.withKind(LeadKind.ARC).isNothing()).isFalse();
    }

    @Test
    void formsOfLeadsHaveWords() {
        for (LeadKind kind : LeadKind.values()) {
            assertThat(LeadKind.ofWord(kind.word())).contains(kind);
        }
        assertThat(LeadKind.ofWord("LINE")).isEmpty();
        assertThat(LeadKind.LINE_ARC.hasArc() && LeadKind.LINE_ARC.hasLine()).isTrue();
        assertThat(Lead.arc(4, 90).scaled(0.5)).isEqualTo(Lead.arc(2, 90));
    }

    @Test
    void aCutPathGoesThroughItsStretchesInOrder() {
        Line in = new Line(new Point(0, 5), new Point(0, 0));
        Line round = new Line(new Point(0, 0), new Point(10, 0));
        Line out = new Line(new Point(10, 0), new Point(12, 3));
        CutPath path = new CutPath(List.of(in), List.of(round), List.of(), List.of(out));
        assertThat(path.pierce()).isEqualTo(new Point(0, 5));
        assertThat(path.start()).isEqualTo(new Point(0, 0));
        assertThat(path.end()).isEqualTo(new Point(12, 3));
        assertThat(path.all()).containsExactly(in, round, out);
        CutPath moved = path.transformed(Transform.translation(new Point(100, 0)));
        assertThat(moved.end().x()).isCloseTo(112, within(1e-12));
        assertThat(moved.overRun()).isEmpty();
        CutPath bare = new CutPath(List.of(), List.of(round), List.of(), List.of());
        assertThat(bare.pierce()).isEqualTo(bare.start());
    }
}
