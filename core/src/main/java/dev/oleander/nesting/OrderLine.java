package dev.oleander.nesting;

import dev.oleander.geometry.Region;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Copies of one part that are asked for.
 *
 * @param id within the task
 * @param job name of the job it is of
 * @param shape the part about its own origin, mm
 * @param priority from 1, which goes first
 * @param due day on which it is needed
 * @param fill only to use room that is left; opens no sheet
 * @param mirror whether its other side may lie up
 * @param gap mm that it keeps from others where that is more than all do, see {@link
 *     NestTask#gap(OrderLine)}; 0: as all do
 */
public record OrderLine(
        String id,
        String job,
        Region shape,
        int quantity,
        int priority,
        Optional<LocalDate> due,
        boolean fill,
        AllowedTurns turns,
        boolean mirror,
        double gap) {

    /** Of one line; more are a mistake of typing. */
    public static final int MOST = 5_000;

    /** That may wait longest. */
    public static final int LAST_PRIORITY = 9;

    public OrderLine {
        if (quantity < 1 || quantity > MOST) {
            throw new NestException(
                    "%s: %d are asked for; a line holds 1 to %d.".formatted(id, quantity, MOST));
        }
        if (priority < 1 || priority > LAST_PRIORITY) {
            throw new NestException(
                    "%s: priority %d; priorities go from 1 to %d."
                            .formatted(id, priority, LAST_PRIORITY));
        }
        if (!(gap >= 0)) {
            throw new NestException("%s: gap %s mm; it may not be less than 0.".formatted(id, gap));
        }
    }

    /** The same with a gap of its own. */
    public OrderLine withGap(double value) {
        return new OrderLine(id, job, shape, quantity, priority, due, fill, turns, mirror, value);
    }

    /** As much of something else, to be laid like this one. */
    public OrderLine of(String otherId, Region other, int number) {
        return new OrderLine(otherId, job, other, number, priority, due, fill, turns, mirror, gap);
    }

    /** Whether each of its parts may lie wherever one of another line of the same shape does. */
    public boolean mayReplace(OrderLine other) {
        return shape.equals(other.shape)
                && turns.include(other.turns)
                && (mirror || !other.mirror)
                && gap <= other.gap;
    }
}
