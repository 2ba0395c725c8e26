package dev.oleander.work.sheet.choice;

import dev.oleander.plan.stop.LeadKind;
import dev.oleander.quantity.Typed;

/** What a person set of a lead; null where nothing was set. Lengths mm, angle degrees. */
public record LeadChoice(LeadKind kind, Typed length, Typed angle, Typed radius) {

    public static final LeadChoice NOTHING = new LeadChoice(null, null, null, null);

    public boolean isNothing() {
        return equals(NOTHING);
    }

    /** Values set here, before those of {@code other}. */
    LeadChoice over(LeadChoice other) {
        return new LeadChoice(
                kind != null ? kind : other.kind,
                length != null ? length : other.length,
                angle != null ? angle : other.angle,
                radius != null ? radius : other.radius);
    }

    public LeadChoice withKind(LeadKind value) {
        return new LeadChoice(value, length, angle, radius);
    }

    public LeadChoice withLength(Typed value) {
        return new LeadChoice(kind, value, angle, radius);
    }

    public LeadChoice withAngle(Typed value) {
        return new LeadChoice(kind, length, value, radius);
    }

    public LeadChoice withRadius(Typed value) {
        return new LeadChoice(kind, length, angle, value);
    }
}
