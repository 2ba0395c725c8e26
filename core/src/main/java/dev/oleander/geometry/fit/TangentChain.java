package dev.oleander.geometry.fit;

import dev.oleander.geometry.flat.Edges;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Few tangent arcs along a stretch of a polyline, by beam search.
 *
 * <p>An arc that starts at a given place in a given direction has only its curvature k left, and a
 * point q from there allows those with |k q^2 / 2 - n . q| &lt;= tolerance: an interval. So one
 * walk along the points tells how far arcs reach and with which curvatures. From every place
 * reached some ends and curvatures are tried; of the ends those are kept from which the next arc
 * reaches farthest (B. T. Lowerre, "The Harpy speech recognition system", 1976). Joints need not
 * lie on the points, only within the tolerance, which is what makes tangent chains as short as
 * others.
 */
final class TangentChain {

    /** Places kept after each arc. */
    private static final int BEAM = 10;

    /** Ends tried, as shares of the reach of an arc. */
    private static final double[] SHARES = {1, 0.95, 0.9, 0.82, 0.72, 0.6};

    /** Curvatures tried, as shares of their interval. */
    private static final double[] CURVATURES = {0, 0.25, 0.5, 0.75, 1};

    /**
     * Start directions tried to either side of the estimate, in tolerances over the first reach.
     */
    private static final double[] TURNS = {0, -1, 1, -2, 2, -4, 4, -7, 7};

    /** Bulge that is nothing but rounding. */
    private static final double NO_BULGE = 1e-13;

    /** First legs tried for a last pair of arcs, over the distance left. */
    private static final double[] LEGS = {0.5, 0.4, 0.6, 0.3, 0.7, 0.2, 0.8, 0.1};

    private final Polyline line;
    private final int last;
    private final double[] room;
    private final double[] low;
    private final double[] high;

    /**
     * A place on the way: where, in which direction, at which point, and the arc that led there.
     */
    private static final class Place {
        private final double x;
        private final double y;
        private final double nx;
        private final double ny;
        private final int at;
        private final Place before;
        private int reach;

        Place(double x, double y, double nx, double ny, int at, Place before) {
            this.x = x;
            this.y = y;
            this.nx = nx;
            this.ny = ny;
            this.at = at;
            this.before = before;
        }

        int reach() {
            return reach;
        }

        /** Curvature of the arc to a point: that of the circle which is tangent here. */
        double curvatureTo(double px, double py) {
            double qx = px - x;
            double qy = py - y;
            return 2 * (nx * qx + ny * qy) / (qx * qx + qy * qy);
        }
    }

    /**
     * @param room for each point of the polyline how far the chain may pass from it, mm
     */
    TangentChain(Polyline line, double[] room) {
        this.line = line;
        this.last = line.size - 1;
        this.room = room;
        this.low = new double[line.size];
        this.high = new double[line.size];
    }

    /**
     * The chain from the first to the last point.
     *
     * @param startAngle radians; NaN when free, then {@code guess} is tried and what is near it
     * @param endAngle likewise, without a guess
     * @return null when none was found
     */
    Edges from(double startAngle, double guess, double endAngle) {
        List<Place> places = starts(startAngle, guess);
        while (!places.isEmpty()) {
            for (Place place : places) {
                Place end = finish(place, endAngle);
                if (end != null) {
                    return edges(end);
                }
            }
            places = onwards(places);
        }
        return null;
    }

    private List<Place> starts(double startAngle, double guess) {
        List<Place> places = new ArrayList<>();
        if (!Double.isNaN(startAngle)) {
            addStart(places, startAngle);
            return places;
        }
        Place straight = start(guess);
        walk(straight);
        int end = Math.max(1, straight.reach);
        double length = Math.hypot(line.x[end] - line.x[0], line.y[end] - line.y[0]);
        for (double turn : TURNS) {
            addStart(places, guess + turn * room[0] / length);
        }
        places.sort(Comparator.comparingInt(Place::reach).reversed());
        return places;
    }

    private void addStart(List<Place> places, double angle) {
        Place place = start(angle);
        walk(place);
        places.add(place);
    }

    private Place start(double angle) {
        return new Place(line.x[0], line.y[0], -Math.sin(angle), Math.cos(angle), 0, null);
    }

    /** Notes how far arcs from a place reach and which curvatures they may have at every point. */
    private void walk(Place place) {
        double least = Double.NEGATIVE_INFINITY;
        double most = Double.POSITIVE_INFINITY;
        int k = place.at + 1;
        while (k <= last) {
            double qx = line.x[k] - place.x;
            double qy = line.y[k] - place.y;
            double ahead = qx * place.ny - qy * place.nx;
            if (ahead <= 0) {
                break;
            }
            double half = 2 / (qx * qx + qy * qy);
            double middle = (place.nx * qx + place.ny * qy) * half;
            double reach = room[k] * half;
            least = Math.max(least, middle - reach);
            most = Math.min(most, middle + reach);
            if (least > most) {
                break;
            }
            low[k] = least;
            high[k] = most;
            k++;
        }
        place.reach = k - 1;
    }

    /** The best places one arc on. */
    private List<Place> onwards(List<Place> places) {
        List<Place> next = new ArrayList<>();
        for (Place place : places) {
            walk(place);
            int reach = place.reach - place.at;
            int before = -1;
            List<Place> ends = new ArrayList<>();
            for (double share : SHARES) {
                int end = place.at + (int) Math.ceil(share * reach);
                if (end > place.at && end != before && end < last) {
                    addEnds(ends, place, end);
                }
                before = end;
            }
            ends.forEach(this::walk);
            next.addAll(ends);
        }
        next.removeIf(p -> p.reach <= p.at);
        next.sort(Comparator.comparingInt(Place::reach).reversed());
        return next.size() > BEAM ? new ArrayList<>(next.subList(0, BEAM)) : next;
    }

    private void addEnds(List<Place> ends, Place place, int end) {
        double least = low[end];
        double most = high[end];
        for (double share : CURVATURES) {
            ends.add(end(place, end, least + share * (most - least)));
        }
        if (least < 0 && most > 0) {
            ends.add(end(place, end, 0));
        }
    }

    /** Where the arc of a curvature comes nearest to a point. */
    private Place end(Place place, int at, double k) {
        double qx = line.x[at] - place.x;
        double qy = line.y[at] - place.y;
        double form = k * (qx * qx + qy * qy) / 2 - place.nx * qx - place.ny * qy;
        double slope = Math.sqrt(1 + 2 * k * form);
        double right = 2 * form / (1 + slope);
        // the gradient points to the right; turned back it is the normal to the left
        double gx = (k * qx - place.nx) / slope;
        double gy = (k * qy - place.ny) / slope;
        return new Place(line.x[at] - right * gx, line.y[at] - right * gy, -gx, -gy, at, place);
    }

    /** The end of the chain one arc on, or two when its direction is set; null out of reach. */
    private Place finish(Place place, double endAngle) {
        double px = line.x[last];
        double py = line.y[last];
        if (Double.isNaN(endAngle)) {
            if (place.reach < last) {
                return null;
            }
            walk(place);
            double k = place.curvatureTo(px, py);
            boolean fits = k >= low[last] && k <= high[last];
            return fits ? arrival(place, px, py, last) : null;
        }
        double tx = Math.cos(endAngle);
        double ty = Math.sin(endAngle);
        for (double leg : LEGS) {
            Place end = finishWithTwo(place, leg, tx, ty);
            if (end != null) {
                return end;
            }
        }
        return null;
    }

    /** A place at a point that the arc from another place hits. */
    private Place arrival(Place from, double px, double py, int at) {
        double k = from.curvatureTo(px, py);
        return new Place(
                px, py, from.nx - k * (px - from.x), from.ny - k * (py - from.y), at, from);
    }

    /**
     * Two tangent arcs to the end. With legs a and b along both end tangents t and s from the ends,
     * v between them, |v - a t - b s| = a + b; the joint parts the line between the legs' ends as a
     * to b.
     */
    private Place finishWithTwo(Place place, double leg, double sx, double sy) {
        double vx = line.x[last] - place.x;
        double vy = line.y[last] - place.y;
        double tx = place.ny;
        double ty = -place.nx;
        double square = vx * vx + vy * vy;
        double a = leg * Math.sqrt(square);
        double b =
                (square - 2 * a * (vx * tx + vy * ty))
                        / (2 * (vx * sx + vy * sy) - 2 * a * (tx * sx + ty * sy - 1));
        if (!(b > 0)) {
            return null;
        }
        double cx = place.x + a * tx;
        double cy = place.y + a * ty;
        double dx = line.x[last] - b * sx;
        double dy = line.y[last] - b * sy;
        double jx = (b * cx + a * dx) / (a + b);
        double jy = (b * cy + a * dy) / (a + b);
        walk(place);
        int at = abreast(place, jx, jy);
        if (at > place.reach) {
            return null;
        }
        double k = place.curvatureTo(jx, jy);
        if (k < low[at] || k > high[at]) {
            return null;
        }
        Place joint = arrival(place, jx, jy, at);
        walk(joint);
        double end = joint.curvatureTo(line.x[last], line.y[last]);
        boolean fits = joint.reach == last && end >= low[last] && end <= high[last];
        return fits ? arrival(joint, line.x[last], line.y[last], last) : null;
    }

    /** The last point before the normal through a joint. */
    private int abreast(Place from, double jx, double jy) {
        double k = from.curvatureTo(jx, jy);
        double nx = from.nx - k * (jx - from.x);
        double ny = from.ny - k * (jy - from.y);
        int at = from.at + 1;
        while (at < last - 1 && (line.x[at + 1] - jx) * ny - (line.y[at + 1] - jy) * nx <= 0) {
            at++;
        }
        return at;
    }

    private static Edges edges(Place end) {
        List<Place> way = new ArrayList<>();
        for (Place at = end; at != null; at = at.before) {
            way.add(0, at);
        }
        Edges edges = new Edges(way.size());
        for (int n = 1; n < way.size(); n++) {
            Place a = way.get(n - 1);
            Place b = way.get(n);
            double dx = b.x - a.x;
            double dy = b.y - a.y;
            // tan(sweep / 4), half a sweep being the turn from the tangent to the chord
            double chord = Math.sqrt(dx * dx + dy * dy);
            double along = dx * a.ny - dy * a.nx;
            double bulge = (dx * a.nx + dy * a.ny) / (chord + along);
            edges.add(a.x, a.y, b.x, b.y, Math.abs(bulge) < NO_BULGE ? 0 : bulge, b.at);
        }
        return edges;
    }
}
