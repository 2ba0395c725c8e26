package dev.oleander.work.sheet.choice;

import dev.oleander.quantity.Named;

/** How stops are put in order. */
public enum OrderRule implements Named {
    /** one part after the other, the quickest way found between them and within each */
    PART_BY_PART("part by part"),
    /** the quickest way found over the whole sheet */
    SHORTEST("shortest travel"),
    /** one part after the other, to and fro in rows */
    ROW_BY_ROW("row by row"),
    /** one part after the other, from the zero point's corner to the one across */
    CORNER_TO_CORNER("corner to corner"),
    /** as a person moved them */
    BY_HAND("by hand");

    private final String label;

    OrderRule(String label) {
        this.label = label;
    }

    @Override
    public String label() {
        return label;
    }
}
