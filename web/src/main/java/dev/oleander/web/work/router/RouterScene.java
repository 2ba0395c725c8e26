package dev.oleander.web.work.router;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.web.bench.SceneBuilder;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.material.Difference;
import dev.oleander.work.router.material.Removed;
import dev.oleander.work.router.material.RoundField;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.proof.Body;
import dev.oleander.work.router.run.RoundMaterial;
import dev.oleander.work.router.run.RouterWork;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What the table draws of a router besides its stops: how deep the stock is cut. Paths as in {@link
 * dev.oleander.web.bench.Scene}.
 *
 * @param thickness of the stock, mm
 * @param round stock; null: it is flat
 * @param shaded whether a picture of its heights is of use: flat stock that lies still
 * @param bounds of the stock: least x and y, greatest x and y, mm
 * @param stock its outline
 * @param bodies of the table that tools must not come to: left, bottom, right, top, mm
 * @param pods under the stock, which are moved by hand: left, bottom, right, top, mm
 * @param kept outlines of what comes of it; the stock where nothing is cut out
 * @param floors what flat tools leave, the shallowest first
 * @param grooves what other tools leave, the shallowest first
 * @param holes of drills: x, y, diameter, depth, mm
 * @param ways of the tools' axes while they cut at their lowest, by stop
 * @param gaps between the rounds of pockets, by stop
 * @param rests places where stock is left, with its area: x, y, mm2
 * @param left outlines of the stock that is left
 * @param gone outlines of what is gone beyond what is asked for
 */
record RouterScene(
        double thickness,
        RoundField round,
        boolean shaded,
        double[] bounds,
        List<double[]> stock,
        List<double[]> bodies,
        List<double[]> pods,
        List<double[]> kept,
        List<Floor> floors,
        List<Groove> grooves,
        List<double[]> holes,
        List<Way> ways,
        List<Way> gaps,
        List<double[]> rests,
        List<double[]> left,
        List<double[]> gone) {

    /** Depths that are told apart among ways that climb. */
    private static final int CLASSES = 12;

    private static final double SAME = 1e-6;

    /** All that is at least so deep, mm: closed paths, of which an odd number lies round it. */
    record Floor(double depth, List<double[]> d) {}

    /** Ways as wide as the tool cuts at a depth, mm. */
    record Groove(double depth, double width, List<double[]> d) {}

    /** Where a tool goes; see {@link dev.oleander.plan.stop.Stop#number()}. */
    record Way(String stop, List<double[]> d) {}

    static RouterScene of(RouterRun run) {
        double thickness = run.plan().task().thickness();
        boolean flat = !run.plan().turns();
        Difference.Found found = flat ? run.difference() : Difference.Found.NOTHING;
        Region stock = run.plan().stock();
        return new RouterScene(
                thickness,
                run.plan().task().round().isPresent() ? RoundMaterial.stock(run.plan()) : null,
                flat,
                bounds(stock.box()),
                loops(List.of(stock)),
                Body.of(run.plan()).stream()
                        .filter(Body::ofTable)
                        .map(b -> bounds(b.shape().box()))
                        .toList(),
                run.plan().choices().pods().stream().map(p -> bounds(p.box())).toList(),
                kept(run),
                floors(run, thickness),
                grooves(run),
                holes(run),
                run.plan().done().stream().map(RouterScene::way).toList(),
                run.plan().done().stream()
                        .filter(s -> !s.figures().gaps().isEmpty())
                        .map(s -> new Way(s.id(), loops(s.figures().gaps())))
                        .toList(),
                rests(found),
                found.rests().stream().flatMap(r -> loops(r.regions()).stream()).toList(),
                found.gouge().map(g -> loops(g.regions())).orElse(List.of()));
    }

    private static double[] bounds(Box box) {
        return new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
    }

    private static List<double[]> kept(RouterRun run) {
        List<double[]> kept = new ArrayList<>();
        Map<String, Feature> features = run.plan().task().reading().byId();
        for (Stop stop : run.run().cut()) {
            Feature feature = features.get(stop.feature());
            boolean again = ((RouterWork) stop.work()).stop().skin();
            if (stop.side() == Side.OUTSIDE && feature.isClosed() && !again) {
                Placement there = placement(run, stop.copy());
                kept.add(
                        SceneBuilder.flat(
                                feature.contour().transformed(there.transform()).segments()));
            }
        }
        return kept.isEmpty() ? List.of(SceneBuilder.loop(run.run().layout().stock())) : kept;
    }

    private static Placement placement(RouterRun run, int copy) {
        return run.copies().stream().filter(p -> p.copy() == copy).findFirst().orElseThrow();
    }

    private static List<double[]> holes(RouterRun run) {
        List<double[]> holes = new ArrayList<>();
        for (RouterStop stop : run.plan().done()) {
            Tool.Form form = stop.tool().orElseThrow().form();
            if (!form.kind().isFlat()) {
                double depth = Math.min(deepest(stop), run.plan().task().thickness());
                double wide = form.effectiveDiameter(depth);
                stop.figures()
                        .visits()
                        .forEach(p -> holes.add(new double[] {p.x(), p.y(), wide, depth}));
            }
        }
        return holes;
    }

    private static List<Floor> floors(RouterRun run, double thickness) {
        List<Floor> floors = new ArrayList<>();
        Removed removed = run.removed();
        List<Double> heights = new ArrayList<>(removed.heights());
        for (int i = heights.size() - 1; i >= 0; i--) {
            double depth = -heights.get(i);
            if (depth <= thickness + SAME || i == 0) {
                List<Region> gone =
                        Overlay.intersection(removed.at(-depth), List.of(run.plan().stock()));
                floors.add(new Floor(Math.min(depth, thickness), loops(gone)));
            }
        }
        return floors;
    }

    private static List<double[]> loops(List<Region> regions) {
        List<double[]> loops = new ArrayList<>();
        regions.forEach(r -> r.contours().forEach(c -> loops.add(SceneBuilder.flat(c.segments()))));
        return loops;
    }

    private static List<Groove> grooves(RouterRun run) {
        Map<Double, Map<Double, List<double[]>>> byDepth = new TreeMap<>();
        for (RouterStop stop : run.plan().done()) {
            Tool.Form form = stop.tool().orElseThrow().form();
            if (form.kind().isFlat() || !stop.figures().visits().isEmpty()) {
                continue;
            }
            double step = Math.max(SAME, deepest(stop) / CLASSES);
            for (Leg leg : stop.cutting().legs()) {
                double depth = Math.ceil(-leg.lowest() / step - SAME) * step;
                if (depth > 0 && leg.segment().isPresent()) {
                    byDepth.computeIfAbsent(depth, d -> new TreeMap<>())
                            .computeIfAbsent(width(form, depth), w -> new ArrayList<>())
                            .add(SceneBuilder.flat(List.of(leg.segment().get())));
                }
            }
        }
        List<Groove> grooves = new ArrayList<>();
        byDepth.forEach(
                (depth, widths) -> widths.forEach((w, d) -> grooves.add(new Groove(depth, w, d))));
        return grooves;
    }

    private static double width(Tool.Form form, double depth) {
        return form.kind() == ToolKind.SAW ? form.bladeWidth() : form.effectiveDiameter(depth);
    }

    private static double deepest(RouterStop stop) {
        return stop.cutting().legs().stream().mapToDouble(l -> -l.lowest()).max().orElse(0);
    }

    private static Way way(RouterStop stop) {
        double deepest = deepest(stop);
        List<double[]> pieces = new ArrayList<>();
        List<Segment> run = new ArrayList<>();
        for (Leg leg : stop.legs()) {
            boolean shown =
                    leg.cuts()
                            && leg.segment().isPresent()
                            && (-leg.lowest() >= deepest - SAME || isSloped(stop));
            if (!shown || !run.isEmpty() && !goesOn(run, leg)) {
                close(run, pieces);
            }
            if (shown) {
                run.add(leg.segment().get());
            }
        }
        close(run, pieces);
        return new Way(stop.id(), pieces);
    }

    private static boolean isSloped(RouterStop stop) {
        return stop.tool().orElseThrow().kind().isConical();
    }

    private static boolean goesOn(List<Segment> run, Leg leg) {
        return run.get(run.size() - 1).end().distance(leg.from()) < SAME;
    }

    private static void close(List<Segment> run, List<double[]> pieces) {
        if (!run.isEmpty()) {
            pieces.add(SceneBuilder.flat(new Path(run).segments()));
            run.clear();
        }
    }

    private static List<double[]> rests(Difference.Found found) {
        return found.rests().stream()
                .map(r -> new double[] {r.place().x(), r.place().y(), r.area()})
                .toList();
    }
}
