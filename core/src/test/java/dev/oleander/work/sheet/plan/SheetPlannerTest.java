package dev.oleander.work.sheet.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Typed;
import dev.oleander.value.Source;
import dev.oleander.work.sheet.choice.LeadChoice;
import dev.oleander.work.sheet.choice.OrderRule;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.SmallHoles;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.order.Precedence;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class SheetPlannerTest {

    private static final SheetPlanner.Order STEEL = new SheetPlanner.Order("mild steel", 6, 1);
    private final Reading cleat = Samples.reading("cleat_backing_plate");

    private Run plan(PlanChoices choices) {
        return Samples.plan(cleat, STEEL, choices, SheetChoices.defaults());
    }

    private static Stop outline(Run run) {
        return run.stops().stream().filter(s -> s.name().equals("Outline")).findFirst().get();
    }

    @Test
    void openingsComeBeforeTheOutlineRoundThem() {
        Run run = plan(PlanChoices.defaults());
        assertThat(run.stops()).hasSize(8);
        assertThat(outline(run).number()).isEqualTo(8);
        assertThat(run.stops()).extracting(Stop::number).containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
    }

    @Test
    void everyPathLiesHalfAKerfOnTheScrapSide() {
        for (Stop stop : plan(PlanChoices.defaults()).stops()) {
            double half = SheetCut.of(stop).row().orElseThrow().kerf() / 2;
            var contour = cleat.byId().get(stop.feature()).contour();
            // placed by a mere shift: compare against the contour shifted by the same
            Run run = plan(PlanChoices.defaults());
            var placed = contour.transformed(run.layout().placements().get(0).transform());
            for (Segment segment : stop.path().orElseThrow().main()) {
                Point at = segment.middle();
                assertThat(placed.nearest(at).point().distance(at)).isCloseTo(half, within(1e-6));
                assertThat(placed.contains(at)).isEqualTo(stop.side() == Side.INSIDE);
            }
        }
    }

    @Test
    void arcsStayArcs() {
        Stop outline = outline(plan(PlanChoices.defaults()));
        long drawn = cleat.byId().get(outline.feature()).arcs();
        long cut =
                outline.path().orElseThrow().main().stream()
                        .filter(s -> s instanceof dev.oleander.geometry.Arc)
                        .count();
        assertThat(drawn).isEqualTo(4);
        assertThat(cut).isEqualTo(drawn);
    }

    @Test
    void theLeadJoinsThePathAndTheOverRunPassesItsStart() {
        Stop stop = outline(plan(PlanChoices.defaults()));
        CutPath path = stop.path().orElseThrow();
        assertThat(path.leadIn().get(path.leadIn().size() - 1).end()).isEqualTo(path.start());
        double over = path.overRun().stream().mapToDouble(Segment::length).sum();
        assertThat(over).isCloseTo(SheetCut.of(stop).row().orElseThrow().overRun(), within(1e-9));
        assertThat(stop.sources().get("overRun")).isEqualTo(Source.BOOK);
    }

    @Test
    void valuesSetHereAreUsedAndSaidToBe() {
        String id = outline(plan(PlanChoices.defaults())).feature();
        StopChoice choice =
                StopChoice.NOTHING
                        .withLeadIn(new LeadChoice(LeadKind.LINE, Typed.of(8), Typed.of(45), null))
                        .withStart(Typed.of(50));
        Stop stop = outline(plan(PlanChoices.defaults().withStop(id, choice)));
        assertThat(stop.leadIn().length()).isEqualTo(8);
        assertThat(stop.sources().get("leadInLength")).isEqualTo(Source.HERE);
        assertThat(SheetCut.of(stop).startAt()).isCloseTo(50, within(0.2));
        assertThat(stop.path().orElseThrow().leadIn().get(0).length()).isCloseTo(8, within(1e-9));
    }

    @Test
    void aLeadThatBitesIsRefusedWithStopValueAndLimit() {
        Stop hole =
                plan(PlanChoices.defaults()).stops().stream()
                        .filter(s -> s.name().equals("Hole Ø 11"))
                        .findFirst()
                        .orElseThrow();
        StopChoice tooLong =
                StopChoice.NOTHING.withLeadIn(
                        new LeadChoice(LeadKind.LINE, Typed.of(30), Typed.of(90), null));
        StopChoice here = tooLong.withStart(Typed.of(0));
        Stop refused =
                plan(PlanChoices.defaults().withStop(hole.feature(), here)).stops().stream()
                        .filter(s -> s.id().equals(hole.id()))
                        .findFirst()
                        .orElseThrow();
        assertThat(refused.path()).isEmpty();
        assertThat(refused.refusal().orElseThrow().kind()).isEqualTo(Refusal.Kind.LEAD_BITES);
        assertThat(refused.refusalSentence().orElseThrow())
                .contains("Stop " + refused.number(), "Hole Ø 11", "needs 0.13 mm");
    }

    @Test
    void anOpeningNarrowerThanTheKerfIsRefused() {
        Reading thin =
                read(
                        "0\nLWPOLYLINE\n8\nCUT\n90\n4\n70\n1\n10\n0\n20\n0\n10\n80\n20\n0\n10\n80\n20\n40\n10\n0\n20\n40\n"
                                + "0\nLWPOLYLINE\n8\nCUT\n90\n4\n70\n1\n10\n20\n20\n20\n10\n50\n20\n20\n10\n50\n20\n20.2\n10\n20\n20\n20.2\n");
        Run run = Samples.plan(thin, "mild steel", 6, 1);
        Stop slit = run.refused().get(0);
        Refusal refusal = slit.refusal().orElseThrow();
        assertThat(refusal.kind()).isEqualTo(Refusal.Kind.TOO_NARROW);
        assertThat(refusal.value()).isCloseTo(0.2, within(1e-3));
        assertThat(refusal.limit()).isCloseTo(0.26, within(1e-9));
        assertThat(slit.refusalSentence().orElseThrow()).contains("0.2 mm", "0.26 mm");
    }

    private static Reading read(String entities) {
        String file = "0\nSECTION\n2\nENTITIES\n" + entities + "0\nENDSEC\n0\nEOF\n";
        return new DrawingReading(ReadOptions.defaults())
                .read(
                        new DxfReader(ImportOptions.defaults())
                                .read("a.dxf", file.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void withoutDataEveryStopSaysSo() {
        Run run =
                Samples.plan(
                        cleat,
                        new SheetPlanner.Order("mild steel", 300, 1),
                        PlanChoices.defaults(),
                        SheetChoices.defaults());
        assertThat(run.refused()).hasSize(8);
        assertThat(run.refused().get(0).refusal().orElseThrow().kind())
                .isEqualTo(Refusal.Kind.NO_DATA);
    }

    @Test
    void anOrderByHandIsKeptAndABreachIsNamed() {
        Run run = plan(PlanChoices.defaults());
        List<String> ids = run.stops().stream().map(Stop::id).toList();
        List<String> swapped = new ArrayList<>(ids);
        Collections.swap(swapped, 0, 1);
        Run byHand = plan(PlanChoices.defaults().withRun(RunChoices.USUAL.inSequence(swapped)));
        assertThat(byHand.stops()).extracting(Stop::id).containsExactlyElementsOf(swapped);

        List<Stop> wrong = new ArrayList<>(run.stops());
        wrong.add(0, wrong.remove(7));
        assertThat(new Precedence(cleat.byId()).rules(wrong).breach(wrong).orElseThrow().sentence())
                .contains("Outline", "must come after stop");
        assertThat(new Precedence(cleat.byId()).rules(run.stops()).breach(run.stops())).isEmpty();
    }

    @Test
    void everyOrderKeepsThePrecedence() {
        for (String name :
                List.of("sheave_cheek_plate", "porthole_trim_ring", "deck_hatch_panel")) {
            Reading reading = Samples.reading(name);
            for (OrderRule rule : OrderRule.values()) {
                Run run =
                        Samples.plan(
                                reading,
                                new SheetPlanner.Order("mild steel", 6, 5),
                                PlanChoices.defaults().withOrder(rule),
                                SheetChoices.defaults());
                assertThat(new Precedence(reading.byId()).rules(run.stops()).breach(run.stops()))
                        .isEmpty();
            }
        }
    }

    @Test
    void theShortestOrderTravelsNoFartherThanPartByPart() {
        double[] travel = new double[2];
        OrderRule[] rules = {OrderRule.SHORTEST, OrderRule.PART_BY_PART};
        for (int i = 0; i < 2; i++) {
            PlanChoices choices = PlanChoices.defaults().withOrder(rules[i]);
            Run run =
                    Samples.plan(
                            cleat,
                            new SheetPlanner.Order("mild steel", 6, 9),
                            choices,
                            SheetChoices.defaults());
            travel[i] = Samples.time(run).seconds().travel();
        }
        assertThat(travel[0]).isLessThan(travel[1] * 1.001);
    }

    /** At 20 mm the smallest hole of the book is 14 mm. */
    private static Run small(SmallHoles rule) {
        return Samples.plan(
                Samples.reading("cleat_backing_plate"),
                new SheetPlanner.Order("mild steel", 20, 2),
                PlanChoices.defaults().withSmallHoles(rule),
                SheetChoices.defaults());
    }

    private static List<Stop> elevens(Run run) {
        return run.stops().stream().filter(s -> s.name().endsWith("Hole Ø 11")).toList();
    }

    @Test
    void smallHolesAreCutSlowlyWhenThatIsTheRule() {
        double usual = elevens(small(SmallHoles.AS_OTHERS)).get(0).passes().get(0).feed();
        Stop slow = elevens(small(SmallHoles.SLOW)).get(0);
        assertThat(slow.passes().get(0).feed()).isCloseTo(usual * 11 / 14, within(1e-9));
        assertThat(slow.sources()).containsEntry("feed", Source.RECIPE);
        Stop large =
                small(SmallHoles.SLOW).stops().stream()
                        .filter(s -> s.name().equals("Hole Ø 24"))
                        .findFirst()
                        .orElseThrow();
        assertThat(large.passes().get(0).feed()).isEqualTo(usual);
    }

    @Test
    void centresOfSmallHolesAreMarkedWhenThatIsTheRule() {
        Run run = small(SmallHoles.MARK);
        assertThat(elevens(run)).hasSize(8).allMatch(s -> s.kind() == Stop.Kind.MARK);
        assertThat(run.drilled()).hasSize(8).allMatch(h -> Math.abs(h.diameter() - 11) < 1e-9);
        Stop mark = elevens(run).get(0);
        assertThat(mark.name()).isEqualTo("Centre of Hole Ø 11");
        assertThat(new Path(mark.path().orElseThrow().main()).length())
                .isCloseTo(Math.PI, within(1e-9));
        assertThat(run.drilled())
                .anyMatch(h -> h.centre().distance(mark.path().orElseThrow().start()) < 0.5 + 1e-9);
        assertThat(Samples.prove(Samples.reading("cleat_backing_plate"), run).open())
                .noneMatch(f -> f.stop().equals(mark.id()));
    }

    @Test
    void smallHolesAreLeftForDrillingAndTheProofSaysSo() {
        Run run = small(SmallHoles.DRILL);
        assertThat(elevens(run)).isEmpty();
        assertThat(run.drilled()).hasSize(8);
        assertThat(Samples.prove(Samples.reading("cleat_backing_plate"), run).findings())
                .anyMatch(f -> f.sentence().equals("8 holes Ø 11 are not cut: to be drilled."));
        assertThat(small(SmallHoles.AS_OTHERS).drilled()).isEmpty();
    }

    private static Run thirty(OrderRule rule) {
        return Samples.plan(
                Samples.reading("cleat_backing_plate"),
                new SheetPlanner.Order("mild steel", 6, 30),
                PlanChoices.defaults().withOrder(rule),
                SheetChoices.defaults());
    }

    private static List<Point> outlineCentres(Run run) {
        return run.stops().stream()
                .filter(s -> s.name().equals("Outline"))
                .map(s -> new Path(s.path().orElseThrow().main()).box().centre())
                .toList();
    }

    @Test
    void rowsAreCutToAndFro() {
        Run run = thirty(OrderRule.ROW_BY_ROW);
        List<Point> starts = outlineCentres(run);
        int turns = 0;
        for (int i = 1; i < starts.size(); i++) {
            double up = starts.get(i).y() - starts.get(i - 1).y();
            double across = Math.abs(starts.get(i).x() - starts.get(i - 1).x());
            assertThat(up).isGreaterThan(-60);
            if (up > 60) {
                turns++;
                assertThat(across).as("the next row begins where this one ends").isLessThan(100);
            }
        }
        assertThat(turns).isEqualTo(run.layout().rows() - 1);
    }

    @Test
    void cornerToCornerMovesAwayFromTheZeroPoint() {
        List<Point> starts = outlineCentres(thirty(OrderRule.CORNER_TO_CORNER));
        double farthest = 0;
        for (Point start : starts) {
            assertThat(start.x() + start.y()).isGreaterThan(farthest - 200);
            farthest = Math.max(farthest, start.x() + start.y());
        }
        assertThat(starts.get(0).norm()).isLessThan(300);
    }
}
