package dev.oleander.machine;

/**
 * A machine: what it can reach, how fast it moves, what its people cost.
 *
 * @param id short name for addresses, lower case
 * @param dialect name of the format of its programs
 * @param pathDeviation mm; how far the path may be left at a corner, which sets the corner speed
 * @param hourlyRate money per hour of machine time, in the shop's currency
 */
public record Machine(
        String id,
        String name,
        String process,
        String dialect,
        Travel travel,
        Motion motion,
        double pathDeviation,
        double hourlyRate) {

    /** Usable travel of the head, mm. */
    public record Travel(double x, double y) {}

    /**
     * Limits of motion.
     *
     * @param rapid mm/min along each axis when the process is off
     * @param acceleration mm/s2 along each axis
     * @param liftSeconds time to raise the head before a travel
     * @param lowerSeconds time to lower and settle it after
     */
    public record Motion(
            double rapid, double acceleration, double liftSeconds, double lowerSeconds) {}
}
