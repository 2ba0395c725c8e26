package dev.oleander.work.router.run;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Timeline;
import dev.oleander.work.router.material.Depths;
import dev.oleander.work.router.material.HeightField;
import dev.oleander.work.router.material.RoundField;
import dev.oleander.work.router.material.RoundField.Laid;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is cut of round stock at any moment of a run, seen along its axis and once round. */
public final class RoundMaterial {

    /** mm; cells of what a stop cuts are no smaller. */
    private static final double FINEST = 0.1;

    /** Cells of all stops together: states on the way are kept of each. */
    private static final double MOST = 600_000;

    /**
     * What one stop cuts, with the work as it lies or unrolled.
     *
     * @param legs how many cut
     */
    private record Part(
            RouterStop stop, HeightField field, Box window, int columns, int rows, int legs) {

        /**
         * @param made legs that are done; of several turns of the work, of all together
         */
        List<Laid> laid(int made, double share) {
            List<Laid> all = new ArrayList<>();
            if (stop.wrap().isPresent()) {
                all.add(new Laid(field.at(made, share), window, columns, rows, Optional.empty()));
                return all;
            }
            float[] whole = made >= legs ? field.at(legs, 0) : null;
            for (int i = 0; i < stop.turns().size() && i * (long) legs <= made; i++) {
                int of = Math.min(legs, made - i * legs);
                float[] depths = of == legs ? whole : field.at(of, share);
                all.add(new Laid(depths, window, columns, rows, Optional.of(stop.turns().get(i))));
            }
            return all;
        }
    }

    private final RoundField stock;
    private final List<Part> parts = new ArrayList<>();

    /**
     * @throws IllegalArgumentException when the stock is flat
     */
    public RoundMaterial(RouterPlan plan) {
        this.stock = stock(plan);
        List<RouterStop> stops = plan.done();
        stops.forEach(stop -> add(stop, MOST / stops.size()));
    }

    /**
     * Where the stock is.
     *
     * @throws IllegalArgumentException when it is flat
     */
    public static RoundField stock(RouterPlan plan) {
        double radius =
                plan.task()
                        .round()
                        .orElseThrow(() -> new IllegalArgumentException("flat stock"))
                        .radius();
        Box box = plan.run().layout().stock();
        return new RoundField(radius, box.centre().y(), box.min().x(), box.max().x());
    }

    /**
     * @param most cells that it may have
     */
    private void add(RouterStop stop, double most) {
        Depths depths = new Depths(List.of(stop.cutting()));
        Box cut = box(stop);
        double left = Math.max(cut.min().x(), stock.from());
        double right = Math.min(cut.max().x(), stock.to());
        if (left >= right) {
            return;
        }
        Box window = new Box(new Point(left, cut.min().y()), new Point(right, cut.max().y()));
        double cell = Math.max(FINEST, Math.sqrt(window.width() * window.height() / most));
        int columns = (int) Math.ceil(window.width() / cell);
        int rows = (int) Math.ceil(window.height() / cell);
        parts.add(
                new Part(
                        stop,
                        new HeightField(depths, window, columns, rows),
                        window,
                        columns,
                        rows,
                        stop.cutting().legs().size()));
    }

    private static Box box(RouterStop stop) {
        List<Box> all = new ArrayList<>();
        for (Leg leg : stop.cutting().legs()) {
            all.add(leg.segment().map(s -> s.box()).orElse(new Box(leg.from(), leg.from())));
        }
        return Box.around(all).grown(stop.tool().orElseThrow().diameter() / 2);
    }

    /**
     * How deep it is cut; see {@link RoundField#of}.
     *
     * @param seconds of the machine; empty: at the end
     */
    public float[] at(Timeline timeline, Optional<Double> seconds, int columns, int angles) {
        double moment = seconds.orElse(timeline.total());
        Map<String, Integer> made = Moments.feeds(timeline, moment);
        Optional<String> now = Moments.stopAt(timeline, moment);
        List<Laid> laid = new ArrayList<>();
        for (Part part : parts) {
            boolean here = now.filter(part.stop().id()::equals).isPresent();
            double share = here ? Moments.share(timeline, moment) : 0;
            laid.addAll(part.laid(made.getOrDefault(part.stop().id(), 0), share));
        }
        return stock.of(laid, columns, angles);
    }
}
