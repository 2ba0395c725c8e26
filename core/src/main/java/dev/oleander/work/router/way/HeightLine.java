package dev.oleander.work.router.way;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** Height along a way, straight between knots: z by the distance from the start, both in mm. */
public final class HeightLine {

    /** mm; knots that are closer are one. */
    private static final double SAME = 1e-9;

    private final double[] s;
    private final double[] z;

    private HeightLine(List<double[]> knots) {
        this.s = knots.stream().mapToDouble(k -> k[0]).toArray();
        this.z = knots.stream().mapToDouble(k -> k[1]).toArray();
    }

    /**
     * @param knots distance and height of each, the distances growing; at least one
     */
    public static HeightLine of(List<double[]> knots) {
        for (int i = 0; i < knots.size(); i++) {
            boolean grows = i == 0 || knots.get(i)[0] >= knots.get(i - 1)[0];
            if (!grows || !Double.isFinite(knots.get(i)[1])) {
                throw new IllegalArgumentException("knot %d of a height line".formatted(i));
            }
        }
        if (knots.isEmpty()) {
            throw new IllegalArgumentException("a height line without knots");
        }
        return new HeightLine(knots);
    }

    /** At one height all along. */
    public static HeightLine level(double z, double length) {
        return of(List.of(new double[] {0, z}, new double[] {length, z}));
    }

    /** Before the first knot and behind the last it goes on level. */
    public double at(double distance) {
        if (distance <= s[0]) {
            return z[0];
        }
        if (distance >= s[s.length - 1]) {
            return z[z.length - 1];
        }
        int after = Arrays.binarySearch(s, distance);
        int i = after >= 0 ? after : -after - 1;
        double wide = s[i] - s[i - 1];
        double share = wide > 0 ? (distance - s[i - 1]) / wide : 1;
        return z[i - 1] + share * (z[i] - z[i - 1]);
    }

    /** Distances of its knots within a stretch, with the ends of it. */
    List<Double> knots(double from, double to) {
        List<Double> found = new ArrayList<>(List.of(from));
        int first = Arrays.binarySearch(s, from);
        for (int i = first >= 0 ? first : -first - 1; i < s.length && s[i] < to - SAME; i++) {
            if (s[i] > found.get(found.size() - 1) + SAME) {
                found.add(s[i]);
            }
        }
        found.add(to);
        return found;
    }

    /** Wherever one of the two is higher, that one. */
    public HeightLine higherOf(HeightLine other) {
        TreeSet<Double> places = new TreeSet<>();
        for (double at : s) {
            places.add(at);
        }
        for (double at : other.s) {
            places.add(at);
        }
        List<double[]> knots = new ArrayList<>();
        Double before = null;
        for (double at : places) {
            if (before != null) {
                crossing(other, before, at).ifPresent(knots::add);
            }
            knots.add(new double[] {at, Math.max(at(at), other.at(at))});
            before = at;
        }
        return of(straightened(knots));
    }

    /** Without knots that lie on the line between their neighbours: they would part a slope. */
    private static List<double[]> straightened(List<double[]> knots) {
        List<double[]> kept = new ArrayList<>();
        for (int i = 0; i < knots.size(); i++) {
            boolean between = i > 0 && i + 1 < knots.size();
            if (!between || !isOn(knots.get(i), kept.get(kept.size() - 1), knots.get(i + 1))) {
                kept.add(knots.get(i));
            }
        }
        return kept;
    }

    private static boolean isOn(double[] knot, double[] from, double[] to) {
        double wide = to[0] - from[0];
        double share = wide > SAME ? (knot[0] - from[0]) / wide : 0;
        return wide > SAME && Math.abs(from[1] + share * (to[1] - from[1]) - knot[1]) < SAME;
    }

    private Optional<double[]> crossing(HeightLine other, double from, double to) {
        double first = at(from) - other.at(from);
        double last = at(to) - other.at(to);
        if (first * last >= 0) {
            return Optional.empty();
        }
        double place = from + (to - from) * first / (first - last);
        return Optional.of(new double[] {place, at(place)});
    }

    /** Distance of the first knot, mm. */
    double start() {
        return s[0];
    }

    /** Distance of the last knot, mm. */
    double end() {
        return s[s.length - 1];
    }

    /** Distance and height of each, mm. */
    List<double[]> knots() {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < s.length; i++) {
            all.add(new double[] {s[i], z[i]});
        }
        return all;
    }

    public double lowest() {
        double lowest = z[0];
        for (double height : z) {
            lowest = Math.min(lowest, height);
        }
        return lowest;
    }
}
