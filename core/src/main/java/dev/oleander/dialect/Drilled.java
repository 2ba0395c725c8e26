package dev.oleander.dialect;

import dev.oleander.geometry.Point;
import dev.oleander.motion.Item;
import java.util.List;
import java.util.Optional;

/**
 * A hole as a cycle says it: over a place, rapid down, straight down at feed, rapid up to where it
 * came from.
 *
 * @param items how many of the program it stands for
 * @param low height at which the feed begins, mm
 * @param deep height of its ground, mm
 */
record Drilled(int items, Point at, double low, double deep, double feed) {

    private static final double SAME = 1e-9;

    /**
     * What begins at an item; empty when it is no hole.
     *
     * @param from where the tool is
     * @param high its height, mm
     */
    static Optional<Drilled> at(List<Item> items, int first, Point from, double high) {
        int k = first;
        Point at = from;
        if (k < items.size() && items.get(k) instanceof Item.Rapid over && isAcross(over, high)) {
            at = over.to();
            k++;
        }
        boolean three =
                k + 2 < items.size()
                        && items.get(k) instanceof Item.Rapid
                        && items.get(k + 1) instanceof Item.Plunge
                        && items.get(k + 2) instanceof Item.Rapid;
        if (!three || !isOneStop(items.subList(first, k + 3))) {
            return Optional.empty();
        }
        Item.Rapid down = (Item.Rapid) items.get(k);
        Item.Plunge hole = (Item.Plunge) items.get(k + 1);
        Item.Rapid up = (Item.Rapid) items.get(k + 2);
        boolean straight =
                down.to().distance(at) < SAME
                        && hole.at().distance(at) < SAME
                        && up.to().distance(at) < SAME;
        boolean level = down.rise().turn() == 0 && hole.rise().turn() == 0 && up.rise().turn() == 0;
        double low = down.rise().to().z();
        double deep = hole.rise().to().z();
        boolean back = Math.abs(up.rise().to().z() - high) < SAME;
        return straight && level && back && hole.on() && high > low && low > deep
                ? Optional.of(new Drilled(k + 3 - first, at, low, deep, hole.feed()))
                : Optional.empty();
    }

    private static boolean isAcross(Item.Rapid rapid, double high) {
        return rapid.rise().isLevel()
                && Math.abs(rapid.rise().to().z() - high) < SAME
                && rapid.from().distance(rapid.to()) > SAME;
    }

    private static boolean isOneStop(List<Item> items) {
        String stop = items.get(0).origin().stop();
        return items.stream().allMatch(i -> i.origin().stop().equals(stop));
    }
}
