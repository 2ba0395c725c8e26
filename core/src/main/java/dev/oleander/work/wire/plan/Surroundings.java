package dev.oleander.work.wire.plan;

import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.BoxTree;
import java.util.List;

/** Chains that are often asked how far they are. Serves many threads. */
final class Surroundings {

    private final List<Chain> chains;
    private final BoxTree tree;

    Surroundings(List<? extends Chain> chains) {
        this.chains = List.copyOf(chains);
        double[] boxes = new double[BoxTree.room(chains.size())];
        for (int i = 0; i < chains.size(); i++) {
            chains.get(i).box().writeTo(boxes, 4 * i);
        }
        this.tree = BoxTree.of(boxes, chains.size());
    }

    /** Distance of the nearest chain from a point, mm; infinite where there is none. */
    double distance(Point p) {
        return distance(p, -1);
    }

    /**
     * The same with one left out.
     *
     * @param but position of it in the list
     */
    double distance(Point p, int but) {
        double[] least = {Double.POSITIVE_INFINITY};
        tree.nearest(
                p.x(),
                p.y(),
                Double.POSITIVE_INFINITY,
                i -> {
                    double distance =
                            i == but
                                    ? Double.POSITIVE_INFINITY
                                    : chains.get(i).nearest(p).point().distance(p);
                    least[0] = Math.min(least[0], distance);
                    return distance;
                });
        return least[0];
    }
}
