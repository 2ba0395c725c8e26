package dev.oleander.web.nest;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.search.SheetBodies;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/**
 * What a person does to single parts of a nest. Sheets that are alike stay alike: what is done to
 * one of them is done to all.
 */
@Component
public class NestHand {

    /**
     * How a part is to lie; what is null stays.
     *
     * @param sheet another of the sheets, from 1
     * @param x of its zero on the sheet, mm
     * @param by mm it is moved besides
     * @param turn degrees it is turned about its middle besides
     */
    public record Wish(
            Double x,
            Double y,
            Double angle,
            Boolean mirrored,
            Boolean locked,
            Integer sheet,
            Point by,
            Double turn) {

        private boolean onlyLocks() {
            return x == null
                    && y == null
                    && angle == null
                    && mirrored == null
                    && sheet == null
                    && by == null
                    && turn == null;
        }
    }

    /**
     * Lays a part elsewhere: where it is wished, or at the nearest place within its size where it
     * keeps all distances.
     *
     * @param sheet from 1, equal ones counted once
     * @param part its place on the sheet, from 1
     */
    public JobService.Edit place(int sheet, int part, Wish wish) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet from = OnSheets.sheet(laid, sheet);
                    NestPlacement now = OnSheets.part(from, part, sheet);
                    if (wish.onlyLocks()) {
                        return OnSheets.replaced(
                                laid,
                                from,
                                OnSheets.with(from, part, now.locked(or(wish.locked(), true))));
                    }
                    OnSheets.requireLoose(task, now);
                    NestedSheet onto =
                            wish.sheet() == null ? from : OnSheets.sheet(laid, wish.sheet());
                    Point zero = choices.line(now.line()).map(PartLine::zero).orElse(null);
                    NestPlacement wished = wished(task, now, wish, zero);
                    requireTurn(task, wished, onto);
                    List<NestedSheet> without =
                            OnSheets.replaced(laid, from, OnSheets.without(from, part));
                    NestedSheet others = onto.equals(from) ? OnSheets.without(from, part) : onto;
                    NestPlacement found = OnSheets.nearest(task, others, wished);
                    if (onto.equals(from)) {
                        return OnSheets.replaced(laid, from, OnSheets.with(from, part, found));
                    }
                    List<NestPlacement> more = new ArrayList<>(onto.placements());
                    more.add(found);
                    return OnSheets.replaced(without, onto, onto.with(more));
                });
    }

    /**
     * Lays a part that was dragged: where it was let go, or near by, and on to what is hardly
     * farther away.
     *
     * @param by mm
     */
    public JobService.Edit drop(int sheet, int part, Point by) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet on = OnSheets.sheet(laid, sheet);
                    NestPlacement found = dropped(task, on, part, sheet, by);
                    return OnSheets.replaced(laid, on, OnSheets.with(on, part, found));
                });
    }

    private static NestPlacement dropped(
            NestTask task, NestedSheet on, int part, int sheet, Point by) {
        NestPlacement now = OnSheets.part(on, part, sheet);
        OnSheets.requireLoose(task, now);
        return OnSheets.snapped(task, OnSheets.without(on, part), OnSheets.shifted(now, by));
    }

    /**
     * Where a part would come to lie.
     *
     * @param found whether there is a place
     * @param dx mm it would be moved
     * @param touches what it would lie next to, at just its distance; empty when nothing
     * @param problem why there is none; empty when there is
     */
    public record Trial(boolean found, double dx, double dy, String touches, String problem) {

        public static Trial none(String problem) {
            return new Trial(false, 0, 0, "", problem);
        }
    }

    /**
     * Tries a move without making it.
     *
     * @param by mm
     */
    public Trial tried(JobResult result, int sheet, int part, Point by) {
        NestTask task = Nests.task(result);
        NestedSheet on = OnSheets.sheet(NestEdits.require(result).choices().laid(), sheet);
        NestPlacement found = dropped(task, on, part, sheet, by);
        Point moved = found.at().minus(OnSheets.part(on, part, sheet).at());
        String touches = NestWhy.touched(result, task, OnSheets.with(on, part, found), part - 1);
        return new Trial(true, moved.x(), moved.y(), touches, "");
    }

    /**
     * What lies on a sheet with half the gap round it.
     *
     * @param sheet from 1, equal ones counted once
     */
    public SheetBodies bodies(JobResult result, int sheet) {
        List<NestedSheet> laid = NestEdits.require(result).choices().laid();
        return SheetBodies.of(Nests.task(result), OnSheets.sheet(laid, sheet));
    }

    /** Takes a part off its sheet. */
    public JobService.Edit takeOff(int sheet, int part) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet from = OnSheets.sheet(laid, sheet);
                    OnSheets.requireLoose(task, OnSheets.part(from, part, sheet));
                    return OnSheets.replaced(laid, from, OnSheets.without(from, part));
                });
    }

    /** Exchanges two parts of a sheet, each with its middle where that of the other was. */
    public JobService.Edit swap(int sheet, int one, int other) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet on = OnSheets.sheet(laid, sheet);
                    NestPlacement a = OnSheets.part(on, one, sheet);
                    NestPlacement b = OnSheets.part(on, other, sheet);
                    if (one == other) {
                        throw new RefusedEditException("A part is exchanged with another one.");
                    }
                    OnSheets.requireLoose(task, a);
                    OnSheets.requireLoose(task, b);
                    Point by = OnSheets.middle(task, b).minus(OnSheets.middle(task, a));
                    List<NestPlacement> rest = new ArrayList<>(on.placements());
                    rest.removeAll(List.of(a, b));
                    NestPlacement first =
                            OnSheets.nearest(task, on.with(rest), OnSheets.shifted(a, by));
                    rest.add(first);
                    NestPlacement second =
                            OnSheets.nearest(
                                    task,
                                    on.with(rest),
                                    OnSheets.shifted(b, Point.ORIGIN.minus(by)));
                    List<NestPlacement> all = new ArrayList<>(on.placements());
                    all.set(one - 1, first);
                    all.set(other - 1, second);
                    return OnSheets.replaced(laid, on, on.with(all));
                });
    }

    /**
     * Lays one more of a line on a sheet.
     *
     * @param at wished place of its middle, mm
     */
    public JobService.Edit lay(String line, int sheet, Point at) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet on = OnSheets.sheet(laid, sheet);
                    task.line(line);
                    NestPlacement origin =
                            new NestPlacement(
                                    line,
                                    Point.ORIGIN,
                                    task.sheet(on.stock()).grainOrNone(),
                                    false,
                                    false);
                    NestPlacement wished =
                            OnSheets.shifted(origin, at.minus(OnSheets.middle(task, origin)));
                    List<NestPlacement> more = new ArrayList<>(on.placements());
                    more.add(OnSheets.nearest(task, on, wished));
                    return OnSheets.replaced(laid, on, on.with(more));
                });
    }

    // ---- what it is made of

    /**
     * @param zero of the part in its drawing; null: that of the drawing
     */
    private static NestPlacement wished(NestTask task, NestPlacement now, Wish wish, Point zero) {
        boolean mirrored = or(wish.mirrored(), now.mirrored());
        double angle = or(wish.angle(), now.angle()) + or(wish.turn(), 0.0);
        NestPlacement turned =
                new NestPlacement(
                        now.line(), now.at(), normal(angle), mirrored, or(wish.locked(), false));
        boolean aboutMiddle = wish.turn() != null || wish.mirrored() != null;
        NestPlacement there =
                aboutMiddle && wish.x() == null
                        ? OnSheets.shifted(
                                turned,
                                OnSheets.middle(task, now).minus(OnSheets.middle(task, turned)))
                        : turned;
        Point off = zero == null ? Point.ORIGIN : there.transform().apply(zero).minus(there.at());
        Point told = there.at().plus(off);
        Point at = new Point(or(wish.x(), told.x()), or(wish.y(), told.y())).minus(off);
        NestPlacement placed =
                new NestPlacement(there.line(), at, there.angle(), mirrored, there.locked());
        return wish.by() == null ? placed : OnSheets.shifted(placed, wish.by());
    }

    private static double normal(double degrees) {
        double within = degrees % 360;
        return within < 0 ? within + 360 : within;
    }

    private static <V> V or(V wished, V now) {
        return wished == null ? now : wished;
    }

    private static void requireTurn(NestTask task, NestPlacement wished, NestedSheet onto) {
        OrderLine line = task.line(wished.line());
        double turn = wished.angle() - task.sheet(onto.stock()).grainOrNone();
        if (!line.turns().allow(turn)) {
            throw new RefusedEditException(
                    "%s turned by %s°: allowed turns are %s."
                            .formatted(
                                    line.job(),
                                    Numbers.plain(turn, 3),
                                    NestValues.turnsWord(line.turns().step())));
        }
        if (wished.mirrored() && !line.mirror()) {
            throw new RefusedEditException(
                    "%s may not lie on its other side.".formatted(line.job()));
        }
    }
}
