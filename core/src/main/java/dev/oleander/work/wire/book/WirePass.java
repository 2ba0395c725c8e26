package dev.oleander.work.wire.book;

/**
 * One pass of a wire along a profile.
 *
 * @param gap width of the spark gap, mm
 * @param stock left on the profile for the passes after it, mm
 * @param register of the controller that holds the offset
 * @param condition number of the controller's condition: pulse, pause, servo
 * @param rate area that is cut, height times way, mm2/min
 * @param flushing pressure, bar
 * @param tension of the wire, N
 */
public record WirePass(
        double gap,
        double stock,
        int register,
        int condition,
        double rate,
        double flushing,
        double tension) {

    public WirePass {
        if (!(gap > 0 && stock >= 0 && rate > 0 && flushing >= 0 && tension > 0)) {
            throw new IllegalArgumentException(
                    "gap, rate and tension must be above 0, stock and flushing not below 0");
        }
    }

    /**
     * Distance of the wire's centre from the profile, mm.
     *
     * @param wireRadius mm
     */
    public double offset(double wireRadius) {
        return wireRadius + gap + stock;
    }

    /**
     * Speed along the profile, mm/min.
     *
     * @param height of the work, mm
     */
    public double feed(double height) {
        return rate / height;
    }
}
