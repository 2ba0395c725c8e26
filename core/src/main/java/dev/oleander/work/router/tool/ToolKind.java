package dev.oleander.work.router.tool;

import dev.oleander.plan.panel.Face;
import dev.oleander.quantity.Named;
import java.util.Locale;
import java.util.Optional;

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
    SAW("saw"),
    /** a drill that lies, for holes in edges that look towards smaller X */
    SIDE_DRILL_LEFT("sideDrillLeft", Face.LEFT),
    SIDE_DRILL_RIGHT("sideDrillRight", Face.RIGHT),
    /** for holes in edges that look towards smaller Y */
    SIDE_DRILL_FRONT("sideDrillFront", Face.FRONT),
    SIDE_DRILL_BACK("sideDrillBack", Face.BACK);

    private final String word;
    private final Face looks;

    ToolKind(String word) {
        this(word, null);
    }

    ToolKind(String word, Face looks) {
        this.word = word;
        this.looks = looks;
    }

    /** Which edges it drills, of one that lies; empty of those that stand. */
    public Optional<Face> looks() {
        return Optional.ofNullable(looks);
    }

    /** Whether its axis lies. */
    public boolean lies() {
        return looks != null;
    }

    /** The kind whose data hold for it. */
    public String ofData() {
        return lies() ? DRILL.word : word;
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
