package dev.oleander.geometry.offset;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Regions;
import dev.oleander.geometry.flat.Arrangement;
import dev.oleander.geometry.flat.Edges;
import dev.oleander.geometry.flat.Frame;
import dev.oleander.geometry.flat.KnotException;
import dev.oleander.geometry.flat.TooFarException;
import dev.oleander.geometry.flat.Tracer;
import dev.oleander.geometry.flat.Tries;
import dev.oleander.geometry.flat.Vertices;
import dev.oleander.geometry.overlay.Overlay;
import java.util.List;

/**
 * Parallel curves of regions and open paths, arcs kept as arcs.
 *
 * <p>After X.-Z. Liu, J.-H. Yong, G.-Q. Zheng, J.-G. Sun, "An offset algorithm for polyline
 * curves", Computers in Industry 58 (2007) 240-254: every edge is shifted, neighbours are joined,
 * the raw curve is split at its own crossings, and what is nearer to the source than the distance
 * is dropped. Unlike there the last step does not judge single stretches but the faces between
 * them, so that what is kept always closes. All loops are treated together. Every point of a result
 * lies within about 1e-11 of the size of the shape at the distance, none nearer; O(n log n) as long
 * as the raw curve crosses itself O(n) times. One offsetter serves many threads.
 */
public final class Offsetter {

    /** Tolerances by which a place may fall short of the distance. */
    private static final double SHORT = 8;

    private final OffsetOptions options;

    public Offsetter(OffsetOptions options) {
        this.options = options;
    }

    /** Corners and ends are rounded. */
    public static Offsetter round() {
        return new Offsetter(OffsetOptions.defaults());
    }

    /**
     * The region within a contour, grown (positive, mm) or shrunk (negative).
     *
     * @return the largest first; empty when nothing is left
     * @throws OffsetException when a point is farther than {@link Frame#FARTHEST}, or edges pass
     *     each other so closely that they cannot be told apart
     */
    public List<Region> offset(Contour contour, double outward) {
        return offset(List.of(new Region(contour.turning(true), List.of())), outward);
    }

    /** A region grown or shrunk: its openings shrink or grow. */
    public List<Region> offset(Region region, double outward) {
        return offset(List.of(region), outward);
    }

    /**
     * Regions grown until they unite or shrunk until they part. Regions that overlap or cross
     * themselves are united first.
     */
    public List<Region> offset(List<Region> regions, double outward) {
        requireFinite(outward);
        List<Vertices> loops = Regions.loops(regions);
        Frame frame = frame(loops, outward);
        Edges table = table(frame, loops);
        boolean united = table.meetThemselves(frame.tolerance());
        List<Vertices> simple = united ? Regions.loops(Overlay.union(regions)) : loops;
        if (Math.abs(outward) <= frame.tolerance()) {
            return Regions.of(simple);
        }
        return run(frame, f -> f == frame && !united ? table : table(f, simple), -outward, false);
    }

    /**
     * Everything nearer to an open path than a distance, mm: the swath of a tool.
     *
     * @throws OffsetException likewise
     */
    public List<Region> band(Path path, double distance) {
        requireFinite(distance);
        if (!(distance > 0)) {
            throw new IllegalArgumentException("distance must be > 0 mm: " + distance);
        }
        List<Vertices> chains = List.of(path.vertices());
        Frame frame = frame(chains, distance);
        return run(frame, f -> thereAndBack(f, path.vertices()), -distance, true);
    }

    private static Frame frame(List<Vertices> chains, double reach) {
        try {
            return Frame.around(chains, reach);
        } catch (TooFarException far) {
            throw new OffsetException(far);
        }
    }

    private static void requireFinite(double distance) {
        if (!(Math.abs(distance) <= Frame.FARTHEST)) {
            throw new IllegalArgumentException(
                    "distance must be within " + Frame.FARTHEST + " mm: " + distance);
        }
    }

    private static Edges table(Frame frame, List<Vertices> loops) {
        Edges table = new Edges(loops.stream().mapToInt(Vertices::size).sum());
        loops.forEach(l -> frame.add(l, table));
        return table;
    }

    /** An open path as a loop without area. */
    private static Edges thereAndBack(Frame frame, Vertices path) {
        Edges table = new Edges(2 * path.size());
        frame.add(path, table);
        for (int i = table.size() - 1; i >= 0; i--) {
            table.putReversed(i);
        }
        return table;
    }

    /** Makes the source for a frame. */
    private interface Source {
        Edges in(Frame frame);
    }

    private List<Region> run(Frame frame, Source source, double left, boolean open) {
        try {
            return Tries.in(frame, f -> once(f, source.in(f), left, open));
        } catch (KnotException tooClose) {
            throw new OffsetException(tooClose);
        }
    }

    private List<Region> once(Frame frame, Edges source, double left, boolean open) {
        double tolerance = frame.tolerance();
        Edges raw = RawCurve.of(source, left, tolerance, options, open);
        Arrangement arrangement = Arrangement.of(raw, new int[raw.loops()], tolerance);
        boolean flatEnds = open && options.ends() == OffsetOptions.Ends.FLAT;
        SourceDistance distance = new SourceDistance(source, 2 * tolerance, flatEnds);
        double limit = Math.abs(left) - SHORT * tolerance;
        boolean[] chosen = new OffsetFaces(arrangement, left, distance, limit).clear();
        if (left < 0) {
            // what is clear lies outside the grown shape
            for (int c = 0; c < chosen.length; c++) {
                chosen[c] = !chosen[c];
            }
        }
        List<Vertices> loops = new Tracer(arrangement, chosen, tolerance).loops();
        return Regions.of(loops.stream().map(frame::back).toList());
    }
}
