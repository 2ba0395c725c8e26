package dev.oleander.web.bench;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.KeepOut;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Side;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.bench.Scene.FaultMark;
import dev.oleander.web.bench.Scene.FeatureShape;
import dev.oleander.web.bench.Scene.Flag;
import dev.oleander.web.bench.Scene.Notes;
import dev.oleander.web.bench.Scene.StopShape;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Spread;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/** Puts what the table draws into plain numbers. */
public final class SceneBuilder {

    /** Steps per mm: ten nanometres are far below a pixel at any zoom, and short as text. */
    private static final double STEPS = 1e5;

    /** The same of bulges. */
    private static final double BULGES = 1e9;

    private SceneBuilder() {}

    /**
     * @param planned whether stops, findings and motion are wanted too; Shape draws none of them
     * @param own what the kind of work draws besides
     */
    static Scene build(int step, JobResult result, boolean planned, Map<String, Object> own) {
        Reading reading = result.reading();
        List<String> layers =
                reading.features().stream().map(Feature::layer).distinct().sorted().toList();
        Spread spread = new Spread(reading);
        boolean several = !planned && spread.isSeveral();
        List<FeatureShape> features =
                reading.features().stream()
                        .map(
                                f ->
                                        feature(
                                                f,
                                                Collections.binarySearch(layers, f.layer()),
                                                several
                                                        ? f.chain().transformed(spread.of(f.id()))
                                                        : f.chain()))
                        .toList();
        List<List<String>> parts = reading.parts().stream().map(SceneBuilder::contours).toList();
        Box shown = planned ? reading.workBox() : shownBox(reading);
        double[] box = numbers(several ? spread.box(reading) : shown);
        if (!planned || !result.isPlanned()) {
            return new Scene(
                    step,
                    box,
                    features,
                    parts,
                    1,
                    List.of(),
                    null,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    0,
                    List.of(),
                    notes(result, layers),
                    Map.of());
        }
        List<Stop> stops = result.run().stops();
        return new Scene(
                step,
                box,
                features,
                parts,
                result.plan().copies().stream().mapToInt(Placement::copy).min().orElse(1),
                result.plan().copies().stream().map(p -> numbers(p, reading)).toList(),
                numbers(result.run().layout().stock()),
                outline(result.run().layout().outline()),
                stops.stream().map(s -> stop(s, result.run().eventsOf(s))).toList(),
                result.findings().stream().map(SceneBuilder::flag).toList(),
                travel(result.timeline().program()),
                result.machine().habits().slatPitch(),
                result.run().layout().keepOut().stream().map(SceneBuilder::clamp).toList(),
                notes(result, layers),
                own);
    }

    /** Parts of a nest where they lie, while their cuts are not planned. */
    static Scene nested(int step, JobResult result, int run) {
        Scene drawn = build(step, result, true, Map.of());
        NestScene.Sheet shown = NestScene.first(result, run);
        return new Scene(
                step,
                shown.box(),
                drawn.features(),
                drawn.parts(),
                1,
                shown.parts().stream()
                        .map(
                                p ->
                                        DoubleStream.concat(
                                                        DoubleStream.of(p.to()),
                                                        DoubleStream.of(p.part()))
                                                .toArray())
                        .toList(),
                shown.box(),
                shown.outline(),
                List.of(),
                List.of(),
                List.of(),
                0,
                List.of(),
                drawn.notes(),
                Map.of());
    }

    /** Contours of stock that is no rectangle. */
    static List<double[]> outline(Optional<Region> of) {
        return of.stream()
                .flatMap(region -> region.contours().stream())
                .map(contour -> flat(contour.segments()))
                .toList();
    }

    private static List<String> contours(Part part) {
        return Stream.concat(Stream.of(part.outline()), part.openings().stream()).toList();
    }

    /** Round all that Shape draws, but for what is ignored: that may lie far off. */
    private static Box shownBox(Reading reading) {
        List<Box> shown =
                reading.features().stream()
                        .filter(f -> f.purpose() != Purpose.IGNORE)
                        .map(f -> f.chain().box())
                        .toList();
        return shown.isEmpty() ? reading.workBox() : Box.around(shown);
    }

    private static FaultMark mark(Fault f) {
        boolean measures = f.kind() == Fault.Kind.GAP || f.kind() == Fault.Kind.CRUMB;
        return new FaultMark(
                rounded(f.place().orElseThrow().x()),
                rounded(f.place().orElseThrow().y()),
                FaultRow.of(f).word(),
                measures ? Numbers.length(f.size()) : "");
    }

    private static Notes notes(JobResult result, List<String> layers) {
        Drawn drawn = result.shape().drawn();
        return new Notes(
                drawn.guides().stream()
                        .map(g -> new double[] {g.through().x(), g.through().y(), g.angle()})
                        .toList(),
                drawn.dimensions().stream()
                        .map(
                                d ->
                                        new double[] {
                                            d.from().x(),
                                            d.from().y(),
                                            d.to().x(),
                                            d.to().y(),
                                            d.away()
                                        })
                        .toList(),
                drawn.drawing().points().stream().map(p -> new double[] {p.x(), p.y()}).toList(),
                List.copyOf(result.document().shape().revision().stale()),
                result.reading().faults().stream()
                        .filter(f -> f.place().isPresent())
                        .map(SceneBuilder::mark)
                        .toList(),
                layers);
    }

    private static FeatureShape feature(Feature f, int layer, Chain chain) {
        return new FeatureShape(
                f.id(),
                f.kind().name().toLowerCase(Locale.ROOT),
                f.purpose().name().toLowerCase(Locale.ROOT),
                f.isClosed(),
                layer,
                flat(chain.segments()));
    }

    private static StopShape stop(Stop stop, List<StopEvent> events) {
        double[] none = {};
        CutPath path = stop.path().orElse(null);
        return new StopShape(
                stop.id(),
                stop.number(),
                stop.feature(),
                stop.copy(),
                stop.kind().name().toLowerCase(Locale.ROOT),
                stop.name(),
                path == null ? none : flat(path.leadIn()),
                path == null ? none : flat(path.main()),
                path == null ? none : flat(path.overRun()),
                path == null ? none : flat(path.leadOut()),
                stop.tabs().stream()
                        .flatMapToDouble(t -> DoubleStream.of(rounded(t.from()), rounded(t.to())))
                        .toArray(),
                halts(events),
                scrap(stop));
    }

    private static int halts(List<StopEvent> events) {
        int halts = 0;
        for (StopEvent event : events) {
            if (event.kind().isForPeople()) {
                halts |= event.before() ? 1 : 2;
            }
        }
        return halts;
    }

    /** The travel direction puts the scrap on the left where the head runs beside the line. */
    private static int scrap(Stop stop) {
        if (stop.side() == Side.ON) {
            return 0;
        }
        boolean insideIsLeft = stop.anticlockwise();
        return (stop.side() == Side.INSIDE) == insideIsLeft ? 1 : -1;
    }

    private static Flag flag(Finding f) {
        return new Flag(
                f.id(),
                f.severity().word(),
                f.stop(),
                f.place().map(p -> rounded(p.x())).orElse(null),
                f.place().map(p -> rounded(p.y())).orElse(null));
    }

    private static double[] clamp(KeepOut k) {
        Box box = k.box();
        return new double[] {
            box.min().x(), box.min().y(), box.max().x(), box.max().y(), k.height()
        };
    }

    private static List<double[]> travel(Program program) {
        List<double[]> rows = new ArrayList<>();
        boolean down = false;
        for (Item item : program.items()) {
            if (item instanceof Item.Rapid rapid) {
                rows.add(
                        new double[] {
                            down ? 1 : 0,
                            rounded(rapid.from().x()),
                            rounded(rapid.from().y()),
                            rounded(rapid.to().x()),
                            rounded(rapid.to().y())
                        });
            } else if (item instanceof Item.Event event) {
                down = event.kind().isDownAfter(down);
            }
        }
        return rows;
    }

    public static double[] flat(List<Segment> segments) {
        if (segments.isEmpty()) {
            return new double[0];
        }
        double[] flat = new double[2 + 3 * segments.size()];
        flat[0] = rounded(segments.get(0).start().x());
        flat[1] = rounded(segments.get(0).start().y());
        int at = 2;
        for (Segment segment : segments) {
            flat[at++] = rounded(segment.end().x());
            flat[at++] = rounded(segment.end().y());
            flat[at++] = bulge(segment);
        }
        return flat;
    }

    /** The edge of a box as a closed path. */
    public static double[] loop(Box box) {
        double left = box.min().x();
        double right = box.max().x();
        double low = box.min().y();
        double high = box.max().y();
        return new double[] {left, low, right, low, 0, right, high, 0, left, high, 0, left, low, 0};
    }

    private static double[] numbers(Box box) {
        return new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
    }

    private static double[] numbers(Placement placement, Reading reading) {
        Transform t = placement.transform();
        List<String> parts = reading.parts().stream().map(Part::id).toList();
        int part = parts.indexOf(placement.of().id());
        return new double[] {t.a(), t.b(), t.c(), t.d(), t.e(), t.f(), part};
    }

    /** Zero for a line. */
    static double bulge(Segment segment) {
        return segment instanceof Arc arc ? Math.rint(arc.bulge() * BULGES) / BULGES : 0;
    }

    static double rounded(double value) {
        return Math.rint(value * STEPS) / STEPS;
    }
}
