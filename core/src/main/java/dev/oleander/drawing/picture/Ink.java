package dev.oleander.drawing.picture;

/**
 * A picture beside the level that parts ink from paper at each pixel: how much darker than that a
 * pixel is. Rows from the top; beyond the border is paper.
 */
final class Ink {

    private final Picture picture;
    private final byte[] levels;
    private final double level;
    private final byte[] local;
    private final boolean light;

    /**
     * @param level that parts ink from paper
     * @param local the same for each pixel; null: one for all
     * @param light whether what is lighter is the ink
     */
    Ink(Picture picture, double level, byte[] local, boolean light) {
        this.picture = picture;
        this.levels = picture.levels();
        this.level = level;
        this.local = local;
        this.light = light;
    }

    int width() {
        return picture.width();
    }

    int height() {
        return picture.height();
    }

    /** Above 0: ink; levels beside the threshold. */
    double over(int x, int y) {
        double threshold = level(x, y);
        double own;
        if (picture.has(x, y)) {
            own = levels[y * picture.width() + x] & 0xff;
        } else {
            own = light ? 0 : Picture.WHITE;
        }
        return light ? own - threshold : threshold - own;
    }

    private double level(int x, int y) {
        if (local == null) {
            return level;
        }
        int column = Math.min(width() - 1, Math.max(0, x));
        int row = Math.min(height() - 1, Math.max(0, y));
        return local[row * width() + column] & 0xff;
    }

    boolean is(int x, int y) {
        return over(x, y) > 0;
    }

    /** Pixels of ink. */
    int count() {
        int count = 0;
        for (int y = 0; y < height(); y++) {
            for (int x = 0; x < width(); x++) {
                count += is(x, y) ? 1 : 0;
            }
        }
        return count;
    }

    /** Takes a pixel out of the ink, or puts it in. */
    void set(int x, int y, boolean ink) {
        levels[y * width() + x] = (byte) (ink == light ? Picture.WHITE : 0);
    }

    /**
     * Whether there is hardly anything between ink and paper where they meet.
     *
     * @param range levels between ink and paper
     * @param most share of places at which there may be
     */
    boolean hasTwoLevels(double range, double most) {
        long[] met = new long[2];
        for (int y = 0; y < height(); y++) {
            for (int x = 0; x < width(); x++) {
                meets(x, y, x + 1, y, range, met);
                meets(x, y, x, y + 1, range, met);
            }
        }
        return met[0] > 0 && met[1] <= most * met[0];
    }

    private void meets(int x, int y, int u, int v, double range, long[] met) {
        double a = over(x, y);
        double b = over(u, v);
        if (picture.has(u, v) && a > 0 != b > 0) {
            met[0]++;
            met[1] += Math.abs(a - b) < 0.9 * range ? 1 : 0;
        }
    }

    /** How much levels vary within ink and within paper: a middle value, not moved by edges. */
    double noise() {
        int[] steps = new int[Picture.WHITE + 1];
        int all = 0;
        for (int y = 0; y < height(); y++) {
            for (int x = 1; x < width(); x++) {
                int at = y * width() + x;
                steps[Math.abs((levels[at] & 0xff) - (levels[at - 1] & 0xff))]++;
                all++;
            }
        }
        // two thirds of the differences of two levels lie within 1.4 times the deviation of one
        int within = 0;
        for (int i = 0; i < steps.length; i++) {
            within += steps[i];
            if (within >= 0.68 * all) {
                return i / Math.sqrt(2);
            }
        }
        return 0;
    }

    /** A copy that can be changed. */
    boolean[] pixels() {
        boolean[] is = new boolean[width() * height()];
        for (int y = 0; y < height(); y++) {
            for (int x = 0; x < width(); x++) {
                is[y * width() + x] = is(x, y);
            }
        }
        return is;
    }
}
