package dev.oleander.drawing.bridge;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What is cut away, and the pieces that are kept: the sheet outside, and islands at any depth. What
 * lies inside an odd number of contours is cut away.
 */
final class Pieces {

    /** The sheet. */
    static final int SHEET = 0;

    private final List<Contour> contours;
    private final double[] area;
    private final int[] depth;

    /** Of each contour the smallest that it lies in; -1: none. */
    private final int[] parent;

    /** The kept piece on the kept side of each contour. */
    private final int[] piece;

    private final int islands;

    Pieces(List<Contour> all) {
        this.contours = all.stream().map(c -> c.turning(true)).toList();
        this.area = contours.stream().mapToDouble(Contour::area).toArray();
        this.depth = new int[all.size()];
        this.parent = new int[all.size()];
        this.piece = new int[all.size()];
        for (int i = 0; i < all.size(); i++) {
            nested(i);
        }
        int count = 0;
        for (int i = 0; i < all.size(); i++) {
            if (isIsland(i)) {
                piece[i] = ++count;
            }
        }
        this.islands = count;
        for (int i = 0; i < all.size(); i++) {
            if (!isIsland(i)) {
                piece[i] = parent[i] < 0 ? SHEET : piece[parent[i]];
            }
        }
    }

    private void nested(int of) {
        parent[of] = -1;
        Point place = contours.get(of).segments().get(0).middle();
        for (int i = 0; i < contours.size(); i++) {
            boolean round = i != of && area[i] > area[of];
            if (round && contours.get(i).box().contains(place) && contours.get(i).contains(place)) {
                depth[of]++;
                boolean smaller = parent[of] < 0 || area[i] < area[parent[of]];
                parent[of] = smaller ? i : parent[of];
            }
        }
    }

    List<Contour> contours() {
        return contours;
    }

    /** Whether a contour is the outer one of an island. */
    boolean isIsland(int contour) {
        return depth[contour] % 2 == 1;
    }

    /** Number of the kept piece that a contour bounds: 0 the sheet, islands from 1. */
    int piece(int contour) {
        return piece[contour];
    }

    /** The smallest contour that one lies in; -1: none. */
    int parent(int contour) {
        return parent[contour];
    }

    int islands() {
        return islands;
    }

    /** Contours of islands, the smallest first. */
    List<Integer> islandContours() {
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < contours.size(); i++) {
            if (isIsland(i)) {
                all.add(i);
            }
        }
        all.sort(Comparator.comparingDouble(i -> area[i]));
        return all;
    }

    /** Whether what lies at a place is cut away. */
    boolean isRemoved(Point place) {
        long round =
                contours.stream().filter(c -> c.box().contains(place) && c.contains(place)).count();
        return round % 2 == 1;
    }

    /** What is cut away. */
    List<Region> removed() {
        List<Region> removed = new ArrayList<>();
        for (int i = 0; i < contours.size(); i++) {
            if (!isIsland(i)) {
                List<Contour> within = new ArrayList<>();
                for (int j = 0; j < contours.size(); j++) {
                    if (parent[j] == i) {
                        within.add(contours.get(j));
                    }
                }
                removed.add(new Region(contours.get(i), within));
            }
        }
        return removed;
    }
}
