package dev.oleander.drawing.picture;

/**
 * The level between ink and paper, from the histogram (N. Otsu, "A threshold selection method from
 * gray-level histograms", 1979), then half way between the means of what is darker and what is
 * lighter (T. W. Ridler, S. Calvard, 1978): edges lie where half of a pixel is covered.
 */
public final class Threshold {

    /** Levels between the darkest and the lightest by which ink can be told from paper. */
    private static final int LEAST_CONTRAST = 8;

    private static final int ROUNDS = 50;

    private Threshold() {}

    /**
     * @throws PictureException when the picture is of one level, nearly
     */
    public static double of(Picture picture) {
        return of(picture.histogram());
    }

    /**
     * The same of the counts of levels.
     *
     * @throws PictureException when there is one level, nearly
     */
    public static double of(int[] histogram) {
        int darkest = 0;
        while (histogram[darkest] == 0) {
            darkest++;
        }
        int lightest = histogram.length - 1;
        while (histogram[lightest] == 0) {
            lightest--;
        }
        if (lightest - darkest < LEAST_CONTRAST) {
            throw new PictureException(
                    "Nothing is darker than the rest: all levels lie between %d and %d, so there is no ink to outline.",
                    darkest, lightest);
        }
        return halfWay(histogram, between(histogram));
    }

    /** The level that parts the histogram best; the middle of those that do it equally well. */
    private static double between(int[] histogram) {
        double all = 0;
        double sum = 0;
        for (int i = 0; i < histogram.length; i++) {
            all += histogram[i];
            sum += (double) i * histogram[i];
        }
        double best = -1;
        int first = 0;
        int last = 0;
        double dark = 0;
        double darkSum = 0;
        for (int i = 0; i < histogram.length - 1; i++) {
            dark += histogram[i];
            darkSum += (double) i * histogram[i];
            double light = all - dark;
            if (dark > 0 && light > 0) {
                double apart = darkSum / dark - (sum - darkSum) / light;
                double parted = dark * light * apart * apart;
                if (parted > best * (1 + 1e-12)) {
                    best = parted;
                    first = i;
                }
                if (parted >= best * (1 - 1e-12)) {
                    last = i;
                }
            }
        }
        return (first + last + 1) / 2.0;
    }

    private static double halfWay(int[] histogram, double begun) {
        double level = begun;
        for (int round = 0; round < ROUNDS; round++) {
            double[] means = means(histogram, level);
            double next = (means[0] + means[1]) / 2;
            if (Math.abs(next - level) < 1e-9) {
                break;
            }
            level = next;
        }
        return level;
    }

    /** Of what is darker, and of what is not. */
    static double[] means(int[] histogram, double level) {
        double[] sums = new double[2];
        double[] counts = new double[2];
        for (int i = 0; i < histogram.length; i++) {
            int side = i < level ? 0 : 1;
            sums[side] += (double) i * histogram[i];
            counts[side] += histogram[i];
        }
        return new double[] {
            counts[0] == 0 ? 0 : sums[0] / counts[0],
            counts[1] == 0 ? Picture.WHITE : sums[1] / counts[1]
        };
    }
}
