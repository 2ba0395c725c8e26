package dev.oleander.drawing.read;

import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.flat.BoxTree;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** Says of open cut lines whether their ends face each other over a larger gap. */
final class OpenEnds {

    /** Ends farther apart do not belong together, mm. */
    private static final double FARTHEST = 10;

    /** A gap is at most this share of the shorter line. */
    private static final double SHARE = 0.5;

    private record End(Feature feature, Point point, boolean start) {}

    private final double tolerance;

    /**
     * @param tolerance mm; gaps up to this were joined already
     */
    OpenEnds(double tolerance) {
        this.tolerance = tolerance;
    }

    List<Fault> find(List<Feature> open) {
        List<End> ends = new ArrayList<>();
        for (Feature f : open) {
            ends.add(new End(f, f.chain().start(), true));
            ends.add(new End(f, f.chain().end(), false));
        }
        int[] partner = partners(ends);
        List<Fault> faults = new ArrayList<>();
        for (int i = 0; i < ends.size(); i++) {
            if (partner[i] > i) {
                faults.add(gap(ends.get(i), ends.get(partner[i])));
            } else if (partner[i] < 0 && ends.get(i).start()) {
                faults.add(openLine(ends.get(i).feature()));
            }
        }
        return faults;
    }

    /** The nearest end of each, where both are each other's nearest; -1 where there is none. */
    private int[] partners(List<End> ends) {
        BoxTree tree = tree(ends);
        int[] nearest = new int[ends.size()];
        for (int i = 0; i < nearest.length; i++) {
            End here = ends.get(i);
            int self = i;
            nearest[i] =
                    tree.nearest(
                            here.point().x(),
                            here.point().y(),
                            reach(here, here),
                            j ->
                                    j == self
                                            ? Double.POSITIVE_INFINITY
                                            : distance(here, ends.get(j)));
        }
        int[] partner = new int[nearest.length];
        for (int i = 0; i < partner.length; i++) {
            boolean mutual = nearest[i] >= 0 && nearest[nearest[i]] == i;
            partner[i] = mutual ? nearest[i] : -1;
        }
        return partner;
    }

    private static BoxTree tree(List<End> ends) {
        double[] boxes = new double[BoxTree.room(ends.size())];
        for (int i = 0; i < ends.size(); i++) {
            Point p = ends.get(i).point();
            new Box(p, p).writeTo(boxes, 4 * i);
        }
        return BoxTree.of(boxes, ends.size());
    }

    /** Infinite when they lie too far apart to belong together. */
    private static double distance(End a, End b) {
        double distance = a.point().distance(b.point());
        return distance <= reach(a, b) ? distance : Double.POSITIVE_INFINITY;
    }

    private static double reach(End a, End b) {
        double shorter = Math.min(a.feature().chain().length(), b.feature().chain().length());
        return Math.min(FARTHEST, SHARE * shorter);
    }

    private Fault gap(End a, End b) {
        double size = a.point().distance(b.point());
        boolean same = a.feature() == b.feature();
        String who =
                same
                        ? "line %s".formatted(a.feature().id())
                        : "lines %s and %s".formatted(a.feature().id(), b.feature().id());
        Point middle = a.point().midpoint(b.point());
        String sentence =
                "Gap of %s in %s at (%s, %s); up to %s is joined without asking."
                        .formatted(
                                Numbers.length(size),
                                who,
                                Numbers.plain(middle.x(), 2),
                                Numbers.plain(middle.y(), 2),
                                Numbers.length(tolerance));
        boolean settled = a.feature().onPurpose() && b.feature().onPurpose();
        Fault gap =
                Fault.left(Fault.Kind.GAP, middle, size, sentence).withEnds(a.point(), b.point());
        return settled ? gap.settled() : gap;
    }

    private static Fault openLine(Feature feature) {
        Point start = feature.chain().start();
        Point end = feature.chain().end();
        String sentence =
                "Line %s on layer %s is open: %s long, from (%s, %s) to (%s, %s), ends %s apart."
                        .formatted(
                                feature.id(),
                                feature.layer(),
                                Numbers.length(feature.chain().length()),
                                Numbers.plain(start.x(), 2),
                                Numbers.plain(start.y(), 2),
                                Numbers.plain(end.x(), 2),
                                Numbers.plain(end.y(), 2),
                                Numbers.length(start.distance(end)));
        // a line that someone chose to cut as it is needs nobody any more
        Fault open = Fault.left(Fault.Kind.OPEN, start, start.distance(end), sentence);
        return feature.onPurpose() ? open.settled() : open;
    }
}
