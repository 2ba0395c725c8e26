package dev.oleander.work.sheet.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Turns;
import dev.oleander.machine.Machine;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.Tab;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Source;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.choice.CornerForm;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Tabs, corners, passes, recipes, and where the head stays down. */
class WaysToCutTest {

    private static final Reading PLATE =
            new Drawn().rectangle(0, 0, 200, 120).circle(50, 60, 10).circle(90, 60, 3).reading();

    private static Run plan(
            String machine, double thickness, Reading reading, PlanChoices choices) {
        Machine known = Samples.MACHINES.find(machine).orElseThrow();
        return new SheetPlanner(known, (CutBook) Samples.MACHINES.book(known))
                .plan(
                        reading,
                        new SheetPlanner.Order("mild steel", thickness, 1),
                        choices,
                        SheetChoices.defaults());
    }

    private static Stop outline(PlanChoices choices) {
        return plan("teasel", 6, PLATE, choices).stop("c1.1").orElseThrow();
    }

    private static PlanChoices outlineWith(StopChoice choice) {
        return PlanChoices.defaults().withStop("c1", choice);
    }

    private static StopChoice tabs(TabChoice tabs) {
        return StopChoice.NOTHING.withTabs(tabs);
    }

    @Test
    void tabsAreSpreadEvenlyOnStraightElementsAwayFromCorners() {
        Stop stop = outline(outlineWith(tabs(TabChoice.NOTHING.withCount(Typed.of(4)))));
        assertThat(stop.tabs()).hasSize(4);
        Path main = new Path(stop.path().orElseThrow().main());
        double[] corners = corners(main);
        for (Tab tab : stop.tabs()) {
            assertThat(tab.to() - tab.from()).isCloseTo(0.4 + 0.26, within(1e-9));
            for (double corner : corners) {
                assertThat(corner < tab.from() - 2.9 || corner > tab.to() + 2.9).isTrue();
            }
        }
        assertThat(stop.tabs().get(1).from() - stop.tabs().get(0).from())
                .isCloseTo(main.length() / 4, within(25.0));
        assertThat(stop.remarks()).isEmpty();
    }

    private static double[] corners(Path main) {
        double along = 0;
        double[] corners = new double[main.segments().size()];
        for (int i = 0; i < corners.length; i++) {
            corners[i] = along;
            along += main.segments().get(i).length();
        }
        return IntStream.range(1, corners.length)
                .filter(i -> Turns.degrees(main.segments().get(i - 1), main.segments().get(i)) > 20)
                .mapToDouble(i -> corners[i])
                .toArray();
    }

    @Test
    void tabsOfARoundPartLieAllRoundIt() {
        Reading disc = new Drawn().circle(0, 0, 60).reading();
        PlanChoices three = outlineWith(tabs(TabChoice.NOTHING.withCount(Typed.of(3))));
        Stop stop = plan("teasel", 6, disc, three).stop("c1.1").orElseThrow();
        assertThat(stop.tabs()).hasSize(3);
        double third = 2 * Math.PI * 60.13 / 3;
        assertThat(stop.tabs().get(1).from() - stop.tabs().get(0).from())
                .isCloseTo(third, within(1.0));
        assertThat(stop.tabs().get(2).from() - stop.tabs().get(1).from())
                .isCloseTo(third, within(1.0));
    }

    @Test
    void aTabIsPutWhereAPersonPointed() {
        Typed middle = Typed.of(100);
        Run run =
                plan(
                        "teasel",
                        6,
                        PLATE,
                        outlineWith(tabs(TabChoice.NOTHING.withAt(List.of(middle)))));
        Stop stop = run.stop("c1.1").orElseThrow();
        assertThat(stop.tabs()).hasSize(1);
        Tab tab = stop.tabs().get(0);
        Path main = new Path(stop.path().orElseThrow().main());
        Point place = main.stationAt((tab.from() + tab.to()) / 2).point();
        Point drawn = PLATE.byId().get("c1").contour().stationAt(100).point();
        Point wanted = run.layout().placements().get(0).transform().apply(drawn);
        assertThat(place.distance(wanted)).isCloseTo(0.13, within(1e-6));
    }

    @Test
    void tabsWithoutRoomAreCountedInARemark() {
        Stop stop = outline(outlineWith(tabs(TabChoice.NOTHING.withCount(Typed.of(900)))));
        assertThat(stop.tabs().size()).isLessThan(900);
        assertThat(stop.remarks()).singleElement().asString().contains("Of 900 tabs");
    }

    @Test
    void smallPartsGetTabsBySizeUnlessNoneAreWanted() {
        Reading small = new Drawn().rectangle(0, 0, 40, 30).reading();
        assertThat(plan("teasel", 6, small, PlanChoices.defaults()).stops().get(0).tabs())
                .hasSize(2);
        assertThat(outline(PlanChoices.defaults()).tabs()).isEmpty();
        PlanChoices none = outlineWith(tabs(TabChoice.NOTHING.withCount(Typed.of(0))));
        assertThat(plan("teasel", 6, small, none).stops().get(0).tabs()).isEmpty();
    }

    @Test
    void overATabTheProcessIsOffAndOnThickStockTheHeadLifts() {
        PlanChoices two = outlineWith(tabs(TabChoice.NOTHING.withCount(Typed.of(2))));
        for (double thickness : new double[] {6, 12}) {
            Run run = plan("teasel", thickness, PLATE, two);
            Stop stop = run.stop("c1.1").orElseThrow();
            Program program = new ProgramCompiler().compile(run);
            double off =
                    program.items().stream()
                            .filter(i -> i instanceof Item.Feed f && !f.on())
                            .mapToDouble(i -> ((Item.Feed) i).segment().length())
                            .sum();
            double kerf = SheetCut.of(stop).row().orElseThrow().kerf();
            assertThat(off).isCloseTo(2 * (0.4 + kerf), within(1e-6));
            long pierces = count(program, stop, EventKind.PIERCE);
            assertThat(pierces).isEqualTo(3);
            assertThat(count(program, stop, EventKind.HEAD_UP)).isEqualTo(thickness > 10 ? 3 : 1);
        }
    }

    private static long count(Program program, Stop stop, EventKind kind) {
        return program.items().stream()
                .filter(i -> i instanceof Item.Event e && e.kind() == kind)
                .filter(i -> i.origin().stop().equals(stop.id()))
                .count();
    }

    @Test
    void cornersAreRoundedSharpOrLooped() {
        double round = length(outlineWith(StopChoice.NOTHING));
        double sharp = length(outlineWith(StopChoice.NOTHING.withCorners(CornerForm.SHARP)));
        double kerf = 0.26;
        assertThat(round).isCloseTo(640 + Math.PI * kerf, within(1e-6));
        assertThat(sharp).isCloseTo(640 + 4 * kerf, within(1e-6));
        Stop looped = outline(outlineWith(StopChoice.NOTHING.withCorners(CornerForm.LOOP)));
        double radius = SheetCut.of(looped).row().orElseThrow().lead() / 2;
        assertThat(new Path(looped.path().orElseThrow().main()).length())
                .isCloseTo(sharp + 4 * (2 * radius + 1.5 * Math.PI * radius), within(1e-6));
        assertThat(Samples.prove(PLATE, plan("teasel", 6, PLATE, loops())).open())
                .noneMatch(f -> f.rule().equals("gouge"));
    }

    private static PlanChoices loops() {
        return outlineWith(StopChoice.NOTHING.withCorners(CornerForm.LOOP));
    }

    private static double length(PlanChoices choices) {
        return new Path(outline(choices).path().orElseThrow().main()).length();
    }

    @Test
    void theFeedIsLessNearCorners() {
        Run run = plan("sorrel", 10, PLATE, PlanChoices.defaults());
        Stop stop = run.stop("c1.1").orElseThrow();
        double full = SheetCut.of(stop).row().orElseThrow().feed();
        double slow = SheetCut.of(stop).row().orElseThrow().corner().share() * full;
        double within = SheetCut.of(stop).row().orElseThrow().corner().within();
        double slowed =
                new ProgramCompiler()
                        .compile(run).items().stream()
                                .filter(i -> i instanceof Item.Feed)
                                .map(i -> (Item.Feed) i)
                                .filter(f -> f.origin().stop().equals("c1.1") && f.feed() < full)
                                .peek(f -> assertThat(f.feed()).isCloseTo(slow, within(1e-9)))
                                .mapToDouble(f -> f.segment().length())
                                .sum();
        double kerf = SheetCut.of(stop).row().orElseThrow().kerf();
        assertThat(slowed).isCloseTo(4 * (2 * within + Math.PI * kerf / 4), within(1e-6));
    }

    @Test
    void aFilmIsBurntOffFirstAndThickSoftStockIsCutInSeveralPasses() {
        StopChoice choice = StopChoice.NOTHING.withFilm(true).withPasses(Typed.of(3));
        Run run = plan("teasel", 6, PLATE, outlineWith(choice));
        Stop stop = run.stop("c1.1").orElseThrow();
        assertThat(stop.passes()).hasSize(4);
        assertThat(stop.passes().get(0).feed())
                .isEqualTo(SheetCut.of(stop).row().orElseThrow().markFeed());
        Program program = new ProgramCompiler().compile(run);
        assertThat(count(program, stop, EventKind.MARK_ON)).isEqualTo(1);
        assertThat(count(program, stop, EventKind.PIERCE)).isEqualTo(3);
        assertThat(count(program, stop, EventKind.PROCESS_OFF)).isEqualTo(4);
    }

    @Test
    void recipesDecideWhereNothingIsSetHere() {
        StopChoice line =
                StopChoice.NOTHING
                        .withLeadIn(LeadChoice.NOTHING.withKind(LeadKind.LINE))
                        .withOverRun(Typed.of(2));
        Recipe<StopChoice> holes = new Recipe<>("small", new Recipe.Rule("hole", null, 8.0), line);
        PlanChoices choices =
                PlanChoices.defaults()
                        .withRecipes(List.of(holes))
                        .withStop("c3", StopChoice.NOTHING.withOverRun(Typed.of(0.3)));
        Run run = plan("teasel", 6, PLATE, choices);
        Stop small = run.stop("c3.1").orElseThrow();
        assertThat(small.leadIn().kind()).isEqualTo(LeadKind.LINE);
        assertThat(small.sources()).containsEntry("leadIn", Source.RECIPE);
        assertThat(small.overRun()).isEqualTo(0.3);
        assertThat(small.sources()).containsEntry("overRun", Source.HERE);
        Stop large = run.stop("c2.1").orElseThrow();
        assertThat(large.leadIn().kind()).isEqualTo(LeadKind.ARC);
        assertThat(large.overRun()).isEqualTo(SheetCut.of(large).row().orElseThrow().overRun());
    }

    @Test
    void partsOfMirroredCopiesStillLieOnTheSameSideOfTheTravel() {
        SheetChoices usual = SheetChoices.defaults();
        SheetChoices mirrored =
                usual.withGrid(new SheetChoices.Grid(Typed.of(0), null, null, null, null, true));
        Run run =
                Samples.plan(
                        PLATE,
                        new SheetPlanner.Order("mild steel", 6, 2),
                        PlanChoices.defaults(),
                        mirrored);
        assertThat(run.stops().stream().filter(s -> s.name().equals("Outline")))
                .hasSize(2)
                .noneMatch(Stop::anticlockwise)
                .allSatisfy(s -> assertThat(turns(s)).isNegative());
    }

    private static double turns(Stop stop) {
        double area = 0;
        for (Segment s : stop.path().orElseThrow().main()) {
            area += s.start().cross(s.end());
        }
        return area;
    }
}
