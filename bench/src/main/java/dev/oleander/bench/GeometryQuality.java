package dev.oleander.bench;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.fit.ArcFitter;
import dev.oleander.geometry.fit.FitOptions;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.List;

/** How good results are: distances, numbers of edges against those that geometry asks for. */
final class GeometryQuality {

    private static final double[] SAMPLES = {0, 0.1, 0.37, 0.5, 0.83};
    private static final double DISTANCE = 0.2;

    List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        Contour ring = BenchShapes.ring(1000);
        List<Region> out = Offsetter.round().offset(ring, DISTANCE);
        List<Region> in = Offsetter.round().offset(ring, -DISTANCE);
        double error = Math.max(worst(ring, out), worst(ring, in));
        rows.add(Row.below("greatest error of the offset's distance", error, "mm", 1e-6, 1e-9));
        int most = Math.max(edges(out), edges(in));
        rows.add(
                Row.below(
                        "segments of the offset over the source's", most / 1000.0, "x", 1.2, 1.0));
        List<Region> discs = BenchShapes.discs(GeometryBenchmarks.DISCS, GeometryBenchmarks.SEED);
        double extra = edges(Overlay.union(discs)) - trueArcs(discs);
        rows.add(Row.below("arcs of the union of discs beyond the true ones", extra, "", 0.0, 0.0));
        rows.add(
                Row.below(
                        "segments of the fitted curve over the fewest with joints on points",
                        fitted() / (double) fewest(),
                        "x",
                        1.15,
                        null));
        return rows;
    }

    private static double worst(Contour source, List<Region> result) {
        double worst = 0;
        for (Region region : result) {
            for (Contour contour : region.contours()) {
                for (Segment segment : contour.segments()) {
                    for (double t : SAMPLES) {
                        Point p = segment.at(t);
                        double away = source.nearest(p).point().distance(p);
                        worst = Math.max(worst, Math.abs(away - DISTANCE));
                    }
                }
            }
        }
        return worst;
    }

    private static int edges(List<Region> regions) {
        return regions.stream()
                .flatMap(r -> r.contours().stream())
                .mapToInt(c -> c.vertices().edges())
                .sum();
    }

    /** For every circle the number of stretches that no other disc covers, counted by angles. */
    private static int trueArcs(List<Region> discs) {
        int arcs = 0;
        for (Region disc : discs) {
            arcs += openStretches(disc, discs);
        }
        return arcs;
    }

    private static int openStretches(Region disc, List<Region> discs) {
        Point centre = disc.box().centre();
        double radius = disc.box().width() / 2;
        List<double[]> covered = new ArrayList<>();
        for (Region other : discs) {
            Point axis = other.box().centre().minus(centre);
            double apart = axis.norm();
            double reach = other.box().width() / 2;
            if (other == disc || apart >= radius + reach || apart <= radius - reach) {
                continue;
            }
            if (apart <= reach - radius) {
                return 0;
            }
            double cosine =
                    (apart * apart + radius * radius - reach * reach) / (2 * apart * radius);
            double half = Math.acos(cosine);
            double from = axis.angle() - half;
            from += from < 0 ? 2 * Math.PI : 0;
            covered.add(new double[] {from, from + 2 * half});
        }
        return covered.isEmpty() ? 2 : gaps(covered);
    }

    /** A gap ends where a covered stretch starts within no other. */
    private static int gaps(List<double[]> covered) {
        int gaps = 0;
        for (double[] c : covered) {
            boolean open = covered.stream().noneMatch(o -> o != c && holds(o, c[0]));
            gaps += open ? 1 : 0;
        }
        return gaps;
    }

    private static boolean holds(double[] stretch, double angle) {
        return angle >= stretch[0] && angle <= stretch[1]
                || angle + 2 * Math.PI >= stretch[0] && angle + 2 * Math.PI <= stretch[1];
    }

    private static int fitted() {
        return new ArcFitter(FitOptions.within(GeometryBenchmarks.FIT))
                .fit(BenchShapes.wave(1000, GeometryBenchmarks.SEED))
                .segments()
                .size();
    }

    /** Fewest arcs, tangent or not, with joints among the points, each kept to the tolerance. */
    private static int fewest() {
        return new FewestArcs(
                        BenchShapes.wave(1000, GeometryBenchmarks.SEED), GeometryBenchmarks.FIT)
                .count();
    }
}
