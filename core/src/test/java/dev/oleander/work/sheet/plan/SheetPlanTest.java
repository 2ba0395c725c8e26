package dev.oleander.work.sheet.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlan.Candidate;
import java.util.Comparator;
import java.util.List;
import java.util.NoSuchElementException;
import org.junit.jupiter.api.Test;

/** What a plan answers about leads, and what it says of those set by hand. */
class SheetPlanTest {

    /** Two plates, 3 mm apart. */
    private static final Reading TWO =
            new Drawn().rectangle(0, 0, 120, 60).rectangle(0, 63, 120, 60).reading();

    private static SheetPlan plan(PlanChoices choices) {
        return new SheetPlanner(Samples.TEASEL, Samples.BOOK)
                .plan(
                        TWO,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        choices,
                        SheetChoices.defaults(),
                        Progress.NONE);
    }

    private static Stop planned(StopChoice choice) {
        return plan(PlanChoices.defaults().withStop("c1", choice)).run().stop("c1.1").orElseThrow();
    }

    @Test
    void theLeadInUseIsTheOneWorthMost() {
        SheetPlan plan = plan(PlanChoices.defaults());
        List<Candidate> candidates = plan.candidates("c1.1");
        Candidate best =
                candidates.stream()
                        .filter(Candidate::fits)
                        .max(Comparator.comparingDouble(Candidate::worth))
                        .orElseThrow();
        Point pierce = plan.run().stop("c1.1").orElseThrow().path().orElseThrow().pierce();
        assertThat(best.lead().get(0).start().distance(pierce)).isLessThan(1e-9);
        for (Candidate c : candidates) {
            assertThat(c.worth())
                    .isCloseTo(
                            4 * c.room() + c.straight() + 0.3 * c.near() + 0.2 * c.slats(),
                            within(1e-12));
            assertThat(c.against().isEmpty()).isEqualTo(c.fits());
        }
    }

    @Test
    void unknownStopsHaveNoCandidates() {
        SheetPlan plan = plan(PlanChoices.defaults());
        assertThatThrownBy(() -> plan.candidates("c9.1"))
                .isInstanceOf(NoSuchElementException.class);
        assertThatThrownBy(() -> plan.trial("c9.1", 1)).isInstanceOf(NoSuchElementException.class);
    }

    @Test
    void aLeadDraggedIntoTheNarrowGapIsMadeToFitAndSaysSo() {
        // the gap lies along the upper edge of the first plate, from 180 to 300 mm
        Stop there = plan(PlanChoices.defaults()).trial("c1.1", 240);
        assertThat(there.path()).isPresent();
        assertThat(there.remarks())
                .singleElement()
                .asString()
                .startsWith("The lead-in was ")
                .contains("as set it would come within", "of ");
        Stop kept = planned(StopChoice.NOTHING.withStart(Typed.of(240)));
        assertThat(kept.path()).isEqualTo(there.path());
        assertThat(kept.remarks()).isEqualTo(there.remarks());
    }

    @Test
    void whereThereIsRoomNothingIsChanged() {
        Stop there = plan(PlanChoices.defaults()).trial("c1.1", 60);
        assertThat(there.remarks()).isEmpty();
        assertThat(there.leadIn()).isEqualTo(planned(StopChoice.NOTHING).leadIn());
        assertThat(SheetCut.of(there).startAt()).isCloseTo(60, within(1e-6));
    }

    @Test
    void whatAPersonSetOfALeadIsNotChanged() {
        LeadChoice fixed = new LeadChoice(LeadKind.LINE, Typed.of(8), Typed.of(90), null);
        Stop moved = planned(StopChoice.NOTHING.withLeadIn(fixed).withStart(Typed.of(240)));
        assertThat(moved.leadIn().length()).isEqualTo(8);
        assertThat(moved.leadIn().angle()).isEqualTo(90);
        assertThat(moved.remarks()).singleElement().asString().contains("moved by");
        Stop nowhere =
                planned(
                        StopChoice.NOTHING.withLeadIn(
                                new LeadChoice(LeadKind.LINE, Typed.of(2000), Typed.of(90), null)));
        assertThat(nowhere.refusalSentence())
                .hasValueSatisfying(
                        s -> assertThat(s).contains("no place for its lead-in of 2000 mm that"));
    }

    @Test
    void settingALeadDoesNotShuffleTheOrder() {
        List<String> before = ids(plan(PlanChoices.defaults()));
        StopChoice far = StopChoice.NOTHING.withStart(Typed.of(100));
        assertThat(ids(plan(PlanChoices.defaults().withStop("c1", far)))).isEqualTo(before);
    }

    private static List<String> ids(SheetPlan plan) {
        return plan.run().stops().stream().map(Stop::id).toList();
    }
}
