package dev.oleander.work.router.way;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Samples;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.pocket.Reach;
import dev.oleander.work.router.tool.Levels;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg.Pace;
import dev.oleander.work.router.way.ToolWay.Heights;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Ways of tools, judged by what they take away. */
class WaysTest {

    private static final double RAMP = Math.toRadians(5);
    private static final Reading BOARDS = Samples.reading("router/hatch_boards");
    private static final Reading PANEL = Samples.reading("router/instrument_panel");

    private static Tool tool(ToolKind kind, double diameter) {
        return new Tool(
                1,
                "",
                Tool.Form.of(kind, diameter),
                new Tool.Edges(2, 30, false, 0, 5, 0, 1),
                new Tool.Shank(diameter, 40, true),
                new Tool.Limits(6000, 24000, 0));
    }

    private static List<Contour> on(Reading reading, String layer) {
        return reading.features().stream()
                .filter(f -> f.layer().equals(layer))
                .map(Feature::contour)
                .toList();
    }

    private static Cutting cutting(ToolWay way, double diameter) {
        return new Cutting("s", Tool.Form.of(ToolKind.STRAIGHT, diameter), way.legs());
    }

    private static void requireJoined(ToolWay way) {
        List<Leg> legs = way.legs();
        for (int i = 1; i < legs.size(); i++) {
            assertThat(legs.get(i).from()).isEqualTo(legs.get(i - 1).to());
            assertThat(legs.get(i).fromZ()).isEqualTo(legs.get(i - 1).toZ());
        }
        legs.stream().filter(l -> l.pace() == Pace.RAMP).forEach(WaysTest::requireGentle);
        legs.stream()
                .filter(l -> l.pace() == Pace.CUT)
                .forEach(l -> assertThat(l.toZ()).isGreaterThanOrEqualTo(l.fromZ() - 1e-9));
    }

    private static void requireGentle(Leg leg) {
        double way = leg.segment().orElseThrow().length();
        assertThat((leg.fromZ() - leg.toZ()) / way).isLessThanOrEqualTo(Math.tan(RAMP) + 1e-9);
    }

    @Test
    void fingerHolesAreClearedCompletely() {
        double volume = 0;
        for (Contour finger : on(BOARDS, "FINGER")) {
            Reach reach = Reach.of(List.of(new Region(finger.turning(true), List.of())), 4);
            PocketWay pocket = new PocketWay(reach, 0, 0.45 * 8, true, Descent.at(RAMP, 4));
            ToolWay way = new ToolWay(Heights.USUAL);
            assertThat(pocket.add(way, Levels.equal(18.3, 6, 0), 0)).isTrue();
            assertThat(pocket.leftArea()).isZero();
            requireJoined(way);
            Region stock = Regions.around(finger);
            volume += new Removed(List.of(cutting(way, 8))).volume(stock, 18);
        }
        assertThat(volume).isCloseTo(122646.889186, within(61.3));
    }

    private static final class Regions {

        static Region around(Contour contour) {
            Box box = contour.box().grown(50);
            return new Region(Contour.rectangle(box), List.of());
        }
    }

    @Test
    void whatWideRoundsLeaveIsGoneThrough() {
        List<Contour> islands = on(PANEL, "BOSS").stream().map(c -> c.turning(false)).toList();
        Region recess = new Region(on(PANEL, "RECESS").get(0).turning(true), islands);
        Reach reach = Reach.of(List.of(recess), 6);
        for (double step : new double[] {5.4, 8, 11.4}) {
            PocketWay pocket = new PocketWay(reach, 0, step, true, Descent.at(RAMP, 4));
            ToolWay way = new ToolWay(Heights.USUAL);
            assertThat(pocket.add(way, List.of(4.0, 8.0), 0)).isTrue();
            requireJoined(way);
            assertThat(pocket.leftArea()).isLessThan(0.02);
            double volume =
                    new Removed(List.of(cutting(way, 12)))
                            .volume(Regions.around(recess.outer()), 18);
            double clean = Reach.area(reach.clean());
            assertThat(volume).as("step %s", step).isCloseTo(8 * clean, within(8 * 0.02));
        }
    }

    @Test
    void drainsAreBoredWithoutACore() {
        double expected = Math.PI * 36 * 18;
        for (double tool : new double[] {2, 3, 4.5}) {
            ToolWay way = new ToolWay(Heights.USUAL);
            Point centre = new Point(100, 80);
            List<Double> levels = Levels.equal(18.3, 6, 0);
            assertThat(HoleWay.bore(way, centre, 6, tool, levels, 0, Descent.at(RAMP, tool)))
                    .isTrue();
            requireJoined(way);
            Region stock = new Region(Contour.circle(centre, 40), List.of());
            assertThat(new Removed(List.of(cutting(way, 2 * tool))).volume(stock, 18))
                    .as("tool %s", tool)
                    .isCloseTo(expected, within(1e-6 * expected));
            Depths depths = new Depths(List.of(cutting(way, 2 * tool)));
            assertThat(depths.at(centre).depth()).isCloseTo(18.3, within(1e-9));
            assertThat(depths.at(new Point(105.9, 80)).depth()).isCloseTo(18.3, within(1e-9));
            assertThat(depths.at(new Point(106.1, 80)).depth()).isZero();
        }
    }

    @Test
    void aToolThatDoesNotCutInItsMiddleNeedsAWideHelix() {
        ToolWay way = new ToolWay(Heights.USUAL);
        assertThat(HoleWay.bore(way, Point.ORIGIN, 6, 4, List.of(5.0), 0, dead(5))).isFalse();
        assertThat(HoleWay.bore(way, Point.ORIGIN, 8, 4, List.of(5.0), 0, dead(5))).isTrue();
    }

    private static Descent dead(double diameter) {
        return new Descent(Optional.empty(), RAMP, Optional.empty(), diameter, 4, List.of());
    }

    private static ToolWay outline(Contour drawn, ContourWay.Tabs tabs, List<Double> levels) {
        return outline(drawn, tabs, levels, Optional.empty());
    }

    private static ToolWay outline(
            Contour drawn, ContourWay.Tabs tabs, List<Double> levels, Optional<Double> start) {
        ToolWay way = new ToolWay(Heights.USUAL);
        ContourWay.Cut cut =
                new ContourWay.Cut(
                        drawn,
                        ContourWay.Side.OUTSIDE,
                        0,
                        levels,
                        18,
                        Optional.of(tabs),
                        true,
                        Finish.NONE,
                        0,
                        start);
        List<ContourWay.Done> done =
                ContourWay.add(way, cut, tool(ToolKind.STRAIGHT, 8), Descent.at(RAMP, 4));
        assertThat(done).hasSize(1);
        requireJoined(way);
        return way;
    }

    /** Places along the drawn contour, whichever way round it is cut and wherever it begins. */
    @Test
    void tabsStandAndTheCutBeginsWhereSomebodyPutThem() {
        Contour square = Contour.rectangle(Box.of(Point.ORIGIN, new Point(200, 200)));
        ContourWay.Tabs tabs = new ContourWay.Tabs(Optional.of(0), 0, 8, 4, List.of(50.0, 330.0));
        ToolWay way = outline(square, tabs, Levels.equal(18.3, 6, 0), Optional.of(120.0));
        Point begun = way.legs().get(0).to();
        assertThat(begun.distance(square.stationAt(120).point())).isCloseTo(4, within(1e-9));
        Removed removed = new Removed(List.of(cutting(way, 8)));
        List<Region> gone = removed.at(-18);
        for (double at = 0; at < 800; at += 1) {
            Point on = square.stationAt(at).point();
            Point beside = on.plus(outwards(on).times(4));
            boolean tab = Math.abs(at - 50) < 3.5 || Math.abs(at - 330) < 3.5;
            boolean ramp = Math.abs(at - 50) < 60 || Math.abs(at - 330) < 60;
            if (tab || !ramp) {
                assertThat(gone.stream().anyMatch(r -> r.contains(beside)))
                        .as("%s mm along", at)
                        .isEqualTo(!tab);
            }
        }
    }

    private static Point outwards(Point on) {
        Point from = on.minus(new Point(100, 100));
        return Math.abs(from.x()) > Math.abs(from.y())
                ? new Point(Math.signum(from.x()), 0)
                : new Point(0, Math.signum(from.y()));
    }

    /** 16 x 8 less a circle of 8: both ends are round. */
    @Test
    void tabsStandAsWideAsTheyAreWished() {
        Contour square = Contour.rectangle(Box.of(Point.ORIGIN, new Point(200, 200)));
        ToolWay way = outline(square, ContourWay.Tabs.ofCount(4, 8, 4), Levels.equal(18.3, 6, 0));
        Removed removed = new Removed(List.of(cutting(way, 8)));
        Region around = Regions.around(square);
        double under = area(removed.at(-18), around);
        double over = area(removed.at(-13.999), around);
        assertThat((over - under) / 4).isGreaterThan(16 * 8 - Math.PI * 16 - 1e-6);
        Depths depths = new Depths(List.of(cutting(way, 8)));
        // the middle of a side carries a tab, a quarter of it does not
        assertThat(depths.at(new Point(100, -4)).depth()).isCloseTo(14, within(1e-6));
        assertThat(depths.at(new Point(103.9, -4)).depth()).isCloseTo(14, within(1e-6));
        assertThat(depths.at(new Point(40, -4)).depth()).isCloseTo(18.3, within(1e-6));
        // beyond the ramps at both ends it is deep again: w + D, less the tool, and h / tan b
        double deep = 4 + 4.3 / Math.tan(RAMP) + 4 + 4;
        assertThat(depths.at(new Point(100 + deep, -4)).depth()).isCloseTo(18.3, within(1e-6));
    }

    private static double area(List<Region> regions, Region within) {
        return Overlay.intersection(regions, List.of(within)).stream()
                .mapToDouble(Region::area)
                .sum();
    }

    @Test
    void tabsAreCountedBySpacingAndKeepOffCorners() {
        int all = 0;
        for (Contour board : on(BOARDS, "OUTLINE")) {
            int count = TabPlaces.count(board.length(), 300);
            List<Double> places = TabPlaces.even(board, count, 16, 8);
            assertThat(places).hasSize(count);
            for (double place : places) {
                double within = place % board.length();
                assertThat(board.stationAt(within).segment()).isInstanceOf(Line.class);
            }
            all += count;
        }
        assertThat(all).isEqualTo(10);
    }

    @Test
    void aDrillComesUpToClearItsChips() {
        ToolWay way = new ToolWay(Heights.USUAL);
        HoleWay.drill(way, Point.ORIGIN, 0, -24, 8);
        requireJoined(way);
        assertThat(way.legs().stream().filter(l -> l.pace() == Pace.PLUNGE)).hasSize(3);
        assertThat(way.legs().stream().mapToDouble(Leg::lowest).min()).hasValue(-24);
        assertThat(HoleWay.pecks(24, 8)).isEqualTo(3);
        assertThat(HoleWay.pecks(24.1, 8)).isEqualTo(4);
        assertThat(HoleWay.pecks(24, 0)).isEqualTo(1);
    }

    /** A ball on a slope: the lowest of z(t) + R - sqrt(R^2 - d^2) along it. */
    @Test
    void aBallThatClimbsLeavesASlopingGroove() {
        Leg leg = Leg.along(new Line(Point.ORIGIN, new Point(100, 0)), 0, -10, Pace.RAMP);
        Cutting cutting = new Cutting("s", Tool.Form.of(ToolKind.BALL, 10), List.of(leg));
        Depths depths = new Depths(List.of(cutting));
        double slope = 0.1;
        double[] offs = {0, 1, 3, 4.5};
        for (double off : offs) {
            // the ball's lower side touches the plane of the groove at right angles to it
            double reach = Math.sqrt(25 - off * off);
            double along = reach * slope / Math.hypot(1, slope);
            double sphere = 5 - reach * Math.sqrt(1 - Math.pow(along / reach, 2));
            double expected = slope * (50 + along) - sphere;
            assertThat(depths.at(new Point(50, off)).depth()).isCloseTo(expected, within(1e-6));
        }
        assertThat(depths.at(new Point(50, 5.1)).depth()).isZero();
        assertThat(depths.at(new Point(50, 0)).stop()).hasValue("s");
    }
}
