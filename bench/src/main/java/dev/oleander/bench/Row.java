package dev.oleander.bench;

/**
 * One figure of a benchmark.
 *
 * @param other figure of what ours is compared with in the same run; null when with nothing
 * @param ratio other divided by ours; null likewise
 * @param atLeast least ratio, or greatest figure where nothing is compared; null when none is set
 * @param aim what it should become; null when none is set
 * @param met whether atLeast is kept
 */
public record Row(
        String work,
        double ours,
        Double other,
        String unit,
        Double ratio,
        Double atLeast,
        Double aim,
        boolean met) {

    /** A figure with a limit it should stay below. */
    public static Row below(String work, double ours, String unit, Double limit, Double aim) {
        boolean met = limit == null || ours <= limit;
        return new Row(work, ours, null, unit, null, limit, aim, met);
    }

    /**
     * The same on a machine that is so much slower than the one that its limit was set on; only
     * times depend on that, and only those that are compared with nothing in the same run.
     */
    Row on(double slower) {
        boolean time = unit.equals("s") || unit.equals("ms") || unit.equals("us");
        return !time || other != null || atLeast == null
                ? this
                : below(work, ours, unit, atLeast * slower, aim == null ? null : aim * slower);
    }

    /** A figure against that of another library; ratio as in twice as fast. */
    public static Row against(
            String work, double ours, double other, String unit, Double atLeast, Double aim) {
        double ratio = other / ours;
        boolean met = atLeast == null || ratio >= atLeast;
        return new Row(work, ours, other, unit, ratio, atLeast, aim, met);
    }
}
