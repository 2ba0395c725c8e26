package dev.oleander.work.sheet.motion;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.machine.Compensation;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.plan.stop.Tab;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A run as it is written for the controller: where that offsets the path by a register, the drawn
 * contour stands in the place of the head's path.
 */
public final class PostedRun {

    private final Map<String, Feature> features;

    /**
     * @param features of the reading, by id
     */
    public PostedRun(Map<String, Feature> features) {
        this.features = Map.copyOf(features);
    }

    /** The same run when nothing is offset by the controller. */
    public Run of(Run run) {
        boolean any =
                run.stops().stream().anyMatch(s -> s.compensation() == Compensation.CONTROLLER);
        if (!any) {
            return run;
        }
        Map<Integer, Transform> placed = run.layout().transforms();
        List<Stop> stops = run.stops().stream().map(s -> posted(s, placed.get(s.copy()))).toList();
        return new Run(
                run.machine(), run.order(), run.layout(), stops, run.events(), run.drilled());
    }

    private Stop posted(Stop stop, Transform placed) {
        if (stop.compensation() != Compensation.CONTROLLER || stop.path().isEmpty()) {
            return stop;
        }
        CutPath head = stop.path().get();
        double half = SheetCut.of(stop).row().orElseThrow().kerf() / 2;
        double toKept = stop.isScrapLeft() ? -half : half;
        Contour drawn =
                features.get(stop.feature())
                        .contour()
                        .transformed(placed)
                        .turning(stop.anticlockwise());
        Contour main = drawn.startedAt(drawn.nearest(head.start()));
        List<Segment> in = leadIn(head, main.start(), toKept);
        List<Segment> over = main.beginning(length(head.overRun()));
        Point end = over.isEmpty() ? main.start() : over.get(over.size() - 1).end();
        List<Segment> out = leadOut(head, end, toKept);
        return stop.on(new CutPath(in, main.segments(), over, out), tabs(stop, head, main));
    }

    /** Arcs get a parallel; the line begins where the head begins, before it is offset. */
    private static List<Segment> leadIn(CutPath head, Point start, double toKept) {
        List<Segment> arcs = parallels(head.leadIn(), toKept);
        Point to = arcs.isEmpty() ? start : arcs.get(0).start();
        List<Segment> in = new ArrayList<>();
        if (head.pierce().distance(to) > 0) {
            in.add(new Line(head.pierce(), to));
        }
        in.addAll(joined(arcs, start));
        return in;
    }

    private static List<Segment> leadOut(CutPath head, Point from, double toKept) {
        List<Segment> out = new ArrayList<>(parallels(head.leadOut(), toKept));
        boolean line = head.leadOut().stream().anyMatch(Line.class::isInstance);
        if (line) {
            Point start = out.isEmpty() ? from : out.get(out.size() - 1).end();
            out.add(new Line(start, head.end()));
        }
        return out;
    }

    private static List<Segment> parallels(List<Segment> segments, double distance) {
        List<Segment> arcs = new ArrayList<>();
        for (Segment segment : segments) {
            if (segment instanceof Arc) {
                segment.parallel(distance).ifPresent(arcs::add);
            }
        }
        return arcs;
    }

    /** The last arc ends exactly where the contour begins, whatever rounding says. */
    private static List<Segment> joined(List<Segment> arcs, Point end) {
        if (arcs.isEmpty()) {
            return arcs;
        }
        List<Segment> joined = new ArrayList<>(arcs);
        Arc last = (Arc) arcs.get(arcs.size() - 1);
        joined.set(arcs.size() - 1, new Arc(last.start(), end, last.bulge()));
        return joined;
    }

    private static double length(List<Segment> segments) {
        return segments.stream().mapToDouble(Segment::length).sum();
    }

    /** Tabs at the places of the contour beside those of the head's path. */
    private static List<Tab> tabs(Stop stop, CutPath head, Contour main) {
        Path path = new Path(head.main());
        List<Tab> tabs = new ArrayList<>();
        for (Tab tab : stop.tabs()) {
            double from = main.distanceAt(main.nearest(path.stationAt(tab.from()).point()));
            double to = main.distanceAt(main.nearest(path.stationAt(tab.to()).point()));
            if (to > from) {
                tabs.add(new Tab(from, to, tab.lifts()));
            }
        }
        return tabs;
    }
}
