package dev.oleander.motion;

/**
 * Speed over one move: from an entry speed up to a peak, along it, down to an exit speed, with
 * equal acceleration. Speeds mm/s, acceleration mm/s2, length mm.
 */
public record Profile(double length, double entry, double peak, double exit, double acceleration) {

    /** A standstill of no length, for items that do not move. */
    static final Profile NONE = new Profile(0, 0, 0, 0, 0);

    /** The fastest profile that keeps to a speed limit between two given speeds. */
    static Profile fastest(double length, double entry, double exit, double limit, double a) {
        // where the rising and the falling branch meet: v^2 = (2 a L + v0^2 + v1^2) / 2
        double meeting = Math.sqrt((2 * a * length + entry * entry + exit * exit) / 2);
        double peak = Math.max(Math.max(entry, exit), Math.min(limit, meeting));
        return new Profile(length, entry, peak, exit, a);
    }

    /** Time for the move, s. */
    public double seconds() {
        if (length == 0) {
            return 0;
        }
        double rising = peak - entry;
        double falling = peak - exit;
        double ramps = (peak * peak - entry * entry + peak * peak - exit * exit);
        double steady = Math.max(0, length - ramps / (2 * acceleration));
        return (rising + falling) / acceleration + steady / peak;
    }

    /** Distance covered after a time, mm; limited to the move. */
    public double distanceAt(double seconds) {
        double up = (peak - entry) / acceleration;
        double down = (peak - exit) / acceleration;
        double all = seconds();
        double t = Math.max(0, Math.min(all, seconds));
        if (t <= up) {
            return entry * t + acceleration * t * t / 2;
        }
        if (t >= all - down) {
            double left = all - t;
            return length - exit * left - acceleration * left * left / 2;
        }
        double risen = (peak * peak - entry * entry) / (2 * acceleration);
        return risen + peak * (t - up);
    }
}
