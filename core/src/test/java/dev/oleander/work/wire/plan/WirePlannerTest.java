package dev.oleander.work.wire.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.fit.FlatShapes;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Source;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.choice.CopyChoice;
import dev.oleander.work.wire.choice.EntryChoice;
import dev.oleander.work.wire.choice.PassChoice;
import dev.oleander.work.wire.choice.SlugChoice;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.choice.WireOrder;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireCut.Role;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.motion.WireMotion;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.union.UnaryUnionOp;

/** Holes, passes, holds, orders and what is refused. */
class WirePlannerTest {

    /** A plate with a rectangle and a circle in it. */
    private static Reading plate() {
        return new Drawn()
                .rectangle(0, 0, 120, 80)
                .rectangle(20, 20, 30, 24)
                .circle(85, 40, 12)
                .reading();
    }

    private static List<String> names(WirePlan plan) {
        return plan.run().stops().stream().map(Stop::name).toList();
    }

    private static WireChoices ordered(WireOrder order) {
        return WireChoices.NOTHING.withOrder(order);
    }

    private static List<Role> roles(WirePlan plan, String stop) {
        return plan.visit(stop).orElseThrow().cuts().stream().map(WireCut::role).toList();
    }

    // ---- passes

    @Test
    void offsetsRegistersAndFeedsAreThoseOfTheBook() {
        WirePlan plan = WireSamples.plan(plate(), 40, ordered(WireOrder.ONE_AT_A_TIME));
        WireRow row = WireSamples.BOOK.find("brass 0.25", "tool steel", 40, "good");
        assertThat(row.offset(1)).isEqualTo(0.125 + 0.040 + 0.040, within(1e-12));
        assertThat(row.offset(4)).isEqualTo(0.134, within(1e-12));
        for (Stop stop : plan.run().stops()) {
            for (WireCut cut : plan.visit(stop.id()).orElseThrow().cuts()) {
                assertThat(cut.offset()).isEqualTo(row.offset(cut.pass()));
                assertThat(cut.register()).isEqualTo(row.passes().get(cut.pass() - 1).register());
                assertThat(cut.feed()).isEqualTo(row.feed(cut.pass()));
                assertEveryPlaceAtItsOffset(cut);
            }
        }
        assertThat(plan.registers()).hasSize(4).containsEntry(21, row.offset(1));
    }

    /** By distances to the drawn line, not by how the way was made. */
    private static void assertEveryPlaceAtItsOffset(WireCut cut) {
        for (Ruling ruling : cut.way()) {
            for (double t = 0; t <= 1; t += 0.1) {
                Point p = ruling.lower().at(t);
                double d = cut.profile().stream().mapToDouble(s -> s.distance(p)).min().orElse(0);
                assertThat(d).isCloseTo(cut.offset(), within(1e-9));
            }
        }
    }

    @Test
    void skimsRunToAndFroOrAllTheSameWay() {
        WirePlan alternate = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        List<WireCut> cuts = visit(alternate, "Rectangle", WireVisit.Role.MAIN).cuts();
        assertThat(cuts).extracting(WireCut::wireLeft).containsExactly(true, false, true, false);
        WireChoice same = WireChoice.NOTHING.withPasses(PassChoice.NOTHING.withAlternate(false));
        WirePlan plan = WireSamples.plan(plate(), 40, WireSamples.all(same));
        WireVisit visit = visit(plan, "Rectangle", WireVisit.Role.MAIN);
        assertThat(visit.cuts()).extracting(WireCut::wireLeft).containsOnly(true);
        assertThat(visit.steps().stream().filter(WireVisit.Thread.class::isInstance))
                .as("to begin again from the hole it is threaded anew")
                .hasSize(4);
    }

    private static WireVisit visit(WirePlan plan, String name, WireVisit.Role role) {
        return plan.run().stops().stream()
                .filter(s -> s.name().startsWith(name))
                .map(s -> plan.visit(s.id()).orElseThrow())
                .filter(v -> v.role() == role)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void betweenPassesTheWireBacksOffAtRightAngles() {
        WireChoice choice =
                WireChoice.NOTHING.withEntry(EntryChoice.NOTHING.withBackOff(Typed.of(0.8)));
        WirePlan plan = WireSamples.plan(plate(), 40, WireSamples.all(choice));
        WireCut rough = visit(plan, "Rectangle", WireVisit.Role.MAIN).cuts().get(0);
        Point away = rough.off().orElseThrow().minus(rough.end());
        Point along = rough.profile().get(rough.profile().size() - 1).direction(1);
        assertThat(away.dot(along)).isCloseTo(0, within(1e-9));
        assertThat(away.norm()).isCloseTo(0.8, within(1e-9));
    }

    // ---- holds

    @Test
    void aHoldIsLeftBeforeTheStartAndCutOffBackwards() {
        WireChoice choice = WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withHold(Typed.of(3)));
        WirePlan plan = WireSamples.plan(plate(), 40, WireSamples.all(choice));
        WireVisit main = visit(plan, "Rectangle", WireVisit.Role.MAIN);
        double open = main.cuts().get(0).profile().stream().mapToDouble(s -> s.length()).sum();
        assertThat(open).isCloseTo(108 - 3, within(1e-9));
        assertThat(main.frees()).isFalse();
        assertThat(main.waits()).isFalse();
        WireVisit off = visit(plan, "Rectangle", WireVisit.Role.END);
        assertThat(off.frees()).isTrue();
        assertThat(off.waits()).isTrue();
        WireCut cut = off.cuts().get(0);
        assertThat(cut.role()).isEqualTo(Role.CUT_OFF);
        assertThat(cut.profile().stream().mapToDouble(s -> s.length()).sum())
                .isCloseTo(3, within(1e-9));
        assertThat(cut.profile().get(0).start())
                .as("it begins where the rough cut began")
                .isEqualTo(main.cuts().get(0).profile().get(0).start());
        assertThat(cut.profile().get(0).direction(0))
                .isNotEqualTo(main.cuts().get(0).profile().get(0).direction(0));
        assertThat(off.cuts()).extracting(WireCut::role).contains(Role.OFF_SKIM);
    }

    @Test
    void severalHoldsInterruptTheRoughCut() {
        SlugChoice slug =
                SlugChoice.NOTHING
                        .withHandling(SlugHandling.HOLDS)
                        .withCount(Typed.of(3))
                        .withHold(Typed.of(2));
        WirePlan plan =
                WireSamples.plan(plate(), 40, WireSamples.all(WireChoice.NOTHING.withSlug(slug)));
        WireVisit main = visit(plan, "Rectangle", WireVisit.Role.MAIN);
        List<WireCut> rough = main.cuts().stream().filter(c -> c.role() == Role.ROUGH).toList();
        assertThat(rough).hasSize(3);
        double cut =
                rough.stream()
                        .flatMap(c -> c.profile().stream())
                        .mapToDouble(s -> s.length())
                        .sum();
        assertThat(cut).isCloseTo(108 - 3 * 2, within(1e-6));
        WireVisit off = visit(plan, "Rectangle", WireVisit.Role.END);
        assertThat(off.cuts().stream().filter(c -> c.role() == Role.CUT_OFF)).hasSize(3);
        assertThat(off.steps().stream().filter(WireVisit.Wait.class::isInstance))
                .as("people are needed only before the last one")
                .hasSize(1);
    }

    @Test
    void theMachineWaitsBeforeTheLastMillimetres() {
        SlugChoice slug =
                SlugChoice.NOTHING.withHandling(SlugHandling.STOP_BEFORE).withHold(Typed.of(2.5));
        WirePlan plan =
                WireSamples.plan(plate(), 40, WireSamples.all(WireChoice.NOTHING.withSlug(slug)));
        WireVisit visit = visit(plan, "Rectangle", WireVisit.Role.WHOLE);
        List<WireVisit.Step> steps = visit.steps();
        int wait =
                steps.indexOf(
                        steps.stream()
                                .filter(WireVisit.Wait.class::isInstance)
                                .findFirst()
                                .orElseThrow());
        WireCut before = ((WireVisit.Cut) steps.get(wait - 1)).cut();
        WireCut rest = ((WireVisit.Cut) steps.get(wait + 1)).cut();
        assertThat(before.off()).isEmpty();
        assertThat(rest.from()).isEmpty();
        assertThat(rest.begin().distance(before.end())).isLessThan(1e-9);
        assertThat(((WireVisit.Wait) steps.get(wait)).reason()).contains("last 2.5 mm");
    }

    @Test
    void aHoldThatIsWiderThanItsElementIsTold() {
        SlugChoice wide = SlugChoice.NOTHING.withHold(Typed.of(31));
        WirePlan plan =
                WireSamples.plan(
                        new Drawn().rectangle(0, 0, 30, 24).reading(),
                        40,
                        WireSamples.all(WireChoice.NOTHING.withSlug(wide)));
        assertThat(WireSamples.refusal(plan))
                .contains("the hold of 31 mm needs")
                .contains("the longest stretch has 30 mm");
        WireChoice here =
                WireChoice.NOTHING
                        .withSlug(SlugChoice.NOTHING.withHold(Typed.of(5)))
                        .withEntry(EntryChoice.NOTHING.withStart(Typed.of(28)));
        WirePlan fixed =
                WireSamples.plan(
                        new Drawn().rectangle(0, 0, 30, 24).reading(), 40, WireSamples.all(here));
        assertThat(WireSamples.refusal(fixed)).contains("the hold of 5 mm is wider than the");
    }

    // ---- coreless

    @Test
    void nothingIsLeftOfACorelessOpening() {
        assertEroded(new Drawn().circle(0, 0, 4).reading());
        assertEroded(new Drawn().rectangle(0, 0, 14, 3.5).reading());
        assertEroded(new Drawn().closed(0, 0, 9, 0, 1, 7).reading());
        assertEroded(new Drawn().closed(0, 0, 10, 0, 10, 3, 4, 3, 4, 9, 0, 9).reading());
    }

    @Test
    void aLeaningOpeningIsNotErodedCompletely() {
        WireChoice choice =
                WireChoice.NOTHING
                        .withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.CORELESS))
                        .withTaper(TaperChoice.NOTHING.withAngle(Typed.of(1)));
        Reading reading = opening(new Drawn().circle(0, 0, 4).reading());
        WirePlan plan = WireSamples.plan(reading, 40, WireSamples.all(choice));
        assertThat(WireSamples.refusal(plan)).contains("cannot be eroded completely");
    }

    /** The swath of all passes by JTS against the area of the opening. */
    private static void assertEroded(Reading reading) {
        Feature feature = WireSamples.only(reading);
        WireChoice choice =
                WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withHandling(SlugHandling.CORELESS));
        WireChoices choices = WireSamples.all(choice);
        WirePlan plan = WireSamples.plan(opening(reading), 40, choices);
        assertThat(plan.run().refused()).isEmpty();
        WireVisit visit = plan.visit(feature.id() + ".1").orElseThrow();
        List<Geometry> swaths = new ArrayList<>();
        WireRow row = plan.settings().get(feature.id() + ".1").row();
        for (WireCut cut : visit.cuts()) {
            if (cut.role().isThrough()) {
                List<Coordinate> line = new ArrayList<>();
                for (Ruling ruling : cut.way()) {
                    for (double t = 0; t < 1; t += 1.0 / 32) {
                        line.add(FlatShapes.coordinate(ruling.lower().at(t)));
                    }
                }
                line.add(FlatShapes.coordinate(cut.end()));
                swaths.add(
                        FlatShapes.FACTORY
                                .createLineString(line.toArray(Coordinate[]::new))
                                .buffer(row.width(1) / 2, 64));
            }
        }
        StartHole hole = plan.holes().get(0);
        swaths.add(new FlatShapes(1e-3).polygon(Contour.circle(hole.at(), hole.diameter() / 2)));
        Contour placed =
                feature.contour().transformed(plan.run().layout().placements().get(0).transform());
        // what the skims take is left of the rough pass
        Geometry wanted =
                new FlatShapes(1e-3).polygon(placed).buffer(-row.passes().get(0).stock() - 1e-3);
        Geometry left = wanted.difference(UnaryUnionOp.union(swaths));
        double cornersInside = 0.215 * Math.pow(row.width(1) / 2, 2) * 12;
        assertThat(left.getArea()).as("of " + wanted.getArea()).isLessThan(cornersInside);
        for (int i = 0; i < left.getNumGeometries(); i++) {
            Geometry piece = left.getGeometryN(i);
            assertThat(piece.isEmpty() || piece.distance(wanted.getBoundary()) < 0.01)
                    .as("only what a round wire cannot reach in a corner is left")
                    .isTrue();
        }
    }

    /** The other side of the only outline is kept. */
    private static Reading opening(Reading reading) {
        var options = ReadOptions.defaults().withTurned(Set.of(WireSamples.only(reading).id()));
        return new DrawingReading(options).read(reading.drawing());
    }

    // ---- orders

    @Test
    void unattendedFirstNeedsPeopleOnlyInTheEnd() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        List<Boolean> waits =
                plan.run().stops().stream()
                        .map(s -> plan.visit(s.id()).orElseThrow().waits())
                        .toList();
        assertThat(waits).isSorted().contains(true, false);
        assertThat(names(plan).get(names(plan).size() - 1))
                .as("the part comes free after all that lies in it")
                .startsWith("Punch, cut-off");
    }

    @Test
    void passByPassHasAllRoughCutsThenAllCutOffsThenAllSkimsUnlessTheyWouldLieInAFreePiece() {
        WirePlan plan = WireSamples.plan(plate(), 40, ordered(WireOrder.PASS_BY_PASS));
        List<WireVisit.Role> roles =
                plan.run().stops().stream()
                        .map(s -> plan.visit(s.id()).orElseThrow().role())
                        .toList();
        assertThat(roles)
                .containsExactly(
                        WireVisit.Role.ROUGH,
                        WireVisit.Role.ROUGH,
                        WireVisit.Role.ROUGH,
                        WireVisit.Role.SKIMS,
                        WireVisit.Role.CUT_OFF,
                        WireVisit.Role.CUT_OFF,
                        WireVisit.Role.SKIMS,
                        WireVisit.Role.SKIMS,
                        WireVisit.Role.CUT_OFF);
        assertThat(plan.order().breach(plan.run().stops())).isEmpty();
    }

    @Test
    void byHandTheWishedOrderIsKeptAsFarAsMayBe() {
        WirePlan usual = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        List<String> ids = new ArrayList<>(usual.run().stops().stream().map(Stop::id).toList());
        Collections.reverse(ids);
        WirePlan plan =
                WireSamples.plan(
                        plate(), 40, WireChoices.NOTHING.withRun(RunChoices.USUAL.inSequence(ids)));
        List<String> got = plan.run().stops().stream().map(Stop::id).toList();
        assertThat(got).containsExactlyInAnyOrderElementsOf(ids).isNotEqualTo(ids);
        for (String id : got) {
            if (id.endsWith(StopCutter.OFF)) {
                String main = id.substring(0, id.length() - StopCutter.OFF.length());
                assertThat(got.indexOf(main)).isLessThan(got.indexOf(id));
            }
        }
        assertThat(got.get(got.size() - 1)).endsWith(StopCutter.OFF);
    }

    // ---- holes

    @Test
    void drawnHolesSayWhatIsKeptAndAreUsed() {
        Reading reading =
                new Drawn().rectangle(0, 0, 60, 40).on("START_HOLES").circle(30, 20, 1).reading();
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING);
        assertThat(names(plan).get(0)).startsWith("Opening");
        assertThat(plan.holes())
                .singleElement()
                .satisfies(
                        h -> {
                            assertThat(h.given()).isEqualTo(StartHole.Given.DRAWN);
                            assertThat(h.diameter()).isEqualTo(2);
                        });
    }

    @Test
    void aHoleOnTheWrongSideIsTold() {
        WireChoice choice =
                WireChoice.NOTHING.withEntry(EntryChoice.NOTHING.withHole(new Point(30, 20)));
        WirePlan plan =
                WireSamples.plan(
                        new Drawn().rectangle(0, 0, 60, 40).reading(), 40, WireSamples.all(choice));
        assertThat(WireSamples.refusal(plan))
                .contains("no start hole is in reach", "lies in the part", "Set it beside");
    }

    @Test
    void proposedHolesKeepClearOfEveryProfile() {
        WirePlan plan = WireSamples.plan(plate(), 40, WireChoices.NOTHING);
        for (StartHole hole : plan.toDrill()) {
            assertThat(hole.given()).isEqualTo(StartHole.Given.PROPOSED);
            for (Feature feature : plate().features()) {
                Contour placed =
                        feature.contour()
                                .transformed(plan.run().layout().placements().get(0).transform());
                double d = placed.nearest(hole.at()).point().distance(hole.at());
                assertThat(d).isGreaterThanOrEqualTo(hole.diameter() / 2 + 1.5 - 1e-9);
            }
        }
    }

    // ---- the rest

    @Test
    void aSetIsCutFromOneContourWithItsClearance() {
        Reading reading = new Drawn().rectangle(0, 0, 40, 30).reading();
        String id = WireSamples.only(reading).id();
        WireChoices choices = WireChoices.NOTHING.withSets(Typed.of(0.02), List.of(id));
        WirePlan plan = WireSamples.plan(reading, 40, choices);
        assertThat(plan.settings().get(id + ".1").kind()).isEqualTo(WireKind.OPENING);
        assertThat(plan.settings().get(id + ".2").kind()).isEqualTo(WireKind.PUNCH);
        double die = area(plan, id + ".1");
        double punch = area(plan, id + ".2");
        assertThat(die).isCloseTo(40 * 30, within(1e-9));
        assertThat(punch).isCloseTo((40 - 0.04) * (30 - 0.04), within(1e-9));
    }

    private static double area(WirePlan plan, String id) {
        return new Contour(plan.surfaces().get(id).stream().map(Ruling::lower).toList()).area();
    }

    @Test
    void copiesRoundACentreAreTurnedOrIndexed() {
        Reading reading = new Drawn().rectangle(30, -5, 12, 10).reading();
        CopyChoice round = new CopyChoice(Typed.of(6), Typed.of(60), new Point(0, 0), false);
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING.withRound(round));
        assertThat(plan.run().layout().placements()).hasSize(6);
        assertThat(plan.run().refused()).isEmpty();
        Point first = plan.holes().get(0).at();
        Point second = plan.holes().get(1).at();
        assertThat(first.distance(second)).isGreaterThan(20);
        CopyChoice indexed = new CopyChoice(Typed.of(6), Typed.of(60), new Point(0, 0), true);
        WirePlan turned = WireSamples.plan(reading, 40, WireChoices.NOTHING.withRound(indexed));
        assertThat(turned.holes().get(0).at()).isEqualTo(turned.holes().get(1).at());
    }

    @Test
    void theAxisIsTurnedOnceForAllThatIsCutThere() {
        Reading reading = new Drawn().rectangle(30, -5, 12, 10).rectangle(50, -5, 12, 10).reading();
        CopyChoice indexed = new CopyChoice(Typed.of(6), Typed.of(60), new Point(0, 0), true);
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING.withRound(indexed));
        assertThat(plan.run().refused()).isEmpty();
        List<Item.Event> turns =
                WireMotion.of(plan).wire().items().stream()
                        .filter(Item.Event.class::isInstance)
                        .map(Item.Event.class::cast)
                        .filter(e -> e.kind() == EventKind.INDEX)
                        .toList();
        long phases = plan.run().stops().stream().filter(s -> s.copy() == 1).count() / 2;
        assertThat(turns).hasSize((int) (5 * phases));
        double seconds = turns.stream().mapToDouble(e -> e.args().get("seconds")).sum();
        assertThat(seconds).isCloseTo(turns.size() * (6 + 60.0 / 20), within(1e-9));
    }

    @Test
    void valuesComeFromStopRecipeJobOrBook() {
        Reading reading = plate();
        Feature circle =
                reading.features().stream()
                        .filter(f -> f.circleDiameter().isPresent())
                        .findFirst()
                        .orElseThrow();
        Recipe<WireChoice> recipe =
                new Recipe<>(
                        "narrow holds",
                        new Recipe.Rule("opening", null, null),
                        WireChoice.NOTHING.withSlug(SlugChoice.NOTHING.withHold(Typed.of(1.2))));
        WireChoices choices =
                WireChoices.NOTHING
                        .withRecipes(List.of(recipe))
                        .withAll(
                                WireChoice.NOTHING.withEntry(
                                        EntryChoice.NOTHING.withOverlap(Typed.of(0.4))))
                        .withStop(
                                circle.id(),
                                WireChoice.NOTHING.withPasses(
                                        PassChoice.NOTHING.withCount(Typed.of(2))));
        WireSettings settings =
                WireSamples.plan(reading, 40, choices).settings().get(circle.id() + ".1");
        assertThat(settings.hold()).isEqualTo(1.2);
        assertThat(settings.sources())
                .containsEntry("hold", Source.RECIPE)
                .containsEntry("overlap", Source.JOB)
                .containsEntry("passes", Source.HERE)
                .containsEntry("backOff", Source.BOOK);
        assertThat(settings.passes()).isEqualTo(2);
    }

    @Test
    void aHeightWithoutDataIsTold() {
        WirePlan plan = WireSamples.plan(plate(), 95, WireChoices.NOTHING);
        assertThat(WireSamples.refusal(plan)).contains("from 10 to 80 mm; the work is 95 mm high");
        assertThat(plan.visits()).isEmpty();
    }

    @Test
    void betweenTwoHeightsTheBookIsInterpolated() {
        WireRow row = WireSamples.BOOK.find("brass 0.25", "tool steel", 30, "good");
        WireRow low = WireSamples.BOOK.find("brass 0.25", "tool steel", 20, "good");
        WireRow high = WireSamples.BOOK.find("brass 0.25", "tool steel", 40, "good");
        assertThat(row.interpolated()).isTrue();
        assertThat(row.offset(1)).isCloseTo((low.offset(1) + high.offset(1)) / 2, within(1e-12));
        assertThat(row.feed(1)).isBetween(high.feed(1), low.feed(1));
    }

    @Test
    void anOpenCutRunsFromEdgeToEdge() {
        Reading drawn = new Drawn().lines(0, 0, 30, 0, 30, 20, 60, 20).reading();
        String line = drawn.features().get(0).id();
        ReadOptions options = ReadOptions.defaults().withFeatures(Map.of(line, Purpose.CUT));
        Reading reading = new DrawingReading(options).read(drawn.drawing());
        WirePlan plan = WireSamples.plan(reading, 40, WireChoices.NOTHING);
        assertThat(plan.run().refused()).isEmpty();
        WireVisit visit = plan.visit(plan.run().stops().get(0).id()).orElseThrow();
        var stock = plan.run().layout().stock();
        assertThat(visit.begin().x()).isLessThan(stock.min().x());
        WireCut rough = visit.cuts().get(1);
        assertThat(rough.end().x()).isGreaterThan(stock.max().x());
        assertThat(visit.waits()).isTrue();
    }
}
