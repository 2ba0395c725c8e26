package dev.oleander.drawing.picture;

/**
 * Levels half way between the paper and the ink near each place: the extremes of the smoothed
 * picture within some strokes, smoothed (after J. Bernsen, "Dynamic thresholding of grey-level
 * images", 1986).
 */
final class LocalThreshold {

    /** Strokes within which paper and ink are looked for. */
    private static final int STROKES = 3;

    private static final int LEAST = 4;
    private static final int MOST = 200;

    /** Share of the whole picture's contrast below which a place has paper or ink only. */
    private static final double FLAT = 0.25;

    private LocalThreshold() {}

    /**
     * @param level of the whole picture
     */
    static byte[] of(Picture picture, double level) {
        int radius = radius(picture, level);
        Picture soft = picture.smoothed(1);
        byte[] dark = Extremes.least(soft, radius);
        byte[] light = Extremes.most(soft, radius);
        double[] means = Threshold.means(picture.histogram(), level);
        double flat = FLAT * (means[1] - means[0]);
        byte[] half = new byte[dark.length];
        for (int i = 0; i < half.length; i++) {
            int d = dark[i] & 0xff;
            int l = light[i] & 0xff;
            // where there is but one of them, the whole picture says which
            half[i] = (byte) Math.round(l - d < flat ? level : (l + d) / 2.0);
        }
        return picture.with(half).smoothed(radius / 3.0).levels();
    }

    /** From the mean width of strokes: twice the area of the ink over the length of its edges. */
    private static int radius(Picture picture, double level) {
        Ink ink = new Ink(picture, level, null, false);
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
