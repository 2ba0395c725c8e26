package dev.oleander.drawing.picture;

import java.util.Arrays;

/**
 * Levels half way between the paper and the ink near each place: the extremes of the smoothed
 * picture within some strokes, smoothed (after J. Bernsen, "Dynamic thresholding of grey-level
 * images", 1986).
 */
final class LocalThreshold {

    /** Strokes within which paper and ink are looked for. */
    private static final int STROKES = 3;

    /** Where strokes are not known yet: a share of the picture's shorter side. */
    private static final int SIDES = 8;

    private static final int WIDEST_FIRST = 60;

    private static final int LEAST = 4;
    private static final int MOST = 200;

    /** Share of the whole picture's contrast below which a place has paper or ink only. */
    private static final double FLAT = 0.25;

    private LocalThreshold() {}

    /**
     * @param level of the whole picture
     */
    static byte[] of(Picture picture, double level) {
        int side = Math.min(picture.width(), picture.height());
        int first = Math.min(WIDEST_FIRST, Math.max(LEAST, side / SIDES));
        byte[] begun = within(picture, level, first);
        // only now is it known how wide strokes are: shaded paper is no ink any more
        return within(picture, level, radius(new Ink(picture, level, begun, false)));
    }

    private static byte[] within(Picture picture, double level, int radius) {
        Picture soft = picture.smoothed(1);
        byte[] dark = Extremes.least(soft, radius);
        byte[] light = Extremes.most(soft, radius);
        double[] means = Threshold.means(picture.histogram(), level);
        double flat = FLAT * (means[1] - means[0]);
        byte[] half = new byte[dark.length];
        int[] known = new int[dark.length];
        int count = 0;
        for (int i = 0; i < half.length; i++) {
            int d = dark[i] & 0xff;
            int l = light[i] & 0xff;
            half[i] = (byte) Math.round((l + d) / 2.0);
            if (l - d >= flat) {
                known[count++] = i;
            }
        }
        if (count == 0) {
            Arrays.fill(half, (byte) Math.round(level));
        } else {
            spread(half, known, count, picture);
        }
        return picture.with(half).smoothed(radius / 3.0).levels();
    }

    /** Where there is but paper or ink, the level is that of the nearest place with both. */
    private static void spread(byte[] half, int[] known, int count, Picture picture) {
        int w = picture.width();
        boolean[] is = new boolean[half.length];
        for (int i = 0; i < count; i++) {
            is[known[i]] = true;
        }
        int last = count;
        for (int next = 0; next < last; next++) {
            int at = known[next];
            int x = at % w;
            int y = at / w;
            int[] beside = {
                x > 0 ? at - 1 : at,
                x < w - 1 ? at + 1 : at,
                y > 0 ? at - w : at,
                y < picture.height() - 1 ? at + w : at
            };
            for (int other : beside) {
                if (!is[other]) {
                    is[other] = true;
                    half[other] = half[at];
                    known[last++] = other;
                }
            }
        }
    }

    /** From the mean width of strokes: twice the area of the ink over the length of its edges. */
    private static int radius(Ink ink) {
        double edge = 0;
        for (int y = 0; y < ink.height(); y++) {
            boolean before = false;
            for (int x = 0; x < ink.width(); x++) {
                boolean is = ink.is(x, y);
                edge += is == before ? 0 : 1;
                before = is;
            }
        }
        double stroke = edge == 0 ? LEAST : 2 * ink.count() / edge;
        return (int) Math.round(Math.min(MOST, Math.max(LEAST, STROKES * stroke)));
    }
}
