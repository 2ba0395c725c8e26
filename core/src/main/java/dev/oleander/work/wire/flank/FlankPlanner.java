package dev.oleander.work.wire.flank;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.UpperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.Ruling;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireTask;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Decides how the flanks of a profile stand: upright, leaning, or between two contours. */
public final class FlankPlanner {

    private final WireTask task;
    private final Map<String, Feature> features;
    private final WireSettings settings;
    private final WireChoice choice;
    private final Transform placed;

    /**
     * @param features of the drawing, by id
     * @param placed where the copy lies
     */
    public FlankPlanner(
            WireTask task,
            Map<String, Feature> features,
            WireSettings settings,
            WireChoice choice,
            Transform placed) {
        this.task = task;
        this.features = features;
        this.settings = settings;
        this.choice = choice;
        this.placed = placed;
    }

    /**
     * @param source of the wire's ways
     * @param surface of the finished flanks, all round
     */
    public record Planned(ProfileWork.WaySource source, List<Ruling> surface) {}

    /**
     * @param elements of the profile in the order in which they are cut
     * @param contour as it is drawn
     * @param forward whether the two run the same way round
     * @param start on the contour, mm from its start
     */
    public Planned plan(ElementChain elements, Contour contour, boolean forward, double start) {
        if (choice.upper() != null) {
            TwoContours both = twoContours(elements, contour, forward, start);
            return new Planned(both, both.surface());
        }
        LeaningWay way = leaning(elements, contour.start());
        return new Planned(way, surface(way.shown()));
    }

    private static List<Ruling> surface(Flanks flanks) {
        List<Ruling> surface = new ArrayList<>();
        for (int i = 0; i < flanks.lower().size(); i++) {
            surface.add(new Ruling(flanks.lower().get(i), flanks.upper().get(i)));
        }
        return surface;
    }

    private LeaningWay leaning(ElementChain elements, Point at) {
        boolean outwardLeft = !settings.anticlockwise();
        Flanks upright = Flanks.upright(elements, settings.wireLeft());
        TaperChoice taper = settings.taper();
        if (!taper.leans()) {
            return new LeaningWay(upright, null, false);
        }
        double height = task.height();
        boolean relief = taper.land() != null;
        double land = relief ? within(taper.land(), height, at) : 0;
        Flanks.Planes planes = new Flanks.Planes(relief ? height - land : 0, height);
        Flanks leaning = Flanks.leaning(elements, settings.wireLeft(), outwardLeft, taper, planes);
        return new LeaningWay(upright, leaning, relief);
    }

    private static double within(Typed land, double height, Point at) {
        if (!(land.value() > 0 && land.value() < height)) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TAPER,
                            "the land is %s high; it must lie between 0 and the height of %s."
                                    .formatted(
                                            Numbers.length(land.value()), Numbers.length(height)),
                            at,
                            land.value(),
                            height));
        }
        return land.value();
    }

    private TwoContours twoContours(
            ElementChain elements, Contour contour, boolean forward, double start) {
        UpperChoice upper = choice.upper();
        Contour above = above(upper, contour.start());
        double at =
                upper.start() == null
                        ? above.distanceAt(above.nearest(elements.elements().get(0).start()))
                        : upper.start().value();
        boolean sameTurn = settings.anticlockwise() == above.isAnticlockwise();
        ElementChain upperChain = ElementChain.of(above, sameTurn, at, List.of());
        double length = contour.length();
        List<MatchedContours.Anchor> drawn =
                upper.lines().stream()
                        .map(
                                l ->
                                        new MatchedContours.Anchor(
                                                share(l.lower(), start, forward, length),
                                                share(l.upper(), at, sameTurn, above.length())))
                        .toList();
        TwoContours both = new TwoContours(elements, upperChain, settings.wireLeft(), upper, drawn);
        new LeanCheck(WireUnit.of(task.machine()), task.height()).requireSimple(both.surface());
        return both;
    }

    private Contour above(UpperChoice upper, Point at) {
        Feature other = features.get(upper.feature());
        if (other == null || !other.isClosed()) {
            throw new RefusedException(
                    new Refusal(
                            Refusal.Kind.TAPER,
                            "the upper contour is not in the drawing any more, or is open.",
                            at,
                            0,
                            0));
        }
        return other.contour().transformed(placed);
    }

    private static double share(double drawn, double start, boolean forward, double length) {
        double along = forward ? drawn - start : start - drawn;
        return (((along % length) + length) % length) / length;
    }
}
