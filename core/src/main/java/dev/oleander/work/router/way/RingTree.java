package dev.oleander.work.router.way;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.List;

/**
 * Rounds of a pocket, each with those further from the walls that lead on to it: a tool that goes
 * from the innermost outwards comes from one to the next without leaving the work.
 */
final class RingTree {

    /** A round and what is done before it. */
    static final class Round {

        final Contour contour;

        /** Of the ring that it borders. */
        final Region ring;

        final List<Round> before = new ArrayList<>();

        private Round(Contour contour, Region ring) {
            this.contour = contour;
            this.ring = ring;
        }
    }

    private final boolean climb;

    private RingTree(boolean climb) {
        this.climb = climb;
    }

    /**
     * @param rings those along the walls first
     * @param climb whether the wall lies on the right
     * @return the rounds along the walls
     */
    static List<Round> of(List<List<Region>> rings, boolean climb) {
        RingTree tree = new RingTree(climb);
        List<Round> walls = List.of();
        List<Round> outer = List.of();
        for (List<Region> ring : rings) {
            List<Round> own = new ArrayList<>();
            for (Region region : ring) {
                region.contours().forEach(c -> own.add(tree.round(c, region)));
            }
            if (outer.isEmpty()) {
                walls = own;
            } else {
                for (Round inner : own) {
                    nearest(outer, inner.contour.start()).before.add(inner);
                }
            }
            outer = own;
        }
        return walls;
    }

    /** The wall of an outer round lies outside it, that of an island inside. */
    private Round round(Contour contour, Region ring) {
        boolean outer = contour == ring.outer();
        return new Round(ContourWay.startedOnLine(contour.turning(outer == climb)), ring);
    }

    private static Round nearest(List<Round> rounds, Point p) {
        Round best = rounds.get(0);
        double least = Double.POSITIVE_INFINITY;
        Box here = new Box(p, p);
        for (Round round : rounds) {
            if (round.contour.box().distance(here) >= least) {
                continue;
            }
            Chain.Station station = round.contour.nearest(p);
            double distance = station.point().distance(p);
            if (distance < least) {
                least = distance;
                best = round;
            }
        }
        return best;
    }
}
