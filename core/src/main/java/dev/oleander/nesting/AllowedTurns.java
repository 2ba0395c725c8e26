package dev.oleander.nesting;

/**
 * By how much a part may be turned, counted from the grain of the sheet.
 *
 * @param step degrees between two allowed turns, a part of 360; 0: any turn
 */
public record AllowedTurns(double step) {

    public static final AllowedTurns FIXED = new AllowedTurns(360);
    public static final AllowedTurns HALF = new AllowedTurns(180);
    public static final AllowedTurns QUARTER = new AllowedTurns(90);
    public static final AllowedTurns ANY = new AllowedTurns(0);

    /** Degrees within which a turn counts as one of the allowed ones. */
    private static final double SAME = 1e-6;

    /** Finer steps are as good as any turn, and would only fill tables. */
    private static final double FINEST = 0.5;

    public AllowedTurns {
        double parts = 360 / step;
        boolean whole = step >= FINEST && step <= 360 && Math.abs(parts - Math.rint(parts)) < SAME;
        if (step != 0 && !whole) {
            throw new NestException(
                    "A step of %s degrees between turns: it must divide 360 and be at least %s."
                            .formatted(step, FINEST));
        }
    }

    public boolean isAny() {
        return step == 0;
    }

    /** How many turns there are; 0 when any is allowed. */
    public int count() {
        return isAny() ? 0 : (int) Math.rint(360 / step);
    }

    /**
     * @param degrees from the grain of the sheet
     */
    public boolean allow(double degrees) {
        if (isAny()) {
            return true;
        }
        double rest = Math.abs(degrees) % step;
        return Math.min(rest, step - rest) <= SAME;
    }

    /** Whether a part with these turns may lie however one with the others does. */
    public boolean include(AllowedTurns others) {
        return isAny() || !others.isAny() && allow(others.step);
    }
}
