package dev.oleander.drawing.bridge;

import dev.oleander.drawing.bridge.Candidates.Candidate;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;

/**
 * Letters as a stencil has them: one straight strip through the middle of each, through all islands
 * in it.
 */
final class Stencil {

    private final Pieces pieces;
    private final Candidates candidates;
    private final double width;
    private final Point way;
    private final Point across;

    /** Turns the way of strips along +x. */
    private final Transform level;

    /**
     * @param way along which strips run, of length 1
     */
    Stencil(Pieces pieces, Candidates candidates, double width, Point way) {
        this.pieces = pieces;
        this.candidates = candidates;
        this.width = width;
        this.way = way;
        this.across = new Point(-way.y(), way.x());
        this.level = Transform.rotation(-Math.atan2(way.y(), way.x()));
    }

    /** Bridges of all letters; of islands that the strip of their letter does not meet, none. */
    List<Candidate> bridges() {
        TreeMap<Integer, List<Integer>> letters = new TreeMap<>();
        for (int island : pieces.islandContours()) {
            letters.computeIfAbsent(pieces.parent(island), p -> new ArrayList<>()).add(island);
        }
        List<Candidate> all = new ArrayList<>();
        letters.forEach((letter, islands) -> all.addAll(through(letter, islands)));
        return all;
    }

    private List<Candidate> through(int letter, List<Integer> islands) {
        double at = place(letter, islands);
        List<Candidate> all = new ArrayList<>();
        for (int island : islands) {
            Point middle = pieces.contours().get(island).box().centre();
            Point on = middle.plus(across.times(at - along(middle, across)));
            for (int sign : new int[] {1, -1}) {
                candidates.leaving(island, on, way.times(sign)).ifPresent(all::add);
            }
        }
        return all;
    }

    /** Where the strip lies across its way: in as many islands as can be, then near the middle. */
    private double place(int letter, List<Integer> islands) {
        double middle = along(pieces.contours().get(letter).box().centre(), across);
        List<double[]> free = islands.stream().map(this::span).toList();
        List<Double> places = new ArrayList<>(List.of(middle));
        free.forEach(s -> places.addAll(List.of(s[0], s[1], (s[0] + s[1]) / 2)));
        Comparator<Double> best =
                Comparator.<Double>comparingLong(
                                p -> -free.stream().filter(s -> p >= s[0] && p <= s[1]).count())
                        .thenComparingDouble(p -> Math.abs(p - middle));
        return places.stream().min(best).orElseThrow();
    }

    /** Where the middle of a strip may lie so that all of it meets an island. */
    private double[] span(int island) {
        Contour contour = pieces.contours().get(island);
        Box box = contour.transformed(level).box();
        double half = Math.min(width / 2, box.height() / 2);
        return new double[] {box.min().y() + half, box.max().y() - half};
    }

    private static double along(Point place, Point axis) {
        return place.x() * axis.x() + place.y() * axis.y();
    }
}
