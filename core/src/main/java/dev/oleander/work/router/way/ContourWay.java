package dev.oleander.work.router.way;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The way of a tool along a closed contour, at a distance from it, in levels and over tabs. */
public final class ContourWay {

    /** On which side of the contour the tool is. */
    public enum Side {
        OUTSIDE,
        INSIDE,
        ON
    }

    /**
     * How tabs are wished.
     *
     * @param count how many; empty: by the spacing
     * @param spacing mm between them at most
     * @param width at the narrowest, mm
     * @param height over the underside of the stock, mm
     */
    public record Tabs(Optional<Integer> count, double spacing, double width, double height) {

        public static Tabs ofCount(int count, double width, double height) {
            return new Tabs(Optional.of(count), 0, width, height);
        }

        public static Tabs every(double spacing, double width, double height) {
            return new Tabs(Optional.empty(), spacing, width, height);
        }

        private int number(double length) {
            return count.orElseGet(() -> TabPlaces.count(length, spacing));
        }
    }

    /**
     * What is to be cut.
     *
     * @param allowance mm that is left at the wall
     * @param levels depths, mm, the shallowest first
     * @param thickness of the stock, mm, from whose underside tabs are measured
     * @param climb whether the kept wall lies on the right of a tool that turns clockwise
     */
    public record Cut(
            Contour drawn,
            Side side,
            double allowance,
            List<Double> levels,
            double thickness,
            Optional<Tabs> tabs,
            boolean climb) {}

    /**
     * A round that was cut.
     *
     * @param contour of the tool's axis
     * @param line of the tabs that stand on it; empty: none do
     */
    public record Done(Contour contour, Optional<TabLine> line) {

        /** How many tabs stand on it. */
        public int tabs() {
            return line.map(t -> t.places().size()).orElse(0);
        }
    }

    private ContourWay() {}

    /**
     * Adds the rounds to a way.
     *
     * @param ramp steepest way down, radians
     * @return every round of the axis; empty when there is no room for the tool, or none to go down
     */
    public static List<Done> add(ToolWay way, Cut cut, Tool tool, double ramp) {
        List<Done> done = new ArrayList<>();
        for (Contour drawn : rounds(cut, tool)) {
            Contour round = cut.tabs().map(t -> between(t, cut, drawn)).orElse(drawn);
            Optional<TabLine> tabs = cut.tabs().map(t -> line(t, cut, round, tool, ramp));
            way.comeTo(round.start(), 0);
            if (!Rounds.atEachLevel(way, round, cut.levels(), 0, ramp, tabs)) {
                return List.of();
            }
            way.leave();
            done.add(new Done(round, tabs));
        }
        return List.copyOf(done);
    }

    /** A circle of as many arcs as it has tabs, so that each lies in the middle of one. */
    private static Contour between(Tabs tabs, Cut cut, Contour round) {
        int count = tabs.number(cut.drawn().length());
        boolean circle = round.segments().stream().noneMatch(Line.class::isInstance) && count > 1;
        if (!circle || round.segments().size() > 2) {
            return round;
        }
        double side = Math.signum(round.segments().get(0).bulge());
        double bulge = side * Math.tan(Math.PI / 2 / count);
        List<Segment> arcs = new ArrayList<>();
        Point at = round.start();
        for (int i = 1; i <= count; i++) {
            Point next =
                    i == count
                            ? round.start()
                            : round.stationAt(i * round.length() / count).point();
            arcs.add(new Arc(at, next, bulge));
            at = next;
        }
        return new Contour(arcs);
    }

    private static TabLine line(Tabs tabs, Cut cut, Contour round, Tool tool, double ramp) {
        double length = round.length();
        int count = tabs.number(cut.drawn().length());
        double takes = tabs.width() + tool.diameter();
        double floor = -cut.levels().get(cut.levels().size() - 1);
        double slope = (-cut.thickness() + tabs.height() - floor) / Math.tan(ramp);
        return TabLine.of(
                TabPlaces.even(round, count, takes, Math.max(tool.diameter(), slope)),
                length,
                -cut.thickness() + tabs.height(),
                floor,
                tabs.width(),
                tool.diameter(),
                ramp);
    }

    /** Ways of the tool's axis; several where a contour is too narrow in places for the tool. */
    private static List<Contour> rounds(Cut cut, Tool tool) {
        double off = tool.diameter() / 2 + cut.allowance();
        Contour drawn = cut.drawn().turning(true);
        boolean outside = cut.side() != Side.INSIDE;
        // kept on the right: round an outline clockwise, within an opening anticlockwise
        boolean anticlockwise = outside == (cut.climb() == tool.edges().left());
        if (cut.side() == Side.ON) {
            return List.of(startedOnLine(cut.drawn().turning(anticlockwise)));
        }
        return Offsetter.round().offset(drawn, outside ? off : -off).stream()
                .map(Region::outer)
                .map(c -> c.turning(anticlockwise))
                .map(ContourWay::startedOnLine)
                .sorted(Comparator.comparing(c -> -c.area()))
                .toList();
    }

    /** Begun in the middle of the longest segment, away from corners; a circle as it is. */
    static Contour startedOnLine(Contour contour) {
        Segment longest = contour.longestSegment();
        boolean round = contour.segments().stream().noneMatch(Line.class::isInstance);
        return round ? contour : contour.startedAt(contour.nearest(longest.middle()));
    }
}
