package dev.oleander.plan;

/** Form of a lead-in or lead-out. */
public enum LeadKind {
    NONE("none"),
    LINE("line"),
    ARC("arc"),
    LINE_ARC("lineArc");

    private final String word;

    LeadKind(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public boolean hasLine() {
        return this == LINE || this == LINE_ARC;
    }

    public boolean hasArc() {
        return this == ARC || this == LINE_ARC;
    }
}
