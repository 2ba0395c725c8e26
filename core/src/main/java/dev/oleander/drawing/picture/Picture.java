package dev.oleander.drawing.picture;

/**
 * Levels of grey in rows from the top: 0 is black, 255 white. Beyond its border everything is
 * paper.
 */
public final class Picture {

    /** The lightest level. */
    public static final int WHITE = 255;

    private final int width;
    private final int height;
    private final byte[] levels;

    /**
     * @param levels row by row; not copied
     * @throws IllegalArgumentException when there is not one level for each pixel
     */
    public Picture(int width, int height, byte[] levels) {
        if (width < 1 || height < 1 || levels.length != width * height) {
            throw new IllegalArgumentException(
                    "%d levels for %d x %d pixels".formatted(levels.length, width, height));
        }
        this.width = width;
        this.height = height;
        this.levels = levels;
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** Of a pixel of the picture. */
    public int at(int x, int y) {
        return levels[y * width + x] & 0xff;
    }

    boolean has(int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height;
    }

    /** How many pixels have each level. */
    public int[] histogram() {
        int[] counts = new int[WHITE + 1];
        for (byte level : levels) {
            counts[level & 0xff]++;
        }
        return counts;
    }

    /** The same with other levels. */
    Picture with(byte[] others) {
        return new Picture(width, height, others);
    }

    /** A copy of the levels, row by row. */
    byte[] levels() {
        return levels.clone();
    }

    /**
     * Smoothed by a bell curve.
     *
     * @param sigma its width in pixels; 0: as it is
     */
    public Picture smoothed(double sigma) {
        if (sigma <= 0) {
            return this;
        }
        double[] bell = bell(sigma);
        byte[] rows = new byte[levels.length];
        byte[] both = new byte[levels.length];
        for (int y = 0; y < height; y++) {
            smooth(levels, rows, y * width, 1, width, bell);
        }
        for (int x = 0; x < width; x++) {
            smooth(rows, both, x, width, height, bell);
        }
        return with(both);
    }

    private static double[] bell(double sigma) {
        int half = (int) Math.ceil(3 * sigma);
        double[] bell = new double[2 * half + 1];
        double sum = 0;
        for (int i = 0; i < bell.length; i++) {
            bell[i] = Math.exp(-Math.pow((i - half) / sigma, 2) / 2);
            sum += bell[i];
        }
        for (int i = 0; i < bell.length; i++) {
            bell[i] /= sum;
        }
        return bell;
    }

    private static void smooth(byte[] in, byte[] out, int from, int step, int n, double[] bell) {
        int half = bell.length / 2;
        for (int i = 0; i < n; i++) {
            double sum = 0;
            for (int k = -half; k <= half; k++) {
                int at = Math.min(n - 1, Math.max(0, i + k));
                sum += bell[k + half] * (in[from + at * step] & 0xff);
            }
            out[from + i * step] = (byte) Math.round(sum);
        }
    }

    /** A smaller one, each of whose pixels is the mean of some in a square. */
    public Picture reduced(int by) {
        if (by <= 1) {
            return this;
        }
        int w = (width + by - 1) / by;
        int h = (height + by - 1) / by;
        byte[] means = new byte[w * h];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                means[y * w + x] = (byte) mean(x * by, y * by, by);
            }
        }
        return new Picture(w, h, means);
    }

    /** Of what is beyond the border, paper counts. */
    private int mean(int x, int y, int by) {
        int sum = 0;
        for (int j = y; j < Math.min(height, y + by); j++) {
            for (int i = x; i < Math.min(width, x + by); i++) {
                sum += at(i, j) - WHITE;
            }
        }
        return Math.round((float) sum / (by * by)) + WHITE;
    }
}
