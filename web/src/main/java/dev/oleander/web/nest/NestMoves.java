package dev.oleander.web.nest;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.search.ByHand;
import dev.oleander.nesting.search.MakeRoom;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Component;

/** Parts moved with regard to what lies round them: pushed, aligned, or with room made for them. */
@Component
public class NestMoves {

    /** Where a part is pushed to. */
    public enum Direction {
        LEFT(-1, 0),
        RIGHT(1, 0),
        DOWN(0, -1),
        UP(0, 1);

        private final Point towards;

        Direction(double x, double y) {
            this.towards = new Point(x, y);
        }

        /**
         * @throws NotFoundException when there is none of that name
         */
        public static Direction of(String word) {
            return named(values(), word, "direction");
        }
    }

    /** What of two parts is brought in line. */
    public enum Edge {
        LEFT(true, box -> box.min().x()),
        RIGHT(true, box -> box.max().x()),
        LOWER(false, box -> box.min().y()),
        UPPER(false, box -> box.max().y()),
        /** Middles one above the other. */
        ACROSS(true, box -> box.centre().x()),
        /** Middles side by side. */
        ALONG(false, box -> box.centre().y());

        private final boolean moveX;
        private final ToDoubleFunction<Box> place;

        Edge(boolean moveX, ToDoubleFunction<Box> place) {
            this.moveX = moveX;
            this.place = place;
        }

        /**
         * @throws NotFoundException when there is none of that name
         */
        public static Edge of(String word) {
            return named(values(), word, "edge");
        }

        private Point from(Box own, Box to) {
            double by = place.applyAsDouble(to) - place.applyAsDouble(own);
            return moveX ? new Point(by, 0) : new Point(0, by);
        }

        /** Along which a part may move and stay in line. */
        private Point line() {
            return moveX ? new Point(0, 1) : new Point(1, 0);
        }
    }

    private static <E extends Enum<E>> E named(E[] all, String word, String what) {
        return Arrays.stream(all)
                .filter(e -> word(e).equals(word))
                .findFirst()
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no %s \"%s\"; there are %s."
                                                .formatted(what, word, words(all))));
    }

    private static String word(Enum<?> of) {
        return of.name().toLowerCase(Locale.ROOT);
    }

    private static String words(Enum<?>[] all) {
        return String.join(", ", Arrays.stream(all).map(NestMoves::word).toList());
    }

    /**
     * Slides a part until something is in its way.
     *
     * @param sheet from 1, equal ones counted once
     * @param part its place on the sheet, from 1
     */
    public JobService.Edit push(int sheet, int part, Direction to) {
        return moved(
                sheet, part, (task, on, others, now) -> ByHand.slid(task, others, now, to.towards));
    }

    /**
     * Brings a part in line with another; where something lies, it goes along the line to the
     * nearest free place.
     *
     * @param other place of the other one on the sheet, from 1
     */
    public JobService.Edit align(int sheet, int part, int other, Edge edge) {
        return moved(
                sheet,
                part,
                (task, on, others, now) -> {
                    if (other == part) {
                        throw new RefusedEditException("A part is aligned with another one.");
                    }
                    NestPlacement to = OnSheets.part(on, other, sheet);
                    Point by = edge.from(OnSheets.box(task, now), OnSheets.box(task, to));
                    return ByHand.along(task, others, OnSheets.shifted(now, by), edge.line())
                            .orElseThrow(() -> noPlace(task, now, "in line within its size"));
                });
    }

    /**
     * Moves a part exactly so far; loose parts that are in its way are pushed aside.
     *
     * @param by mm
     */
    public JobService.Edit makeRoom(int sheet, int part, Point by) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet on = OnSheets.sheet(laid, sheet);
                    NestPlacement now = OnSheets.part(on, part, sheet);
                    OnSheets.requireLoose(task, now);
                    NestedSheet made =
                            MakeRoom.round(
                                            task,
                                            OnSheets.without(on, part),
                                            OnSheets.shifted(now, by))
                                    .orElseThrow(() -> noPlace(task, now, "there"));
                    List<NestPlacement> all = new ArrayList<>(made.placements());
                    all.add(part - 1, all.remove(all.size() - 1));
                    return OnSheets.replaced(laid, on, on.with(all));
                });
    }

    private static RefusedEditException noPlace(NestTask task, NestPlacement of, String where) {
        return new RefusedEditException(
                "There is no room for this part of %s %s."
                        .formatted(task.line(of.line()).job(), where));
    }

    /** Where one part of a sheet goes. */
    private interface Move {
        NestPlacement of(NestTask task, NestedSheet on, NestedSheet others, NestPlacement now);
    }

    private static JobService.Edit moved(int sheet, int part, Move move) {
        return OnSheets.edit(
                (task, choices) -> {
                    List<NestedSheet> laid = choices.laid();
                    NestedSheet on = OnSheets.sheet(laid, sheet);
                    NestPlacement now = OnSheets.part(on, part, sheet);
                    OnSheets.requireLoose(task, now);
                    NestPlacement to = move.of(task, on, OnSheets.without(on, part), now);
                    return OnSheets.replaced(laid, on, OnSheets.with(on, part, to));
                });
    }
}
