package dev.oleander.work.wire.plan;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.RefusedException;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireTask;
import dev.oleander.work.wire.flank.Flanks;
import dev.oleander.work.wire.hold.HolePlacer;
import java.util.List;

/**
 * Chooses the start hole of a profile: as a person set it, as it is drawn, or at the best place.
 */
final class HoleChooser {

    /** mm left round a start hole in a small opening. */
    private static final double LEAST_WALL = 0.6;

    private static final double LEAST_HOLE = 0.3;

    private final WireTask task;
    private final HolePlacer placer;
    private final SubjectPlanner.Task wanted;

    HoleChooser(WireTask task, HolePlacer placer, SubjectPlanner.Task wanted) {
        this.task = task;
        this.placer = placer;
        this.wanted = wanted;
    }

    /**
     * @param drawn start holes in the drawing that belong to the profile
     * @throws RefusedException when the one that was set lies on the wrong side, or there is no
     *     room
     */
    StartHole choose(Contour contour, WireKind kind, WireChoice choice, List<Feature> drawn) {
        boolean inside = kind == WireKind.OPENING;
        if (choice.entry().hole() != null) {
            return set(contour, inside, wanted.placed().apply(choice.entry().hole()));
        }
        StartHole nearest = nearest(contour, inside, drawn);
        if (nearest != null) {
            return nearest;
        }
        double diameter = fitting(contour, inside, WireUnit.of(task.machine()).startHole());
        Point at = inside ? placer.inside(contour, diameter) : placer.outside(contour, diameter);
        return hole(at, diameter, StartHole.Given.PROPOSED);
    }

    private StartHole hole(Point at, double diameter, StartHole.Given given) {
        return new StartHole(wanted.id(), wanted.copy().number(), at, diameter, given);
    }

    private StartHole nearest(Contour contour, boolean inside, List<Feature> drawn) {
        StartHole best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Feature feature : drawn) {
            Point at = wanted.placed().apply(Subjects.centre(feature));
            double d = contour.nearest(at).point().distance(at);
            if (contour.contains(at) == inside && d < least) {
                least = d;
                double usual = WireUnit.of(task.machine()).startHole();
                double diameter = feature.circleDiameter().orElse(usual);
                best = hole(at, diameter, StartHole.Given.DRAWN);
            }
        }
        return best;
    }

    /** Small openings get a smaller hole. */
    private static double fitting(Contour contour, boolean inside, double usual) {
        Box box = contour.box();
        double room = Math.min(box.width(), box.height()) - 2 * LEAST_WALL;
        return inside ? Math.max(LEAST_HOLE, Math.min(usual, room)) : usual;
    }

    private StartHole set(Contour contour, boolean inside, Point at) {
        if (contour.contains(at) != inside) {
            String sentence =
                    "no start hole is in reach: the one at %s lies %s. Set it %s."
                            .formatted(
                                    Flanks.place(at),
                                    inside ? "outside of the opening" : "in the part",
                                    inside ? "into the opening" : "beside the part");
            throw new RefusedException(new Refusal(Refusal.Kind.HOLE, sentence, at, 0, 0));
        }
        return hole(at, WireUnit.of(task.machine()).startHole(), StartHole.Given.CLICKED);
    }
}
