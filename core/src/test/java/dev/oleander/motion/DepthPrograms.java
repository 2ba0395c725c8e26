package dev.oleander.motion;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/** Programs with heights and a rotary axis for tests. */
public final class DepthPrograms {

    private DepthPrograms() {}

    /**
     * Ramps, helices, plunges and travels, each from where the one before ends.
     *
     * @param on whether the process works on all moves at feed
     */
    public static List<Item> random(SplittableRandom random, int count, boolean on) {
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        Pose pose = Pose.FLAT;
        for (int i = 0; i < count; i++) {
            Point to = at.plus(Point.polar(1 + 60 * random.nextDouble(), 7 * random.nextDouble()));
            Pose after =
                    switch (random.nextInt(4)) {
                        case 0 -> pose;
                        case 1 -> new Pose(30 * random.nextDouble() - 20, pose.turn());
                        case 2 -> new Pose(pose.z(), 400 * random.nextDouble() - 200);
                        default ->
                                new Pose(
                                        30 * random.nextDouble() - 20,
                                        pose.turn() + 90 * random.nextDouble());
                    };
            boolean flat = pose.equals(Pose.FLAT) && after.equals(Pose.FLAT);
            Rise rise = flat ? Rise.FLAT : new Rise(pose, after);
            double feed = 200 + 9000 * random.nextDouble();
            Origin origin = new Origin("c%d.1".formatted(1 + i / 5), 1 + i % 2, i % 5);
            switch (random.nextInt(5)) {
                case 0 -> items.add(new Item.Rapid(at, to, rise, origin));
                case 1 -> {
                    if (!rise.isLevel()) {
                        items.add(new Item.Plunge(at, rise, feed, on, origin));
                        pose = after;
                    }
                    continue;
                }
                case 2 -> {
                    items.add(new Item.Event(EventKind.COMMENT, Map.of(), "here", origin));
                    continue;
                }
                case 3 ->
                        items.add(
                                new Item.Feed(
                                        new Arc(at, to, 0.2 + random.nextDouble()),
                                        rise,
                                        feed,
                                        on,
                                        origin));
                default -> items.add(new Item.Feed(new Line(at, to), rise, feed, on, origin));
            }
            at = to;
            pose = after;
        }
        return items;
    }
}
