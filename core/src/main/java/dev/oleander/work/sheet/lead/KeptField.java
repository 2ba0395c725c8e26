package dev.oleander.work.sheet.lead;

import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.RegionInside;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.bed.PartRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The kept material of a drawing, asked how near something comes to it. */
public final class KeptField {

    private final SegmentIndex<SegmentIndex.Entry<Part>> edges;

    /** Parts by the diagonals of their boxes. */
    private final SegmentIndex<SegmentIndex.Entry<Around>> boxes;

    private record Around(Part part, RegionInside inside) {}

    public KeptField(List<Part> parts) {
        List<SegmentIndex.Entry<Part>> segments = new ArrayList<>();
        List<SegmentIndex.Entry<Around>> diagonals = new ArrayList<>();
        for (Part part : parts) {
            for (Contour contour : part.region().contours()) {
                contour.segments().forEach(s -> segments.add(new SegmentIndex.Entry<>(part, s)));
            }
            Box box = part.region().box();
            Around around = new Around(part, new RegionInside(part.region()));
            diagonals.add(new SegmentIndex.Entry<>(around, new Line(box.min(), box.max())));
        }
        this.edges = SegmentIndex.ofEntries(segments);
        this.boxes = SegmentIndex.ofEntries(diagonals);
    }

    /**
     * How far a place is from kept material.
     *
     * @param distance mm; 0 inside the material
     * @param what is nearest, for sentences; empty when nothing is within reach
     */
    public record Clearance(double distance, String what, Point place) {

        public Clearance orLess(Clearance other) {
            return other.distance < distance ? other : this;
        }
    }

    /** Least clearance along a segment; nothing beyond {@code reach} mm is looked at. */
    public Clearance along(Segment segment, double reach) {
        for (double t : new double[] {0.5, 0.02, 0.98}) {
            Point p = segment.at(t);
            Optional<Part> around = around(p);
            if (around.isPresent()) {
                return new Clearance(0, label(around.get()), p);
            }
        }
        Clearance least = new Clearance(reach, "", segment.start());
        for (SegmentIndex.Entry<Part> near : edges.touching(segment.box().grown(reach))) {
            Distances.Nearest nearest = Distances.between(segment, near.segment());
            if (nearest.distance() < least.distance()) {
                least = new Clearance(nearest.distance(), label(near.item()), nearest.onFirst());
            }
        }
        return least;
    }

    /** Clearance of a point. */
    Clearance at(Point p, double reach) {
        Optional<Part> around = around(p);
        if (around.isPresent()) {
            return new Clearance(0, label(around.get()), p);
        }
        Clearance least = new Clearance(reach, "", p);
        for (SegmentIndex.Entry<Part> near : edges.touching(new Box(p, p).grown(reach))) {
            double distance = near.segment().distance(p);
            if (distance < least.distance()) {
                least = new Clearance(distance, label(near.item()), p);
            }
        }
        return least;
    }

    private static String label(Part part) {
        return PartRef.within(part.id());
    }

    private Optional<Part> around(Point p) {
        for (SegmentIndex.Entry<Around> near : boxes.touching(new Box(p, p))) {
            if (near.item().inside().contains(p)) {
                return Optional.of(near.item().part());
            }
        }
        return Optional.empty();
    }
}
