package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.SegmentIndex;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.geometry.overlay.OverlayException;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.DoubleBinaryOperator;
import java.util.function.ToDoubleFunction;

/**
 * What tools with a flat end take away, exactly: at every height the union of the swaths at or
 * below it. Moves that climb count in two ways, each on the safe side: at their highest where it is
 * asked what is gone for certain, at their lowest where it is asked what may be gone.
 */
public final class Removed {

    /** mm within which heights are one. */
    private static final double SAME = 1e-7;

    /** mm by which what cannot be told apart is moved: far below what a machine can do. */
    private static final double APART = 1e-4;

    /**
     * @param certain height down to which all of it is gone
     * @param lowest height down to which some of it is
     */
    private record Swath(double certain, double lowest, Region region) {}

    private final List<Swath> swaths = new ArrayList<>();

    /** Each only once: a pocket is cleared in the same way at every level. */
    private final Map<Region, Region> different = new HashMap<>();

    private final List<Box> boxes;
    private final SegmentIndex<Box> index;

    /**
     * @param cuttings of tools with flat ends; others are left out
     */
    public Removed(List<Cutting> cuttings) {
        this(cuttings, List.of());
    }

    /**
     * @param heights at which climbing moves are divided, besides those at which others go level: a
     *     part of a move that stays above one of them takes nothing below it
     */
    public Removed(List<Cutting> cuttings, Collection<Double> heights) {
        List<Cutting> flat =
                cuttings.stream()
                        .filter(c -> c.form().kind().isFlat() && c.form().cornerRadius() == 0)
                        .toList();
        NavigableSet<Double> bounds = new TreeSet<>(heights);
        flat.forEach(c -> levels(c, bounds));
        flat.forEach(c -> new Runs(c.form().radius(), bounds).add(c.legs()));
        this.boxes = swaths.stream().map(s -> s.region().box()).toList();
        this.index = SegmentIndex.ofBoxes(boxes);
    }

    private static void levels(Cutting cutting, NavigableSet<Double> into) {
        for (Leg leg : cutting.legs()) {
            Double near = into.floor(leg.toZ() + SAME);
            if (!isClimb(leg) && (near == null || near < leg.toZ() - SAME)) {
                into.add(leg.toZ());
            }
        }
    }

    private void add(double certain, double lowest, Region region) {
        Region first = different.computeIfAbsent(region, r -> r);
        swaths.add(new Swath(certain, lowest, first));
    }

    private static boolean isClimb(Leg leg) {
        return Math.abs(leg.toZ() - leg.fromZ()) > SAME;
    }

    /**
     * Legs that follow each other, all at one height or all climbing between two bounds, are one
     * swath.
     */
    private final class Runs {

        private final double radius;
        private final NavigableSet<Double> bounds;
        private final List<Segment> run = new ArrayList<>();
        private boolean climbs;
        private Double bound;
        private double lowest;
        private double highest;

        Runs(double radius, NavigableSet<Double> bounds) {
            this.radius = radius;
            this.bounds = bounds;
        }

        void add(List<Leg> legs) {
            for (Leg leg : legs) {
                if (leg.segment().isEmpty()) {
                    close();
                    disc(leg);
                } else {
                    divided(leg).forEach(this::along);
                }
            }
            close();
        }

        /** In parts that cross no bound. */
        private List<Leg> divided(Leg leg) {
            double high = Math.max(leg.fromZ(), leg.toZ());
            if (!isClimb(leg) || leg.lowest() + SAME >= high - SAME) {
                return List.of(leg);
            }
            NavigableSet<Double> crossed =
                    bounds.subSet(leg.lowest() + SAME, false, high - SAME, false);
            List<Leg> parts = new ArrayList<>();
            double first = 0;
            for (double z : leg.toZ() < leg.fromZ() ? crossed.descendingSet() : crossed) {
                double last = (z - leg.fromZ()) / (leg.toZ() - leg.fromZ());
                parts.add(leg.between(first, last));
                first = last;
            }
            parts.add(first == 0 ? leg : leg.between(first, 1));
            return parts;
        }

        private void along(Leg leg) {
            if (!goesOn(leg)) {
                close();
                climbs = isClimb(leg);
                bound = below(leg);
                lowest = leg.lowest();
                highest = lowest;
            }
            lowest = Math.min(lowest, leg.lowest());
            highest = Math.max(highest, Math.max(leg.fromZ(), leg.toZ()));
            run.add(leg.segment().orElseThrow());
        }

        private boolean goesOn(Leg leg) {
            return !run.isEmpty()
                    && leg.from().equals(run.get(run.size() - 1).end())
                    && climbs == isClimb(leg)
                    && (climbs
                            ? Objects.equals(bound, below(leg))
                            : Math.abs(leg.lowest() - lowest) < SAME);
        }

        /** The bound under a leg; null: none. */
        private Double below(Leg leg) {
            return bounds.floor(leg.lowest() + SAME);
        }

        private void disc(Leg leg) {
            if (leg.toZ() < leg.fromZ()) {
                Region disc = new Region(Contour.circle(leg.from(), radius), List.of());
                Removed.this.add(leg.toZ(), leg.toZ(), disc);
            }
        }

        private void close() {
            if (!run.isEmpty()) {
                Offsetter.round()
                        .band(new Path(run), radius)
                        .forEach(r -> Removed.this.add(highest, lowest, r));
                run.clear();
            }
        }
    }

    /**
     * What is gone at a height for certain.
     *
     * @param z mm above the top of the stock
     */
    public List<Region> at(double z) {
        List<Region> all = new ArrayList<>();
        groups(z).forEach(group -> all.addAll(surely(group)));
        return all;
    }

    /** What may be gone at a height. */
    public List<Region> atMost(double z) {
        return swaths.isEmpty() ? List.of() : perhaps(possible(z, box()));
    }

    /** Swaths that are gone for certain at a height, in groups whose boxes lie apart. */
    List<List<Integer>> groups(double z) {
        return new Groups(boxes, index, i -> swaths.get(i).certain() <= z + SAME).all();
    }

    /** Swaths that come near a place and are gone at a height for certain. */
    List<Integer> certain(double z, Box near) {
        return near(z, near, Swath::certain);
    }

    /** Swaths that come near a place and may be gone at a height. */
    List<Integer> possible(double z, Box near) {
        return near(z, near, Swath::lowest);
    }

    private List<Integer> near(double z, Box near, ToDoubleFunction<Swath> height) {
        return index.positions(near).stream()
                .filter(i -> height.applyAsDouble(swaths.get(i)) <= z + SAME)
                .toList();
    }

    /** What some swaths take together, or a little less. */
    List<Region> surely(List<Integer> some) {
        return united(regions(some), -APART);
    }

    /** What some swaths take together, or a little more. */
    List<Region> perhaps(List<Integer> some) {
        return united(regions(some), APART);
    }

    private List<Region> regions(List<Integer> some) {
        Set<Region> once = Collections.newSetFromMap(new IdentityHashMap<>());
        return some.stream().map(i -> swaths.get(i).region()).filter(once::add).toList();
    }

    Box box(List<Integer> some) {
        return Box.around(some.stream().map(boxes::get).toList());
    }

    /**
     * What lies in any of them. Swaths of many crescents into one corner may pass each other too
     * closely to be told apart: then some are made a little larger or smaller, as it is safe.
     *
     * @param safe mm by which they may be larger
     */
    private static List<Region> united(List<Region> regions, double safe) {
        try {
            return Overlay.union(regions);
        } catch (OverlayException tooClose) {
            if (regions.size() < 2) {
                throw tooClose;
            }
        }
        int half = regions.size() / 2;
        List<Region> first = united(regions.subList(0, half), safe);
        List<Region> then = united(regions.subList(half, regions.size()), safe);
        try {
            return Overlay.union(first, then);
        } catch (OverlayException tooClose) {
            return Overlay.union(first, Offsetter.round().offset(then, safe));
        }
    }

    /** Heights at which something new begins, the lowest first, none above the top. */
    public List<Double> heights() {
        TreeSet<Double> all = new TreeSet<>();
        for (Swath swath : swaths) {
            Double near = all.floor(swath.certain() + SAME);
            if (swath.certain() < -SAME && (near == null || near < swath.certain() - SAME)) {
                all.add(swath.certain());
            }
        }
        return List.copyOf(all);
    }

    /**
     * Volume taken of the stock, mm3.
     *
     * @param stock seen from above
     * @param thickness mm
     */
    public double volume(Region stock, double thickness) {
        return volume(stock, thickness, (from, to) -> to - from);
    }

    /**
     * @param layer volume of 1 mm2 of the top between two depths, mm: of round stock that is seen
     *     unrolled less the deeper it lies
     */
    public double volume(Region stock, double thickness, DoubleBinaryOperator layer) {
        List<Double> heights = heights();
        double volume = 0;
        for (int i = 0; i < heights.size(); i++) {
            double from = Math.max(-thickness, heights.get(i));
            double to = i + 1 < heights.size() ? heights.get(i + 1) : 0;
            if (to > from) {
                volume += layer.applyAsDouble(-to, -from) * area(at(heights.get(i)), stock);
            }
        }
        return volume;
    }

    /** How much of some regions that lie apart is within the stock, mm2. */
    public static double area(List<Region> regions, Region stock) {
        boolean inside =
                isRectangle(stock) && regions.stream().allMatch(r -> stock.box().contains(r.box()));
        List<Region> within = inside ? regions : Overlay.intersection(regions, List.of(stock));
        return within.stream().mapToDouble(Region::area).sum();
    }

    private static boolean isRectangle(Region stock) {
        Box box = stock.box();
        return stock.outer().segments().size() == 4 && stock.area() == box.width() * box.height();
    }

    public Box box() {
        return Box.around(boxes);
    }
}
