package dev.oleander.drawing.picture;

import dev.oleander.geometry.Point;

/** How much is dark in a square of a picture, by sums over rectangles from its corner. */
final class Tones {

    private final Picture picture;
    private final double scale;
    private final double half;

    /** Of all above and to the left, with a row and a column of nothing before. */
    private final double[] sums;

    Tones(Picture picture, DotSpec spec) {
        this.picture = picture;
        this.scale = picture.width() / spec.width();
        this.half = spec.pitch() * scale / 2;
        double[] dark = new double[Picture.WHITE + 1];
        for (int level = 0; level < dark.length; level++) {
            double light = (double) level / Picture.WHITE;
            double tone = spec.linear() ? linear(light) : light;
            dark[level] = spec.invert() ? tone : 1 - tone;
        }
        int w = picture.width() + 1;
        this.sums = new double[w * (picture.height() + 1)];
        for (int y = 0; y < picture.height(); y++) {
            double row = 0;
            for (int x = 0; x < picture.width(); x++) {
                row += dark[picture.at(x, y)];
                sums[(y + 1) * w + x + 1] = sums[y * w + x + 1] + row;
            }
        }
    }

    /** Light of a written tone, 0 to 1 (IEC 61966-2-1). */
    private static double linear(double written) {
        return written <= 0.04045 ? written / 12.92 : Math.pow((written + 0.055) / 1.055, 2.4);
    }

    /**
     * Share that is dark of a square as wide as the pitch.
     *
     * @param place mm from the lower left corner
     */
    double at(Point place) {
        double x = place.x() * scale;
        double y = picture.height() - place.y() * scale;
        int left = clamp(Math.round(x - half), picture.width() - 1);
        int top = clamp(Math.round(y - half), picture.height() - 1);
        int right = Math.max(left + 1, clamp(Math.round(x + half), picture.width()));
        int bottom = Math.max(top + 1, clamp(Math.round(y + half), picture.height()));
        int w = picture.width() + 1;
        double sum =
                sums[bottom * w + right]
                        - sums[top * w + right]
                        - sums[bottom * w + left]
                        + sums[top * w + left];
        return sum / ((double) (right - left) * (bottom - top));
    }

    private static int clamp(long at, int most) {
        return (int) Math.min(most, Math.max(0, at));
    }
}
