package dev.oleander.plan;

import dev.oleander.quantity.Typed;

/**
 * What a person set for a stop; null where nothing was set.
 *
 * @param start distance along the drawn contour from its first point, mm
 * @param overRun mm past the closing point
 * @param quality of the cut book's row
 */
public record StopChoice(
        Side side,
        LeadChoice leadIn,
        LeadChoice leadOut,
        Typed start,
        Typed overRun,
        String quality) {

    public static final StopChoice NOTHING =
            new StopChoice(null, LeadChoice.NOTHING, LeadChoice.NOTHING, null, null, null);

    public StopChoice {
        leadIn = leadIn == null ? LeadChoice.NOTHING : leadIn;
        leadOut = leadOut == null ? LeadChoice.NOTHING : leadOut;
    }

    public boolean isNothing() {
        return equals(NOTHING);
    }

    /** Values set here, before those of {@code other}. */
    public StopChoice over(StopChoice other) {
        return new StopChoice(
                side != null ? side : other.side,
                leadIn.over(other.leadIn),
                leadOut.over(other.leadOut),
                start != null ? start : other.start,
                overRun != null ? overRun : other.overRun,
                quality != null ? quality : other.quality);
    }

    /** What decides the path itself: without leads, start and over-run. */
    public StopChoice ofPath() {
        return new StopChoice(side, LeadChoice.NOTHING, LeadChoice.NOTHING, null, null, quality);
    }

    public StopChoice withSide(Side value) {
        return new StopChoice(value, leadIn, leadOut, start, overRun, quality);
    }

    public StopChoice withLeadIn(LeadChoice value) {
        return new StopChoice(side, value, leadOut, start, overRun, quality);
    }

    public StopChoice withLeadOut(LeadChoice value) {
        return new StopChoice(side, leadIn, value, start, overRun, quality);
    }

    public StopChoice withStart(Typed value) {
        return new StopChoice(side, leadIn, leadOut, value, overRun, quality);
    }

    public StopChoice withOverRun(Typed value) {
        return new StopChoice(side, leadIn, leadOut, start, value, quality);
    }

    public StopChoice withQuality(String value) {
        return new StopChoice(side, leadIn, leadOut, start, overRun, value);
    }
}
