package dev.oleander.plan;

/** How stops are put in order. */
public enum OrderRule {
    /** one part after the other, the quickest way found between them and within each */
    PART_BY_PART("partByPart", "part by part"),
    /** the quickest way found over the whole sheet */
    SHORTEST("shortest", "shortest travel"),
    /** one part after the other, to and fro in rows */
    ROW_BY_ROW("rowByRow", "row by row"),
    /** one part after the other, from the zero point's corner to the one across */
    CORNER_TO_CORNER("cornerToCorner", "corner to corner"),
    /** as a person moved them */
    BY_HAND("byHand", "by hand");

    private final String word;
    private final String label;

    OrderRule(String word, String label) {
        this.word = word;
        this.label = label;
    }

    public String word() {
        return word;
    }

    public String label() {
        return label;
    }
}
