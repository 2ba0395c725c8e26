package dev.oleander.drawing.picture;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.BiPredicate;

/** Pictures of made-up shapes: how much of each pixel is covered, by many places in it. */
final class Painted {

    private static final int FINE = 8;

    private Painted() {}

    /**
     * @param ink whether a place is in the ink; pixels, y from below
     */
    static Picture of(int width, int height, BiPredicate<Double, Double> ink) {
        byte[] levels = new byte[width * height];
        for (int row = 0; row < height; row++) {
            for (int x = 0; x < width; x++) {
                int covered = 0;
                for (int j = 0; j < FINE; j++) {
                    for (int i = 0; i < FINE; i++) {
                        double px = x + (i + 0.5) / FINE;
                        double py = height - row - (j + 0.5) / FINE;
                        covered += ink.test(px, py) ? 1 : 0;
                    }
                }
                double share = (double) covered / (FINE * FINE);
                levels[row * width + x] = (byte) Math.round(255 * (1 - share));
            }
        }
        return new Picture(width, height, levels);
    }

    static Picture of(int width, int height, Contour contour) {
        return of(width, height, (x, y) -> contour.contains(new Point(x, y)));
    }

    static Contour polygon(List<Point> corners) {
        List<Segment> lines = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            lines.add(new Line(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return new Contour(lines);
    }

    /** Black and white only. */
    static Picture stepped(Picture of) {
        byte[] levels = of.levels();
        for (int i = 0; i < levels.length; i++) {
            levels[i] = (byte) ((levels[i] & 0xff) < 128 ? 0 : 255);
        }
        return of.with(levels);
    }

    static Picture noisy(Picture of, double deviation, long seed) {
        Random random = new Random(seed);
        byte[] levels = of.levels();
        for (int i = 0; i < levels.length; i++) {
            double level = (levels[i] & 0xff) * 0.8 + 25 + deviation * random.nextGaussian();
            levels[i] = (byte) Math.round(Math.min(255, Math.max(0, level)));
        }
        return of.with(levels);
    }
}
