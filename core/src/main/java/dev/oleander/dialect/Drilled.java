package dev.oleander.dialect;

import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A hole as a cycle says it: over a place, rapid down, straight down at feed, rapid up to where it
 * came from; or, with pecks, several times down, between which the tool comes up to where the feed
 * began and goes down again nearly as far as it was.
 *
 * @param items how many of the program it stands for
 * @param low height at which the feed begins, mm
 * @param pecks heights that it goes down to one after the other, mm; the last is its ground
 * @param again mm over the height reached at which the feed goes on; 0 when it goes down once
 */
record Drilled(int items, Point at, double low, List<Double> pecks, double again, double feed) {

    private static final double SAME = 1e-9;

    double deep() {
        return pecks.get(pecks.size() - 1);
    }

    boolean isInOneGo() {
        return pecks.size() == 1;
    }

    /**
     * The heights that a cycle with pecks goes down to, mm.
     *
     * @param first mm below {@code low} of the first
     * @param peck mm between two, above 0; the last may be less
     */
    static List<Double> pecks(double low, double first, double peck, double deep) {
        double top = low - first;
        int before = (int) Math.ceil((top - deep) / peck - 0.01);
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < before; i++) {
            all.add(top - i * peck);
        }
        all.add(deep);
        return all;
    }

    /**
     * What begins at an item; empty when it is no hole.
     *
     * @param from where the tool is
     * @param high its height, mm
     */
    static Optional<Drilled> at(List<Item> items, int first, Point from, double high) {
        return new Scan(items, first, from, high).hole();
    }

    /** Goes through the items of one hole. */
    private static final class Scan {

        private final List<Item> items;
        private final int first;
        private final double high;
        private final List<Double> pecks = new ArrayList<>();
        private Point at;
        private int next;
        private double low;
        private double again;
        private double feed;

        Scan(List<Item> items, int first, Point from, double high) {
            this.items = items;
            this.first = first;
            this.next = first;
            this.at = from;
            this.high = high;
        }

        Optional<Drilled> hole() {
            if (next < items.size()
                    && items.get(next) instanceof Item.Rapid over
                    && isAcross(over)) {
                at = over.to();
                next++;
            }
            boolean is = down() && hasPecks() && high > low && isOneStop();
            return is
                    ? Optional.of(
                            new Drilled(next - first, at, low, List.copyOf(pecks), again, feed))
                    : Optional.empty();
        }

        private boolean isAcross(Item.Rapid rapid) {
            return rapid.rise().isLevel()
                    && Math.abs(rapid.rise().to().z() - high) < SAME
                    && rapid.from().distance(rapid.to()) > SAME;
        }

        private boolean down() {
            if (!isUpright()) {
                return false;
            }
            low = rapidTo();
            return true;
        }

        /** Down at feed, up to where it began and down again, until it goes up to the top. */
        private boolean hasPecks() {
            double reached = low;
            while (next < items.size() && items.get(next) instanceof Item.Plunge plunge) {
                double to = plunge.rise().to().z();
                boolean same = pecks.isEmpty() || plunge.feed() == feed;
                if (!same || !isHere(plunge) || to >= reached) {
                    return false;
                }
                pecks.add(to);
                feed = plunge.feed();
                reached = to;
                next++;
                if (!isUpright()) {
                    return false;
                }
                double up = rapidTo();
                if (Math.abs(up - high) < SAME) {
                    return true;
                }
                if (Math.abs(up - low) > SAME || !isUpright() || !isAgain(rapidTo() - reached)) {
                    return false;
                }
            }
            return false;
        }

        private boolean isHere(Item.Plunge plunge) {
            return plunge.on() && plunge.rise().turn() == 0 && plunge.at().distance(at) < SAME;
        }

        private boolean isAgain(double over) {
            boolean is = again == 0 || Math.abs(over - again) < SAME;
            again = over;
            return is;
        }

        private boolean isUpright() {
            return next < items.size()
                    && items.get(next) instanceof Item.Rapid rapid
                    && rapid.to().distance(at) < SAME
                    && rapid.from().distance(at) < SAME
                    && rapid.rise().turn() == 0;
        }

        private double rapidTo() {
            return items.get(next++).rise().to().z();
        }

        private boolean isOneStop() {
            String stop = items.get(first).origin().stop();
            return items.subList(first, next).stream()
                    .allMatch(i -> i.origin().stop().equals(stop));
        }
    }
}
