package dev.oleander.drawing.picture;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The fewest lines and circles along points in a row, each within the tolerance; of those as few
 * the ones with the least squares (after P. Selinger, "Potrace: a polygon-based tracing algorithm",
 * 2003, 2.2). Elements meet at points: as far as they reach from the front and from the back says
 * between which.
 */
final class FewestElements {

    /** Places tried for each joint. */
    private static final int TRIED = 7;

    private final ElementFit fit;
    private final double tolerance;

    FewestElements(Loop points, double tolerance) {
        this.fit = new ElementFit(points);
        this.tolerance = tolerance;
    }

    /**
     * @param from number of the first point
     * @param to of the last one, which is at least one more
     */
    List<Element> of(int from, int to) {
        List<Integer> forward = forward(from, to);
        if (forward.size() == 1) {
            return List.of(fit.nearest(from, to, tolerance));
        }
        List<Integer> backward = backward(from, to);
        return forward.size() == backward.size()
                ? best(from, to, forward, backward)
                : along(from, forward);
    }

    /** Ends of elements that each reach as far as they can. */
    private List<Integer> forward(int from, int to) {
        List<Integer> ends = new ArrayList<>();
        int at = from;
        while (at < to) {
            at = reach(at, to);
            ends.add(at);
        }
        return ends;
    }

    /** Beginnings of elements that each reach back as far as they can, in the order of the way. */
    private List<Integer> backward(int from, int to) {
        List<Integer> begins = new ArrayList<>();
        int at = to;
        while (at > from) {
            at = reachBack(at, from);
            begins.add(at);
        }
        Collections.reverse(begins);
        return begins;
    }

    private int reach(int from, int to) {
        int good = from + 1;
        int step = 2;
        while (good < to && fits(from, Math.min(to, from + step))) {
            good = Math.min(to, from + step);
            step *= 2;
        }
        int bad = Math.min(to, from + step) + (good == to ? 1 : 0);
        while (bad - good > 1) {
            int middle = (good + bad) / 2;
            if (fits(from, middle)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return good;
    }

    private int reachBack(int to, int from) {
        int good = to - 1;
        int step = 2;
        while (good > from && fits(Math.max(from, to - step), to)) {
            good = Math.max(from, to - step);
            step *= 2;
        }
        int bad = Math.max(from, to - step) - (good == from ? 1 : 0);
        while (good - bad > 1) {
            int middle = (good + bad) / 2;
            if (fits(middle, to)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return good;
    }

    private boolean fits(int from, int to) {
        return fit.within(from, to, tolerance) != null;
    }

    private List<Element> along(int from, List<Integer> ends) {
        List<Element> all = new ArrayList<>();
        int at = from;
        for (int end : ends) {
            all.add(fit.nearest(at, end, tolerance));
            at = end;
        }
        return all;
    }

    /** Joints between what is reached from the back and from the front. */
    private List<Element> best(int from, int to, List<Integer> ends, List<Integer> begins) {
        int count = ends.size();
        List<int[]> places = new ArrayList<>();
        places.add(new int[] {from});
        for (int i = 0; i < count - 1; i++) {
            places.add(spread(begins.get(i + 1), ends.get(i)));
        }
        places.add(new int[] {to});
        List<double[]> costs = new ArrayList<>();
        List<Element[]> elements = new ArrayList<>();
        List<int[]> cameFrom = new ArrayList<>();
        costs.add(new double[] {0});
        for (int i = 1; i <= count; i++) {
            step(places.get(i - 1), places.get(i), costs, elements, cameFrom);
        }
        return Double.isFinite(costs.get(count)[0])
                ? walked(elements, cameFrom)
                : along(from, ends);
    }

    private void step(
            int[] before,
            int[] now,
            List<double[]> costs,
            List<Element[]> elements,
            List<int[]> cameFrom) {
        double[] last = costs.get(costs.size() - 1);
        double[] cost = new double[now.length];
        Element[] best = new Element[now.length];
        int[] from = new int[now.length];
        for (int j = 0; j < now.length; j++) {
            cost[j] = Double.POSITIVE_INFINITY;
            for (int i = 0; i < before.length; i++) {
                if (before[i] >= now[j] || !Double.isFinite(last[i])) {
                    continue;
                }
                Element element = fit.nearest(before[i], now[j], tolerance);
                double whole = last[i] + element.squares();
                if (element.greatest() <= tolerance && whole < cost[j]) {
                    cost[j] = whole;
                    best[j] = element;
                    from[j] = i;
                }
            }
        }
        costs.add(cost);
        elements.add(best);
        cameFrom.add(from);
    }

    private static List<Element> walked(List<Element[]> elements, List<int[]> cameFrom) {
        List<Element> all = new ArrayList<>();
        int place = 0;
        for (int i = elements.size() - 1; i >= 0; i--) {
            all.add(elements.get(i)[place]);
            place = cameFrom.get(i)[place];
        }
        Collections.reverse(all);
        return all;
    }

    private static int[] spread(int first, int last) {
        int low = Math.min(first, last);
        int high = Math.max(first, last);
        int count = Math.min(TRIED, high - low + 1);
        int[] places = new int[count];
        for (int i = 0; i < count; i++) {
            places[i] =
                    count == 1
                            ? low
                            : low + (int) Math.round((double) i * (high - low) / (count - 1));
        }
        return places;
    }
}
