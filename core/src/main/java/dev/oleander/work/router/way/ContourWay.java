package dev.oleander.work.router.way;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Chain;
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
        ON;

        /** Where nothing is said: what a closed line parts from the piece lies there. */
        public static Side usual(Feature feature) {
            return feature.kind() == Feature.Kind.OUTLINE ? OUTSIDE : INSIDE;
        }
    }

    /**
     * How tabs are wished.
     *
     * @param count how many; empty: by the spacing
     * @param spacing mm between them at most
     * @param width at the narrowest, mm
     * @param height over the underside of the stock, mm
     * @param at places of others besides, mm along the drawn contour
     */
    public record Tabs(
            Optional<Integer> count, double spacing, double width, double height, List<Double> at) {

        public Tabs {
            at = List.copyOf(at);
        }

        public static Tabs ofCount(int count, double width, double height) {
            return new Tabs(Optional.of(count), 0, width, height, List.of());
        }

        public static Tabs every(double spacing, double width, double height) {
            return new Tabs(Optional.empty(), spacing, width, height, List.of());
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
     * @param top depth at which it begins, mm
     * @param start where it is begun, mm along the drawn contour; empty: on the longest line
     */
    public record Cut(
            Contour drawn,
            Side side,
            double allowance,
            List<Double> levels,
            double thickness,
            Optional<Tabs> tabs,
            boolean climb,
            Finish finish,
            double top,
            Optional<Double> start) {

        /** Tabs that are higher than what is below the deepest level. */
        private Optional<Tabs> standing() {
            double under = thickness - levels.get(levels.size() - 1);
            return tabs.filter(t -> t.height() > under);
        }
    }

    /**
     * A round that was cut.
     *
     * @param contour of the tool's axis
     * @param line of the tabs that stand on it; empty: none do
     * @param last whether it goes along the wall, and nothing is left at it
     */
    public record Done(Contour contour, Optional<TabLine> line, boolean last) {

        /** How many tabs stand on it. */
        public int tabs() {
            return line.map(t -> t.places().size()).orElse(0);
        }
    }

    /** mm beyond what is left at the wall within which a tab lies beside a round. */
    private static final double NEAR = 1;

    private ContourWay() {}

    /**
     * Adds the rounds to a way.
     *
     * @param down how the tool goes down
     * @return every round of the axis; empty when there is no room for the tool, or none to go down
     */
    public static List<Done> add(ToolWay way, Cut cut, Tool tool, Descent down) {
        List<Done> last = marked(cut, tool, down);
        List<Done> done = new ArrayList<>();
        for (Contour drawn : rounds(cut, tool, cut.finish().cuts())) {
            Contour round = cut.standing().map(t -> between(t, cut, drawn)).orElse(drawn);
            Optional<TabLine> tabs = beside(round, last, cut.finish().left() + NEAR);
            way.comeTo(round.start(), -cut.top());
            if (!Rounds.atEachLevel(way, round, cut.levels(), -cut.top(), down, tabs)) {
                return List.of();
            }
            way.leave();
            done.add(new Done(round, tabs, cut.finish().cuts() == 0));
        }
        return done.isEmpty() ? done : finished(way, cut, tool, last, done);
    }

    /**
     * The rounds along the wall, with the places of tabs: those of all other rounds follow them.
     */
    private static List<Done> marked(Cut cut, Tool tool, Descent down) {
        List<Done> last = new ArrayList<>();
        for (Contour drawn : rounds(cut, tool, 0)) {
            Contour round = cut.standing().map(t -> between(t, cut, drawn)).orElse(drawn);
            last.add(
                    new Done(
                            round,
                            cut.standing().map(t -> line(t, cut, round, tool, down.ramp())),
                            true));
        }
        return last;
    }

    /** All rounds, with those that finish the wall. */
    private static List<Done> finished(
            ToolWay way, Cut cut, Tool tool, List<Done> last, List<Done> rough) {
        List<Done> all = new ArrayList<>(rough);
        boolean wallOnRight = cut.climb() != tool.edges().left();
        FinishWay finish = new FinishWay(way, cut.finish(), wallOnRight, tool.diameter() / 2);
        for (int left = cut.finish().cuts() - 1; left >= 0; left--) {
            for (Contour round : rounds(cut, tool, left)) {
                Optional<TabLine> tabs = beside(round, last, cut.finish().left() + NEAR);
                finish.add(round, cut.levels(), tabs);
                all.add(new Done(round, tabs, left == 0));
            }
        }
        return List.copyOf(all);
    }

    /** Where the tabs of other rounds lie on one beside them. */
    private static Optional<TabLine> beside(Contour round, List<Done> others, double near) {
        List<Double> places = new ArrayList<>();
        Optional<TabLine> like = Optional.empty();
        for (Done other : others) {
            for (double place : other.line().map(TabLine::places).orElse(List.of())) {
                Point at = other.contour().stationAt(place).point();
                Chain.Station there = round.nearest(at);
                if (there.point().distance(at) <= near) {
                    places.add(round.distanceAt(there));
                    like = other.line();
                }
            }
        }
        return like.map(t -> t.at(places, round.length()));
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

    /** Those at places, as far as they lie beside this round. */
    private static List<Double> byHand(Tabs tabs, Cut cut, Contour round, double off) {
        List<Double> places = new ArrayList<>();
        for (double at : tabs.at()) {
            Point there = cut.drawn().stationAt(at % cut.drawn().length()).point();
            Chain.Station beside = round.nearest(there);
            if (beside.point().distance(there) <= off + NEAR) {
                places.add(round.distanceAt(beside));
            }
        }
        return places;
    }

    private static TabLine line(Tabs tabs, Cut cut, Contour round, Tool tool, double ramp) {
        double length = round.length();
        int count = tabs.number(cut.drawn().length());
        double takes = tabs.width() + tool.diameter();
        double floor = -cut.levels().get(cut.levels().size() - 1);
        // whatever is left for a skin, so that it has its tabs at the same places
        double slope = tabs.height() / Math.tan(ramp);
        List<Double> places =
                new ArrayList<>(byHand(tabs, cut, round, tool.diameter() / 2 + cut.allowance()));
        if (count > 0) {
            places.addAll(TabPlaces.even(round, count, takes, Math.max(tool.diameter(), slope)));
        }
        return TabLine.of(
                places,
                length,
                -cut.thickness() + tabs.height(),
                floor,
                tabs.width(),
                tool.diameter(),
                ramp);
    }

    /**
     * Ways of the tool's axis; several where a contour is too narrow in places for the tool.
     *
     * @param left finishing cuts that come after it
     */
    private static List<Contour> rounds(Cut cut, Tool tool, int left) {
        double off = tool.diameter() / 2 + cut.allowance() + left * cut.finish().width();
        Contour drawn = cut.drawn().turning(true);
        boolean outside = cut.side() != Side.INSIDE;
        // kept on the right: round an outline clockwise, within an opening anticlockwise
        boolean anticlockwise = outside == (cut.climb() == tool.edges().left());
        if (cut.side() == Side.ON) {
            return List.of(started(cut, cut.drawn().turning(anticlockwise)));
        }
        return Offsetter.round().offset(drawn, outside ? off : -off).stream()
                .map(Region::outer)
                .map(c -> c.turning(anticlockwise))
                .map(c -> started(cut, c))
                .sorted(Comparator.comparing(c -> -c.area()))
                .toList();
    }

    private static Contour started(Cut cut, Contour round) {
        return cut.start()
                .map(at -> cut.drawn().stationAt(at % cut.drawn().length()).point())
                .map(there -> round.startedAt(round.nearest(there)))
                .orElseGet(() -> startedOnLine(round));
    }

    /** Begun in the middle of the longest segment, away from corners; a circle as it is. */
    static Contour startedOnLine(Contour contour) {
        Segment longest = contour.longestSegment();
        boolean round = contour.segments().stream().noneMatch(Line.class::isInstance);
        return round ? contour : contour.startedAt(contour.nearest(longest.middle()));
    }
}
