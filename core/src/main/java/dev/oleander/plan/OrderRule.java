package dev.oleander.plan;

/** How stops are put in order. */
public enum OrderRule {
    /** one part after the other, nearest next within each */
    PART_BY_PART("partByPart", "part by part"),
    /** nearest next over the whole sheet */
    SHORTEST("shortest", "shortest travel"),
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
