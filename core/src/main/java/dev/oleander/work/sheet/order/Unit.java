package dev.oleander.work.sheet.order;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.order.TravelTime;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.List;

/** What is put in order as one: a stop, or a stretch of stops that a person pinned. */
record Unit(List<Stop> stops) {

    Unit {
        stops = List.copyOf(stops);
    }

    Point begin() {
        return stops.get(0).path().orElseThrow().pierce();
    }

    Point end() {
        return stops.get(stops.size() - 1).path().map(CutPath::end).orElseThrow();
    }

    boolean isMark() {
        return stops.get(0).kind() == Stop.Kind.MARK;
    }

    /** About how long it takes: at its feeds, without corners, with the ways within it. */
    double seconds(TravelTime travel) {
        double sum = 0;
        Point at = null;
        for (Stop stop : stops) {
            CutPath path = stop.path().orElseThrow();
            double length = path.all().stream().mapToDouble(Segment::length).sum();
            sum += stop.passes().stream().mapToDouble(pass -> 60 * length / pass.feed()).sum();
            sum += SheetCut.of(stop).row().orElseThrow().pierceSeconds();
            sum += at == null ? 0 : travel.over(at.distance(path.pierce()));
            at = path.end();
        }
        return sum;
    }
}
