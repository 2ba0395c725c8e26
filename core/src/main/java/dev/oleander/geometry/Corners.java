package dev.oleander.geometry;

import java.util.ArrayList;
import java.util.List;

/** Where a way of segments turns sharply; distances along it, mm. */
public final class Corners {

    private final double[] starts;
    private final boolean[] sharp;
    private final double length;

    /**
     * @param closed whether the last segment meets the first
     * @param degrees of a turn above which a joint is a corner
     */
    public Corners(List<Segment> way, boolean closed, double degrees) {
        starts = new double[way.size()];
        sharp = new boolean[way.size()];
        double at = 0;
        for (int i = 0; i < way.size(); i++) {
            Segment before = way.get((i + way.size() - 1) % way.size());
            starts[i] = at;
            sharp[i] = (closed || i > 0) && Turns.degrees(before, way.get(i)) > degrees;
            at += way.get(i).length();
        }
        length = at;
    }

    /** Room along the way; its end is past the length when it goes over the first point. */
    public record Room(double from, double to) {

        public double length() {
            return to - from;
        }

        /** The middle of a window of some width within it that is nearest to the wished one. */
        public double middle(double wished, double width) {
            return Math.max(from + width / 2, Math.min(to - width / 2, wished));
        }
    }

    /** Of the whole way. */
    public double length() {
        return length;
    }

    /** Where a segment begins. */
    public double start(int index) {
        return starts[index];
    }

    /** Where a segment ends. */
    public double end(int index) {
        return index + 1 < starts.length ? starts[index + 1] : length;
    }

    /** Whether there is a corner where a segment begins; the one after the last is the first. */
    public boolean isAt(int index) {
        return sharp[index % sharp.length];
    }

    public List<Double> places() {
        List<Double> places = new ArrayList<>();
        for (int i = 0; i < sharp.length; i++) {
            if (sharp[i]) {
                places.add(starts[i]);
            }
        }
        return places;
    }
}
