package dev.oleander.drawing.revise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.plan.RunChoices;
import dev.oleander.proof.Finding;
import dev.oleander.quantity.Typed;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Choices of every kind in a new version of the drawing. */
class CarryingTest {

    private static Carrying carrying(Drawn before, Drawn after) {
        Reading old = before.reading();
        Reading now = after.reading();
        return new Carrying(old, now, new ReadingMatch(0.02).match(old, now));
    }

    private static Drawn plate() {
        return new Drawn()
                .rectangle(0, 0, 200, 100)
                .rectangle(20, 20, 40, 30)
                .rectangle(120, 20, 40, 30);
    }

    /** The same with its openings in the other order, each begun at another corner. */
    private static Drawn swapped() {
        return new Drawn()
                .rectangle(0, 0, 200, 100)
                .closed(160, 50, 120, 50, 120, 20, 160, 20)
                .closed(60, 50, 60, 20, 20, 20, 20, 50);
    }

    private static WireChoice leaning(double angle) {
        return WireChoice.NOTHING.withTaper(TaperChoice.NOTHING.withAngle(Typed.of(angle)));
    }

    @Test
    void aTaperStaysWithItsOpening() {
        Carrying to = carrying(plate(), swapped());
        WireChoices choices =
                WireChoices.NOTHING
                        .withStop("c2", leaning(2))
                        .withStop("c3.1", leaning(-1))
                        .withRun(RunChoices.USUAL.inSequence(List.of("c3.1", "c2.1")))
                        .withSets(Typed.of(0.02), List.of("c3"));
        WireChoices carried = choices.carried(to);
        assertThat(carried.stops()).containsOnlyKeys("c3", "c2.1");
        assertThat(carried.stops().get("c3").taper().usualAngle()).isEqualTo(2);
        assertThat(carried.stops().get("c2.1").taper().usualAngle()).isEqualTo(-1);
        assertThat(carried.run().sequence()).containsExactly("c2.1", "c3.1");
        assertThat(carried.sets()).containsExactly("c2");
        assertThat(to.stale()).isEmpty();
    }

    @Test
    void placesStayWhereTheyWereThoughTheContourBeginsElsewhere() {
        Carrying to = carrying(plate(), swapped());
        // at 30, 20 and at 60, 35; it begins at 60, 50 now, and is read anticlockwise
        StopChoice choice =
                StopChoice.NOTHING
                        .withStart(new Typed("5*2", 10))
                        .withTabs(TabChoice.NOTHING.withAt(List.of(Typed.of(55))));
        StopChoice now =
                PlanChoices.defaults().withStop("c2", choice).carried(to).stops().get("c3");
        assertThat(now.start().value()).isCloseTo(40 + 30 + 10, within(1e-9));
        assertThat(now.tabs().at().get(0).value()).isCloseTo(40 + 30 + 40 + 15, within(1e-9));
        RouterChoice milled =
                RouterChoice.NOTHING
                        .with("start", "10")
                        .with("tabs.at", "55 L/4")
                        .with("depth", "5");
        RouterChoice carried =
                RouterChoices.NOTHING.withStop("c2", milled).carried(to).stops().get("c3");
        assertThat(carried.values())
                .containsOnly(
                        entry("start", "80"), entry("tabs.at", "125 L/4"), entry("depth", "5"));
        WireChoice elements =
                WireChoice.NOTHING.withTaper(
                        TaperChoice.NOTHING
                                .withElement(0, Typed.of(1))
                                .withElement(1, Typed.of(2)));
        Map<Integer, Typed> angles =
                WireChoices.NOTHING
                        .withStop("c2", elements)
                        .carried(to)
                        .stops()
                        .get("c3")
                        .taper()
                        .elements();
        assertThat(angles).containsEntry(2, Typed.of(1)).containsEntry(3, Typed.of(2)).hasSize(2);
    }

    @Test
    void whatIsTypedKeepsItsFormulaWhereNothingChanges() {
        Carrying to = carrying(plate(), plate());
        Typed formula = new Typed("5*2", 10);
        StopChoice choice = StopChoice.NOTHING.withStart(formula);
        PlanChoices plan = PlanChoices.defaults().withStop("c2", choice);
        assertThat(plan.carried(to)).isEqualTo(plan);
    }

    @Test
    void whatMovedIsStaleAndItsPlacesMoveWithIt() {
        Drawn moved =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .rectangle(22, 23, 40, 30)
                        .rectangle(120, 20, 40, 30);
        Carrying to = carrying(plate(), moved);
        WireChoice held =
                WireChoice.NOTHING.withEntry(EntryChoice.NOTHING.withHole(new Point(40, 35)));
        WireChoices carried = WireChoices.NOTHING.withStop("c2", held).carried(to);
        Point hole = carried.stops().get("c2").entry().hole();
        assertThat(hole.distance(new Point(42, 38))).isLessThan(1e-9);
        assertThat(to.stale()).containsExactly("c2");
        assertThat(to.isSame("c2.1")).isFalse();
        assertThat(to.isSame("c3.1")).isTrue();
    }

    @Test
    void whatTheElementsWereDecidedForIsStaleWhenTheyAreDividedOtherwise() {
        Drawn divided =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .closed(20, 20, 35, 20, 60, 20, 60, 50, 20, 50)
                        .rectangle(120, 20, 40, 30);
        Carrying to = carrying(plate(), divided);
        WireChoice first =
                WireChoice.NOTHING.withTaper(TaperChoice.NOTHING.withElement(0, Typed.of(1)));
        WireChoices carried = WireChoices.NOTHING.withStop("c2", first).carried(to);
        assertThat(carried.stops().get("c2").taper().elements()).isEmpty();
        assertThat(to.stale()).containsExactly("c2");
    }

    @Test
    void aContourAboveThatIsGoneLeavesTheLowerOneStale() {
        Drawn without = new Drawn().rectangle(0, 0, 200, 100).rectangle(20, 20, 40, 30);
        Carrying to = carrying(plate(), without);
        WireChoice loft =
                WireChoice.NOTHING.withUpper(new UpperChoice("c3", null, List.of(), null));
        WireChoices choices =
                WireChoices.NOTHING
                        .withStop("c2", loft)
                        .withStop("c3", leaning(1))
                        .withRun(RunChoices.USUAL.inSequence(List.of("c3.1", "c2.1")));
        WireChoices carried = choices.carried(to);
        assertThat(carried.stops()).containsOnlyKeys("c2");
        assertThat(carried.stops().get("c2").upper()).isNull();
        assertThat(carried.run().rule()).as("an order of what is gone").isEmpty();
        assertThat(to.stale()).containsExactly("c2");
    }

    @Test
    void aLineDrawnTheOtherWayLeansToTheSameSideAndIsLookedAt() {
        Drawn before = new Drawn().line(0, 0, 80, 0);
        Drawn after = new Drawn().line(80, 0, 0, 0);
        Carrying to = carrying(before, after);
        WireChoice choice = leaning(2).withEntry(EntryChoice.NOTHING.withStart(Typed.of(10)));
        WireChoice now = WireChoices.NOTHING.withStop("c1", choice).carried(to).stops().get("c1");
        assertThat(now.taper().usualAngle()).isEqualTo(-2);
        assertThat(now.entry().anticlockwise()).isFalse();
        assertThat(now.entry().start().value()).isCloseTo(70, within(1e-9));
        assertThat(to.stale()).containsExactly("c1");
    }

    @Test
    void pinsEventsAndGivenRecipesFollow() {
        Carrying to = carrying(plate(), swapped());
        PlanChoices plan =
                PlanChoices.defaults()
                        .withRun(
                                RunChoices.USUAL
                                        .withPins(
                                                List.of(
                                                        List.of("c3.1", "c2.1"),
                                                        List.of("c9.1", "c2.1")))
                                        .inSequence(List.of("c2.1", "c3.1", "c1.1")));
        PlanChoices carried = plan.carried(to);
        assertThat(carried.run().pins()).containsExactly(List.of("c2.1", "c3.1"));
        assertThat(carried.run().sequence()).containsExactly("c3.1", "c2.1", "c1.1");
        assertThat(carried.order()).isEqualTo(OrderRule.BY_HAND);
    }

    /** A contour above that moved leaves the one below stale, and so what was accepted of it. */
    @Test
    void whatWasAcceptedEndsWithAllThatMakesItsFeatureStale() {
        Drawn moved =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .rectangle(20, 20, 40, 30)
                        .rectangle(122, 20, 40, 30);
        Carrying to = carrying(plate(), moved);
        WireChoice loft =
                WireChoice.NOTHING.withUpper(new UpperChoice("c3", null, List.of(), null));
        WireChoices.NOTHING.withStop("c2", loft).carried(to);
        assertThat(Finding.carried(Map.of("web:c2.1:1.5", "seen"), to)).isEmpty();
    }

    @Test
    void whatWasAcceptedHoldsForTheSameStopOnly() {
        Carrying same = carrying(plate(), swapped());
        Map<String, String> accepted = Map.of("web:c2.1:1.5", "seen", "sheet:10,20:3", "kept");
        assertThat(Finding.carried(accepted, same))
                .isEqualTo(Map.of("web:c3.1:1.5", "seen", "sheet:10,20:3", "kept"));
        Drawn moved =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .rectangle(22, 20, 40, 30)
                        .rectangle(120, 20, 40, 30);
        assertThat(Finding.carried(accepted, carrying(plate(), moved)))
                .containsOnlyKeys("sheet:10,20:3");
    }
}
