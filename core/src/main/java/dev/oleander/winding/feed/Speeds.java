package dev.oleander.winding.feed;

/** The least time that speeds of axes and roving alone allow; no programme can be quicker. */
public final class Speeds {

    private static final int PARTS = 2000;

    private Speeds() {}

    /** Of one repetition of the path. */
    public static double seconds(AxisWay way, AxisLimits limits) {
        double length = way.path().path().length();
        double step = length / PARTS;
        double seconds = 0;
        for (int i = 0; i < PARTS; i++) {
            seconds += step / way.speedLimit((i + 0.5) * step, limits);
        }
        return seconds;
    }
}
