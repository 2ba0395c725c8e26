package dev.oleander.drawing.mend;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes tiny segments out of chains and joins their neighbours. Only a segment much shorter than
 * both neighbours is a crumb: a fine curve of many short pieces stays as it is.
 */
final class CrumbRemover {

    /** A neighbour of a crumb is at least this many times longer. */
    private static final double MUCH_LONGER = 10;

    private final MendOptions options;
    private final List<Fault> faults;

    CrumbRemover(MendOptions options, List<Fault> faults) {
        this.options = options;
        this.faults = faults;
    }

    Chain remove(Chain chain) {
        if (!options.does(MendOptions.Step.CRUMBS)) {
            return chain;
        }
        List<Segment> segments = new ArrayList<>(chain.segments());
        boolean closed = chain instanceof Contour;
        for (int i = 0; i < segments.size(); i++) {
            if (segments.size() > 3 && isCrumb(segments, i, closed)) {
                takeOut(segments, i);
                i = -1;
            }
        }
        if (segments.size() == chain.segments().size()) {
            return chain;
        }
        return closed ? new Contour(segments) : new Path(segments);
    }

    private boolean isCrumb(List<Segment> segments, int i, boolean closed) {
        double length = segments.get(i).length();
        int n = segments.size();
        boolean inside = i > 0 && i < n - 1;
        return length <= options.gap()
                && (closed || inside)
                && segments.get((i + n - 1) % n).length() > MUCH_LONGER * length
                && segments.get((i + 1) % n).length() > MUCH_LONGER * length;
    }

    private void takeOut(List<Segment> segments, int i) {
        int n = segments.size();
        int before = (i + n - 1) % n;
        int after = (i + 1) % n;
        Point joint = segments.get(i).middle();
        double length = segments.get(i).length();
        Segment first = segments.get(before);
        Segment second = segments.get(after);
        segments.set(before, first.withEnds(first.start(), joint));
        segments.set(after, second.withEnds(joint, second.end()));
        segments.remove(i);
        String sentence =
                "A crumb of %s at (%s, %s) was taken out."
                        .formatted(
                                Numbers.length(length),
                                Numbers.plain(joint.x(), 2),
                                Numbers.plain(joint.y(), 2));
        faults.add(Fault.mended(Fault.Kind.CRUMB, joint, length, sentence));
    }
}
