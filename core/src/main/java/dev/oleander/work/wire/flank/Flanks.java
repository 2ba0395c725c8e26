package dev.oleander.work.wire.flank;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.ElementOffset;
import dev.oleander.geometry.offset.ElementOffset.Piece;
import dev.oleander.geometry.offset.ElementOffsetException;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireCut;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The flanks of a profile and the way of a wire along them.
 *
 * <p>An element that leans by the angle a is, at the height h above the plane of the profile, the
 * parallel at the distance h tan(a); neighbours run on to where they meet. The wire touches a
 * leaning flank at o / cos(a) in every level plane, o being its distance at right angles to the
 * flank.
 */
public final class Flanks {

    private final ElementChain chain;
    private final boolean wireLeft;
    private final double[] angles;
    private final boolean[] cylindrical;
    private final List<Segment> lower;
    private final List<Segment> upper;
    private final double plane;

    /** Heights in mm above the lower side of the work. */
    public record Planes(double profile, double top) {}

    private Flanks(
            ElementChain chain,
            boolean wireLeft,
            double[] angles,
            boolean[] cylindrical,
            List<Segment> lower,
            List<Segment> upper,
            double plane) {
        this.plane = plane;
        this.chain = chain;
        this.wireLeft = wireLeft;
        this.angles = angles;
        this.cylindrical = cylindrical;
        this.lower = lower;
        this.upper = upper;
    }

    /** Upright flanks. */
    public static Flanks upright(ElementChain chain, boolean wireLeft) {
        int n = chain.elements().size();
        List<Segment> profile = chain.elements();
        return new Flanks(chain, wireLeft, new double[n], new boolean[n], profile, profile, 0);
    }

    /**
     * @param outwardLeft whether the outside of the contour lies to the left of the travel
     * @throws RefusedException when a contour closes or neighbours do not meet
     */
    public static Flanks leaning(
            ElementChain chain,
            boolean wireLeft,
            boolean outwardLeft,
            TaperChoice taper,
            Planes planes) {
        int n = chain.elements().size();
        double[] angles = new double[n];
        boolean[] cylindrical = new boolean[n];
        for (int i = 0; i < n; i++) {
            angles[i] = Math.toRadians(taper.angle(chain.source(i)));
            cylindrical[i] = taper.isCylindrical(chain.source(i)) && isCorner(chain, i);
        }
        double plane = planes.profile();
        Flanks flanks =
                new Flanks(chain, wireLeft, angles, cylindrical, List.of(), List.of(), plane);
        double out = outwardLeft ? 1 : -1;
        List<Segment> lower = flanks.section(-planes.profile() * out, "lower");
        List<Segment> upper = flanks.section((planes.top() - planes.profile()) * out, "upper");
        return new Flanks(chain, wireLeft, angles, cylindrical, lower, upper, plane);
    }

    /**
     * Whether an element is a rounded corner: an arc between two straight elements.
     *
     * @throws RefusedException when it is split, so that it cannot be moved as a whole
     */
    private static boolean isCorner(ElementChain chain, int i) {
        if (!(chain.elements().get(i) instanceof Arc arc)) {
            return false;
        }
        int n = chain.elements().size();
        int before = neighbour(chain, i, n - 1);
        int after = neighbour(chain, i, 1);
        // between arcs there is no place where one of the same radius would touch both
        if (!(chain.elements().get(before) instanceof Line)
                || !(chain.elements().get(after) instanceof Line)) {
            return false;
        }
        boolean whole = before == (i + n - 1) % n && after == (i + 1) % n;
        if (!whole) {
            String sentence =
                    "the start or a hold lies on the corner at %s, which keeps its radius with the height. Move it to a straight element."
                            .formatted(place(arc.middle()));
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TAPER,
                            sentence,
                            arc.middle(),
                            arc.radius(),
                            arc.radius()));
        }
        return true;
    }

    /** The next element in a direction that is not a piece of the same drawn one. */
    private static int neighbour(ElementChain chain, int i, int step) {
        int n = chain.elements().size();
        int next = (i + step) % n;
        while (next != i && chain.source(next) == chain.source(i)) {
            next = (next + step) % n;
        }
        return next;
    }

    private List<Segment> section(double height, String which) {
        double[] left = new double[angles.length];
        for (int i = 0; i < left.length; i++) {
            left[i] = height * Math.tan(angles[i]);
        }
        if (Arrays.stream(left).allMatch(d -> d == 0)) {
            return chain.elements();
        }
        try {
            return ElementOffset.sharp(chain.elements(), chain.isClosed(), left, cylindrical)
                    .stream()
                    .map(Piece::segment)
                    .toList();
        } catch (ElementOffsetException impossible) {
            throw new RefusedException(closes(impossible, which));
        }
    }

    private Refusal closes(ElementOffsetException e, String which) {
        String angle = Numbers.plain(Math.toDegrees(angles[e.element()]), 3);
        String sentence =
                switch (e.kind()) {
                    case RADIUS ->
                            "the taper of %s° closes the %s contour at %s: the radius of %s there is not more than the %s by which it moves. Take a smaller angle, or keep the radius the same above and below."
                                    .formatted(
                                            angle,
                                            which,
                                            place(e.place()),
                                            Numbers.length(e.value()),
                                            Numbers.length(e.limit()));
                    case SHORT ->
                            "the taper of %s° closes the %s contour at %s: an element of %s has no length left when it moves by %s."
                                    .formatted(
                                            angle,
                                            which,
                                            place(e.place()),
                                            Numbers.length(e.value()),
                                            Numbers.length(e.limit()));
                    case APART ->
                            "the angle changes at %s, where two elements meet smoothly: moved by %s and %s their flanks do not meet. Change it at a corner."
                                    .formatted(
                                            place(e.place()),
                                            Numbers.length(e.value()),
                                            Numbers.length(e.limit()));
                };
        return new Refusal(Refusal.Kind.TAPER, sentence, e.place(), e.value(), e.limit());
    }

    public static String place(Point p) {
        return "X %s, Y %s".formatted(Numbers.plain(p.x(), 3), Numbers.plain(p.y(), 3));
    }

    /** The profile in the lower plane. */
    public List<Segment> lower() {
        return lower;
    }

    /** The profile in the upper plane. */
    public List<Segment> upper() {
        return upper;
    }

    /** Height of the plane of the profile, mm. */
    double plane() {
        return plane;
    }

    /** How an element leans; above 0 towards the outside. */
    WireCut.Lean lean(int element) {
        return new WireCut.Lean(Math.toDegrees(angles[element]), cylindrical[element]);
    }

    boolean isUpright() {
        return lower == upper;
    }

    /** By element and then corner, a piece of the wire's way. */
    record Way(Ruling ruling, int element) {}

    /**
     * The way of the wire's centre in a pass, all round.
     *
     * @param offset at right angles to the flank, mm
     * @param pass its number, for what is said when it is impossible
     * @throws RefusedException when a radius is too small for it
     */
    List<Way> way(double offset, int pass) {
        List<Piece> below = pieces(lower, offset, pass, "");
        if (isUpright()) {
            return below.stream()
                    .map(p -> new Way(Ruling.upright(p.segment()), p.element()))
                    .toList();
        }
        List<Piece> above = pieces(upper, offset, pass, " above");
        if (below.size() != above.size()) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TAPER,
                            "the corners of the lower and the upper contour turn to different sides.",
                            lower.get(0).start(),
                            below.size(),
                            above.size()));
        }
        List<Way> ways = new ArrayList<>(below.size());
        for (int i = 0; i < below.size(); i++) {
            Piece piece = below.get(i);
            Ruling both = new Ruling(piece.segment(), above.get(i).segment());
            ways.add(new Way(both, piece.element()));
        }
        return ways;
    }

    private List<Piece> pieces(List<Segment> profile, double offset, int pass, String where) {
        double[] left = new double[angles.length];
        for (int i = 0; i < left.length; i++) {
            left[i] = (wireLeft ? offset : -offset) / Math.cos(angles[i]);
        }
        try {
            return ElementOffset.mixed(profile, chain.isClosed(), left);
        } catch (ElementOffsetException impossible) {
            throw new RefusedException(tooSmall(impossible, offset, pass, where));
        }
    }

    private static Refusal tooSmall(
            ElementOffsetException e, double offset, int pass, String where) {
        String name = pass == 1 ? "pass 1 (rough)" : "pass %d (skim)".formatted(pass);
        String sentence =
                e.kind() == ElementOffsetException.Cause.RADIUS
                        ? "the radius of %s%s at %s is not larger than the offset of %s of %s. Take a thinner wire or a larger radius."
                                .formatted(
                                        Numbers.length(e.value()),
                                        where,
                                        place(e.place()),
                                        Numbers.length(offset),
                                        name)
                        : "the element of %s%s at %s is too short for the offset of %s of %s."
                                .formatted(
                                        Numbers.length(e.value()),
                                        where,
                                        place(e.place()),
                                        Numbers.length(offset),
                                        name);
        return new Refusal(Refusal.Kind.RADIUS, sentence, e.place(), e.value(), offset);
    }
}
