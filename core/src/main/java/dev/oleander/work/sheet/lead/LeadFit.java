package dev.oleander.work.sheet.lead;

import dev.oleander.geometry.Chain.Station;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import dev.oleander.work.sheet.lead.KeptField.Clearance;

/**
 * A place to begin with its lead, and how much room it has.
 *
 * @param bite least clearance along the lead, mm; must be half the kerf
 * @param pierceRoom clearance of the pierce, mm
 */
public record LeadFit(Station station, Lead lead, Clearance bite, Clearance pierceRoom) {

    /** mm; the swath may touch kept material by rounding, not more. */
    public static final double TOUCH = 1e-4;

    public boolean bites(double kerf) {
        return lead.kind() != LeadKind.NONE && bite.distance() < kerf / 2 - TOUCH;
    }

    /** The same with what else lies around it. */
    LeadFit within(Clearance along, Clearance atPierce) {
        return new LeadFit(station, lead, bite.orLess(along), pierceRoom.orLess(atPierce));
    }
}
