package dev.oleander.work.wire.flank;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * The elements of a profile in the order of the travel, split at the places where passes begin and
 * end. Distances count from its start; of a closed one they go on past its length.
 */
public final class ElementChain {

    /** mm; places nearer than this to the end of an element are that end. */
    private static final double LEAST = 1e-6;

    private final boolean closed;
    private final List<Segment> elements = new ArrayList<>();
    private final List<Integer> sources = new ArrayList<>();
    private final List<Double> begins = new ArrayList<>();
    private final double length;

    private ElementChain(List<Segment> whole, List<Integer> of, boolean closed, List<Double> at) {
        this.closed = closed;
        TreeSet<Double> places = new TreeSet<>(at);
        double begin = 0;
        for (int i = 0; i < whole.size(); i++) {
            double end = begin + whole.get(i).length();
            split(whole.get(i), of.get(i), begin, end, places);
            begin = end;
        }
        this.length = begin;
    }

    /**
     * @param drawn in the direction in which it was drawn
     * @param forward whether it is run in that direction
     * @param start mm along the drawn contour; of an open line it is its end
     * @param places mm from the start along the travel, at which it is split
     */
    public static ElementChain of(Chain drawn, boolean forward, double start, List<Double> places) {
        int n = drawn.segments().size();
        List<Segment> segments = new ArrayList<>(n + 1);
        List<Integer> sources = new ArrayList<>(n + 1);
        if (!(drawn instanceof Contour contour)) {
            Chain run = forward ? drawn : drawn.reversed();
            for (int i = 0; i < n; i++) {
                segments.add(run.segments().get(i));
                sources.add(forward ? i : n - 1 - i);
            }
            return new ElementChain(segments, sources, false, places);
        }
        Contour.Station station = contour.stationAt(start % contour.length());
        double share = LEAST / station.segment().length();
        int first = station.index();
        double t = station.t();
        if (t > 1 - share) {
            first = (first + 1) % n;
            t = 0;
        }
        if (t < share) {
            t = 0;
        }
        if (t > 0) {
            add(segments, sources, contour.segments().get(first).between(t, 1), first);
        }
        for (int i = t > 0 ? 1 : 0; i < n; i++) {
            int index = (first + i) % n;
            add(segments, sources, contour.segments().get(index), index);
        }
        if (t > 0) {
            Segment last = contour.segments().get(first).between(0, t);
            Point end = segments.get(0).start();
            add(segments, sources, last.withEnds(last.start(), end), first);
        }
        if (!forward) {
            reverse(segments, sources);
        }
        return new ElementChain(segments, sources, true, places);
    }

    private static void add(List<Segment> all, List<Integer> of, Segment segment, int source) {
        all.add(segment);
        of.add(source);
    }

    private static void reverse(List<Segment> segments, List<Integer> sources) {
        List<Segment> back = new ArrayList<>();
        List<Integer> of = new ArrayList<>();
        for (int i = segments.size() - 1; i >= 0; i--) {
            back.add(segments.get(i).reversed());
            of.add(sources.get(i));
        }
        segments.clear();
        sources.clear();
        segments.addAll(back);
        sources.addAll(of);
    }

    private void split(Segment whole, int source, double begin, double end, TreeSet<Double> at) {
        double from = begin;
        double t = 0;
        for (double place : at.subSet(begin + LEAST, end - LEAST)) {
            if (place - from < LEAST) {
                continue;
            }
            double next = (place - begin) / (end - begin);
            put(piece(whole, t, next), source, from);
            from = place;
            t = next;
        }
        put(piece(whole, t, 1), source, from);
    }

    /** Its start is exactly the end of the piece before. */
    private Segment piece(Segment whole, double from, double to) {
        Segment piece = from == 0 && to == 1 ? whole : whole.between(from, to);
        Point start = from == 0 ? whole.start() : elements.get(elements.size() - 1).end();
        Point end = to == 1 ? whole.end() : piece.end();
        return piece.withEnds(start, end);
    }

    private void put(Segment segment, int source, double begin) {
        elements.add(segment);
        sources.add(source);
        begins.add(begin);
    }

    public List<Segment> elements() {
        return elements;
    }

    boolean isClosed() {
        return closed;
    }

    double length() {
        return length;
    }

    /** Index of the drawn element that an element is a piece of. */
    int source(int element) {
        return sources.get(element);
    }

    /**
     * Indexes of the elements between two places at which it is split, each modulo their number.
     *
     * @param to above {@code from}; past the length it goes round again
     */
    List<Integer> range(double from, double to) {
        List<Integer> range = new ArrayList<>();
        int n = elements.size();
        int rounds = closed ? 2 : 1;
        for (int k = 0; k < rounds * n; k++) {
            double begin = begins.get(k % n) + (k / n) * length;
            double end = begin + elements.get(k % n).length();
            if ((begin + end) / 2 > from && (begin + end) / 2 < to) {
                range.add(k % n);
            }
        }
        return range;
    }

    /** Elements of a range in their order. */
    List<Segment> stretch(List<Integer> range) {
        return range.stream().map(elements::get).toList();
    }
}
