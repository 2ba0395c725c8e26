package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.HoldStop;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireCut.Role;
import dev.oleander.work.wire.cut.WireRoom;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.cut.WireVisit.Cut;
import dev.oleander.work.wire.cut.WireVisit.Severed;
import dev.oleander.work.wire.cut.WireVisit.Step;
import dev.oleander.work.wire.cut.WireVisit.Thread;
import dev.oleander.work.wire.cut.WireVisit.Wait;
import dev.oleander.work.wire.flank.ElementChain;
import dev.oleander.work.wire.flank.Flanks;
import dev.oleander.work.wire.flank.LeaningWay;
import dev.oleander.work.wire.flank.ProfileWork;
import dev.oleander.work.wire.flank.ProfileWork.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** Cuts along an open line, in over one edge of the stock and out over another. */
final class OpenCutter {

    /** mm; how far outside of the stock the wire is threaded. */
    private static final double OUTSIDE = 3;

    /** mm before the line at which it is threaded. */
    private static final double BEFORE = 2;

    private final WireTask task;
    private final SheetLayout layout;
    private final Feature feature;
    private final Placement placement;
    private final WireSettings settings;
    private final WireChoice choice;
    private final ToDoubleFunction<Point> others;

    /**
     * @param others distance of the nearest profile in the same piece of work, mm
     */
    OpenCutter(
            WireTask task,
            SheetLayout layout,
            Feature feature,
            Placement placement,
            WireSettings settings,
            WireChoice choice,
            ToDoubleFunction<Point> others) {
        this.others = others;
        this.task = task;
        this.layout = layout;
        this.feature = feature;
        this.placement = placement;
        this.settings = settings;
        this.choice = choice;
    }

    SubjectPlan plan() {
        Chain drawn = feature.chain().transformed(placement.transform());
        boolean forward = !Boolean.FALSE.equals(choice.entry().anticlockwise());
        List<Segment> run = new ArrayList<>((forward ? drawn : drawn.reversed()).segments());
        List<Segment> extended = extended(run);
        Path whole = new Path(extended);
        double length = whole.length();
        double last = length - Math.min(settings.hold() + beyond(run), length / 2);
        ElementChain elements = ElementChain.of(whole, true, 0, List.of(last));
        boolean wireLeft = !feature.place().turned();
        Flanks upright = Flanks.upright(elements, wireLeft);
        TaperChoice taper = settings.taper();
        Flanks leaning =
                taper.leans()
                        ? Flanks.leaning(
                                elements,
                                wireLeft,
                                forward,
                                taper,
                                new Flanks.Planes(0, task.height()))
                        : null;
        WireSettings own = sided(wireLeft);
        ProfileWork work =
                new ProfileWork(
                        elements,
                        own,
                        forward,
                        new LeaningWay(upright, leaning, false),
                        pass -> WireRoom.upright(others));
        String id = FeatureKey.of(feature.id(), placement.copy()).text();
        Segment first = elements.elements().get(0);
        Point at = first.start().minus(first.direction(0).times(BEFORE));
        List<Step> steps = steps(work, at, last, length);
        WireVisit visit =
                new WireVisit(
                        id, feature.id(), placement.copy(), WireVisit.Role.WHOLE, steps, true);
        StartHole hole = new StartHole(id, placement.copy(), at, 0, StartHole.Given.EDGE);
        Flanks shown = leaning == null ? upright : leaning;
        List<Ruling> surface = new ArrayList<>();
        for (int i = 0; i < shown.lower().size(); i++) {
            surface.add(new Ruling(shown.lower().get(i), shown.upper().get(i)));
        }
        return new SubjectPlan(
                id,
                List.of(WireStops.of(feature, own, visit)),
                List.of(visit),
                Optional.of(own),
                Optional.of(hole),
                surface,
                List.of());
    }

    /**
     * How far the wire runs on outside of the stock, mm, where nothing holds the piece any more.
     *
     * @throws RefusedException when less is left of the hold than carries the piece
     */
    private double beyond(List<Segment> run) {
        Segment last = run.get(run.size() - 1);
        Point end = last.end();
        double all = outside(layout.stock().grown(OUTSIDE), end, last.direction(1)).distance(end);
        double half = settings.row().width(1) / 2;
        double least = WireUnit.of(task.machine()).leastWeb(task.height());
        boolean waits = settings.slug() == SlugHandling.STOP_BEFORE;
        if (waits && settings.hold() - half < least) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.HOLD,
                            "of the last %s only %s stay when the machine waits, since the wire cuts %s ahead of its centre; it takes %s to carry the piece."
                                    .formatted(
                                            Numbers.length(settings.hold()),
                                            Numbers.length(Math.max(0, settings.hold() - half)),
                                            Numbers.length(half),
                                            Numbers.length(least)),
                            end,
                            settings.hold(),
                            least + half));
        }
        double inside = outside(layout.stock(), end, last.direction(1)).distance(end);
        return all - inside;
    }

    /** Settings whose direction says on which side of the line the wire runs. */
    private WireSettings sided(boolean wireLeft) {
        WireSettings s = settings;
        return new WireSettings(
                s.kind(),
                s.row(),
                s.passes(),
                !wireLeft,
                s.alternate(),
                WireLead.DIRECT,
                s.leadLength(),
                s.overlap(),
                s.backOff(),
                s.slug(),
                s.hold(),
                s.holds(),
                s.holdAt(),
                s.holdStop(),
                s.reversed(),
                s.offSkims(),
                s.step(),
                s.compensation(),
                s.taper(),
                s.sources());
    }

    private List<Step> steps(ProfileWork work, Point at, double last, double length) {
        List<Step> steps = new ArrayList<>();
        steps.add(new Thread(at));
        boolean waits = settings.slug() == SlugHandling.STOP_BEFORE;
        Optional<Point> now = Optional.of(at);
        if (waits) {
            steps.add(new Cut(work.cut(new Stretch(Role.ROUGH, 1, 0, last, false), now, true)));
            String reason =
                    "hold the piece before its last %s mm"
                            .formatted(Numbers.plain(length - last, 2));
            boolean always = settings.holdStop() == HoldStop.ALWAYS;
            steps.add(new Wait(always, WireUnit.of(task.machine()).holdSeconds(), reason));
            WireCut rest =
                    work.cut(
                            new Stretch(Role.CUT_OFF, 1, last, length, false),
                            Optional.empty(),
                            false);
            steps.add(new Cut(rest));
            now = rest.off();
        } else {
            WireCut all = work.cut(new Stretch(Role.ROUGH, 1, 0, length, false), now, false);
            steps.add(new Cut(all));
            now = all.off();
        }
        for (int pass = 2; pass <= settings.passes(); pass++) {
            boolean reversed = settings.alternate() && pass % 2 == 0;
            WireCut cut = work.cut(new Stretch(Role.SKIM, pass, 0, length, reversed), now, false);
            steps.add(new Cut(cut));
            now = cut.off();
        }
        steps.add(new Severed());
        return steps;
    }

    /** Both ends run on straight until they are outside of the stock. */
    private List<Segment> extended(List<Segment> run) {
        List<Segment> all = new ArrayList<>(run);
        Segment first = run.get(0);
        Segment last = run.get(run.size() - 1);
        Box stock = layout.stock().grown(OUTSIDE);
        Point in = outside(stock, first.start(), first.direction(0).times(-1));
        Point out = outside(stock, last.end(), last.direction(1));
        if (in.distance(first.start()) > 0) {
            all.add(0, new Line(in, first.start()));
        }
        if (out.distance(last.end()) > 0) {
            all.add(new Line(last.end(), out));
        }
        return all;
    }

    private static Point outside(Box stock, Point from, Point way) {
        double t = Double.POSITIVE_INFINITY;
        t = Math.min(t, reach(from.x(), way.x(), stock.min().x(), stock.max().x()));
        t = Math.min(t, reach(from.y(), way.y(), stock.min().y(), stock.max().y()));
        if (!Double.isFinite(t)) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.HOLE,
                            "the line does not lead out of the stock at %s."
                                    .formatted(Flanks.place(from)),
                            from,
                            0,
                            0));
        }
        return from.plus(way.times(Math.max(0, t)));
    }

    private static double reach(double at, double way, double low, double high) {
        if (Math.abs(way) < 1e-12) {
            return Double.POSITIVE_INFINITY;
        }
        return ((way > 0 ? high : low) - at) / way;
    }
}
