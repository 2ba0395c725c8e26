package dev.oleander.work.wire.flank;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.ElementOffset;
import dev.oleander.geometry.offset.ElementOffset.Piece;
import dev.oleander.geometry.offset.ElementOffsetException;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.cut.CrossedLinesException;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.flank.MatchedContours.Anchor;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The way of a wire between two different contours. Either is offset in its own plane, corners run
 * on to where their elements meet, so that corners stay corners and can be joined.
 */
final class TwoContours implements ProfileWork.WaySource {

    private final ElementChain lower;
    private final ElementChain upper;
    private final boolean wireLeft;
    private final UpperChoice choice;
    private final List<Anchor> drawn;

    /**
     * @param drawn lines of a person, as shares of the lengths from the starts along the travel
     */
    TwoContours(
            ElementChain lower,
            ElementChain upper,
            boolean wireLeft,
            UpperChoice choice,
            List<Anchor> drawn) {
        this.lower = lower;
        this.upper = upper;
        this.wireLeft = wireLeft;
        this.choice = choice;
        this.drawn = drawn;
    }

    @Override
    public WireCut.Lean lean(int element, int pass) {
        return WireCut.Lean.NONE;
    }

    @Override
    public double plane(int pass) {
        return 0;
    }

    @Override
    public boolean follows() {
        return false;
    }

    @Override
    public List<Flanks.Way> way(double offset, int pass) {
        List<Segment> below = offset(lower, offset, pass, "lower");
        List<Segment> above = offset(upper, offset, pass, "upper");
        return matched(below, above);
    }

    /** The flanks themselves. */
    List<Ruling> surface() {
        return matched(lower.elements(), upper.elements()).stream()
                .map(Flanks.Way::ruling)
                .toList();
    }

    private List<Flanks.Way> matched(List<Segment> below, List<Segment> above) {
        MatchedContours contours = new MatchedContours(below, above);
        List<Anchor> anchors =
                switch (choice.matching()) {
                    case CORNERS -> contours.byCorners();
                    case LENGTH -> MatchedContours.byLength();
                    case LINES -> moved(below, above);
                };
        try {
            return contours.ways(anchors);
        } catch (CrossedLinesException crossing) {
            Point p = lower.elements().get(0).start();
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TAPER,
                            crossing.getMessage() + ". Draw them so that none crosses another.",
                            p,
                            0,
                            0));
        }
    }

    /** Shares of the drawn contours at the same places of their parallels. */
    private List<Anchor> moved(List<Segment> below, List<Segment> above) {
        List<Anchor> anchors = new ArrayList<>();
        for (Anchor anchor : drawn) {
            anchors.add(
                    new Anchor(
                            moved(lower.elements(), below, anchor.lower()),
                            moved(upper.elements(), above, anchor.upper())));
        }
        return anchors;
    }

    private static double moved(List<Segment> from, List<Segment> to, double share) {
        double length = from.stream().mapToDouble(Segment::length).sum();
        double left = share * length;
        double passed = 0;
        double whole = to.stream().mapToDouble(Segment::length).sum();
        for (int i = 0; i < from.size(); i++) {
            double here = from.get(i).length();
            if (left <= here || i + 1 == from.size()) {
                return (passed + Math.min(1, left / here) * to.get(i).length()) / whole;
            }
            left -= here;
            passed += to.get(i).length();
        }
        return 1;
    }

    private List<Segment> offset(ElementChain chain, double offset, int pass, String which) {
        int n = chain.elements().size();
        double[] left = new double[n];
        Arrays.fill(left, wireLeft ? offset : -offset);
        try {
            return ElementOffset.sharp(chain.elements(), chain.isClosed(), left, new boolean[n])
                    .stream()
                    .map(Piece::segment)
                    .toList();
        } catch (ElementOffsetException e) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.RADIUS,
                            "the %s contour cannot be followed at %s: %s there is too little for the offset of %s of pass %d."
                                    .formatted(
                                            which,
                                            Flanks.place(e.place()),
                                            Numbers.length(e.value()),
                                            Numbers.length(offset),
                                            pass),
                            e.place(),
                            e.value(),
                            offset));
        }
    }
}
