package dev.oleander.nesting.choice;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.AllowedTurns;
import dev.oleander.nesting.OrderLine;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.quantity.Typed;
import java.time.LocalDate;
import java.util.Optional;

/**
 * So many of a part of a job.
 *
 * @param id within the nest
 * @param source the job that it is of, see {@link PartRef}
 * @param part id in the drawing of the source
 * @param priority from 1, which goes first
 * @param due day on which it is needed; null: nobody said
 * @param fill only to use room that is left
 * @param turns degrees between two allowed turns, see {@link AllowedTurns}
 * @param mirror whether its other side may lie up
 * @param gap mm that it keeps from others where that is more than all keep; null: as all
 * @param zero of the part in the drawing, mm, which places in results are told of; null: that of
 *     the drawing
 */
public record PartLine(
        String id,
        String source,
        String part,
        int quantity,
        int priority,
        LocalDate due,
        boolean fill,
        double turns,
        boolean mirror,
        Typed gap,
        Point zero) {

    /** As many as are wanted, first, turned as it fits best. */
    public static PartLine of(String id, PartRef part, int quantity) {
        return new PartLine(
                id,
                part.source(),
                part.part(),
                quantity,
                1,
                null,
                false,
                AllowedTurns.ANY.step(),
                false,
                null,
                null);
    }

    /** What it is of. */
    public PartRef ref() {
        return new PartRef(source, part);
    }

    /**
     * As the search is asked for it.
     *
     * @param job name of the job
     * @throws dev.oleander.nesting.NestException when a number is not possible
     */
    public OrderLine line(String job, Region shape) {
        return new OrderLine(
                id,
                job,
                shape,
                quantity,
                priority,
                Optional.ofNullable(due),
                fill,
                new AllowedTurns(turns),
                mirror,
                gap == null ? 0 : gap.value());
    }

    public PartLine withQuantity(int value) {
        return new PartLine(id, source, part, value, priority, due, fill, turns, mirror, gap, zero);
    }

    public PartLine withPriority(int value) {
        return new PartLine(id, source, part, quantity, value, due, fill, turns, mirror, gap, zero);
    }

    /**
     * @param value null: nobody said
     */
    public PartLine withDue(LocalDate value) {
        return new PartLine(
                id, source, part, quantity, priority, value, fill, turns, mirror, gap, zero);
    }

    public PartLine withFill(boolean value) {
        return new PartLine(
                id, source, part, quantity, priority, due, value, turns, mirror, gap, zero);
    }

    /**
     * @param step degrees
     */
    public PartLine withTurns(double step) {
        return new PartLine(
                id, source, part, quantity, priority, due, fill, step, mirror, gap, zero);
    }

    public PartLine withMirror(boolean value) {
        return new PartLine(
                id, source, part, quantity, priority, due, fill, turns, value, gap, zero);
    }

    /**
     * @param value place in the drawing that places in results are told of, mm
     */
    public PartLine withZero(Point value) {
        return new PartLine(
                id, source, part, quantity, priority, due, fill, turns, mirror, gap, value);
    }

    /**
     * @param value mm; null: as all
     */
    public PartLine withGap(Typed value) {
        return new PartLine(
                id, source, part, quantity, priority, due, fill, turns, mirror, value, zero);
    }

    /** The same under another name. */
    public PartLine withId(String value) {
        return new PartLine(
                value, source, part, quantity, priority, due, fill, turns, mirror, gap, zero);
    }
}
