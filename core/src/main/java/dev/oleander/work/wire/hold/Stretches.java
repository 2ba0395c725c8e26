package dev.oleander.work.wire.hold;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Corners;
import dev.oleander.geometry.Corners.Room;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.cut.RefusedException;
import java.util.ArrayList;
import java.util.List;

/** The stretches of a drawn chain between its corners; distances along it, mm. */
public final class Stretches {

    /** Degrees of a turn above which a joint is a corner. */
    private static final double CORNER = 1.15;

    /** mm */
    private static final double AT_CORNER = 1e-6;

    private final Chain chain;
    private final double length;
    private final List<Double> corners;

    public Stretches(Chain chain) {
        this.chain = chain;
        this.length = chain.length();
        this.corners = new Corners(chain.segments(), chain instanceof Contour, CORNER).places();
    }

    private List<Room> all() {
        List<Room> all = new ArrayList<>();
        if (corners.isEmpty()) {
            all.add(new Room(-length, 2 * length));
        }
        for (int i = 0; i < corners.size(); i++) {
            double next = i + 1 < corners.size() ? corners.get(i + 1) : corners.get(0) + length;
            all.add(new Room(corners.get(i), next));
        }
        return all;
    }

    /** Whether a place is a corner itself. */
    boolean isCorner(double place) {
        double at = ((place % length) + length) % length;
        return corners.stream()
                .anyMatch(
                        c -> Math.abs(c - at) < AT_CORNER || length - Math.abs(c - at) < AT_CORNER);
    }

    /**
     * The place nearest to a wished one that keeps away from corners; in the middle of stretches
     * that are too short for that.
     */
    public double away(double wished, double margin) {
        double at = ((wished % length) + length) % length;
        for (Room stretch : all()) {
            for (int turn = 0; turn <= 1; turn++) {
                double there = at + turn * length;
                if (there >= stretch.from() && there <= stretch.to()) {
                    double width = Math.min(2 * margin, stretch.length());
                    return wished + stretch.middle(there, width) - there;
                }
            }
        }
        return wished;
    }

    /** Length of the longest stretch, mm. */
    public double longest() {
        double longest = 0;
        for (Room stretch : all()) {
            longest = Math.max(longest, Math.min(length, stretch.length()));
        }
        return longest;
    }

    /**
     * Where a window fits between two corners: the middle of the one nearest to a wished place.
     *
     * @param wished distance along the chain
     * @param width of the window, mm
     * @param what it is for, for the sentence when it fits nowhere
     * @throws RefusedException when no stretch is long enough
     */
    double place(double wished, double width, String what) {
        double best = Double.NaN;
        double least = Double.POSITIVE_INFINITY;
        for (Room stretch : all()) {
            if (stretch.length() < width || width > length) {
                continue;
            }
            for (int turn = -1; turn <= 1; turn++) {
                double there = wished + turn * length;
                double middle = stretch.middle(there, width);
                if (Math.abs(middle - there) < least) {
                    least = Math.abs(middle - there);
                    best = middle;
                }
            }
        }
        if (Double.isNaN(best)) {
            Point p = chain.stationAt(wished % length).point();
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.HOLD,
                            "%s needs %s between two corners; the longest stretch has %s. Take a smaller one."
                                    .formatted(
                                            what, Numbers.length(width), Numbers.length(longest())),
                            p,
                            width,
                            longest()));
        }
        return ((best % length) + length) % length;
    }

    /**
     * Room of the stretch at a place, mm.
     *
     * @param behind whether only what lies before the place counts
     */
    double room(double at, boolean behind) {
        for (Room stretch : all()) {
            for (int turn = 0; turn <= 1; turn++) {
                double there = at + turn * length;
                if (there >= stretch.from() && there <= stretch.to()) {
                    return Math.min(length, behind ? there - stretch.from() : stretch.length());
                }
            }
        }
        return length;
    }
}
