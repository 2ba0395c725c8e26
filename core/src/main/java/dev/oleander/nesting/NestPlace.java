package dev.oleander.nesting;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Distances;
import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What a part's place on its sheet does: how far the front reaches because of it, and what it lies
 * next to.
 *
 * @param box of the part on the sheet
 * @param front how far parts reach on the sheet along its longer side, mm
 * @param without the same without this part
 * @param nearest the edge of the sheet and the two nearest parts, the nearest first
 */
public record NestPlace(Box box, double front, double without, List<Neighbour> nearest) {

    /** Other parts that are told. */
    private static final int PARTS = 2;

    public NestPlace {
        nearest = List.copyOf(nearest);
    }

    /**
     * @param line of the other part; empty: the edge of the sheet, or a hole in it
     * @param distance between the contours, mm
     */
    public record Neighbour(String line, double distance) {}

    /**
     * @param part its place in the list of the sheet, from 0
     */
    public static NestPlace of(NestTask task, NestedSheet sheet, int part) {
        List<Region> laid =
                sheet.placements().stream()
                        .map(p -> task.line(p.line()).shape().transformed(p.transform()))
                        .toList();
        Region own = laid.get(part);
        Region stock = task.sheet(sheet).region();
        List<Neighbour> nearest = new ArrayList<>();
        nearest.add(new Neighbour("", distance(own, stock, Double.POSITIVE_INFINITY)));
        nearest.addAll(nearestParts(sheet, laid, part));
        nearest.sort(Comparator.comparingDouble(Neighbour::distance));
        return new NestPlace(own.box(), front(stock, laid, -1), front(stock, laid, part), nearest);
    }

    /** Those whose boxes are near are measured first, so that most need not be. */
    private static List<Neighbour> nearestParts(NestedSheet sheet, List<Region> laid, int part) {
        Region own = laid.get(part);
        List<Integer> others = new ArrayList<>();
        for (int i = 0; i < laid.size(); i++) {
            if (i != part) {
                others.add(i);
            }
        }
        others.sort(Comparator.comparingDouble(i -> laid.get(i).box().distance(own.box())));
        List<Neighbour> found = new ArrayList<>();
        for (int i : others) {
            double enough =
                    found.size() < PARTS
                            ? Double.POSITIVE_INFINITY
                            : found.get(PARTS - 1).distance();
            if (laid.get(i).box().distance(own.box()) >= enough) {
                break;
            }
            String line = sheet.placements().get(i).line();
            found.add(new Neighbour(line, distance(own, laid.get(i), enough)));
            found.sort(Comparator.comparingDouble(Neighbour::distance));
        }
        return found.subList(0, Math.min(PARTS, found.size()));
    }

    private static double distance(Region a, Region b, double enough) {
        double least = enough;
        for (Contour one : a.contours()) {
            for (Contour other : b.contours()) {
                if (one.box().distance(other.box()) < least) {
                    least = Math.min(least, Distances.between(one, other).distance());
                }
            }
        }
        return least;
    }

    private static double front(Region stock, List<Region> laid, int without) {
        boolean alongX = stock.box().width() >= stock.box().height();
        double front = 0;
        for (int i = 0; i < laid.size(); i++) {
            if (i != without) {
                Box box = laid.get(i).box();
                front =
                        Math.max(
                                front,
                                alongX
                                        ? box.max().x() - stock.box().min().x()
                                        : box.max().y() - stock.box().min().y());
            }
        }
        return front;
    }
}
