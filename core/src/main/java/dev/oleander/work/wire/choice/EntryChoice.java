package dev.oleander.work.wire.choice;

import dev.oleander.drawing.revise.Carrying;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;

/**
 * What a person set for the way of the wire to a profile and off it; null where nothing was set.
 *
 * @param hole start hole, in the coordinates of the drawing, mm
 * @param start where the profile is begun, mm along the drawn contour
 * @param anticlockwise direction of the first pass
 * @param lead how the wire comes to the profile
 * @param leadLength straight stretch before the profile, or radius of the arc, mm
 * @param overlap mm past the joint
 * @param backOff mm off the profile between passes
 */
public record EntryChoice(
        Point hole,
        Typed start,
        Boolean anticlockwise,
        WireLead lead,
        Typed leadLength,
        Typed overlap,
        Typed backOff) {

    public static final EntryChoice NOTHING =
            new EntryChoice(null, null, null, null, null, null, null);

    /** Values set here, before those of {@code other}. */
    public EntryChoice over(EntryChoice other) {
        return new EntryChoice(
                or(hole, other.hole),
                or(start, other.start),
                or(anticlockwise, other.anticlockwise),
                or(lead, other.lead),
                or(leadLength, other.leadLength),
                or(overlap, other.overlap),
                or(backOff, other.backOff));
    }

    private static <T> T or(T value, T otherwise) {
        return value != null ? value : otherwise;
    }

    /** See {@link WireChoice#carried}. */
    EntryChoice carried(String key, Carrying to) {
        EntryChoice moved =
                withHole(hole == null ? null : to.place(key, hole)).withStart(to.along(key, start));
        // an open line is cut from the end that it was cut from
        return to.isTurned(key)
                ? moved.withAnticlockwise(Boolean.FALSE.equals(anticlockwise))
                : moved;
    }

    public EntryChoice withHole(Point value) {
        return new EntryChoice(value, start, anticlockwise, lead, leadLength, overlap, backOff);
    }

    public EntryChoice withStart(Typed value) {
        return new EntryChoice(hole, value, anticlockwise, lead, leadLength, overlap, backOff);
    }

    public EntryChoice withAnticlockwise(Boolean value) {
        return new EntryChoice(hole, start, value, lead, leadLength, overlap, backOff);
    }

    public EntryChoice withLead(WireLead value) {
        return new EntryChoice(hole, start, anticlockwise, value, leadLength, overlap, backOff);
    }

    public EntryChoice withLeadLength(Typed value) {
        return new EntryChoice(hole, start, anticlockwise, lead, value, overlap, backOff);
    }

    public EntryChoice withOverlap(Typed value) {
        return new EntryChoice(hole, start, anticlockwise, lead, leadLength, value, backOff);
    }

    public EntryChoice withBackOff(Typed value) {
        return new EntryChoice(hole, start, anticlockwise, lead, leadLength, overlap, value);
    }
}
