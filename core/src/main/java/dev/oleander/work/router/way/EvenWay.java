package dev.oleander.work.router.way;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.work.router.pocket.Disc;
import dev.oleander.work.router.pocket.DiscWalk;
import dev.oleander.work.router.pocket.Engagement;
import dev.oleander.work.router.pocket.Reach;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The way of a tool that clears a pocket and is never more in the work than on a straight way at
 * its step: down in a helix where there is most room, outwards in a spiral, on along the middle
 * axis crescent after crescent, and round the walls at the end.
 */
public final class EvenWay implements Clearing {

    /** mm within which a disc touches a wall, or a round is as wide as another one. */
    private static final double NEAR = 1e-6;

    private final Engagement tool;
    private final double most;
    private final boolean anticlockwise;
    private final Descent down;
    private final List<Piece> pieces = new ArrayList<>();

    /** A region of where the axis may be, and the discs in it. */
    private record Piece(List<DiscWalk.Step> steps, List<Contour> walls) {}

    /**
     * @param allowance mm that is left at the walls
     * @param step mm that the tool is in the work on a straight way, above 0 and at most the
     *     diameter
     * @param wallOnRight whether the walls lie on the right of the travel
     * @param down how it goes down
     */
    public EvenWay(Reach reach, double allowance, double step, boolean wallOnRight, Descent down) {
        this.tool = new Engagement(reach.radius());
        this.most = tool.straight(step);
        this.anticlockwise = wallOnRight;
        this.down = down;
        List<Region> centres =
                allowance > 0
                        ? Offsetter.round().offset(reach.centres(), -allowance)
                        : reach.centres();
        for (Region region : centres) {
            List<DiscWalk.Step> steps = DiscWalk.of(region, reach.radius(), step);
            List<Contour> walls = new ArrayList<>();
            for (Contour contour : region.contours()) {
                boolean outer = contour == region.outer();
                walls.add(begun(contour.turning(outer == wallOnRight), steps));
            }
            pieces.add(new Piece(steps, walls));
        }
    }

    /** Where the largest disc that touches it does: there nothing is left before it. */
    private static Contour begun(Contour wall, List<DiscWalk.Step> steps) {
        Disc best = null;
        for (DiscWalk.Step step : steps) {
            Disc disc = step.disc();
            boolean larger = best == null || disc.radius() > best.radius();
            if (larger
                    && wall.nearest(disc.centre()).point().distance(disc.centre()) < touch(disc)) {
                best = disc;
            }
        }
        return best == null ? wall : wall.startedAt(wall.nearest(best.centre()));
    }

    private static double touch(Disc disc) {
        return disc.radius() + NEAR;
    }

    /** Discs cover all that the axis may reach but for ridges at the walls, and those are gone. */
    @Override
    public double leftArea() {
        return 0;
    }

    @Override
    public boolean add(ToolWay way, List<Double> levels, double top) {
        double from = top;
        for (double depth : levels) {
            for (Piece piece : pieces) {
                if (!add(way, piece, from, -depth)) {
                    return false;
                }
            }
            from = -depth;
        }
        return true;
    }

    private boolean add(ToolWay way, Piece piece, double from, double to) {
        Level level = new Level(way, from, to);
        for (DiscWalk.Step step : piece.steps()) {
            if (step.before() < 0) {
                if (!level.begin(step.disc())) {
                    return false;
                }
            } else {
                level.follow(step, piece.steps().get(step.before()).disc());
            }
        }
        for (Contour wall : piece.walls()) {
            level.round(wall);
        }
        way.leave();
        return true;
    }

    /** The way at one level. */
    private final class Level {

        private final ToolWay way;
        private final double from;
        private final double to;
        private Disc last;

        Level(ToolWay way, double from, double to) {
            this.way = way;
            this.from = from;
            this.to = to;
        }

        /** A helix, then a spiral that is nowhere wider than the tool may be in the work. */
        boolean begin(Disc disc) {
            last = disc;
            Point middle = disc.centre();
            Optional<Double> helix =
                    down.helix(way, middle, disc.radius(), anticlockwise, from, to);
            double gone = helix.orElse(0.0);
            while (helix.isPresent() && gone < disc.radius() - NEAR) {
                double next = Math.min(disc.radius(), gone + tool.step(gone, most));
                turn(middle, gone, next);
                gone = next;
            }
            helix.filter(h -> h < disc.radius())
                    .ifPresent(
                            h ->
                                    way.along(
                                            Descent.round(middle, disc.radius(), anticlockwise)
                                                    .segments()));
            return helix.isPresent();
        }

        /** Two half circles that lead from a round to the next, smooth where they meet. */
        private void turn(Point centre, double gone, double next) {
            double half = (next - gone) / 2;
            Point aside = centre.minus(new Point(half, 0));
            double side = anticlockwise ? Math.PI : -Math.PI;
            way.along(
                    List.of(
                            Arc.about(aside, gone + half, 0, side),
                            Arc.about(centre, next, Math.PI, side)));
        }

        void follow(DiscWalk.Step step, Disc before) {
            if (!step.straight().isEmpty()) {
                goTo(before.centre(), before);
                step.straight().forEach(place -> way.straightTo(place, Leg.Pace.FULL));
            }
            for (double[] arc : step.arcs()) {
                double begin = anticlockwise ? arc[0] : arc[0] + arc[1];
                double sweep = anticlockwise ? arc[1] : -arc[1];
                Disc disc = step.disc();
                goTo(disc.at(begin), before);
                way.along(List.of(Arc.about(disc.centre(), disc.radius(), begin, sweep)));
            }
            last = step.disc();
        }

        void round(Contour wall) {
            goTo(wall.start(), last);
            way.along(wall.segments());
        }

        /** Through what is gone, where a disc holds both places; through the air otherwise. */
        private void goTo(Point place, Disc before) {
            if (isWithin(before, place) || isWithin(last, place)) {
                way.straightTo(place, Leg.Pace.LINK);
                return;
            }
            way.leave();
            way.comeTo(place, to);
            way.upright(to, Leg.Pace.PLUNGE);
        }

        private boolean isWithin(Disc disc, Point place) {
            return way.z() == to && disc.holds(way.at()) && disc.holds(place);
        }
    }
}
