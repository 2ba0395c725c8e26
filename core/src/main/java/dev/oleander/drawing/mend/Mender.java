package dev.oleander.drawing.mend;

import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.Mended.Joined;
import dev.oleander.geometry.Contour;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Mends the entities of one purpose: drops doubles, joins ends, takes out crumbs, parts contours
 * that cross themselves. What the drawing closes by itself (circles, closed polylines) stays whole.
 */
public final class Mender {

    private final MendOptions options;

    public Mender(MendOptions options) {
        this.options = options;
    }

    /** Chains in the order of their first entity; the same input gives the same output. */
    public Mended mend(List<Entity> entities) {
        List<Fault> faults = new ArrayList<>();
        List<Entity> closed = entities.stream().filter(Entity::closed).toList();
        List<Entity> open = entities.stream().filter(e -> !e.closed()).toList();

        List<Joined> loops = new DoubledLoops(options, faults).drop(closed);
        List<Piece> pieces = new DoubledPieces(options, faults).drop(open, loops);
        List<Joined> joined = new ArrayList<>(loops);
        joined.addAll(new Joiner(options, faults).join(pieces));

        List<Joined> clean = new ArrayList<>();
        CrumbRemover crumbs = new CrumbRemover(options, faults);
        SelfCrossings crossings = new SelfCrossings(options, faults);
        for (Joined one : joined) {
            Joined whole = new Joined(crumbs.remove(one.chain()), one.first());
            if (whole.chain() instanceof Contour contour) {
                crossings.part(contour).forEach(c -> clean.add(new Joined(c, one.first())));
            } else {
                clean.add(whole);
            }
        }
        clean.sort(Comparator.comparingInt(j -> j.first().ordinal()));
        return new Mended(clean, faults);
    }
}
