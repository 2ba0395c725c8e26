package dev.oleander.proof;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.RegionInside;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetLayout;
import java.util.ArrayList;
import java.util.List;

/** All kept material on the sheet, by copy and part. */
public final class KeptMaterial {

    /** A part of one copy where it lies on the sheet. */
    public record Piece(String part, int copy, Region region) {

        /** For sentences: part 2 of copy 3. */
        public String label() {
            return "%s, copy %d".formatted(PartRef.within(part), copy);
        }
    }

    /**
     * How a move stands to kept material.
     *
     * @param distance mm from the nearest edge of kept material
     * @param inside whether the move runs within the material
     */
    public record Nearness(double distance, boolean inside, Piece piece, Point place) {

        /** How far a swath of this half width reaches into the material, mm; negative is room. */
        public double intrusion(double halfKerf) {
            return inside ? halfKerf + distance : halfKerf - distance;
        }
    }

    private final SegmentIndex<SegmentIndex.Entry<Piece>> edges;

    /** Places of a move at which its depth is measured. */
    private static final int PLACES = 32;

    /** By the diagonals of their boxes. */
    private final SegmentIndex<SegmentIndex.Entry<Around>> boxes;

    private record Around(Piece piece, RegionInside inside) {}

    private KeptMaterial(List<Piece> pieces) {
        List<SegmentIndex.Entry<Piece>> segments = new ArrayList<>();
        List<SegmentIndex.Entry<Around>> diagonals = new ArrayList<>();
        for (Piece piece : pieces) {
            for (Contour contour : piece.region().contours()) {
                contour.segments().forEach(s -> segments.add(new SegmentIndex.Entry<>(piece, s)));
            }
            Box box = piece.region().box();
            Around around = new Around(piece, new RegionInside(piece.region()));
            diagonals.add(new SegmentIndex.Entry<>(around, new Line(box.min(), box.max())));
        }
        this.edges = SegmentIndex.ofEntries(segments);
        this.boxes = SegmentIndex.ofEntries(diagonals);
    }

    static KeptMaterial of(Reading reading, SheetLayout layout) {
        List<Piece> pieces = new ArrayList<>();
        for (Placement placement : layout.placements()) {
            for (Part part : placement.of().parts(reading)) {
                pieces.add(
                        new Piece(
                                part.id(),
                                placement.copy(),
                                part.region().transformed(placement.transform())));
            }
        }
        return new KeptMaterial(pieces);
    }

    /** The nearest kept material within reach (mm) of a move, or null when there is none. */
    public Nearness nearest(Segment move, double reach) {
        Piece around = pieceAround(move.middle());
        double least = around == null ? reach : Double.POSITIVE_INFINITY;
        Nearness nearest = null;
        double search = around == null ? reach : Math.max(reach, diagonal(around));
        for (SegmentIndex.Entry<Piece> near : edges.touching(move.box().grown(search))) {
            if (around == null || near.item() == around) {
                Distances.Nearest found = Distances.between(move, near.segment());
                if (found.distance() < least) {
                    least = found.distance();
                    nearest = new Nearness(least, around != null, near.item(), found.onFirst());
                }
            }
        }
        return nearest;
    }

    /**
     * How a move that cuts into a piece stands to it where it does so deepest: a move can begin
     * outside and end far within.
     */
    public Nearness deepest(Segment move, Nearness near) {
        Nearness deepest = near;
        RegionInside inside = new RegionInside(near.piece().region());
        for (int i = 0; i <= PLACES; i++) {
            Point p = move.at((double) i / PLACES);
            if (inside.contains(p)) {
                double off = Double.POSITIVE_INFINITY;
                for (Contour contour : near.piece().region().contours()) {
                    off = Math.min(off, contour.nearest(p).point().distance(p));
                }
                if (!deepest.inside() || off > deepest.distance()) {
                    deepest = new Nearness(off, true, near.piece(), p);
                }
            }
        }
        return deepest;
    }

    private static double diagonal(Piece piece) {
        return piece.region().box().width() + piece.region().box().height();
    }

    private Piece pieceAround(Point p) {
        for (SegmentIndex.Entry<Around> near : boxes.touching(new Box(p, p))) {
            if (near.item().inside().contains(p)) {
                return near.item().piece();
            }
        }
        return null;
    }
}
