package dev.oleander.work.router.run;

import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.Timeline;
import dev.oleander.work.router.material.Cutting;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which cutting moves of a run are made at a moment; one that is under way counts as not made. */
public final class Moments {

    private Moments() {}

    /** By id of a stop, how many of its cutting moves are made, of all turns of the work. */
    static Map<String, Integer> feeds(Timeline timeline, double seconds) {
        Map<String, Integer> made = new HashMap<>();
        Program program = timeline.program();
        int under = seconds >= timeline.total() ? program.size() : timeline.itemAt(seconds);
        for (int i = 0; i < under; i++) {
            Item item = program.items().get(i);
            if (item instanceof Item.AtFeed) {
                made.merge(item.origin().stop(), 1, Integer::sum);
            }
        }
        return made;
    }

    /** By id of a stop, how many of its cutting moves are made; of copies round an axis, once. */
    private static Map<String, Integer> made(RouterPlan plan, Timeline timeline, double seconds) {
        Map<String, Integer> made = feeds(timeline, seconds);
        plan.done().forEach(s -> made.computeIfPresent(s.id(), (id, n) -> legs(s, n)));
        return made;
    }

    /** How many legs are made by so many moves: of a stroke all its holes. */
    private static int legs(RouterStop stop, int moves) {
        List<Leg> legs = legs(stop);
        if (stop.figures().strokes().isEmpty()) {
            return Math.min(moves, legs.size());
        }
        int made = 0;
        int gone = 0;
        while (made < legs.size()) {
            gone += legs.get(made).pace() == Leg.Pace.BESIDE ? 0 : 1;
            if (gone > moves) {
                return made;
            }
            made++;
        }
        return made;
    }

    private static List<Leg> legs(RouterStop stop) {
        return stop.cutting().legs();
    }

    /** How many of all cutting moves are made, in their order. */
    public static int count(RouterPlan plan, Timeline timeline, double seconds) {
        return made(plan, timeline, seconds).values().stream().mapToInt(n -> n).sum();
    }

    /** How much of the cutting move that is under way is made, from 0 to 1; 0: none is. */
    public static double share(Timeline timeline, double seconds) {
        int under = seconds >= timeline.total() ? -1 : timeline.itemAt(seconds);
        return under >= 0 && timeline.program().items().get(under) instanceof Item.AtFeed
                ? timeline.share(under, seconds)
                : 0;
    }

    /** The stop that is under way; empty when all is done. */
    static Optional<String> stopAt(Timeline timeline, double seconds) {
        return seconds >= timeline.total()
                ? Optional.empty()
                : Optional.of(
                        timeline.program().items().get(timeline.itemAt(seconds)).origin().stop());
    }

    /** What is made. */
    public static List<Cutting> cuttings(RouterPlan plan, Timeline timeline, double seconds) {
        Map<String, Integer> made = made(plan, timeline, seconds);
        List<Cutting> cuttings = new ArrayList<>();
        for (RouterStop stop : plan.done()) {
            int count = made.getOrDefault(stop.id(), 0);
            if (count > 0) {
                Cutting whole = stop.cutting();
                cuttings.add(
                        new Cutting(whole.stop(), whole.form(), whole.legs().subList(0, count)));
            }
        }
        return cuttings;
    }
}
