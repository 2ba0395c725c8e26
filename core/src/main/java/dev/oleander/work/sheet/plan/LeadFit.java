package dev.oleander.work.sheet.plan;

import dev.oleander.geometry.Chain.Station;
import dev.oleander.plan.Lead;
import dev.oleander.plan.LeadKind;
import dev.oleander.work.sheet.plan.KeptField.Clearance;

/**
 * A place to begin with its lead, and how much room it has.
 *
 * @param bite least clearance along the lead, mm; must be half the kerf
 * @param pierceRoom clearance of the pierce, mm
 */
record LeadFit(Station station, Lead lead, Clearance bite, Clearance pierceRoom) {

    /** mm; the swath may touch kept material by rounding, not more. */
    static final double TOUCH = 1e-4;

    boolean bites(double kerf) {
        return lead.kind() != LeadKind.NONE && bite.distance() < kerf / 2 - TOUCH;
    }

    /** The same with what else lies around it. */
    LeadFit within(Clearance along, Clearance atPierce) {
        return new LeadFit(station, lead, bite.orLess(along), pierceRoom.orLess(atPierce));
    }
}
