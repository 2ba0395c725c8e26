package dev.oleander.work.wire.cut;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.List;
import java.util.Optional;

/**
 * One pass along a stretch of a profile, with the ways to it and off it.
 *
 * @param pass of the cut book, from 1
 * @param offset of the wire's centre, mm
 * @param feed mm/min
 * @param wireLeft whether the wire runs to the left of the drawn line, in the direction of travel
 * @param profile the drawn line in the plane of the profile; empty for the inside of a coreless cut
 * @param leans how the flank of each element of the profile leans
 * @param plane height of the plane of the profile above the lower side of the work, mm
 * @param way of the wire's centre
 * @param from where it comes from, upright; empty: it goes on from the cut before
 * @param square a corner on the way to the profile; empty: straight
 * @param arc as written and as run, by which it comes to the profile; empty: straight
 * @param off where it goes when it is done, upright; empty: it stays for the next cut
 * @param posted whether the drawn line is written and the controller offsets it
 */
public record WireCut(
        int pass,
        Role role,
        double offset,
        int register,
        int condition,
        double feed,
        boolean wireLeft,
        List<Segment> profile,
        List<Lean> leans,
        double plane,
        List<Ruling> way,
        Optional<Point> from,
        Optional<Point> square,
        Optional<LeadArc> arc,
        Optional<Point> off,
        boolean posted) {

    /** What a pass is for. */
    public enum Role {
        ROUGH("rough"),
        SKIM("skim"),
        CUT_OFF("cut-off"),
        OFF_SKIM("skim of the cut-off"),
        RING("rings");

        private final String label;

        Role(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether it goes through whole material. */
        public boolean isThrough() {
            return this == ROUGH || this == CUT_OFF || this == RING;
        }
    }

    /**
     * How a flank leans.
     *
     * @param angle degrees; above 0 the upper guide leads to the left
     * @param cylindrical whether it is a rounded corner that keeps its radius
     */
    public record Lean(double angle, boolean cylindrical) {

        public static final Lean NONE = new Lean(0, false);

        public Lean back() {
            return angle == 0 ? this : new Lean(-angle, cylindrical);
        }
    }

    /** An arc as it is written, and as the wire runs. */
    public record LeadArc(Segment drawn, Segment run) {}

    public WireCut {
        profile = List.copyOf(profile);
        leans = List.copyOf(leans);
        way = List.copyOf(way);
    }

    /** Length of the way in the lower plane, mm. */
    public double length() {
        return way.stream().mapToDouble(r -> r.lower().length()).sum();
    }

    /** Whether the wire leans anywhere. */
    public boolean isLeaning() {
        return way.stream().anyMatch(r -> !r.isUpright());
    }

    /** Where the wire joins the profile, in the lower plane. */
    public Point begin() {
        return way.get(0).lower().start();
    }

    /** Where it leaves it. */
    public Point end() {
        return way.get(way.size() - 1).lower().end();
    }
}
