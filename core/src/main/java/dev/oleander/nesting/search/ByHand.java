package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Where a part comes to lie that a person moves: as wished where it is free there, else at the
 * nearest place where it is, touching what is in its way.
 */
public final class ByHand {

    /** Places round the wished one that are looked at. */
    private static final int PLACES = 6_000;

    /** rad; turns from one to the next spread evenly over a disc. */
    private static final double GOLDEN = Math.PI * (3 - Math.sqrt(5));

    private static final int DIRECTIONS = 16;

    /** mm to which a contact is found: far below what a machine cuts. */
    private static final double EXACT = 1e-4;

    /** mm from one place to the next along a line. */
    private static final double STRIDE = 0.5;

    /** mm; what is nearer than this is touched by a part that is dropped. */
    private static final double SNAP = 5;

    private static final Point ACROSS = new Point(1, 0);
    private static final Point UP = new Point(0, 1);

    private final Predicate<NestPlacement> free;
    private final Predicate<NestPlacement> legal;
    private final Scene scene;
    private final Turned way;
    private final NestPlacement wished;

    private ByHand(NestTask task, NestedSheet others, NestPlacement wished) {
        this.free = NestCheck.fitting(strict(task), others);
        this.legal = NestCheck.fitting(task, others);
        this.wished = wished;
        Model model = new Model(only(task, others, wished.line()));
        Kind kind = model.kind(wished.line());
        Room room = model.room(task.sheet(others), others.placements());
        this.scene = new Scene(new Kind[] {kind}, new Room[] {room}, new PairTest());
        this.way = new Turned(kind.body, wished.angle(), wished.mirrored());
    }

    /** Distances that are kept in full: what a person lays is not to use up what rounding may. */
    private static NestTask strict(NestTask task) {
        NestRules rules = task.rules();
        double more = NestCheck.TOLERANCE;
        return new NestTask(
                task.lines().stream().map(l -> l.withGap(task.gap(l) + more)).toList(),
                task.stock(),
                rules.at(rules.gap() + more, rules.margin() + more),
                List.of());
    }

    /** Without what does not lie on the sheet: its bodies need not be made. */
    static NestTask only(NestTask task, NestedSheet others, String line) {
        Set<String> there = new HashSet<>(Set.of(line));
        others.placements().forEach(p -> there.add(p.line()));
        List<OrderLine> lines = task.lines().stream().filter(l -> there.contains(l.id())).toList();
        return new NestTask(lines, task.stock(), task.rules(), List.of());
    }

    /**
     * The nearest legal place within the size of the part.
     *
     * @param others what lies on the sheet besides
     * @return empty when there is none
     * @throws dev.oleander.nesting.NestException when line or sheet are not of the task
     */
    public static Optional<NestPlacement> nearest(
            NestTask task, NestedSheet others, NestPlacement wished) {
        if (NestCheck.fitting(task, others).test(wished)) {
            return Optional.of(wished);
        }
        ByHand hand = new ByHand(task, others, wished);
        return hand.found().map(hand::closest);
    }

    /**
     * The nearest legal place, and on from there to what is hardly farther away: a part that is
     * dropped near two others keeps just its distance from both.
     *
     * @param others what lies on the sheet besides
     * @return empty when there is none
     * @throws dev.oleander.nesting.NestException when line or sheet are not of the task
     */
    public static Optional<NestPlacement> snapped(
            NestTask task, NestedSheet others, NestPlacement wished) {
        return nearest(task, others, wished).map(place -> touching(task, others, place));
    }

    /** To what is nearest along one axis, then along the other. */
    private static NestPlacement touching(NestTask task, NestedSheet others, NestPlacement place) {
        ByHand hand = new ByHand(task, others, place);
        double across = hand.nearest(ACROSS);
        double up = hand.nearest(UP);
        boolean acrossFirst = Math.abs(across) <= Math.abs(up);
        NestPlacement first = hand.moved(acrossFirst ? ACROSS : UP, acrossFirst ? across : up);
        Point then = acrossFirst ? UP : ACROSS;
        ByHand there = new ByHand(task, others, first);
        return there.moved(then, there.nearest(then));
    }

    /** mm along an axis to what is near on it, to either side; infinite when nothing is. */
    private double nearest(Point axis) {
        double on = free(axis, 0, SNAP);
        double back = free(axis.times(-1), 0, SNAP);
        double least = Math.min(on, back);
        double far = least < SNAP - STRIDE ? least : Double.POSITIVE_INFINITY;
        return on <= back ? far : -far;
    }

    private NestPlacement moved(Point axis, double far) {
        double kept = Math.abs(far) - NestCheck.TOLERANCE;
        boolean moves = kept > 0 && kept < SNAP;
        return moves ? at(wished.at().plus(axis.times(Math.copySign(kept, far)))) : wished;
    }

    /**
     * Slides a part until something is in its way.
     *
     * @param others what lies on the sheet besides
     * @param now where it lies, keeping all distances
     * @param towards any length
     */
    public static NestPlacement slid(
            NestTask task, NestedSheet others, NestPlacement now, Point towards) {
        ByHand hand = new ByHand(task, others, now);
        Box sheet = task.sheet(others).region().box();
        double most = Math.hypot(sheet.width(), sheet.height());
        double far = hand.free(towards.unit(), 0, most);
        return hand.at(now.at().plus(towards.unit().times(Math.max(0, far - NestCheck.TOLERANCE))));
    }

    /**
     * The nearest legal place on a line through the wished one, within the size of the part.
     *
     * @param axis direction of the line
     * @return empty when there is none
     */
    public static Optional<NestPlacement> along(
            NestTask task, NestedSheet others, NestPlacement wished, Point axis) {
        ByHand hand = new ByHand(task, others, wished);
        if (hand.legal.test(wished)) {
            return Optional.of(wished);
        }
        double most = hand.scene.items[0].body.diameter;
        for (double far = STRIDE; far <= most; far += STRIDE) {
            for (int side = -1; side <= 1; side += 2) {
                Point p = wished.at().plus(axis.unit().times(side * far));
                if (hand.scene.isFree(0, hand.way, p.x(), p.y(), 0)) {
                    NestPlacement there = hand.at(p);
                    return Optional.of(hand.back(there, axis.unit().times(-side), far));
                }
            }
        }
        return Optional.empty();
    }

    /** From a free place back towards the wished one, as far as it goes. */
    private NestPlacement back(NestPlacement from, Point towards, double most) {
        Point target = wished.at();
        double low = 0;
        double high = most;
        while (high - low > EXACT) {
            double middle = (low + high) / 2;
            boolean goes = free.test(at(from.at().plus(towards.times(middle))));
            low = goes ? middle : low;
            high = goes ? high : middle;
        }
        Point found = from.at().plus(towards.times(low));
        return at(found.distance(target) < from.at().distance(target) ? found : from.at());
    }

    /** mm that the part may go in a direction. */
    private double free(Point unit, double from, double most) {
        double low = from;
        double high = from + STRIDE;
        while (high < most && goes(unit, high)) {
            low = high;
            high += STRIDE;
        }
        while (high - low > EXACT) {
            double middle = (low + high) / 2;
            boolean goes = legal.test(at(wished.at().plus(unit.times(middle))));
            low = goes ? middle : low;
            high = goes ? high : middle;
        }
        return low;
    }

    /**
     * Whether it may lie so far on; bodies are flattened, so their word counts only if it is yes.
     */
    private boolean goes(Point unit, double far) {
        Point p = wished.at().plus(unit.times(far));
        return scene.isFree(0, way, p.x(), p.y(), 0) || legal.test(at(p));
    }

    /** A free place near by, seen with flattened bodies. */
    private Optional<Point> found() {
        double reach = scene.items[0].body.diameter;
        for (int i = 1; i <= PLACES; i++) {
            double r = reach * i / PLACES;
            Point p = wished.at().plus(Point.polar(r, GOLDEN * i));
            if (scene.isFree(0, way, p.x(), p.y(), 0)) {
                return Optional.of(p);
            }
        }
        return Optional.empty();
    }

    /** From there to the wished place, as far as it goes: roughly first, then on true arcs. */
    private NestPlacement closest(Point from) {
        Point rough =
                approached(
                        from,
                        wished.at().distance(from) / 4,
                        Body.FLATNESS,
                        p -> scene.isFree(0, way, p.x(), p.y(), 0));
        Point start = free.test(at(rough)) ? rough : from;
        return at(approached(start, 4 * Body.FLATNESS, EXACT, p -> free.test(at(p))));
    }

    private Point approached(Point from, double first, double last, Predicate<Point> isFree) {
        Point best = from;
        for (double step = first; step >= last; ) {
            Point better = step(best, step, isFree);
            if (better == best) {
                step /= 2;
            } else {
                best = better;
            }
        }
        return best;
    }

    /** The free place a step away that is nearest to the wished one; the same when none is. */
    private Point step(Point best, double step, Predicate<Point> isFree) {
        Point target = wished.at();
        double towards = target.minus(best).angle();
        for (int i = 0; i <= DIRECTIONS / 2; i++) {
            for (int side = -1; side <= 1; side += 2) {
                double angle = towards + side * i * Math.PI / DIRECTIONS;
                double length = Math.min(step, target.distance(best));
                Point p = best.plus(Point.polar(length, angle));
                boolean nearer = target.distance(p) < target.distance(best) - EXACT * EXACT;
                if (nearer && isFree.test(p)) {
                    return p;
                }
            }
        }
        return best;
    }

    private NestPlacement at(Point p) {
        return new NestPlacement(
                wished.line(), p, wished.angle(), wished.mirrored(), wished.locked());
    }
}
