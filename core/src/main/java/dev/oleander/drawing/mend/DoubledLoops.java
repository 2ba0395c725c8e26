package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.Mended.Joined;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** Closed entities drawn twice: keeps the first of each. */
final class DoubledLoops {

    private final MendOptions options;
    private final List<Fault> faults;

    DoubledLoops(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    List<Joined> drop(List<Entity> closed) {
        List<Contour> contours = closed.stream().map(e -> new Contour(e.segments())).toList();
        List<Point> centres = contours.stream().map(c -> c.box().centre()).toList();
        SegmentIndex<Point> index = SegmentIndex.ofPoints(centres);
        boolean[] dropped = new boolean[contours.size()];
        List<Joined> kept = new ArrayList<>();
        for (int i = 0; i < contours.size(); i++) {
            Point centre = centres.get(i);
            for (int j : index.positions(new Box(centre, centre).grown(options.gap()))) {
                if (j < i && !dropped[j] && isSame(contours.get(j), contours.get(i))) {
                    dropped[i] = true;
                    report(closed.get(i), contours.get(i));
                    break;
                }
            }
            if (!dropped[i]) {
                kept.add(Joined.of(contours.get(i), closed.get(i)));
            }
        }
        return kept;
    }

    private boolean isSame(Contour a, Contour b) {
        return liesOn(a, b) && liesOn(b, a);
    }

    private boolean liesOn(Contour a, Contour b) {
        for (Segment segment : a.segments()) {
            for (Point p : List.of(segment.start(), segment.at(0.3), segment.middle())) {
                if (b.nearest(p).point().distance(p) > options.gap()) {
                    return false;
                }
            }
        }
        return true;
    }

    private void report(Entity entity, Contour contour) {
        String sentence =
                "%s of %s on layer %s was drawn twice; one is kept."
                        .formatted(entity.type(), Numbers.length(contour.length()), entity.layer());
        faults.add(Fault.mended(Fault.Kind.DOUBLE, contour.start(), contour.length(), sentence));
    }
}
