package dev.oleander.web.product;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Timeline;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What the view of a clamping that is worked draws: the way of the tool with its times, mm above
 * the top of the stock and s.
 *
 * @param job whose program it is
 * @param box of the stock seen from above: x1, y1, x2, y2
 * @param total s
 * @param path x, y, z, when the tool is there, and 1 where it cuts on the way there, else 0
 */
record MachiningView(long job, double[] box, double thickness, double total, double[] path) {

    private static final double CHORD = 0.1;
    private static final int MOST_PARTS = 90;

    static MachiningView of(long job, Box stock, double thickness, Timeline timeline) {
        Path path = new Path(timeline);
        return new MachiningView(
                job,
                new double[] {stock.min().x(), stock.min().y(), stock.max().x(), stock.max().y()},
                thickness,
                timeline.total(),
                path.numbers());
    }

    /** Collects places. */
    private static final class Path {

        private final Timeline timeline;
        private final List<double[]> places = new ArrayList<>();

        Path(Timeline timeline) {
            this.timeline = timeline;
            for (int i = 0; i < timeline.ends().length; i++) {
                add(i, timeline.program().items().get(i));
            }
        }

        private void add(int index, Item item) {
            if (item instanceof Item.Rapid rapid) {
                if (places.isEmpty()) {
                    put(rapid.from(), rapid.rise().from(), 0, false);
                }
                put(rapid.to(), rapid.rise().to(), timeline.ends()[index], false);
            } else if (item instanceof Item.Feed feed) {
                along(index, feed);
            } else if (item instanceof Item.Plunge plunge) {
                put(plunge.at(), plunge.rise().to(), timeline.ends()[index], plunge.on());
            }
        }

        /** An arc in chords, each at its time as if the feed were even. */
        private void along(int index, Item.Feed feed) {
            Segment segment = feed.segment();
            int parts = segment instanceof Arc arc ? parts(arc) : 1;
            double began = index == 0 ? 0 : timeline.ends()[index - 1];
            double lasts = timeline.ends()[index] - began;
            for (int i = 1; i <= parts; i++) {
                double share = (double) i / parts;
                put(segment.at(share), feed.rise().at(share), began + share * lasts, feed.on());
            }
        }

        private static int parts(Arc arc) {
            double step = 2 * Math.acos(Math.max(0, 1 - CHORD / arc.radius()));
            int parts = (int) Math.ceil(Math.abs(arc.sweep()) / Math.max(step, 1e-3));
            return Math.max(2, Math.min(MOST_PARTS, parts));
        }

        private void put(Point at, Pose pose, double when, boolean cuts) {
            places.add(new double[] {at.x(), at.y(), pose.z(), when, cuts ? 1 : 0});
        }

        double[] numbers() {
            return places.stream()
                    .flatMapToDouble(Arrays::stream)
                    .map(n -> Math.round(n * 1000) / 1000.0)
                    .toArray();
        }
    }
}
