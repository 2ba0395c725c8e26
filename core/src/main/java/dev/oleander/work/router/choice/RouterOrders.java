package dev.oleander.work.router.choice;

import dev.oleander.quantity.Named;

/** How the stops of a router follow each other. */
public enum RouterOrders implements Named {
    /** the fewest changes of the tool over all copies, then the shortest ways */
    FEWEST_CHANGES("fewest tool changes"),
    /** everything of a copy before the next */
    COPY_BY_COPY("copy by copy"),
    /** as a person moved them */
    BY_HAND("by hand");

    private final String label;

    RouterOrders(String label) {
        this.label = label;
    }

    @Override
    public String label() {
        return label;
    }
}
