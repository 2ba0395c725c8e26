package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.geometry.overlay.OverlayException;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
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

    /**
     * @param cuttings of tools with flat ends; others are left out
     */
    public Removed(List<Cutting> cuttings) {
        for (Cutting cutting : cuttings) {
            if (cutting.form().kind().isFlat() && cutting.form().cornerRadius() == 0) {
                new Runs(cutting.form().radius()).add(cutting.legs());
            }
        }
    }

    /** Legs that follow each other, all at one height or all climbing, are one swath. */
    private final class Runs {

        private final double radius;
        private final List<Segment> run = new ArrayList<>();
        private boolean climbs;
        private double lowest;
        private double highest;

        Runs(double radius) {
            this.radius = radius;
        }

        void add(List<Leg> legs) {
            for (Leg leg : legs) {
                if (leg.segment().isEmpty()) {
                    close();
                    disc(leg);
                    continue;
                }
                if (!goesOn(leg)) {
                    close();
                    climbs = isClimb(leg);
                    lowest = leg.lowest();
                    highest = lowest;
                }
                lowest = Math.min(lowest, leg.lowest());
                highest = Math.max(highest, Math.max(leg.fromZ(), leg.toZ()));
                run.add(leg.segment().get());
            }
            close();
        }

        private boolean goesOn(Leg leg) {
            return !run.isEmpty()
                    && leg.from().equals(run.get(run.size() - 1).end())
                    && climbs == isClimb(leg)
                    && (climbs || Math.abs(leg.lowest() - lowest) < SAME);
        }

        private static boolean isClimb(Leg leg) {
            return Math.abs(leg.toZ() - leg.fromZ()) > SAME;
        }

        private void disc(Leg leg) {
            if (leg.toZ() < leg.fromZ()) {
                Region disc = new Region(Contour.circle(leg.from(), radius), List.of());
                swaths.add(new Swath(leg.toZ(), leg.toZ(), disc));
            }
        }

        private void close() {
            if (!run.isEmpty()) {
                Offsetter.round()
                        .band(new Path(run), radius)
                        .forEach(r -> swaths.add(new Swath(highest, lowest, r)));
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
        return below(z, Swath::certain, -APART);
    }

    /** What may be gone at a height. */
    public List<Region> atMost(double z) {
        return below(z, Swath::lowest, APART);
    }

    private List<Region> below(double z, ToDoubleFunction<Swath> height, double safe) {
        return united(
                swaths.stream()
                        .filter(s -> height.applyAsDouble(s) <= z + SAME)
                        .map(Swath::region)
                        .toList(),
                safe);
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
                List<Region> gone = Overlay.intersection(at(heights.get(i)), List.of(stock));
                volume +=
                        layer.applyAsDouble(-to, -from)
                                * gone.stream().mapToDouble(Region::area).sum();
            }
        }
        return volume;
    }

    public Box box() {
        return Box.around(swaths.stream().map(s -> s.region().box()).toList());
    }
}
