package dev.oleander.work.router.plan;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;

/** Places in the order in which each is the nearest that is left; found cell by cell. */
final class NearestNext {

    private final List<Point> places;
    private final Box box;
    private final double size;
    private final int across;
    private final int up;
    private final List<List<Integer>> cells = new ArrayList<>();

    private NearestNext(List<Point> places) {
        this.places = places;
        this.box = Box.around(places.stream().map(p -> new Box(p, p)).toList());
        double area = Math.max(1, box.width()) * Math.max(1, box.height());
        this.size = Math.sqrt(area / places.size());
        this.across = 1 + (int) (box.width() / size);
        this.up = 1 + (int) (box.height() / size);
        for (int i = 0; i < across * up; i++) {
            cells.add(new ArrayList<>());
        }
        for (int i = 0; i < places.size(); i++) {
            cells.get(column(places.get(i)) + across * row(places.get(i))).add(i);
        }
    }

    /**
     * @param from where it begins
     * @return numbers of the places
     */
    static int[] order(List<Point> places, Point from) {
        if (places.isEmpty()) {
            return new int[0];
        }
        NearestNext nearest = new NearestNext(places);
        int[] order = new int[places.size()];
        Point at = from;
        for (int k = 0; k < order.length; k++) {
            order[k] = nearest.take(at);
            at = places.get(order[k]);
        }
        return order;
    }

    private int column(Point p) {
        return Math.min(across - 1, Math.max(0, (int) ((p.x() - box.min().x()) / size)));
    }

    private int row(Point p) {
        return Math.min(up - 1, Math.max(0, (int) ((p.y() - box.min().y()) / size)));
    }

    /** Rings of cells round a place, until what lies farther out cannot be nearer. */
    private int take(Point at) {
        int column = column(at);
        int row = row(at);
        int best = -1;
        double least = Double.POSITIVE_INFINITY;
        int most = Math.max(across, up);
        for (int ring = 0; ring <= most && (best < 0 || (ring - 1) * size < least); ring++) {
            for (int y = Math.max(0, row - ring); y <= Math.min(up - 1, row + ring); y++) {
                boolean edge = Math.abs(y - row) == ring;
                int step = edge || ring == 0 ? 1 : 2 * ring;
                for (int x = column - ring; x <= column + ring; x += step) {
                    if (x < 0 || x >= across) {
                        continue;
                    }
                    for (int i : cells.get(x + across * y)) {
                        double off = at.distance(places.get(i));
                        if (off < least) {
                            least = off;
                            best = i;
                        }
                    }
                }
            }
        }
        Point found = places.get(best);
        cells.get(column(found) + across * row(found)).remove((Integer) best);
        return best;
    }
}
