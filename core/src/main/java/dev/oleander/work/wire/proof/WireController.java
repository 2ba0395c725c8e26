package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.work.wire.cut.Ruling;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Does with a program what the controller of a wire machine does: offsets the programmed contour by
 * registers and leans the wire. It shares no code with the planner, so that it can judge what was
 * written.
 */
final class WireController {

    /** Sine of a turn below which two elements meet smoothly. */
    private static final double SMOOTH = 1e-5;

    private static final double SAME = 1e-9;

    private final Map<Integer, Double> registers;
    private final double height;
    private final double chord;
    private final List<WireMove> moves = new ArrayList<>();
    private Point at = Point.ORIGIN;
    private Point above = Point.ORIGIN;
    private double turn;
    private boolean left;
    private double offset;
    private boolean compensates;
    private Lean lean = Lean.NONE;
    private final List<Element> block = new ArrayList<>();

    /** An element of a compensated contour. */
    private record Element(Segment segment, Lean lean) {}

    /** How a flank leans: radians to the left. */
    private record Lean(double angle, boolean keepsRadius, double plane) {
        static final Lean NONE = new Lean(0, false, 0);
    }

    /**
     * @param registers offsets in mm by number
     * @param height of the work, mm
     * @param chord mm; how far straight stretches of two guides may leave arcs
     */
    WireController(Map<Integer, Double> registers, double height, double chord) {
        this.registers = registers;
        this.height = height;
        this.chord = chord;
    }

    /**
     * All moves of the wire in the lower and the upper side of the work.
     *
     * @throws ControllerException when a register is not known, or a contour cannot be offset
     */
    List<WireMove> run(Program program) {
        for (Item item : program.items()) {
            if (item instanceof Item.Event event) {
                event(event);
            } else if (compensates && item instanceof Item.Feed feed) {
                block.add(new Element(feed.segment(), lean));
            } else {
                plain(item);
            }
        }
        finish();
        return moves;
    }

    private void event(Item.Event event) {
        switch (event.kind()) {
            case COMP_LEFT, COMP_RIGHT -> {
                finish();
                int register = (int) Math.round(event.args().getOrDefault("register", 0.0));
                Double value = registers.get(register);
                if (value == null) {
                    throw new ControllerException("register D%d is empty".formatted(register));
                }
                left = event.kind() == EventKind.COMP_LEFT;
                offset = value;
                compensates = true;
            }
            case COMP_OFF -> {
                finish();
                compensates = false;
            }
            case TAPER_LEFT, TAPER_RIGHT -> {
                double angle = Math.toRadians(event.args().getOrDefault("angle", 0.0));
                boolean keeps = event.args().getOrDefault("corner", 1.0) > 1.5;
                double plane = event.args().getOrDefault("plane", 0.0);
                double side = event.kind() == EventKind.TAPER_LEFT ? 1 : -1;
                lean = new Lean(side * angle, keeps, plane);
            }
            case TAPER_OFF -> lean = Lean.NONE;
            case INDEX -> turn = event.args().getOrDefault("turn", 0.0);
            default -> {
                // nothing that moves the wire
            }
        }
    }

    private void plain(Item item) {
        if (item instanceof Item.Rapid rapid) {
            add(Ruling.upright(new Line(rapid.from(), rapid.to())), true);
            stand(rapid.to(), rapid.to());
        } else if (item instanceof Item.TwoPlane both) {
            moveTo(both.lower().to(), both.upper().to());
        } else if (item instanceof Item.Feed feed) {
            if (at.equals(above) && at.distance(feed.segment().start()) < 1e-6) {
                move(feed.segment());
            } else {
                moveTo(feed.segment().end(), feed.segment().end());
            }
        }
    }

    private void move(Segment segment) {
        add(Ruling.upright(segment), false);
        stand(segment.end(), segment.end());
    }

    private void add(Ruling way, boolean rapid) {
        moves.add(new WireMove(way, turn, rapid));
    }

    private void stand(Point lower, Point upper) {
        at = lower;
        above = upper;
    }

    private void moveTo(Point lower, Point upper) {
        if (at.equals(above) && lower.equals(upper)) {
            if (!at.equals(lower)) {
                move(new Line(at, lower));
            }
            return;
        }
        add(new Ruling(segment(at, lower), segment(above, upper)), false);
        stand(lower, upper);
    }

    /** A guide that stands still has a stretch of next to nothing. */
    static Segment segment(Point from, Point to) {
        return from.equals(to)
                ? new Line(from, new Point(to.x() + Math.ulp(to.x() + 1), to.y()))
                : new Line(from, to);
    }

    // ---- a compensated contour

    /** The first element leads to the contour, the others are offset. */
    private void finish() {
        if (block.isEmpty()) {
            return;
        }
        if (block.size() == 1) {
            throw new ControllerException("an offset leads to no contour");
        }
        List<Element> contour = block.subList(1, block.size());
        boolean leans = contour.stream().anyMatch(e -> e.lean().angle() != 0);
        List<Segment> lower = way(contour, 0);
        List<Segment> upper = leans ? way(contour, height) : lower;
        moveTo(lower.get(0).start(), upper.get(0).start());
        for (int i = 0; i < lower.size(); i++) {
            if (leans) {
                together(lower.get(i), upper.get(i));
            } else {
                move(lower.get(i));
            }
        }
        block.clear();
    }

    private void together(Segment lower, Segment upper) {
        boolean upright =
                lower.start().distance(upper.start()) < SAME
                        && lower.end().distance(upper.end()) < SAME
                        && at.distance(above) < SAME;
        if (upright) {
            move(lower);
            return;
        }
        int parts = Math.max(chords(lower), chords(upper));
        for (int i = 1; i <= parts; i++) {
            double t = (double) i / parts;
            add(new Ruling(segment(at, lower.at(t)), segment(above, upper.at(t))), false);
            stand(lower.at(t), upper.at(t));
        }
    }

    private int chords(Segment segment) {
        if (!(segment instanceof Arc arc)) {
            return 1;
        }
        double most = 2 * Math.acos(1 - Math.min(1, chord / arc.radius()));
        return Math.max(1, (int) Math.ceil(Math.abs(arc.sweep()) / most));
    }

    private List<Segment> way(List<Element> contour, double z) {
        List<GuideCurve> section = section(contour, z);
        int n = section.size();
        double[] off = new double[n];
        for (int i = 0; i < n; i++) {
            off[i] = (left ? offset : -offset) / Math.cos(contour.get(i).lean().angle());
        }
        return joined(section, off);
    }

    /** The contour at a height: moved by the leaning of its flanks, joined where they meet. */
    private List<GuideCurve> section(List<Element> contour, double z) {
        int n = contour.size();
        double[] by = new double[n];
        GuideCurve[] curves = new GuideCurve[n];
        for (int i = 0; i < n; i++) {
            Lean flank = contour.get(i).lean();
            by[i] = (z - flank.plane()) * Math.tan(flank.angle());
            curves[i] = GuideCurve.of(contour.get(i).segment());
        }
        GuideCurve[] moved = new GuideCurve[n];
        for (int i = 0; i < n; i++) {
            moved[i] = curves[i].moved(by[i]);
        }
        double[] begin = new double[n];
        double[] end = new double[n];
        for (int i = 0; i < n; i++) {
            end[i] = moved[i] == null ? 0 : moved[i].length();
        }
        boolean[] done = new boolean[n + 1];
        for (int i = 1; i + 1 < n; i++) {
            if (contour.get(i).lean().keepsRadius() && curves[i].curvature() != 0) {
                keepRadius(i, curves, moved, begin, end);
                done[i] = true;
                done[i + 1] = true;
            }
        }
        for (int i = 1; i < n; i++) {
            boolean same = Math.abs(by[i] - by[i - 1]) < SAME;
            boolean smooth = smooth(curves[i - 1], curves[i]);
            if (!done[i] && !(same && smooth)) {
                meet(moved, begin, end, i);
            }
        }
        List<GuideCurve> section = new ArrayList<>(n);
        for (int i = 0; i < n; i++) {
            GuideCurve c = moved[i];
            section.add(
                    new GuideCurve(
                            c.at(begin[i]),
                            c.direction(begin[i]),
                            c.curvature(),
                            end[i] - begin[i]));
        }
        return section;
    }

    private static boolean smooth(GuideCurve a, GuideCurve b) {
        Point in = a.direction(a.length());
        return Math.abs(in.cross(b.ahead())) < SMOOTH && in.dot(b.ahead()) > 0;
    }

    private static void meet(GuideCurve[] moved, double[] begin, double[] end, int i) {
        double[] place =
                moved[i - 1] == null || moved[i] == null
                        ? null
                        : GuideCurve.meet(moved[i - 1], moved[i]);
        if (place == null) {
            throw new ControllerException("two elements of a contour do not meet");
        }
        end[i - 1] = place[0];
        begin[i] = place[1];
    }

    /** Puts an arc of the same radius where it touches both neighbours. */
    private static void keepRadius(
            int i, GuideCurve[] curves, GuideCurve[] moved, double[] begin, double[] end) {
        double radius = 1 / curves[i].curvature();
        GuideCurve one = moved[i - 1].moved(radius);
        GuideCurve other = moved[i + 1].moved(radius);
        double[] place = one == null || other == null ? null : GuideCurve.meet(one, other);
        if (place == null) {
            throw new ControllerException("a rounded corner has no place");
        }
        double share = moved[i - 1].length() / one.length();
        double shareOther = moved[i + 1].length() / other.length();
        end[i - 1] = place[0] * share;
        begin[i + 1] = place[1] * shareOther;
        Point from = moved[i - 1].at(end[i - 1]);
        Point ahead = moved[i - 1].direction(end[i - 1]);
        Point to = moved[i + 1].direction(begin[i + 1]);
        double turn = Math.atan2(ahead.cross(to), ahead.dot(to));
        if (turn * radius < 0) {
            turn += 2 * Math.PI * Math.signum(radius);
        }
        moved[i] = new GuideCurve(from, ahead, 1 / radius, turn * radius);
        begin[i] = 0;
        end[i] = moved[i].length();
    }

    /** Parallels of a contour; an opening corner between equal distances is gone round. */
    private static List<Segment> joined(List<GuideCurve> contour, double[] off) {
        int n = contour.size();
        GuideCurve[] moved = new GuideCurve[n];
        double[] begin = new double[n];
        double[] end = new double[n];
        for (int i = 0; i < n; i++) {
            moved[i] = contour.get(i).moved(off[i]);
            if (moved[i] == null) {
                throw new ControllerException("a radius is smaller than the offset");
            }
            end[i] = moved[i].length();
        }
        boolean[] round = new boolean[n];
        for (int i = 1; i < n; i++) {
            GuideCurve before = contour.get(i - 1);
            Point in = before.direction(before.length());
            double turn = in.cross(contour.get(i).ahead());
            boolean same = Math.abs(off[i] - off[i - 1]) < SAME;
            boolean smooth = Math.abs(turn) < SMOOTH && in.dot(contour.get(i).ahead()) > 0;
            if (same && smooth) {
                continue;
            }
            round[i] = same && turn * off[i] < 0;
            if (!round[i]) {
                meet(moved, begin, end, i);
            }
        }
        return segments(moved, begin, end, round);
    }

    private static List<Segment> segments(
            GuideCurve[] moved, double[] begin, double[] end, boolean[] round) {
        List<Segment> segments = new ArrayList<>();
        Point at = moved[0].at(begin[0]);
        for (int i = 0; i < moved.length; i++) {
            if (i > 0 && round[i]) {
                Point to = moved[i].at(begin[i]);
                Point in = moved[i - 1].direction(end[i - 1]);
                Point out = moved[i].direction(begin[i]);
                double bend = Math.atan2(in.cross(out), in.dot(out));
                requireLength(at, to);
                segments.add(new Arc(at, to, Math.tan(bend / 4)));
                at = to;
            }
            Point to = moved[i].at(end[i]);
            requireLength(at, to);
            segments.add(moved[i].between(begin[i], end[i], at, to));
            at = to;
        }
        return segments;
    }

    private static void requireLength(Point from, Point to) {
        if (from.equals(to)) {
            throw new ControllerException("nothing is left of an element of a contour");
        }
    }
}
