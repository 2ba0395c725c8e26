package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;

/**
 * How much of a tool's leading edge is in the work along a way, looked at from place to place: the
 * part of it that nothing before has gone over.
 *
 * @param peak greatest angle where the way is not planned as wide as the tool, degrees
 * @param full mm of the way on which the tool is in the work as wide as it is
 */
public record Engaged(double peak, double full) {

    public static final Engaged NONE = new Engaged(0, 0);

    /** mm that the edge lies within the tool, so that what it only touches does not count. */
    private static final double WITHIN = 0.01;

    /** mm of the way behind the tool that are not looked at: they are its own place. */
    private static final double OWN = 0.2;

    /** Share of the radius from one place to the next. */
    private static final double APART = 1;

    /** Places on the leading edge; between two that differ the border is found by halving. */
    private static final int EDGE = 18;

    private static final int HALVINGS = 5;

    /** Degrees from which on it counts as a half turn. */
    private static final double HALF = 176;

    private static final double SAME = 1e-6;

    /**
     * @param legs of one tool
     * @param radius of the tool, mm
     * @param z height of a level, mm: only what is gone along there is looked at
     */
    public static Engaged of(List<Leg> legs, double radius, double z) {
        return new Measured(legs, radius, z).all();
    }

    /**
     * A stretch of the way no longer than the tool is wide, so that it lies well in its box.
     *
     * @param begin and {@code end}: mm from the start of all
     * @param wide whether it is planned as wide as the tool
     */
    private record Piece(Segment way, double begin, double end, boolean wide) {}

    /**
     * A place that is looked at.
     *
     * @param t where on its piece, 0 to 1
     * @param stands mm of the way that it stands for
     */
    private record Place(int piece, double t, double stands) {}

    private static final class Measured {

        private final double radius;
        private final List<Piece> pieces = new ArrayList<>();
        private final SegmentIndex<Box> index;

        Measured(List<Leg> all, double radius, double z) {
            this.radius = radius;
            double at = 0;
            for (Leg leg : all) {
                boolean level = Math.abs(leg.fromZ() - z) < SAME && Math.abs(leg.toZ() - z) < SAME;
                if (leg.cuts() && level && leg.segment().isPresent()) {
                    at = split(leg, at);
                }
            }
            this.index =
                    SegmentIndex.ofBoxes(
                            pieces.stream().map(p -> p.way().box().grown(radius)).toList());
        }

        private double split(Leg leg, double from) {
            Segment way = leg.segment().orElseThrow();
            double length = way.length();
            int count = (int) Math.max(1, Math.ceil(length / (2 * radius)));
            for (int i = 0; i < count; i++) {
                double first = (double) i / count;
                double last = (double) (i + 1) / count;
                pieces.add(
                        new Piece(
                                count == 1 ? way : way.between(first, last),
                                from + first * length,
                                from + last * length,
                                leg.pace() == Leg.Pace.FULL));
            }
            return from + length;
        }

        Engaged all() {
            // no place asks what another one has found
            List<Engaged> all = places().parallelStream().map(this::at).toList();
            return new Engaged(
                    all.stream().mapToDouble(Engaged::peak).max().orElse(0),
                    all.stream().mapToDouble(Engaged::full).sum());
        }

        /** Evenly along the way, and in the middle of every piece that is longer than a step. */
        private List<Place> places() {
            List<Place> places = new ArrayList<>();
            double next = 0;
            double apart = APART * radius;
            for (int i = 0; i < pieces.size(); i++) {
                Piece piece = pieces.get(i);
                if (piece.end() < next) {
                    continue;
                }
                double length = piece.end() - piece.begin();
                int count = (int) Math.max(1, Math.ceil(length / apart));
                for (int k = 0; k < count; k++) {
                    places.add(new Place(i, (k + 0.5) / count, length / count));
                }
                next = piece.end() + apart / 2;
            }
            return places;
        }

        private Engaged at(Place at) {
            Piece piece = pieces.get(at.piece());
            Point place = piece.way().at(at.t());
            double behind = piece.begin() + at.t() * (piece.end() - piece.begin()) - OWN;
            List<Segment> past = past(place, at.piece(), behind);
            double ahead = piece.way().direction(at.t()).angle();
            double engaged = engaged(past, place, ahead);
            return new Engaged(piece.wide() ? 0 : engaged, engaged >= HALF ? at.stands() : 0);
        }

        private double engaged(List<Segment> past, Point place, double ahead) {
            double engaged = 0;
            boolean before = isGone(past, edge(place, ahead, -90));
            for (int k = 1; k <= EDGE; k++) {
                double angle = 180.0 * k / EDGE - 90;
                boolean gone = isGone(past, edge(place, ahead, angle));
                if (gone != before) {
                    double border = border(past, place, ahead, angle, before);
                    engaged += gone ? border - (angle - 180.0 / EDGE) : angle - border;
                } else if (!gone) {
                    engaged += 180.0 / EDGE;
                }
                before = gone;
            }
            return engaged;
        }

        /** A place on the tool's edge, degrees from where it goes. */
        private Point edge(Point place, double ahead, double angle) {
            return place.plus(Point.polar(radius - WITHIN, ahead + Math.toRadians(angle)));
        }

        /** Where what is gone begins or ends, before an angle. */
        private double border(
                List<Segment> past, Point place, double ahead, double angle, boolean before) {
            double low = angle - 180.0 / EDGE;
            double high = angle;
            for (int i = 0; i < HALVINGS; i++) {
                double middle = (low + high) / 2;
                if (isGone(past, edge(place, ahead, middle)) == before) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            return (low + high) / 2;
        }

        private boolean isGone(List<Segment> past, Point edge) {
            for (Segment way : past) {
                if (way.distance(edge) <= radius) {
                    return true;
                }
            }
            return false;
        }

        /** Ways near a place that were gone along before. */
        private List<Segment> past(Point place, int current, double limit) {
            List<Segment> past = new ArrayList<>();
            Box near = new Box(place, place).grown(radius);
            for (int j : index.positions(near)) {
                Piece piece = pieces.get(j);
                if (j > current || piece.begin() >= limit) {
                    continue;
                }
                double share = (limit - piece.begin()) / (piece.end() - piece.begin());
                past.add(share >= 1 ? piece.way() : piece.way().between(0, share));
            }
            return past;
        }
    }
}
