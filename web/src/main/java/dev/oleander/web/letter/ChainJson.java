package dev.oleander.web.letter;

import dev.oleander.drawing.letter.LetterException;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A chain: x, y and bulge of each vertex, mm; bulge = tan(sweep / 4) of the element that leaves it.
 */
record ChainJson(List<double[]> vertices, boolean closed) {

    private static final int MOST = 20_000;
    private static final double FARTHEST = 1e6;

    static ChainJson of(Chain chain) {
        List<double[]> vertices = new ArrayList<>();
        List<Segment> segments = chain.segments();
        for (Segment segment : segments) {
            vertices.add(new double[] {segment.start().x(), segment.start().y(), segment.bulge()});
        }
        boolean closed = chain instanceof Contour;
        if (!closed) {
            Segment last = segments.get(segments.size() - 1);
            vertices.add(new double[] {last.end().x(), last.end().y(), 0});
        }
        return new ChainJson(vertices, closed);
    }

    /**
     * @param what it is, for sentences
     * @throws LetterException naming the vertex that is none
     */
    Chain chain(String what) {
        List<double[]> all = vertices == null ? List.of() : vertices;
        if (all.size() < 2 || all.size() > MOST) {
            throw new LetterException(
                    "%s has %d vertices; there are 2 to %d.", what, all.size(), MOST);
        }
        List<Segment> segments = new ArrayList<>();
        int count = all.size() - (closed ? 0 : 1);
        for (int i = 0; i < count; i++) {
            double[] here = vertex(all.get(i), i, what);
            double[] next = vertex(all.get((i + 1) % all.size()), i + 1, what);
            Point start = new Point(here[0], here[1]);
            Point end = new Point(next[0], next[1]);
            if (start.distance(end) <= 0) {
                throw new LetterException("Vertices %d and %d of %s are one.", i + 1, i + 2, what);
            }
            segments.add(Segment.of(start, end, here.length > 2 ? here[2] : 0));
        }
        return closed ? new Contour(segments) : new Path(segments);
    }

    private static double[] vertex(double[] of, int index, String what) {
        boolean usable =
                of != null
                        && of.length >= 2
                        && of.length <= 3
                        && Arrays.stream(of).allMatch(v -> Math.abs(v) <= FARTHEST);
        if (!usable) {
            throw new LetterException(
                    "Vertex %d of %s is not x, y and bulge, each at most 1,000,000.",
                    index + 1, what);
        }
        return of;
    }
}
