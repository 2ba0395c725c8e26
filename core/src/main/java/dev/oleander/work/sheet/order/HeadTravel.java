package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Intersections;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.Approach;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.TabHold;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * Decides on which ways the head stays down: short ones that cross no piece that has come free,
 * since that could have tipped up into the way. Where going round such pieces is quicker than
 * lifting, the way goes round them.
 */
public final class HeadTravel {

    /** mm a way may lie within the kerf round a free piece, where every cut ends. */
    private static final double ON_EDGE = 1e-3;

    /** Times that pieces found in the way round others are gone round as well. */
    private static final int MOST_TRIES = 4;

    private final TravelTime travel;
    private final Box stock;

    /** What would come free with each stop; null where nothing does. */
    private final List<Contour> pieces;

    private final SegmentIndex<Box> boxes;
    private final List<Box> keepOut;
    private final List<Stop> ordered;
    private volatile TabHold tabs;

    /**
     * @param travel ways that are longer than its {@code low} are always travelled with the head up
     * @param stock where there is material for the head to keep its height over
     * @param keepOut where the middle of the head must not come low
     * @param ordered stops in cutting order; where they begin does not matter
     */
    public HeadTravel(TravelTime travel, Box stock, List<Stop> ordered, List<Box> keepOut) {
        this.keepOut = List.copyOf(keepOut);
        this.ordered = List.copyOf(ordered);
        this.travel = travel;
        this.stock = stock;
        this.pieces = new ArrayList<>(ordered.size());
        List<Box> all = new ArrayList<>(ordered.size());
        for (Stop stop : ordered) {
            boolean frees = stop.kind() == Stop.Kind.PROFILE && stop.path().isPresent();
            Contour piece = frees ? new Contour(stop.path().get().main()) : null;
            pieces.add(piece);
            all.add(frees ? piece.box() : new Box(Point.ORIGIN, Point.ORIGIN));
        }
        this.boxes = SegmentIndex.ofBoxes(all);
    }

    /** The same stops, each knowing how the head comes to it. */
    public List<Stop> decide(List<Stop> stops) {
        List<Stop> decided = new ArrayList<>(stops.size());
        for (int i = 0; i < stops.size(); i++) {
            decided.add(decide(stops, i));
        }
        return decided;
    }

    /** One of them. */
    public Stop decide(List<Stop> stops, int index) {
        Stop stop = stops.get(index);
        return travel.low() <= 0 ? stop : SheetCut.approached(stop, approach(stops, index));
    }

    private Approach approach(List<Stop> stops, int index) {
        int before = index - 1;
        while (before >= 0 && stops.get(before).path().isEmpty()) {
            before--;
        }
        Stop stop = stops.get(index);
        if (before < 0 || stop.path().isEmpty()) {
            return Approach.UP;
        }
        Point from = SheetCut.end(stops.get(before));
        Point to = stop.path().get().pierce();
        double way = from.distance(to);
        boolean near = way > ON_EDGE && way <= travel.low();
        if (!near || !SheetCut.of(stops.get(before)).row().equals(SheetCut.of(stop).row())) {
            return Approach.UP;
        }
        Set<Integer> inTheWay = inTheWay(List.of(from, to), stops, index);
        if (!inTheWay.isEmpty()) {
            return round(from, to, inTheWay, stops, index);
        }
        return isAllowed(List.of(from, to)) ? Approach.low(List.of()) : Approach.UP;
    }

    /** Round pieces, and round those that are found in the way then, while that is quick enough. */
    private Approach round(Point from, Point to, Set<Integer> pieces, List<Stop> stops, int index) {
        Set<Integer> all = new TreeSet<>(pieces);
        double clearance =
                SheetCut.of(stops.get(index)).row().map(CutRow::pierceClearance).orElse(0.0);
        boolean more = true;
        for (int tries = 0; more && tries < MOST_TRIES; tries++) {
            List<Contour> round = all.stream().map(this.pieces::get).toList();
            Set<Integer> found = new TreeSet<>();
            for (List<Point> corners : quickFirst(from, to, round, clearance)) {
                Set<Integer> blocking = inTheWay(way(from, corners, to), stops, index);
                if (blocking.isEmpty() && isAllowed(way(from, corners, to))) {
                    return Approach.low(corners);
                }
                found.addAll(blocking);
            }
            more = all.addAll(found);
        }
        return Approach.UP;
    }

    /** Corners of the ways that are quicker than lifting, stay over the stock and are not long. */
    private List<List<Point>> quickFirst(
            Point from, Point to, List<Contour> round, double clearance) {
        double limit = travel.along(List.of(from, to)) + travel.fixed();
        return new WayRound(from, to, round, clearance)
                .all().stream()
                        .filter(corners -> corners.stream().allMatch(stock::contains))
                        .filter(corners -> length(way(from, corners, to)) <= travel.low())
                        .filter(corners -> travel.along(way(from, corners, to)) < limit)
                        .sorted(
                                Comparator.comparingDouble(
                                        corners -> travel.along(way(from, corners, to))))
                        .toList();
    }

    /** Clamps are lifted over. */
    private boolean isAllowed(List<Point> way) {
        for (int i = 1; i < way.size(); i++) {
            Box leg = Box.of(way.get(i - 1), way.get(i));
            if (keepOut.stream().anyMatch(k -> k.distance(leg) <= 0)) {
                return false;
            }
        }
        return true;
    }

    private static List<Point> way(Point from, List<Point> corners, Point to) {
        return Approach.low(corners).way(from, to);
    }

    private static double length(List<Point> way) {
        double sum = 0;
        for (int i = 1; i < way.size(); i++) {
            sum += way.get(i - 1).distance(way.get(i));
        }
        return sum;
    }

    /** Free pieces that a way crosses, by the places of their stops. */
    private Set<Integer> inTheWay(List<Point> way, List<Stop> stops, int index) {
        Set<Integer> found = new TreeSet<>();
        for (int i = 1; i < way.size(); i++) {
            Point from = way.get(i - 1);
            Point to = way.get(i);
            if (from.distance(to) > ON_EDGE) {
                Line leg = new Line(from, to);
                boxes.visit(
                        leg.box(),
                        p -> {
                            boolean free = p < index && isFree(stops.get(p), p);
                            if (free && crosses(leg, pieces.get(p))) {
                                found.add(p);
                            }
                        });
            }
        }
        return found;
    }

    /**
     * Whether a piece may have come free with a stop: not what is not cut, nor what tabs surely
     * hold.
     */
    public boolean isFree(Stop stop, int index) {
        boolean cut = pieces.get(index) != null && stop.path().isPresent();
        return cut && (stop.tabs().isEmpty() || !tabs().surelyHolds(stop));
    }

    /** Only few sheets have tabs; made twice when two threads ask at once, which does no harm. */
    private TabHold tabs() {
        if (tabs == null) {
            tabs = TabHold.ofContours(ordered);
        }
        return tabs;
    }

    /** Whether a way runs over a piece and not only along its kerf. */
    private static boolean crosses(Line way, Contour piece) {
        if (way.box().distance(piece.box()) > 0) {
            return false;
        }
        List<Double> places = new ArrayList<>(List.of(0.0, 1.0));
        for (Segment segment : piece.segments()) {
            if (way.box().distance(segment.box()) == 0) {
                Intersections.of(way, segment, ON_EDGE / 10)
                        .forEach(c -> places.add(way.nearest(c.point())));
            }
        }
        places.sort(null);
        for (int i = 1; i < places.size(); i++) {
            boolean stretch = (places.get(i) - places.get(i - 1)) * way.length() > ON_EDGE;
            if (stretch && piece.contains(way.at((places.get(i) + places.get(i - 1)) / 2))) {
                return true;
            }
        }
        return false;
    }
}
