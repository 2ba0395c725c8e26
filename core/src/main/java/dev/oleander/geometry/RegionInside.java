package dev.oleander.geometry;

/**
 * Says whether points lie in one region: line by line while it has few, else by an index that is
 * made with the first question. Serves many threads.
 */
public final class RegionInside {

    /** Regions of fewer lines are gone through. */
    private static final int MANY = 64;

    private final Region region;
    private final boolean large;

    /** Only made, never changed: a race makes it twice. */
    private volatile RegionIndex index;

    public RegionInside(Region region) {
        this.region = region;
        int lines = 0;
        for (Contour contour : region.contours()) {
            lines += contour.vertices().size();
        }
        this.large = lines >= MANY;
    }

    /** On the border itself either answer may come. */
    public boolean contains(Point p) {
        if (!large) {
            return region.contains(p);
        }
        if (index == null) {
            index = RegionIndex.of(region);
        }
        return index.contains(p.x(), p.y());
    }
}
