package dev.oleander.drawing.picture;

/**
 * How far each pixel of ink is from the nearest one of paper, exactly (P. F. Felzenszwalb, D. P.
 * Huttenlocher, "Distance transforms of sampled functions", 2012).
 */
final class DistanceMap {

    private static final float FAR = 1e12f;

    private DistanceMap() {}

    /** Pixels between middles; 0 of paper. Beyond the border is paper. */
    static float[] of(int width, int height, boolean[] ink) {
        int w = width + 2;
        int h = height + 2;
        float[] squares = new float[w * h];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                squares[(y + 1) * w + x + 1] = ink[y * width + x] ? FAR : 0;
            }
        }
        int longest = Math.max(w, h);
        Parabolas parabolas = new Parabolas(longest);
        for (int x = 0; x < w; x++) {
            parabolas.along(squares, x, w, h);
        }
        for (int y = 0; y < h; y++) {
            parabolas.along(squares, y * w, 1, w);
        }
        float[] distances = new float[width * height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                distances[y * width + x] = (float) Math.sqrt(squares[(y + 1) * w + x + 1]);
            }
        }
        return distances;
    }

    /** The lower envelope of parabolas over a row. */
    private static final class Parabolas {

        private final int[] at;
        private final double[] from;
        private final float[] values;

        Parabolas(int most) {
            at = new int[most];
            from = new double[most + 1];
            values = new float[most];
        }

        void along(float[] squares, int start, int step, int n) {
            for (int i = 0; i < n; i++) {
                values[i] = squares[start + i * step];
            }
            int last = 0;
            at[0] = 0;
            from[0] = Double.NEGATIVE_INFINITY;
            from[1] = Double.POSITIVE_INFINITY;
            for (int i = 1; i < n; i++) {
                double meets = meets(i, at[last]);
                while (meets <= from[last]) {
                    last--;
                    meets = meets(i, at[last]);
                }
                last++;
                at[last] = i;
                from[last] = meets;
                from[last + 1] = Double.POSITIVE_INFINITY;
            }
            int k = 0;
            for (int i = 0; i < n; i++) {
                while (from[k + 1] < i) {
                    k++;
                }
                float d = i - at[k];
                squares[start + i * step] = d * d + values[at[k]];
            }
        }

        private double meets(int i, int j) {
            return ((double) values[i] + (double) i * i - values[j] - (double) j * j)
                    / (2.0 * (i - j));
        }
    }
}
