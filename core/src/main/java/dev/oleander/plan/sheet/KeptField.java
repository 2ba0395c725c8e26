package dev.oleander.plan.sheet;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.List;

/** The kept material of a drawing, asked how near something comes to it. */
final class KeptField {

    private final List<Part> parts;
    private final SegmentIndex<SegmentIndex.Entry<Part>> index;

    KeptField(List<Part> parts) {
        this.parts = parts;
        List<SegmentIndex.Entry<Part>> entries = new ArrayList<>();
        for (Part part : parts) {
            for (Contour contour : part.region().contours()) {
                contour.segments().forEach(s -> entries.add(new SegmentIndex.Entry<>(part, s)));
            }
        }
        this.index = SegmentIndex.ofEntries(entries);
    }

    /**
     * How far a place is from kept material.
     *
     * @param distance mm; 0 inside the material
     */
    record Clearance(double distance, String part, Point place) {}

    /** Least clearance along a segment; nothing beyond {@code reach} mm is looked at. */
    Clearance along(Segment segment, double reach) {
        for (double t : new double[] {0.5, 0.02, 0.98}) {
            Point p = segment.at(t);
            for (Part part : parts) {
                if (isInside(part.region(), p)) {
                    return new Clearance(0, part.id(), p);
                }
            }
        }
        Clearance least = new Clearance(reach, "", segment.start());
        for (SegmentIndex.Entry<Part> near : index.touching(segment.box().grown(reach))) {
            Distances.Nearest nearest = Distances.between(segment, near.segment());
            if (nearest.distance() < least.distance()) {
                least = new Clearance(nearest.distance(), near.item().id(), nearest.onFirst());
            }
        }
        return least;
    }

    /** Clearance of a point. */
    Clearance at(Point p, double reach) {
        for (Part part : parts) {
            if (isInside(part.region(), p)) {
                return new Clearance(0, part.id(), p);
            }
        }
        Clearance least = new Clearance(reach, "", p);
        for (SegmentIndex.Entry<Part> near : index.touching(new Box(p, p).grown(reach))) {
            double distance = near.segment().distance(p);
            if (distance < least.distance()) {
                least = new Clearance(distance, near.item().id(), p);
            }
        }
        return least;
    }

    private static boolean isInside(Region region, Point p) {
        return region.box().contains(p) && region.contains(p);
    }
}
