package dev.oleander.geometry;

import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.PointLocator;
import dev.oleander.geometry.flat.Vertices;
import java.util.Collection;
import java.util.List;

/** Regions prepared for many questions: whether a point lies inside, and how far the border is. */
public final class RegionIndex {

    private final Edges edges;
    private final PointLocator locator;

    private RegionIndex(List<Vertices> loops) {
        edges = new Edges(loops.stream().mapToInt(Vertices::size).sum());
        for (Vertices loop : loops) {
            edges.addLoop(loop);
        }
        locator = new PointLocator(edges);
    }

    public static RegionIndex of(Region region) {
        return of(List.of(region));
    }

    public static RegionIndex of(Collection<Region> regions) {
        return new RegionIndex(
                regions.stream()
                        .flatMap(r -> r.contours().stream())
                        .map(Contour::vertices)
                        .toList());
    }

    /**
     * Whether a point lies inside: whether a ray from it crosses the border an odd number of times.
     * On the border itself either answer may come. About log n steps.
     */
    public boolean contains(double x, double y) {
        return (locator.winding(x, y) & 1) == 1;
    }

    /** Distance of a point from the border, mm. */
    public double distanceToBorder(double x, double y) {
        int nearest =
                locator.tree()
                        .nearest(x, y, Double.POSITIVE_INFINITY, i -> edges.distance(i, x, y));
        return nearest < 0 ? Double.POSITIVE_INFINITY : edges.distance(nearest, x, y);
    }
}
