package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How deep the stock is cut at any place: the lowest height plus profile of all moves near it.
 * Exact for lines at any slope and for arcs at one height; arcs that go up or down are lines in
 * pieces that lie within a tenth of a micrometre of them.
 */
public final class Depths {

    /** mm between an arc and the lines that stand for it where it climbs. */
    private static final double FLAT = 1e-4;

    /** Halvings of the stretch in which the lowest place of a climbing line is looked for. */
    private static final int HALVINGS = 60;

    /**
     * @param made how many legs are done before it
     * @param way empty: it goes up and down over a place
     */
    record Piece(
            Cutting of,
            int leg,
            int made,
            Point at,
            Optional<Segment> way,
            double fromZ,
            double toZ) {

        /** Round all that it cuts below the top. */
        Box box() {
            Tool.Form form = of.form();
            double reach =
                    form.kind() == ToolKind.SAW
                            ? form.radius()
                            : form.effectiveDiameter(Math.max(0, -lowest())) / 2;
            return way.map(Segment::box).orElse(new Box(at, at)).grown(reach);
        }

        double lowest() {
            return Math.min(fromZ, toZ);
        }

        /** Its beginning, to a share of it from 0 to 1. */
        Piece beginning(double share) {
            double end = fromZ + share * (toZ - fromZ);
            return new Piece(of, leg, made, at, way.map(w -> w.between(0, share)), fromZ, end);
        }

        double distance(Point p) {
            return way.map(w -> w.distance(p)).orElseGet(() -> at.distance(p));
        }
    }

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
                add(cutting, i, cutting.legs().get(i));
                legs++;
            }
        }
        this.index = SegmentIndex.ofBoxes(pieces.stream().map(Piece::box).toList());
    }

    private void add(Cutting cutting, int leg, Leg of) {
        if (of.segment().isEmpty() || of.fromZ() == of.toZ()) {
            double lowest = of.lowest();
            pieces.add(new Piece(cutting, leg, legs, of.from(), of.segment(), lowest, lowest));
            return;
        }
        Segment way = of.segment().get();
        int count = way instanceof Line ? 1 : parts(way);
        double rise = of.toZ() - of.fromZ();
        for (int i = 0; i < count; i++) {
            double first = (double) i / count;
            double last = (double) (i + 1) / count;
            Line part = new Line(way.at(first), way.at(last));
            pieces.add(
                    new Piece(
                            cutting,
                            leg,
                            legs,
                            part.start(),
                            Optional.of(part),
                            of.fromZ() + first * rise,
                            of.fromZ() + last * rise));
        }
    }

    private static int parts(Segment arc) {
        double sweep = 4 * Math.atan(Math.abs(arc.bulge()));
        double radius = arc.length() / sweep;
        double most = 2 * Math.acos(Math.max(0, 1 - FLAT / radius));
        return (int) Math.max(1, Math.ceil(sweep / most));
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
            double height = lowest(piece, p);
            if (-height > deepest.depth()) {
                deepest = new Depth(-height, Optional.of(piece.of().stop()), piece.leg());
            }
        }
        return deepest;
    }

    /** Height of the floor that a piece leaves at a place; infinite where it does not come. */
    static double lowest(Piece piece, Point p) {
        Tool.Form form = piece.of().form();
        if (form.kind() == ToolKind.SAW) {
            return sawn(piece, p, form);
        }
        if (piece.fromZ() == piece.toZ()) {
            double off = piece.distance(p);
            return off <= form.radius() ? piece.fromZ() + form.rise(off) : Double.POSITIVE_INFINITY;
        }
        return sloped(piece, p, form);
    }

    /** A blade stands along its way: beyond the ends it cuts as its circle does. */
    private static double sawn(Piece piece, Point p, Tool.Form form) {
        if (piece.way().isEmpty() || !(piece.way().get() instanceof Line line)) {
            return Double.POSITIVE_INFINITY;
        }
        double foot = foot(line, p);
        double beside = line.at(foot).distance(p);
        double beyond = Math.max(0, Math.max(-foot, foot - 1)) * line.length();
        if (beside > form.bladeWidth() / 2 || beyond > form.radius()) {
            return Double.POSITIVE_INFINITY;
        }
        double rise = form.radius() - Math.sqrt(form.radius() * form.radius() - beyond * beyond);
        return Math.max(piece.fromZ(), piece.toZ()) + rise;
    }

    /** Of a climbing line: height and profile together are convex along it. */
    private static double sloped(Piece piece, Point p, Tool.Form form) {
        Line line = (Line) piece.way().orElseThrow();
        double nearest = line.nearest(p);
        double off = line.at(nearest).distance(p);
        if (off > form.radius()) {
            return Double.POSITIVE_INFINITY;
        }
        double foot = foot(line, p);
        double away = line.at(foot).distance(p);
        double half =
                Math.sqrt(Math.max(0, form.radius() * form.radius() - away * away)) / line.length();
        double low = Math.max(0, foot - half);
        double high = Math.min(1, foot + half);
        if (low >= high) {
            return height(piece, line, nearest, p);
        }
        if (form.kind().isConical()) {
            return cone(piece, line, p, new double[] {low, high, foot, away});
        }
        if (form.kind().isFlat() && form.cornerRadius() == 0) {
            double rise = piece.toZ() - piece.fromZ();
            return piece.fromZ() + rise * (rise < 0 ? high : low);
        }
        for (int i = 0; i < HALVINGS; i++) {
            double a = low + (high - low) / 3;
            double b = high - (high - low) / 3;
            if (height(piece, line, a, p) <= height(piece, line, b, p)) {
                high = b;
            } else {
                low = a;
            }
        }
        return height(piece, line, (low + high) / 2, p);
    }

    /**
     * Of a cone, whose height along the line is lowest at an end, where the flat of its tip ends,
     * or where the flank is as steep as the line: u / sqrt(away^2 + u^2) = - slope tan(angle/2), u
     * mm from the foot.
     *
     * @param at the stretch from low to high, the foot and the distance there
     */
    private static double cone(Piece piece, Line line, Point p, double[] at) {
        double length = line.length();
        double away = at[3];
        double steep = (piece.toZ() - piece.fromZ()) / length * piece.of().form().halfTangent();
        double lowest = Math.min(height(piece, line, at[0], p), height(piece, line, at[1], p));
        double tip = piece.of().form().tipDiameter() / 2;
        double flat = tip > away ? Math.sqrt(tip * tip - away * away) : 0;
        double even = Math.abs(steep) < 1 ? -away * steep / Math.sqrt(1 - steep * steep) : 0;
        for (double u : new double[] {-flat, flat, even}) {
            double t = Math.min(at[1], Math.max(at[0], at[2] + u / length));
            lowest = Math.min(lowest, height(piece, line, t, p));
        }
        return lowest;
    }

    /** Parameter of the foot of the perpendicular; outside 0 to 1 beyond the ends. */
    private static double foot(Line line, Point p) {
        Point along = line.end().minus(line.start());
        Point to = p.minus(line.start());
        double square = along.x() * along.x() + along.y() * along.y();
        return (along.x() * to.x() + along.y() * to.y()) / square;
    }

    private static double height(Piece piece, Line line, double t, Point p) {
        Tool.Form form = piece.of().form();
        double off = Math.min(form.radius(), line.at(t).distance(p));
        return piece.fromZ() + t * (piece.toZ() - piece.fromZ()) + form.rise(off);
    }
}
