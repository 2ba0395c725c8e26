package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.MendOptions.Step;
import dev.oleander.drawing.mend.Mended.Joined;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Mends the entities of one purpose: drops doubles, joins ends, takes out crumbs and spurs, fits
 * curves that were chopped, parts contours that cross themselves. What the drawing closes by itself
 * (circles, closed polylines) stays whole.
 */
public final class Mender {

    private final MendOptions options;

    public Mender(MendOptions options) {
        this.options = options;
    }

    /** Chains in the order of their first entity; the same input gives the same output. */
    public Mended mend(List<Entity> entities) {
        List<Fault> faults = new ArrayList<>();
        List<Joined> clean = new ArrayList<>();
        CrumbRemover crumbs = new CrumbRemover(options, faults);
        SpurRemover spurs = new SpurRemover(options, faults);
        ShortLines shortLines = new ShortLines(options, faults);
        SelfCrossings crossings = new SelfCrossings(options, faults);
        for (Joined one : joined(entities, faults)) {
            Chain whole = spurs.remove(crumbs.remove(one.chain()));
            Chain fitted = shortLines.fit(whole, one.first().layer());
            if (fitted instanceof Contour contour) {
                crossings.part(contour).forEach(c -> clean.add(one.as(c)));
            } else {
                clean.add(one.as(fitted));
            }
        }
        clean.sort(Comparator.comparingInt(j -> j.first().ordinal()));
        return new Mended(clean, faults);
    }

    private List<Joined> joined(List<Entity> entities, List<Fault> faults) {
        List<Entity> closed = entities.stream().filter(Entity::closed).toList();
        List<Entity> open = entities.stream().filter(e -> !e.closed()).toList();
        boolean doubles = options.does(Step.DOUBLES);
        List<Joined> loops =
                doubles ? new DoubledLoops(options, faults).drop(closed) : asTheyAre(closed);
        List<Piece> pieces =
                doubles ? new DoubledPieces(options, faults).drop(open, loops) : Piece.allOf(open);
        List<Joined> joined = new ArrayList<>(loops);
        joined.addAll(new Joiner(options, faults).join(pieces));
        return joined;
    }

    private static List<Joined> asTheyAre(List<Entity> closed) {
        return closed.stream().map(e -> Joined.of(new Contour(e.segments()), e)).toList();
    }
}
