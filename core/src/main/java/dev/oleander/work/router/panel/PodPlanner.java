package dev.oleander.work.router.panel;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.enclose.ConvexHull;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.RouterUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Lays a panel on pods that stand on rails across the table: none under what is cut through, the
 * outermost rails and pods as far out as can be, and so many rails that nothing hangs out far.
 */
final class PodPlanner {

    /** mm of a pod's edge within that of the panel. */
    private static final double INSIDE = 5;

    /** mm between pods on a rail that are tried. */
    private static final double STEP = 10;

    /** mm2 that may be missing under a pod: how numbers are rounded. */
    private static final double ROUNDED = 0.01;

    private final Region panel;
    private final List<Region> through;
    private final List<Region> near;
    private final RouterUnit.Pods pods;

    /**
     * @param panel as it lies, without what is cut from it
     * @param through what is cut through
     * @param clear mm between a pod and that
     */
    PodPlanner(Contour panel, List<Region> through, double clear, RouterUnit.Pods pods) {
        this.panel = new Region(panel.turning(true), List.of());
        this.through = List.copyOf(through);
        this.near =
                through.stream().flatMap(r -> Offsetter.round().offset(r, clear).stream()).toList();
        this.pods = pods;
    }

    /**
     * Where they stand.
     *
     * @param told what is not as it should be; sentences
     */
    record Laid(List<Box> pods, List<String> told) {

        Laid {
            pods = List.copyOf(pods);
            told = List.copyOf(told);
        }
    }

    Laid laid() {
        TreeMap<Double, List<Box>> rails = new TreeMap<>();
        Box box = panel.box();
        double first = box.min().x() + INSIDE;
        double last = box.max().x() - INSIDE - pods.length();
        for (double x = Math.ceil(first / pods.step()) * pods.step(); x <= last; x += pods.step()) {
            List<Box> on = onRail(x);
            if (!on.isEmpty()) {
                rails.put(x, on);
            }
        }
        List<Box> chosen = new ArrayList<>();
        for (double x : chosen(rails)) {
            List<Box> on = rails.get(x);
            chosen.add(on.get(0));
            Box farthest = on.get(on.size() - 1);
            if (farthest.distance(on.get(0)) > 0) {
                chosen.add(farthest);
            }
        }
        return new Laid(chosen, told(chosen));
    }

    private List<Box> onRail(double x) {
        List<Box> all = new ArrayList<>();
        Box box = panel.box();
        double from = box.min().y() + INSIDE;
        double to = box.max().y() - INSIDE - pods.width();
        int steps = (int) Math.floor((to - from) / STEP + 1e-9);
        for (int i = 0; i <= steps; i++) {
            // the last one lies as far out as the first
            double y = i == steps ? to : from + i * STEP;
            Box pod = Box.of(new Point(x, y), new Point(x + pods.length(), y + pods.width()));
            if (isFree(pod)) {
                all.add(pod);
            }
        }
        return all;
    }

    private boolean isFree(Box pod) {
        Region of = region(pod);
        List<Region> beside = near.stream().filter(n -> n.box().touches(pod)).toList();
        boolean clear =
                beside.isEmpty() || area(Overlay.intersection(List.of(of), beside)) < ROUNDED;
        return clear && (isPlain() || isWithin(of));
    }

    private boolean isPlain() {
        return Math.abs(panel.area() - panel.box().width() * panel.box().height()) < ROUNDED;
    }

    private boolean isWithin(Region pod) {
        return area(Overlay.difference(List.of(pod), List.of(panel))) < ROUNDED;
    }

    private static Region region(Box box) {
        return new Region(Contour.rectangle(box), List.of());
    }

    private static double area(List<Region> regions) {
        return regions.stream().mapToDouble(Region::area).sum();
    }

    /** Rails, from one side to the other; those with pods on both sides of the panel rather. */
    private List<Double> chosen(TreeMap<Double, List<Box>> rails) {
        List<Double> good =
                rails.entrySet().stream()
                        .filter(e -> last(e.getValue()).distance(e.getValue().get(0)) > 0)
                        .map(e -> e.getKey())
                        .toList();
        List<Double> of = good.size() > 1 ? good : List.copyOf(rails.keySet());
        if (of.isEmpty()) {
            return List.of();
        }
        List<Double> chosen = new ArrayList<>();
        double at = of.get(0);
        double end = of.get(of.size() - 1);
        chosen.add(at);
        while (at < end) {
            double from = at;
            double reach = from + pods.length() + 2 * pods.overhang();
            at = of.stream().filter(x -> x > from && x <= reach).reduce((a, b) -> b).orElse(end);
            chosen.add(at);
        }
        return chosen;
    }

    private static Box last(List<Box> boxes) {
        return boxes.get(boxes.size() - 1);
    }

    // ---- what is not as it should be

    private List<String> told(List<Box> chosen) {
        List<String> told = new ArrayList<>();
        if (chosen.isEmpty()) {
            told.add("no pod finds room under it");
            return told;
        }
        if (!isBalanced(chosen)) {
            told.add("its middle does not lie between the pods");
        }
        overhang(chosen).ifPresent(told::add);
        for (Region core : through) {
            long under = chosen.stream().filter(p -> core.contains(p.centre())).count();
            boolean large =
                    core.box().width() > pods.length() && core.box().height() > pods.width();
            if (large && under < 2) {
                told.add(
                        "what comes free at %s, %s has no pods of its own"
                                .formatted(
                                        mm(core.box().centre().x()), mm(core.box().centre().y())));
            }
        }
        return told;
    }

    private boolean isBalanced(List<Box> chosen) {
        List<Contour> outlines = chosen.stream().map(Contour::rectangle).toList();
        return ConvexHull.of(outlines).contains(panel.centroid());
    }

    private Optional<String> overhang(List<Box> chosen) {
        Box all = Box.around(chosen);
        Box box = panel.box();
        double most =
                Math.max(
                        Math.max(all.min().x() - box.min().x(), box.max().x() - all.max().x()),
                        Math.max(all.min().y() - box.min().y(), box.max().y() - all.max().y()));
        return most > pods.overhang()
                ? Optional.of(
                        "it hangs out %s mm beyond the pods, more than %s"
                                .formatted(mm(most), mm(pods.overhang())))
                : Optional.empty();
    }

    private static String mm(double value) {
        return Numbers.plain(value, 0);
    }
}
