package dev.oleander.plan.panel;

import dev.oleander.quantity.Named;
import java.util.Locale;

/** What a feature of a panel is. */
public enum FeatureKind implements Named {
    HOLE,
    POCKET,
    GROOVE,
    REBATE,
    CUTOUT,
    SLOT,
    FOLLOW,
    CHAMFER;

    @Override
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether its outline encloses what is taken away. */
    public boolean isArea() {
        return this == POCKET || this == REBATE || this == CUTOUT;
    }
}
