package dev.oleander.drawing.draw;

import dev.oleander.drawing.letter.TextSpec.Across;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * A text is taken by its place and the height of its capitals; a straight one by its direction, one
 * along a chain by its distance to it.
 */
final class TextHandling implements Handling {

    private static final String PLACE = "x";
    private static final String HEIGHT = "height";
    private static final String TURN = "turn";
    private static final String DISTANCE = "distance";

    /** In heights of capitals, from the place of a text to what it is turned by. */
    private static final double ARM = 4;

    /** mm; capitals are not pulled below. */
    private static final double LEAST = 0.1;

    private final BiFunction<Sketch, Args, Optional<Chain>> guide;

    /**
     * @param guide what a text runs along; empty: straight
     */
    TextHandling(BiFunction<Sketch, Args, Optional<Chain>> guide) {
        this.guide = guide;
    }

    /**
     * Where a text stands.
     *
     * @param way along its base line, of length 1
     * @param foot of its base line on the chain; the base line itself when it runs straight
     */
    private record Stand(Point foot, Point way, double distance, boolean along) {

        Point up() {
            return new Point(-way.y(), way.x());
        }

        Point above(double height) {
            return foot.plus(up().times(distance + height));
        }

        /** mm above its foot. */
        double over(Point place) {
            return place.minus(foot).dot(up());
        }
    }

    private Stand stand(Sketch sketch, Args args) {
        Point at = args.point("x", "y");
        Optional<Chain> chain = guide.apply(sketch, args);
        if (chain.isEmpty()) {
            return new Stand(at, Point.polar(1, Math.toRadians(args.number(TURN))), 0, false);
        }
        Chain of = chain.get();
        double sign = args.yes("reversed") ? -1 : 1;
        double along = of.distanceAt(of.nearest(at)) + sign * args.number("from");
        double round =
                of instanceof Contour
                        ? along - Math.floor(along / of.length()) * of.length()
                        : along;
        Chain.Station station = of.stationAt(round);
        return new Stand(
                station.point(), station.direction().times(sign), args.number(DISTANCE), true);
    }

    @Override
    public List<Handle> of(Sketch sketch, Args args) {
        Stand stand = stand(sketch, args);
        double height = args.positive(HEIGHT, "The height of capitals");
        List<Handle> all = new ArrayList<>();
        all.add(Handle.place(PLACE, "Place", stand.foot()));
        all.add(
                Handle.away(
                        HEIGHT,
                        "Height of capitals",
                        stand.above(lift(args) * height),
                        stand.above(0)));
        if (stand.along()) {
            all.add(Handle.away(DISTANCE, "Distance", stand.above(height / 2), stand.foot()));
        } else {
            Point arm = stand.foot().plus(stand.way().times(ARM * height));
            all.add(Handle.round(TURN, "Turned by", arm, stand.foot()));
        }
        return all;
    }

    @Override
    public Map<String, String> moved(Sketch sketch, Args args, String name, Point to) {
        Stand stand = stand(sketch, args);
        return switch (name) {
            case PLACE ->
                    stand.along()
                            ? Map.of("x", n(to.x()), "y", n(to.y()), "from", "0")
                            : Map.of("x", n(to.x()), "y", n(to.y()));
            case HEIGHT ->
                    Map.of(
                            HEIGHT,
                            n(Math.max(LEAST, (stand.over(to) - stand.distance()) / lift(args))));
            case DISTANCE -> Map.of(DISTANCE, n(stand.over(to) - args.number(HEIGHT) / 2));
            case TURN -> {
                Point arm = to.minus(stand.foot());
                yield Map.of(TURN, n(Math.toDegrees(Math.atan2(arm.y(), arm.x()))));
            }
            default -> throw new DrawException("A text has no handle %s.", name);
        };
    }

    /** In heights, how far above its place a text is taken to make it higher. */
    private static double lift(Args args) {
        return switch (args.choice("across", Across.class)) {
            case BASE -> 1;
            case MIDDLE -> 0.5;
            case CAP -> -1;
        };
    }

    private static String n(double value) {
        return PlaceHandling.number(value);
    }
}
