package dev.oleander.drawing.picture;

/**
 * Where an edge crosses a row of pixels: they are covered together as far as it lies in, however
 * steep it is and however soft. That is exact for straight edges, where the level half way between
 * two pixels is up to 0.09 pixels off.
 */
final class Coverage {

    /** Pixels on either side within which an edge is soft. */
    private static final int SOFT = 3;

    /** Share of the levels by which the threshold may lie off the middle. */
    private static final double MIDDLE = 0.15;

    private Coverage() {}

    /**
     * @param x column of a pixel of ink
     * @param dx step to a pixel of paper beside it, in columns
     * @param dy the same in rows
     * @return way from the middle of the ink's pixel, pixels; NaN when the threshold is not half
     *     way between what is there
     */
    static double edge(Ink ink, int x, int y, int dx, int dy) {
        int in = 0;
        double dark = ink.over(x, y);
        while (in < SOFT && ink.over(x - (in + 1) * dx, y - (in + 1) * dy) > dark) {
            in++;
            dark = ink.over(x - in * dx, y - in * dy);
        }
        int out = 1;
        double light = ink.over(x + dx, y + dy);
        while (out < SOFT && ink.over(x + (out + 1) * dx, y + (out + 1) * dy) < light) {
            out++;
            light = ink.over(x + out * dx, y + out * dy);
        }
        if (Math.abs(dark + light) > 2 * MIDDLE * (dark - light)) {
            return Double.NaN;
        }
        double covered = 0;
        for (int i = -in + 1; i < out; i++) {
            covered += (ink.over(x + i * dx, y + i * dy) - light) / (dark - light);
        }
        return -in + 0.5 + covered;
    }
}
