package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.SegmentIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How deep the stock is cut at any place: the lowest height plus profile of all moves near it; see
 * {@link Piece}.
 */
public final class Depths {

    private final List<Piece> pieces = new ArrayList<>();
    private int legs;
    private final SegmentIndex<Box> index;

    /**
     * How deep a place is, and what made it so.
     *
     * @param depth mm below the top of the stock
     * @param stop empty where nothing was cut
     * @param leg its place among those of the stop that cut; -1 where nothing was
     */
    public record Depth(double depth, Optional<String> stop, int leg) {

        private static final Depth NONE = new Depth(0, Optional.empty(), -1);
    }

    /**
     * @param cuttings in the order in which they are done
     */
    public Depths(List<Cutting> cuttings) {
        for (Cutting cutting : cuttings) {
            for (int i = 0; i < cutting.legs().size(); i++) {
                pieces.add(new Piece(cutting, i, legs, cutting.legs().get(i)));
                legs++;
            }
        }
        this.index = SegmentIndex.ofBoxes(pieces.stream().map(Piece::box).toList());
    }

    /** In the order in which they are cut. */
    List<Piece> pieces() {
        return pieces;
    }

    /** At the end of all cuts. */
    public Depth at(Point p) {
        return at(p, legs);
    }

    /**
     * When some of the cuts are done.
     *
     * @param made how many of all legs that cut, in their order
     */
    public Depth at(Point p, int made) {
        Depth deepest = Depth.NONE;
        for (int i : index.positions(new Box(p, p))) {
            Piece piece = pieces.get(i);
            if (piece.made() >= made || -piece.lowest() <= deepest.depth()) {
                continue;
            }
            double height = piece.lowest(p);
            if (-height > deepest.depth()) {
                deepest = new Depth(-height, Optional.of(piece.of().stop()), piece.leg());
            }
        }
        return deepest;
    }
}
