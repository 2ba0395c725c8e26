package dev.oleander.plan.stop;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * Tells which tabs surely hold: at both their ends there is material, not the kerf of another cut.
 */
public final class TabHold {

    /** mm; a strip beside a tab that is narrower than this may not carry anything. */
    private static final double LEAST_STRIP = 0.1;

    /** Shares of a tab at which its ends are looked at. */
    private static final double[] ALONG = {0.25, 0.5, 0.75};

    private final SegmentIndex<SegmentIndex.Entry<Stop>> cuts;
    private final double widest;

    private TabHold(List<Stop> stops, Function<CutPath, List<Segment>> taken) {
        List<SegmentIndex.Entry<Stop>> entries = new ArrayList<>();
        double most = 0;
        for (Stop stop : stops) {
            boolean cuts = stop.kind() != Stop.Kind.MARK && stop.path().isPresent();
            if (cuts) {
                most = Math.max(most, kerf(stop));
                for (Segment segment : taken.apply(stop.path().get())) {
                    entries.add(new SegmentIndex.Entry<>(stop, segment));
                }
            }
        }
        this.cuts = SegmentIndex.ofEntries(entries);
        this.widest = most;
    }

    /** Of all that stops of a run cut, in any order. */
    public static TabHold ofCuts(List<Stop> stops) {
        return new TabHold(stops, CutPath::all);
    }

    /** Of the contours alone, wherever they are begun. */
    public static TabHold ofContours(List<Stop> stops) {
        return new TabHold(stops, CutPath::main);
    }

    private static double kerf(Stop stop) {
        return stop.way().width();
    }

    /** Whether a stop has tabs, and all of them end in material. */
    public boolean surelyHolds(Stop stop) {
        return !stop.tabs().isEmpty() && facing(stop).isEmpty();
    }

    /** Other stops whose cuts take what tabs of a stop would hold on to. */
    public List<Stop> facing(Stop stop) {
        List<Stop> facing = new ArrayList<>();
        if (stop.path().isEmpty() || stop.tabs().isEmpty()) {
            return facing;
        }
        Path main = new Path(stop.path().get().main());
        double half = kerf(stop) / 2;
        for (Tab tab : stop.tabs()) {
            for (double share : ALONG) {
                double at = tab.from() + share * (tab.to() - tab.from());
                Path.Station station = main.stationAt(Math.min(at, main.length()));
                Point aside = station.direction().left().times(half);
                near(stop, station.point().plus(aside), facing);
                near(stop, station.point().minus(aside), facing);
            }
        }
        return facing;
    }

    private void near(Stop own, Point end, List<Stop> facing) {
        Box spot = new Box(end, end).grown(widest / 2 + LEAST_STRIP);
        cuts.visit(
                spot,
                i -> {
                    Stop other = cuts.get(i).item();
                    boolean takes =
                            !other.id().equals(own.id())
                                    && cuts.get(i).segment().distance(end)
                                            < kerf(other) / 2 + LEAST_STRIP;
                    if (takes && !facing.contains(other)) {
                        facing.add(other);
                    }
                });
    }
}
