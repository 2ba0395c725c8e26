package dev.oleander.work.sheet.order;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.Approach;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.book.CutBook;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.List;
import org.junit.jupiter.api.Test;

/** On which ways the head stays down, and what it goes round then. */
class HeadTravelTest {

    /** From the first to the last, the middle one lies in the way. */
    private static final List<String> PAST_THE_MIDDLE = List.of("c3.1", "c2.1", "c4.1", "c1.1");

    /** Three holes in a row. */
    private static final Reading ROW =
            new Drawn()
                    .rectangle(0, 0, 300, 120)
                    .circle(40, 60, 8)
                    .circle(70, 60, 8)
                    .circle(100, 60, 8)
                    .reading();

    @Test
    void itStaysDownOverWholeMaterialAndGoesRoundFreePieces() {
        List<Stop> stops = plan("teasel", ROW).stops();
        assertThat(stops).extracting(Stop::id).containsExactlyElementsOf(PAST_THE_MIDDLE);
        assertThat(SheetCut.of(stops.get(0)).approach()).as("the first").isEqualTo(Approach.UP);
        assertThat(SheetCut.of(stops.get(1)).approach()).isEqualTo(Approach.low(List.of()));
        Approach past = SheetCut.of(stops.get(2)).approach();
        assertThat(past.low()).isTrue();
        assertThat(past.round()).isNotEmpty();
        double clear = SheetCut.of(stops.get(2)).row().map(CutRow::pierceClearance).orElseThrow();
        Contour slug = new Contour(stops.get(0).path().orElseThrow().main());
        assertThat(past.round()).allMatch(corner -> distance(slug, corner) > clear - 1e-6);
    }

    @Test
    void aMachineThatAlwaysLiftsGoesStraight() {
        assertThat(plan("sorrel", ROW).stops())
                .extracting(s -> SheetCut.of(s).approach())
                .containsOnly(Approach.UP);
    }

    @Test
    void cornersOfAWayRoundAreMotionsOfTheirOwn() {
        Run run = plan("teasel", ROW);
        Stop past = run.stops().get(2);
        List<Point> travelled =
                new ProgramCompiler()
                        .compile(run).items().stream()
                                .filter(i -> i.origin().stop().equals(past.id()))
                                .filter(Item.Rapid.class::isInstance)
                                .map(i -> ((Item.Rapid) i).to())
                                .toList();
        List<Point> planned =
                SheetCut.of(past).approach().way(Point.ORIGIN, past.path().get().pierce());
        assertThat(travelled).isEqualTo(planned.subList(1, planned.size()));
    }

    @Test
    void itLiftsOverAPieceThatIsLongToGoRound() {
        Reading wall =
                new Drawn()
                        .rectangle(0, 0, 300, 120)
                        .circle(40, 60, 8)
                        .rectangle(65, 15, 75, 105)
                        .circle(100, 60, 8)
                        .reading();
        List<Stop> stops = plan("teasel", wall).stops();
        assertThat(SheetCut.of(stops.get(2)).approach()).isEqualTo(Approach.UP);
    }

    @Test
    void theWayRoundStaysOverTheStock() {
        List<Stop> stops = plan("teasel", ROW).stops();
        TravelTime travel = new TravelTime(1500, 9000, 0.4, 80);
        for (double above : new double[] {58, 60}) {
            Box stock = new Box(new Point(0, above), new Point(400, 120));
            Approach past =
                    SheetCut.of(new HeadTravel(travel, stock, stops, List.of()).decide(stops, 2))
                            .approach();
            assertThat(past.round()).isNotEmpty().allMatch(p -> p.y() > 70);
        }
        Box strip = new Box(new Point(0, 58), new Point(400, 62));
        assertThat(
                        SheetCut.of(
                                        new HeadTravel(travel, strip, stops, List.of())
                                                .decide(stops, 2))
                                .approach())
                .isEqualTo(Approach.UP);
    }

    @Test
    void waysLeadRoundOnBothSidesAndKeepTheClearance() {
        Point from = new Point(0, 5);
        Point to = new Point(60, 5);
        Contour piece = Contour.rectangle(new Box(new Point(20, 1), new Point(40, 30)));
        List<List<Point>> ways = new WayRound(from, to, List.of(piece), 2).all();
        assertThat(ways).anyMatch(w -> w.stream().allMatch(p -> p.y() < 0));
        assertThat(ways).anyMatch(w -> w.stream().allMatch(p -> p.y() > 30));
        for (List<Point> way : ways) {
            List<Point> whole = Approach.low(way).way(from, to);
            for (int leg = 1; leg < whole.size(); leg++) {
                Segment line = new Line(whole.get(leg - 1), whole.get(leg));
                for (Segment side : piece.segments()) {
                    assertThat(Distances.between(line, side).distance()).isGreaterThan(2 - 1e-6);
                }
            }
        }
    }

    @Test
    void aWayFromTheRimOfAPieceLeavesItFirst() {
        Contour disc = Contour.circle(new Point(0, 0), 10);
        Point rim = new Point(10, 0);
        for (List<Point> way : new WayRound(rim, new Point(-40, 0), List.of(disc), 2).all()) {
            assertThat(way.get(0).distance(rim)).isBetween(2.0, 3.0);
            assertThat(way).allMatch(p -> p.norm() > 12 - 1e-6);
        }
    }

    private static double distance(Contour contour, Point from) {
        return contour.segments().stream().mapToDouble(s -> s.distance(from)).min().orElseThrow();
    }

    private static Run plan(String machine, Reading reading) {
        PlanChoices byHand =
                PlanChoices.defaults().withRun(RunChoices.USUAL.inSequence(PAST_THE_MIDDLE));
        var found = Samples.MACHINES.find(machine).orElseThrow();
        return new SheetPlanner(found, (CutBook) Samples.MACHINES.book(found))
                .plan(
                        reading,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        byHand,
                        SheetChoices.defaults());
    }
}
