package dev.oleander.plan.panel;

import dev.oleander.quantity.Worded;

/** What a body of a product is. */
public enum Role implements Worded {
    /** It is made. */
    PANEL,
    /** It only helps: it is in no list, count or program. */
    HELPER,
    /** It comes from elsewhere. */
    BOUGHT
}
