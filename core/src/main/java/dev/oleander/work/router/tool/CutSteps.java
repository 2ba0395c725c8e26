package dev.oleander.work.router.tool;

/**
 * How much at once.
 *
 * @param down mm
 * @param over share of the diameter from one way to the next
 * @param peck mm after which a drill comes up; 0: never
 */
public record CutSteps(double down, double over, double peck) {

    /** Where there are no data: one diameter down, rounds close enough to leave nothing. */
    public static CutSteps usual(Tool tool) {
        return new CutSteps(tool.passDepth(), 0.45, 0);
    }
}
