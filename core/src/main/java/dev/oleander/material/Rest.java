package dev.oleander.material;

/** What becomes of a piece when its outline is closed. */
public enum Rest {
    /** tabs hold it in the sheet */
    HELD("is held by tabs"),
    /** it lies on the slats */
    RESTS("lies on the slats"),
    /** its weight is outside of where the slats carry it: an edge comes up */
    TIPS("can tip"),
    /** no slat is under it */
    FALLS("falls between the slats");

    private final String says;

    Rest(String says) {
        this.says = says;
    }

    /** For sentences: can tip. */
    public String says() {
        return says;
    }

    /** Whether something of it may still be in the way of the head. */
    public boolean isInTheWay() {
        return this == RESTS || this == TIPS;
    }
}
