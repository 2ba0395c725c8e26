package dev.oleander.work.wire.choice;

import dev.oleander.machine.Compensation;
import dev.oleander.quantity.Typed;

/**
 * What a person set for the passes of a stop; null where nothing was set.
 *
 * @param finish of the cut book
 * @param count how many of the passes of the finish are run
 * @param alternate whether skims run to and fro
 * @param compensation who moves the wire off the drawn line
 */
public record PassChoice(String finish, Typed count, Boolean alternate, Compensation compensation) {

    public static final PassChoice NOTHING = new PassChoice(null, null, null, null);

    /** Values set here, before those of {@code other}. */
    public PassChoice over(PassChoice other) {
        return new PassChoice(
                or(finish, other.finish),
                or(count, other.count),
                or(alternate, other.alternate),
                or(compensation, other.compensation));
    }

    private static <T> T or(T value, T otherwise) {
        return value != null ? value : otherwise;
    }

    public PassChoice withFinish(String value) {
        return new PassChoice(value, count, alternate, compensation);
    }

    public PassChoice withCount(Typed value) {
        return new PassChoice(finish, value, alternate, compensation);
    }

    public PassChoice withAlternate(Boolean value) {
        return new PassChoice(finish, count, value, compensation);
    }

    public PassChoice withCompensation(Compensation value) {
        return new PassChoice(finish, count, alternate, value);
    }
}
