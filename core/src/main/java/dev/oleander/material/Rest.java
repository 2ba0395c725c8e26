package dev.oleander.material;

/** What becomes of a piece when its outline is closed. */
public enum Rest {
    /** tabs hold it in the sheet */
    HELD("is held by tabs", "held by tabs"),
    /** it lies on the slats */
    RESTS("lies on the slats", "on the slats"),
    /** its weight is outside of where the slats carry it: an edge comes up */
    TIPS("can tip", "can tip"),
    /** no slat is under it */
    FALLS("falls between the slats", "falls through");

    private final String says;
    private final String state;

    Rest(String says, String state) {
        this.says = says;
        this.state = state;
    }

    /** For sentences: can tip. */
    public String says() {
        return says;
    }

    /** In a table: held by tabs. */
    public String state() {
        return state;
    }

    /** Whether something of it may still be in the way of the head. */
    public boolean isInTheWay() {
        return this == RESTS || this == TIPS;
    }
}
