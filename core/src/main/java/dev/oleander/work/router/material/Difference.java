package dev.oleander.work.router.material;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;

/**
 * What is left of what the drawing asks for, and what is gone beyond it, height by height: exact
 * for tools with flat ends.
 */
public final class Difference {

    /** mm; narrower pieces are within what a tool may be out. */
    public static final double TOLERANCE = 0.02;

    private static final double SAME = 1e-7;

    private final List<Asked> asked;
    private final Removed removed;
    private final double thickness;
    private final Map<String, Stack> rests = new LinkedHashMap<>();
    private final Stack gouges = new Stack("");

    /** Slabs of what is left or missing, one over the other. */
    private static final class Stack {

        private final String stop;
        private double area;
        private double height;
        private double largest;
        private List<Region> widest = List.of();
        private Point place;

        Stack(String stop) {
            this.stop = stop;
        }

        void add(List<Region> pieces, double high) {
            if (pieces.isEmpty()) {
                return;
            }
            double own = pieces.stream().mapToDouble(Region::area).sum();
            if (own > area) {
                area = own;
                widest = pieces;
            }
            height += high;
            for (Region piece : pieces) {
                if (piece.area() > largest) {
                    largest = piece.area();
                    place = inside(piece);
                }
            }
        }

        Piece piece() {
            return new Piece(stop, area, height, place, widest);
        }
    }

    /**
     * What a stop is asked for.
     *
     * @param flat whether its tool has a flat end: of others nothing is said to be left
     */
    public record Asked(String stop, Wanted wanted, boolean flat) {}

    /**
     * Stock that is left, or that is missing.
     *
     * @param stop that was to take it; empty of what is missing
     * @param area mm2 of all of it, at the height where there is most
     * @param height mm over which some of it stands, or is missing
     * @param place within the largest piece
     * @param regions seen from above, at the height where there is most
     */
    public record Piece(
            String stop, double area, double height, Point place, List<Region> regions) {

        public Piece {
            regions = List.copyOf(regions);
        }
    }

    private Difference(List<Asked> asked, Removed removed, double thickness) {
        this.asked = asked;
        this.removed = removed;
        this.thickness = thickness;
    }

    /**
     * @param rests one for each stop that has left something
     * @param gouge what is missing beyond what is asked for; empty: nothing
     */
    public record Found(List<Piece> rests, Optional<Piece> gouge) {

        /** Of work that is not compared. */
        public static final Found NOTHING = new Found(List.of(), Optional.empty());

        public Found {
            rests = List.copyOf(rests);
        }
    }

    /**
     * @param stock seen from above
     * @param thickness mm
     */
    public static Found of(List<Asked> asked, Removed removed, Region stock, double thickness) {
        Difference difference = new Difference(asked, removed, thickness);
        List<Double> heights = difference.heights();
        for (int i = 0; i + 1 < heights.size(); i++) {
            difference.slab(heights.get(i), heights.get(i + 1), stock);
        }
        List<Piece> rests = difference.rests.values().stream().map(Stack::piece).toList();
        Stack gone = difference.gouges;
        return new Found(rests, Optional.of(gone).filter(g -> g.area > 0).map(Stack::piece));
    }

    /** From the underside of the stock to its top. */
    private List<Double> heights() {
        TreeSet<Double> all = new TreeSet<>(List.of(-thickness, 0.0));
        removed.heights().forEach(z -> all.add(z));
        for (Asked one : asked) {
            all.add(-one.wanted().depth());
            one.wanted().kept().forEach(k -> all.add(-k.below()));
        }
        List<Double> clear = new ArrayList<>();
        for (double z : all.tailSet(-thickness, true)) {
            if (z <= SAME && (clear.isEmpty() || z > clear.get(clear.size() - 1) + SAME)) {
                clear.add(z);
            }
        }
        return clear;
    }

    private void slab(double from, double to, Region stock) {
        List<Region> gone = removed.at(from);
        List<Region> perhaps = removed.atMost(from);
        List<Region> all = new ArrayList<>();
        for (Asked one : asked) {
            if (one.wanted().depth() < -from - SAME) {
                continue;
            }
            all.addAll(one.wanted().regions());
            if (one.flat()) {
                rest(one, from, to, gone, stock);
            }
        }
        List<Region> beyond =
                Overlay.intersection(Overlay.difference(gone, Overlay.union(all)), List.of(stock));
        List<Region> missing = new ArrayList<>(real(beyond));
        missing.addAll(real(Overlay.intersection(perhaps, cores(from))));
        gouges.add(missing, to - from);
    }

    /** Tabs that must stand at a height. */
    private List<Region> cores(double z) {
        return asked.stream()
                .flatMap(one -> one.wanted().kept().stream())
                .filter(k -> -z > k.below() + SAME)
                .map(Wanted.Kept::core)
                .toList();
    }

    private void rest(Asked of, double from, double to, List<Region> gone, Region stock) {
        List<Region> without = new ArrayList<>(gone);
        of.wanted().kept().stream()
                .filter(k -> -from > k.below() + SAME)
                .forEach(k -> without.add(k.around()));
        List<Region> asks = Overlay.intersection(of.wanted().regions(), List.of(stock));
        List<Region> left = real(Overlay.difference(asks, Overlay.union(without)));
        if (!left.isEmpty()) {
            rests.computeIfAbsent(of.stop(), Stack::new).add(left, to - from);
        }
    }

    private static List<Region> real(List<Region> regions) {
        return regions.stream()
                .filter(r -> !Offsetter.round().offset(r, -TOLERANCE / 2).isEmpty())
                .toList();
    }

    private static Point inside(Region region) {
        List<Region> middle = Offsetter.round().offset(region, -TOLERANCE / 2);
        return middle.isEmpty() ? region.outer().start() : middle.get(0).outer().start();
    }
}
