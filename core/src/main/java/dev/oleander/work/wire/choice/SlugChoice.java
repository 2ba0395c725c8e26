package dev.oleander.work.wire.choice;

import dev.oleander.quantity.Typed;
import java.util.List;

/**
 * What a person set for the piece that comes free; null where nothing was set.
 *
 * @param handling what is done with it
 * @param hold width of a hold, or last stretch before which the machine waits, mm
 * @param count how many holds
 * @param at where further holds lie, mm along the drawn contour to their middles
 * @param stop whether the machine waits before the cut-off
 * @param reversed whether the cut-off runs against the first pass
 * @param offSkims whether skims follow the cut-off
 * @param step of coreless rings, share of the width of the cut
 */
public record SlugChoice(
        SlugHandling handling,
        Typed hold,
        Typed count,
        List<Typed> at,
        HoldStop stop,
        Boolean reversed,
        Boolean offSkims,
        Typed step) {

    public static final SlugChoice NOTHING =
            new SlugChoice(null, null, null, null, null, null, null, null);

    /** Values set here, before those of {@code other}. */
    public SlugChoice over(SlugChoice other) {
        return new SlugChoice(
                or(handling, other.handling),
                or(hold, other.hold),
                or(count, other.count),
                or(at, other.at),
                or(stop, other.stop),
                or(reversed, other.reversed),
                or(offSkims, other.offSkims),
                or(step, other.step));
    }

    private static <T> T or(T value, T otherwise) {
        return value != null ? value : otherwise;
    }

    public SlugChoice withHandling(SlugHandling value) {
        return new SlugChoice(value, hold, count, at, stop, reversed, offSkims, step);
    }

    public SlugChoice withHold(Typed value) {
        return new SlugChoice(handling, value, count, at, stop, reversed, offSkims, step);
    }

    public SlugChoice withCount(Typed value) {
        return new SlugChoice(handling, hold, value, at, stop, reversed, offSkims, step);
    }

    public SlugChoice withAt(List<Typed> value) {
        return new SlugChoice(handling, hold, count, value, stop, reversed, offSkims, step);
    }

    public SlugChoice withStop(HoldStop value) {
        return new SlugChoice(handling, hold, count, at, value, reversed, offSkims, step);
    }

    public SlugChoice withReversed(Boolean value) {
        return new SlugChoice(handling, hold, count, at, stop, value, offSkims, step);
    }

    public SlugChoice withOffSkims(Boolean value) {
        return new SlugChoice(handling, hold, count, at, stop, reversed, value, step);
    }

    public SlugChoice withStep(Typed value) {
        return new SlugChoice(handling, hold, count, at, stop, reversed, offSkims, value);
    }
}
