package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

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
    private final Region stock;
    private final Map<String, Stack> rests = new LinkedHashMap<>();
    private final Stack gouges = new Stack("");
    private final List<AskedFor> parts;
    private final SegmentIndex<Box> places;
    private Map<Integer, Beyond> beyond = Map.of();

    /** Of the height that is looked at. */
    private final Map<List<Integer>, List<Region>> united = new ConcurrentHashMap<>();

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

    private Difference(List<Asked> asked, Removed removed, Region stock, double thickness) {
        this.asked = asked;
        this.removed = removed;
        this.stock = stock;
        this.thickness = thickness;
        this.parts =
                asked.stream()
                        .filter(a -> !a.wanted().regions().isEmpty())
                        .map(AskedFor::new)
                        .toList();
        this.places = SegmentIndex.ofBoxes(parts.stream().map(p -> p.box).toList());
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
        Difference difference = new Difference(asked, removed, stock, thickness);
        List<Double> heights = difference.heights();
        for (int i = 0; i + 1 < heights.size(); i++) {
            difference.slab(heights.get(i), heights.get(i + 1));
        }
        List<Piece> rests = difference.rests.values().stream().map(Stack::piece).toList();
        Stack gone = difference.gouges;
        return new Found(rests, Optional.of(gone).filter(g -> g.area > 0).map(Stack::piece));
    }

    /** Heights between which something else is asked for, mm above the top of the stock. */
    public static List<Double> heights(List<Asked> asked) {
        TreeSet<Double> all = new TreeSet<>();
        for (Asked one : asked) {
            all.add(-one.wanted().depth());
            one.wanted().kept().forEach(k -> all.add(-k.below()));
        }
        return List.copyOf(all);
    }

    /** From the underside of the stock to its top. */
    private List<Double> heights() {
        TreeSet<Double> all = new TreeSet<>(List.of(-thickness, 0.0));
        all.addAll(removed.heights());
        all.addAll(heights(asked));
        List<Double> clear = new ArrayList<>();
        for (double z : all.tailSet(-thickness, true)) {
            if (z <= SAME && (clear.isEmpty() || z > clear.get(clear.size() - 1) + SAME)) {
                clear.add(z);
            }
        }
        return clear;
    }

    /** From one height to the next; what lies lower has been looked at before. */
    private void slab(double from, double to) {
        united.clear();
        List<Region> missing = new ArrayList<>(beyond(from));
        parts.parallelStream().forEach(part -> part.look(from));
        for (AskedFor part : parts) {
            List<Region> left = part.left;
            if (!left.isEmpty()) {
                rests.computeIfAbsent(part.of.stop(), Stack::new).add(left, to - from);
            }
            part.tabs.forEach(tab -> missing.addAll(tab.missing));
        }
        gouges.add(missing, to - from);
    }

    // The higher a place, the more swaths have come by, and the more is asked for: as long as their
    // numbers stay the same, so do they, and so does what follows from them.

    /** One stop, with what it has left at the height that was looked at last. */
    private final class AskedFor {

        private final Asked of;
        private final Box box;
        private final List<Tab> tabs;
        private int swaths = -1;
        private long standing;
        private List<Region> asks;
        private List<Region> left = List.of();

        AskedFor(Asked of) {
            this.of = of;
            this.box = Box.around(of.wanted().regions().stream().map(Region::box).toList());
            this.tabs = of.wanted().kept().stream().map(Tab::new).toList();
        }

        boolean reaches(double z) {
            return of.wanted().depth() >= -z - SAME;
        }

        void look(double z) {
            tabs.forEach(tab -> tab.look(z));
            if (!of.flat() || !reaches(z)) {
                return;
            }
            List<Integer> gone = removed.certain(z, box);
            List<Region> kept =
                    tabs.stream().filter(t -> t.stands(z)).map(t -> t.of.around()).toList();
            if (gone.size() != swaths || kept.size() != standing) {
                swaths = gone.size();
                standing = kept.size();
                left = left(gone, kept);
            }
        }

        private List<Region> left(List<Integer> gone, List<Region> kept) {
            if (asks == null) {
                asks = Overlay.intersection(of.wanted().regions(), List.of(stock));
            }
            List<Region> without = new ArrayList<>(united(gone));
            without.addAll(kept);
            return real(Overlay.difference(asks, without));
        }
    }

    /** A tab, with what may be missing of it at the height that was looked at last. */
    private final class Tab {

        private final Wanted.Kept of;
        private int swaths = -1;
        private List<Region> missing = List.of();

        Tab(Wanted.Kept of) {
            this.of = of;
        }

        /** Whether it must stand at a height. */
        boolean stands(double z) {
            return -z > of.below() + SAME;
        }

        void look(double z) {
            if (!stands(z)) {
                missing = List.of();
                return;
            }
            List<Integer> near = removed.possible(z, of.core().box());
            if (near.size() != swaths) {
                swaths = near.size();
                missing = real(Overlay.intersection(removed.perhaps(near), List.of(of.core())));
            }
        }
    }

    /**
     * What is gone beyond what is asked for, of a group of swaths.
     *
     * @param swaths how many
     * @param asked by how many stops
     */
    private record Beyond(int swaths, int asked, List<Region> regions) {}

    private List<Region> beyond(double z) {
        List<List<Integer>> groups = removed.groups(z);
        List<Beyond> all = groups.parallelStream().map(group -> beyond(group, z)).toList();
        beyond = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            beyond.put(groups.get(i).get(0), all.get(i));
        }
        return all.stream().flatMap(b -> b.regions.stream()).toList();
    }

    private Beyond beyond(List<Integer> group, double z) {
        List<AskedFor> here =
                places.positions(removed.box(group)).stream()
                        .map(parts::get)
                        .filter(p -> p.reaches(z))
                        .toList();
        Beyond known = beyond.get(group.get(0));
        return known != null && known.swaths == group.size() && known.asked == here.size()
                ? known
                : new Beyond(group.size(), here.size(), beyond(group, here));
    }

    private List<Region> beyond(List<Integer> group, List<AskedFor> here) {
        List<Region> all = here.stream().flatMap(p -> p.of.wanted().regions().stream()).toList();
        List<Region> more = Overlay.difference(united(group), all);
        return more.isEmpty() ? more : real(Overlay.intersection(more, List.of(stock)));
    }

    private List<Region> united(List<Integer> swaths) {
        return united.computeIfAbsent(swaths, removed::surely);
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
