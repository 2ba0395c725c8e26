package dev.oleander.motion;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * When everything of a program happens.
 *
 * @param ends machine time at the end of each item, s, ascending
 * @param profiles speed over each item
 * @param byStop time by id of stop; items of the frame are not in it
 */
public record Timeline(
        Program program,
        double[] ends,
        List<Profile> profiles,
        Seconds seconds,
        Map<String, Seconds> byStop) {

    /** All stretches, one after the other. */
    public static Timeline of(List<TimeModel.Timed> stretches) {
        int size = stretches.stream().mapToInt(t -> t.items().size()).sum();
        Item[] items = new Item[size];
        Profile[] profiles = new Profile[size];
        double[] ends = new double[size];
        ByStop byStop = new ByStop();
        double now = 0;
        int at = 0;
        for (TimeModel.Timed stretch : stretches) {
            for (int i = 0; i < stretch.items().size(); i++) {
                Item item = stretch.items().get(i);
                Seconds seconds = stretch.seconds()[i];
                now += seconds.total();
                byStop.add(item.origin().stop(), seconds);
                items[at] = item;
                profiles[at] = stretch.profiles()[i];
                ends[at++] = now;
            }
        }
        byStop.end();
        return new Timeline(
                new Program(List.of(items)), ends, List.of(profiles), byStop.sum, byStop.times);
    }

    /** Adds up what belongs to one stop after the other, as items of one stop follow each other. */
    private static final class ByStop {
        private final Map<String, Seconds> times = new HashMap<>();
        private Seconds sum = Seconds.NONE;
        private String stop = "";
        private double cutting;
        private double travel;
        private double piercing;
        private double people;

        void add(String of, Seconds seconds) {
            if (!of.equals(stop)) {
                end();
                stop = of;
            }
            cutting += seconds.cutting();
            travel += seconds.travel();
            piercing += seconds.piercing();
            people += seconds.people();
        }

        /** Nothing more comes of the present stop. */
        void end() {
            Seconds all = new Seconds(cutting, travel, piercing, people);
            sum = sum.plus(all);
            if (!stop.isEmpty()) {
                times.merge(stop, all, Seconds::plus);
            }
            cutting = 0;
            travel = 0;
            piercing = 0;
            people = 0;
        }
    }

    public double total() {
        return ends.length == 0 ? 0 : ends[ends.length - 1];
    }

    /** The item that is under way at a moment; the last one at the end. Logarithmic. */
    public int itemAt(double seconds) {
        int found = Arrays.binarySearch(ends, seconds);
        int index = found >= 0 ? found : -found - 1;
        return Math.min(index, ends.length - 1);
    }

    /** Where the head is at a moment. */
    public Point positionAt(double seconds) {
        int index = itemAt(seconds);
        for (int i = index; i >= 0; i--) {
            Item item = program.items().get(i);
            boolean present = i == index;
            if (item instanceof Item.Rapid rapid) {
                double share = present ? share(i, seconds) : 1;
                return rapid.from().plus(rapid.to().minus(rapid.from()).times(share));
            }
            if (item instanceof Item.Feed feed) {
                Segment segment = feed.segment();
                return present ? segment.at(share(i, seconds)) : segment.end();
            }
            if (item instanceof Item.Plunge plunge) {
                return plunge.at();
            }
            if (item instanceof Item.TwoPlane both) {
                Item.Way way = both.lower();
                double share = present ? share(i, seconds) : 1;
                return way.from().plus(way.to().minus(way.from()).times(share));
            }
        }
        return Point.ORIGIN;
    }

    /** Height and turn at a moment. */
    public Pose poseAt(double seconds) {
        int index = itemAt(seconds);
        for (int i = index; i >= 0; i--) {
            if (!(program.items().get(i) instanceof Item.Event)) {
                Rise rise = program.items().get(i).rise();
                boolean moves = i == index && profiles.get(i).length() > 0;
                return moves ? rise.at(share(i, seconds)) : rise.to();
            }
        }
        return Pose.FLAT;
    }

    /** How much of the way of an item is gone at a moment at which it is under way, from 0 to 1. */
    public double share(int index, double seconds) {
        double began = index == 0 ? 0 : ends[index - 1];
        Profile profile = profiles.get(index);
        return profile.distanceAt(seconds - began) / profile.length();
    }
}
