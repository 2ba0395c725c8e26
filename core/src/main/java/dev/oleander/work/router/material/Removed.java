package dev.oleander.work.router.material;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * What tools with a flat end take away, exactly: at every height the union of the swaths at or
 * below it. Moves that climb count at their highest, so that nothing counts as cut that is not.
 */
public final class Removed {

    /** mm within which heights are one. */
    private static final double SAME = 1e-7;

    private record Swath(double z, Region region) {}

    private final List<Swath> swaths = new ArrayList<>();

    /**
     * @param cuttings of tools with flat ends; others are left out
     */
    public Removed(List<Cutting> cuttings) {
        for (Cutting cutting : cuttings) {
            if (cutting.form().kind().isFlat() && cutting.form().cornerRadius() == 0) {
                add(cutting);
            }
        }
    }

    /** Legs that follow each other at one height are one swath. */
    private void add(Cutting cutting) {
        double radius = cutting.form().radius();
        List<Segment> run = new ArrayList<>();
        double z = 0;
        for (Leg leg : cutting.legs()) {
            double highest = Math.max(leg.fromZ(), leg.toZ());
            boolean goesOn =
                    !run.isEmpty()
                            && Math.abs(highest - z) < SAME
                            && leg.segment().isPresent()
                            && leg.from().equals(run.get(run.size() - 1).end());
            if (!goesOn) {
                close(run, z, radius);
                z = highest;
            }
            leg.segment().ifPresent(run::add);
            if (leg.segment().isEmpty() && leg.toZ() < leg.fromZ()) {
                Contour disc = Contour.circle(leg.from(), radius);
                swaths.add(new Swath(leg.toZ(), new Region(disc, List.of())));
            }
        }
        close(run, z, radius);
    }

    private void close(List<Segment> run, double z, double radius) {
        if (!run.isEmpty()) {
            Offsetter.round().band(new Path(run), radius).forEach(r -> swaths.add(new Swath(z, r)));
            run.clear();
        }
    }

    /**
     * What is gone at a height.
     *
     * @param z mm above the top of the stock
     */
    public List<Region> at(double z) {
        return Overlay.union(
                swaths.stream().filter(s -> s.z() <= z + SAME).map(Swath::region).toList());
    }

    /** Heights at which something new begins, the lowest first, none above the top. */
    public List<Double> heights() {
        TreeSet<Double> all = new TreeSet<>();
        for (Swath swath : swaths) {
            Double near = all.floor(swath.z() + SAME);
            if (swath.z() < -SAME && (near == null || near < swath.z() - SAME)) {
                all.add(swath.z());
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
        List<Double> heights = heights();
        double volume = 0;
        for (int i = 0; i < heights.size(); i++) {
            double from = Math.max(-thickness, heights.get(i));
            double to = i + 1 < heights.size() ? heights.get(i + 1) : 0;
            if (to > from) {
                List<Region> gone = Overlay.intersection(at(heights.get(i)), List.of(stock));
                volume += (to - from) * gone.stream().mapToDouble(Region::area).sum();
            }
        }
        return volume;
    }

    public Box box() {
        return Box.around(swaths.stream().map(s -> s.region().box()).toList());
    }
}
