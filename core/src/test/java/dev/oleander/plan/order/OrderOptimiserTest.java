package dev.oleander.plan.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Point;
import dev.oleander.plan.order.OrderProblem.Visit;
import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class OrderOptimiserTest {

    private static final TravelTime HEAD = new TravelTime(1500, 9000, 0.4, 0);

    /**
     * Plates with holes that come before their outlines; open lines end elsewhere. For some the
     * sheet is loose on the right.
     */
    private static List<Visit> plates(SplittableRandom random, int plates, int holes) {
        double loosens = random.nextBoolean() ? 0 : 0.5;
        List<Visit> visits = new ArrayList<>();
        for (int p = 0; p < plates; p++) {
            Point corner = new Point(3000 * random.nextDouble(), 1500 * random.nextDouble());
            List<Integer> inside = new ArrayList<>();
            for (int h = 0; h < holes; h++) {
                inside.add(visits.size());
                Point begin = near(corner, 80, random);
                Point end = random.nextInt(4) == 0 ? near(begin, 30, random) : begin;
                visits.add(new Visit(begin, end, 2, loosens * begin.x() / 3000, List.of()));
            }
            visits.add(new Visit(corner, corner, 9, loosens * corner.x() / 3000, inside));
        }
        return visits;
    }

    private static Point near(Point p, double reach, SplittableRandom random) {
        return p.plus(new Point(reach * random.nextDouble(), reach * random.nextDouble()));
    }

    private static int[] asDrawn(OrderProblem problem) {
        return IntStream.range(0, problem.visits().size()).toArray();
    }

    private static int[] improved(OrderProblem problem, int kicks) {
        return new OrderOptimiser(new OrderOptions(kicks, 3, 0))
                .improve(problem, asDrawn(problem), Progress.NONE);
    }

    /** The least cost of all permitted orders. */
    private static double least(OrderProblem problem, int[] order, int fixed) {
        if (fixed == order.length) {
            return problem.isPermitted(order) ? problem.cost(order) : Double.POSITIVE_INFINITY;
        }
        double best = Double.POSITIVE_INFINITY;
        for (int i = fixed; i < order.length; i++) {
            swap(order, fixed, i);
            best = Math.min(best, least(problem, order, fixed + 1));
            swap(order, fixed, i);
        }
        return best;
    }

    private static void swap(int[] order, int a, int b) {
        int held = order[a];
        order[a] = order[b];
        order[b] = held;
    }

    @Property(tries = 60)
    void aFewStopsAreOrderedWithinAPercentOfTheBest(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        OrderProblem problem =
                new OrderProblem(Point.ORIGIN, plates(random, 2, 3), HEAD, Heat.NONE);
        int[] order = improved(problem, 500);
        assertThat(problem.isPermitted(order)).isTrue();
        double least = least(problem, asDrawn(problem), 0);
        assertThat(problem.cost(order)).isBetween(least - 1e-9, 1.01 * least);
    }

    @Property(tries = 60)
    void veryFewStopsAreOrderedBest(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        int n = 3 + random.nextInt(4);
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Point begin = new Point(random.nextDouble(200), random.nextDouble(200));
            List<Integer> after =
                    i > 0 && random.nextBoolean() ? List.of(random.nextInt(i)) : List.of();
            visits.add(
                    new Visit(
                            begin,
                            begin.plus(new Point(random.nextDouble(20), 0)),
                            1,
                            random.nextInt(3),
                            after));
        }
        OrderProblem problem = new OrderProblem(Point.ORIGIN, visits, HEAD, Heat.NONE);
        int[] found = improved(problem, 300);
        assertThat(problem.isPermitted(found)).isTrue();
        assertThat(problem.cost(found))
                .isCloseTo(least(problem, asDrawn(problem), 0), within(1e-9));
    }

    @Property(tries = 40)
    void anOrderStaysPermittedAndNeverGetsWorse(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Heat heat = random.nextBoolean() ? Heat.NONE : new Heat(60, 5, 3);
        List<Visit> visits = plates(random, 1 + random.nextInt(20), random.nextInt(6));
        OrderProblem problem = new OrderProblem(Point.ORIGIN, visits, HEAD, heat);
        int[] order = improved(problem, 300);
        assertThat(problem.isPermitted(order)).isTrue();
        assertThat(problem.cost(order)).isLessThanOrEqualTo(problem.cost(asDrawn(problem)) + 1e-9);
        assertThat(improved(problem, 300)).as("the same again").containsExactly(order);
    }

    private static double cost(OrderProblem problem, OrderOptions options) {
        return problem.cost(
                new OrderOptimiser(options).improve(problem, asDrawn(problem), Progress.NONE));
    }

    /** Stopping when nothing is gained any more costs next to nothing of the gain. */
    @Test
    void whatIsLeftUntriedWouldHaveGainedLittle() {
        double all = 0;
        double stopped = 0;
        for (int seed = 0; seed < 60; seed++) {
            SplittableRandom random = new SplittableRandom(seed);
            List<Visit> visits = plates(random, 1 + random.nextInt(3), 10);
            OrderProblem problem = new OrderProblem(Point.ORIGIN, visits, HEAD, Heat.NONE);
            OrderOptions options = OrderOptions.forVisits(visits.size());
            stopped += cost(problem, options);
            all += cost(problem, options.patient());
        }
        assertThat(stopped / all).isBetween(1.0, 1.0005);
    }

    /**
     * The shortest way through n random places of an area A is about 0.7124 sqrt(n A) long, and
     * some percent more while n is small (D. S. Johnson, L. A. McGeoch, E. E. Rothberg, SODA 1996).
     */
    @Test
    void randomPlacesAreVisitedOnAShortWay() {
        SplittableRandom random = new SplittableRandom(11);
        int n = 2000;
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Point p = new Point(3000 * random.nextDouble(), 1500 * random.nextDouble());
            visits.add(new Visit(p, p, 1, 0, List.of()));
        }
        OrderProblem problem =
                new OrderProblem(Point.ORIGIN, visits, TravelTime.byLength(), Heat.NONE);
        int[] order =
                new OrderOptimiser(OrderOptions.forVisits(n))
                        .improve(problem, asDrawn(problem), Progress.NONE);
        assertThat(problem.cost(order) / Math.sqrt(n * 3000.0 * 1500)).isBetween(0.70, 0.76);
    }

    @Test
    void hotPlacesAreLeftToCoolDown() {
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            Point p = new Point(12 * (i % 10), 12 * (i / 10));
            visits.add(new Visit(p, p, 1, 0, List.of()));
        }
        Heat heat = new Heat(20, 4, 5);
        OrderProblem cold = new OrderProblem(Point.ORIGIN, visits, HEAD, Heat.NONE);
        OrderProblem hot = new OrderProblem(Point.ORIGIN, visits, HEAD, heat);
        int[] quick = improved(cold, 4000);
        int[] cool = improved(hot, 4000);
        double travelled = cold.cost(cool);
        assertThat(hot.cost(cool)).isLessThan(0.6 * hot.cost(quick));
        assertThat(hot.cost(cool) - travelled).as("heat").isLessThan(0.2 * travelled);
    }

    @Test
    void whatLoosensTheSheetIsLeftForLater() {
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            // the short way begins where the sheet is loose
            Point p = new Point(1000 - 25 * i, 0);
            visits.add(new Visit(p, p, 1, p.x() / 1000, List.of()));
        }
        Point loose = new Point(1000, 0);
        OrderProblem problem = new OrderProblem(loose, visits, HEAD, Heat.NONE);
        int[] order = improved(problem, 1000);
        int[] fromTheHeldEdge = IntStream.range(0, 40).map(i -> 39 - i).toArray();
        assertThat(order).containsExactly(fromTheHeldEdge);
        // half of the ways' sums of x (1 - x) and x x
        double saved = problem.cost(asDrawn(problem)) - problem.cost(order);
        double way = HEAD.over(975) - HEAD.over(0);
        assertThat(saved + way).isCloseTo(40 * (1 / 3.0 - 1 / 6.0), within(0.3));
    }

    @Test
    void travelTimesFollowFromTheLimits() {
        // 1500 mm/s is reached after 125 mm and braked from over 125 mm
        assertThat(HEAD.over(0)).isEqualTo(0.4);
        assertThat(HEAD.over(90)).isCloseTo(0.4 + 2 * Math.sqrt(90.0 / 9000), within(1e-12));
        assertThat(HEAD.over(250)).isCloseTo(0.4 + 2 * 1500.0 / 9000, within(1e-12));
        assertThat(HEAD.over(1750)).isCloseTo(0.4 + 1 + 2 * 1500.0 / 9000, within(1e-12));
        assertThat(TravelTime.byLength().over(37)).isCloseTo(37, within(1e-9));
        assertThatThrownBy(() -> new TravelTime(0, 1, 0, 0)).hasMessageContaining("speed");
    }

    @Test
    void whatIsNotPermittedIsRefused() {
        List<Visit> visits = plates(new SplittableRandom(1), 1, 2);
        OrderProblem problem = new OrderProblem(Point.ORIGIN, visits, HEAD, Heat.NONE);
        for (int[] wrong : new int[][] {{2, 0, 1}, {0, 0, 2}, {0, 1}, {0, 1, 3}}) {
            assertThat(problem.isPermitted(wrong)).isFalse();
            assertThatThrownBy(
                            () ->
                                    new OrderOptimiser(OrderOptions.forVisits(3))
                                            .improve(problem, wrong, Progress.NONE))
                    .hasMessageContaining("not permitted");
        }
        assertThatThrownBy(
                        () ->
                                new OrderProblem(
                                        Point.ORIGIN,
                                        List.of(
                                                new Visit(
                                                        Point.ORIGIN,
                                                        Point.ORIGIN,
                                                        1,
                                                        0,
                                                        List.of(7))),
                                        HEAD,
                                        Heat.NONE))
                .hasMessageContaining("number 7");
    }

    @Test
    void itCanBeStopped() {
        OrderProblem problem =
                new OrderProblem(
                        Point.ORIGIN, plates(new SplittableRandom(2), 50, 5), HEAD, Heat.NONE);
        Progress stopping =
                (done, doing) -> {
                    if (done > 0.5) {
                        throw new CancelledException();
                    }
                };
        assertThatThrownBy(
                        () ->
                                new OrderOptimiser(new OrderOptions(100_000, 1, 0))
                                        .improve(problem, asDrawn(problem), stopping))
                .isInstanceOf(CancelledException.class);
    }

    @Test
    void itEndsWhenRowsOfEqualHolesGainNothingMore() {
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < 900; i++) {
            Point at = new Point(20 * (i % 30), 20 * (i / 30));
            visits.add(new Visit(at, at, 0, 0, List.of()));
        }
        OrderProblem problem = new OrderProblem(Point.ORIGIN, visits, HEAD, Heat.NONE);
        OrderOptions usual = new OrderOptions(20_000, 3, 5e-4);
        int[] told = {0};
        Progress counting = (done, doing) -> told[0]++;
        int[] found = new OrderOptimiser(usual).improve(problem, asDrawn(problem), counting);
        int[] best =
                new OrderOptimiser(usual.patient())
                        .improve(problem, asDrawn(problem), Progress.NONE);
        assertThat(told[0]).isLessThan(100);
        assertThat(problem.cost(found)).isLessThan(1.01 * problem.cost(best));
    }
}
