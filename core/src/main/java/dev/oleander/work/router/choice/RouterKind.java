package dev.oleander.work.router.choice;

import dev.oleander.quantity.Named;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What is done to a feature, as far as rules and single features say it. */
public enum RouterKind implements Named {
    CONTOUR("round the contour", "contours"),
    POCKET("clear a pocket", "pockets"),
    DRILL("drill", "drilled holes"),
    BORE("bore", "bored holes"),
    FOLLOW("follow the line", "lines followed"),
    SLOT("mill a slot", "slots"),
    GROOVE("saw a groove", "sawn grooves"),
    CARVE("carve", "carvings"),
    CHAMFER("break the edge", "broken edges"),
    EDGE_DRILL("drill into the edge", "holes in edges"),
    /** nothing is done to it */
    LEAVE("leave as it is", "features left");

    private final String label;
    private final String plural;

    RouterKind(String label, String plural) {
        this.label = label;
        this.plural = plural;
    }

    @Override
    public String label() {
        return label;
    }

    /** Several of them. */
    public String plural() {
        return plural;
    }

    public static Optional<RouterKind> of(String word) {
        return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
    }

    /** Those that something is done by. */
    public static List<RouterKind> deeds() {
        return Arrays.stream(values()).filter(k -> k != LEAVE).toList();
    }
}
