package dev.oleander.work.router.tool;

import dev.oleander.quantity.Named;
import java.util.Locale;

/** What a rotating tool is, by the form of what it leaves. */
public enum ToolKind implements Named {
    /** flat end, straight flanks */
    STRAIGHT("straight"),
    /** half a ball at the end */
    BALL("ball"),
    /** a cone, with a flat tip or none */
    POINTED("pointed"),
    /** flat end; the lower edges pull up, the upper ones push down */
    COMPRESSION("compression"),
    DRILL("drill"),
    /** a drill with a long point, for holes that go through */
    THROUGH_DRILL("throughDrill"),
    COUNTERSINK("countersink"),
    /** a blade whose axis lies across its way */
    SAW("saw");

    private final String word;

    ToolKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** In sentences: through drill. */
    public String label() {
        return word.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT);
    }

    /** Whether it leaves a flat floor and upright walls. */
    public boolean isFlat() {
        return this == STRAIGHT || this == COMPRESSION;
    }

    /** Whether its end is a cone. */
    public boolean isConical() {
        return this == POINTED || this == COUNTERSINK;
    }

    public boolean isDrill() {
        return this == DRILL || this == THROUGH_DRILL;
    }
}
