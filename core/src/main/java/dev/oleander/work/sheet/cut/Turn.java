package dev.oleander.work.sheet.cut;

/** Which side of the travel the scrap lies on. */
public enum Turn {
    SCRAP_LEFT(1),
    SCRAP_RIGHT(-1);

    private final int scrap;

    Turn(int scrap) {
        this.scrap = scrap;
    }

    /** 1 when the scrap lies to the left of the travel, -1 when to its right. */
    public int scrap() {
        return scrap;
    }

    public Turn other() {
        return this == SCRAP_LEFT ? SCRAP_RIGHT : SCRAP_LEFT;
    }
}
