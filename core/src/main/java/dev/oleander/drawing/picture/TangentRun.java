package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Elements in a row made tangent: all lengths and curvatures together are moved until the points
 * lie nearest (K. Levenberg, 1944; D. W. Marquardt, 1963). What cannot be made tangent within the
 * tolerance stays as it is.
 */
final class TangentRun {

    /** Elements at most: the equations grow with their third power. */
    private static final int MOST = 24;

    private static final int ROUNDS = 12;
    private static final int SAMPLES_EACH = 24;

    /** How much a gap at the end of a closed run weighs, against points that are off. */
    private static final double CLOSED = 30;

    /** The same of where an open one begins and ends on its way. */
    private static final double ENDS = 0.3;

    /** Share by which a tangent run may lie farther off. */
    private static final double FARTHER = 1.2;

    private static final double STEP = 1e-6;

    private final Loop points;
    private final List<Element> elements;
    private final boolean closed;
    private final int[][] samples;

    /** Numbers that are moved: place and direction of the start, lengths, curvatures of arcs. */
    private final int[] curvatureAt;

    private TangentRun(Loop points, List<Element> elements, boolean closed) {
        this.points = points;
        this.elements = elements;
        this.closed = closed;
        this.samples = elements.stream().map(TangentRun::samples).toArray(int[][]::new);
        this.curvatureAt = new int[elements.size()];
        int next = 3 + elements.size();
        for (int i = 0; i < elements.size(); i++) {
            curvatureAt[i] = elements.get(i).isLine() ? -1 : next++;
        }
    }

    /**
     * A run whose elements are tangent.
     *
     * @param joints where each element begins, and where the last one ends
     */
    record Made(List<Element> elements, List<Point> joints) {}

    /**
     * @param closed whether the last element meets the first
     * @return null when it cannot be had
     */
    static Made of(Loop points, List<Element> elements, boolean closed, double tolerance) {
        boolean possible = elements.size() > 1 && elements.size() <= MOST;
        return possible ? new TangentRun(points, elements, closed).made(tolerance) : null;
    }

    private static int[] samples(Element element) {
        int count = Math.min(SAMPLES_EACH, element.to() - element.from() + 1);
        int[] samples = new int[count];
        for (int i = 0; i < count; i++) {
            double share = count == 1 ? 0 : (double) i / (count - 1);
            samples[i] = element.from() + (int) Math.round(share * (element.to() - element.from()));
        }
        return samples;
    }

    private Made made(double tolerance) {
        double[] found = improved(begun());
        if (found == null) {
            return null;
        }
        List<Point> joints = new ArrayList<>();
        List<Element> made = elements(found, joints);
        double before = elements.stream().mapToDouble(Element::greatest).max().orElse(0);
        double most = FARTHER * Math.max(tolerance, before);
        return made != null && isNear(made, most) ? new Made(made, joints) : null;
    }

    private double[] begun() {
        double[] values = new double[3 + elements.size() + arcs()];
        Element first = elements.get(0);
        Point start = first.nearest(point(first.from()));
        values[0] = start.x();
        values[1] = start.y();
        values[2] = first.direction(start).angle();
        for (int i = 0; i < elements.size(); i++) {
            Element element = elements.get(i);
            double length = 0;
            for (int k = element.from(); k < element.to(); k++) {
                length += point(k).distance(point(k + 1));
            }
            values[3 + i] = length;
            if (curvatureAt[i] >= 0) {
                values[curvatureAt[i]] = (element.left() ? 1 : -1) / element.radius();
            }
        }
        return values;
    }

    private int arcs() {
        return (int) elements.stream().filter(e -> !e.isLine()).count();
    }

    private Point point(int i) {
        return new Point(points.x(i), points.y(i));
    }

    private double curvature(double[] values, int element) {
        return curvatureAt[element] < 0 ? 0 : values[curvatureAt[element]];
    }

    /** How far everything is off: points, then the ends. */
    private double[] off(double[] values) {
        int count = 0;
        for (int[] of : samples) {
            count += of.length;
        }
        double[] off = new double[count + (closed ? 3 : 2)];
        double x = values[0];
        double y = values[1];
        double angle = values[2];
        int at = 0;
        for (int i = 0; i < elements.size(); i++) {
            double k = curvature(values, i);
            double tx = Math.cos(angle);
            double ty = Math.sin(angle);
            for (int sample : samples[i]) {
                double qx = points.x(sample) - x;
                double qy = points.y(sample) - y;
                off[at++] = signed(k, qx * qx + qy * qy, tx * qy - ty * qx);
            }
            double length = values[3 + i];
            double turn = k * length;
            double chord = Math.abs(turn) < 1e-9 ? length : 2 * Math.sin(turn / 2) / k;
            x += chord * Math.cos(angle + turn / 2);
            y += chord * Math.sin(angle + turn / 2);
            angle += turn;
        }
        ends(values, off, at, x, y, angle);
        return off;
    }

    /** Distance from a circle that passes through the origin, also of one that is nearly a line. */
    private static double signed(double k, double square, double left) {
        double inner = 1 + k * (k * square - 2 * left);
        return (2 * left - k * square) / (1 + Math.sqrt(Math.max(0, inner)));
    }

    private void ends(double[] values, double[] off, int from, double x, double y, double angle) {
        if (closed) {
            double turned = angle - values[2];
            double whole = 2 * Math.PI * Math.signum(points.area());
            off[from] = CLOSED * (x - values[0]);
            off[from + 1] = CLOSED * (y - values[1]);
            off[from + 2] = CLOSED * 5 * (turned - whole);
            return;
        }
        Element first = elements.get(0);
        Element last = elements.get(elements.size() - 1);
        off[from] =
                ENDS
                        * ((values[0] - points.x(first.from())) * Math.cos(values[2])
                                + (values[1] - points.y(first.from())) * Math.sin(values[2]));
        off[from + 1] =
                ENDS
                        * ((x - points.x(last.to())) * Math.cos(angle)
                                + (y - points.y(last.to())) * Math.sin(angle));
    }

    private static double squares(double[] off) {
        double sum = 0;
        for (double one : off) {
            sum += one * one;
        }
        return sum;
    }

    private double[] improved(double[] begun) {
        double[] values = begun;
        double[] off = off(values);
        double damping = 1e-3;
        for (int round = 0; round < ROUNDS && damping < 1e6; round++) {
            double[][] changes = changes(values, off);
            double[] next = stepped(values, off, changes, damping);
            double[] then = next == null ? null : off(next);
            if (then != null && squares(then) < squares(off)) {
                boolean settled = squares(then) > 0.9999 * squares(off);
                values = next;
                off = then;
                damping /= 10;
                if (settled) {
                    break;
                }
            } else {
                damping *= 10;
            }
        }
        return Double.isFinite(squares(off)) ? values : null;
    }

    /** By how much each is off more when each value is more. */
    private double[][] changes(double[] values, double[] off) {
        double[][] changes = new double[values.length][];
        for (int i = 0; i < values.length; i++) {
            double[] moved = values.clone();
            moved[i] += STEP;
            double[] then = off(moved);
            for (int j = 0; j < then.length; j++) {
                then[j] = (then[j] - off[j]) / STEP;
            }
            changes[i] = then;
        }
        return changes;
    }

    private static double[] stepped(
            double[] values, double[] off, double[][] changes, double damping) {
        int n = values.length;
        double[][] rows = new double[n][n + 1];
        for (int i = 0; i < n; i++) {
            for (int j = i; j < n; j++) {
                double sum = 0;
                for (int k = 0; k < off.length; k++) {
                    sum += changes[i][k] * changes[j][k];
                }
                rows[i][j] = sum;
                rows[j][i] = sum;
            }
            double right = 0;
            for (int k = 0; k < off.length; k++) {
                right -= changes[i][k] * off[k];
            }
            rows[i][i] *= 1 + damping;
            rows[i][n] = right;
        }
        double[] by = Equations.solved(rows);
        if (by == null) {
            return null;
        }
        double[] next = values.clone();
        for (int i = 0; i < n; i++) {
            next[i] += by[i];
        }
        return next;
    }

    /** Null when one has no length, or goes round more than once. */
    private List<Element> elements(double[] values, List<Point> joints) {
        List<Element> made = new ArrayList<>();
        Point at = new Point(values[0], values[1]);
        double angle = values[2];
        joints.add(at);
        for (int i = 0; i < elements.size(); i++) {
            double length = values[3 + i];
            double k = curvature(values, i);
            if (!(length > 0.02) || Math.abs(k * length) > 1.95 * Math.PI) {
                return null;
            }
            Element of = elements.get(i);
            Point along = Point.polar(1, angle);
            boolean straight = Math.abs(k * length) < 1e-6;
            Element now =
                    straight
                            ? new Element(at, along, 0, true, of.from(), of.to(), 0, 0)
                            : new Element(
                                    at.plus(along.left().times(1 / k)),
                                    null,
                                    Math.abs(1 / k),
                                    k > 0,
                                    of.from(),
                                    of.to(),
                                    0,
                                    0);
            made.add(now.judged(points));
            double turn = k * length;
            double chord = straight ? length : 2 * Math.sin(turn / 2) / k;
            at = at.plus(Point.polar(chord, angle + turn / 2));
            angle += turn;
            joints.add(at);
        }
        return made;
    }

    /** Points beside a joint may belong to either of its elements. */
    private boolean isNear(List<Element> made, double most) {
        for (int i = 0; i < made.size(); i++) {
            Element own = made.get(i);
            Element before = made.get(Math.max(0, i - 1));
            Element after = made.get(Math.min(made.size() - 1, i + 1));
            for (int k = own.from(); k <= own.to(); k++) {
                double off = Math.abs(own.offset(points.x(k), points.y(k)));
                if (off > most
                        && Math.abs(before.offset(points.x(k), points.y(k))) > most
                        && Math.abs(after.offset(points.x(k), points.y(k))) > most) {
                    return false;
                }
            }
        }
        return true;
    }
}
