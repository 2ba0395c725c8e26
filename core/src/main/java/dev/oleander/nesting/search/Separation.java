package dev.oleander.nesting.search;

import java.util.SplittableRandom;

/** Pushes items apart until none overlap, or until that seems hopeless. */
final class Separation {

    /** Less gain than this does not count. */
    private static final double GAIN = 0.98;

    /** So many overlaps are added up in the time of a test. */
    private static final int PAIRS_A_TEST = 128;

    private static final double LEAST = 1.2;
    private static final double MORE = 0.8;
    private static final double DECAY = 0.95;

    private final Scene scene;
    private final SplittableRandom random;
    private final PlaceFinder finder;
    private final Pulse pulse;
    private final int[] order;

    Separation(Scene scene, SplittableRandom random, Pulse pulse) {
        this.scene = scene;
        this.random = random;
        this.pulse = pulse;
        this.finder = new PlaceFinder(scene, random);
        this.order = new int[scene.size()];
    }

    /**
     * How long it is tried.
     *
     * @param passes without gain after which it goes back to the best
     * @param strikes how often it may do so without gain
     */
    record Patience(int passes, int strikes, PlaceFinder.Samples samples) {}

    /**
     * @return the overlap that is left, 0 when everything lies free; the best places found are
     *     those of the scene
     */
    double run(Patience patience) {
        scene.forgetWeights();
        double best = scene.total();
        Scene.Places places = scene.places();
        int strikes = 0;
        while (strikes < patience.strikes && best > 0) {
            double start = best;
            double bestOfStrike = best;
            int idle = 0;
            while (idle < patience.passes && best > 0) {
                pass(patience.samples);
                double total = scene.total();
                if (total < best) {
                    best = total;
                    places = scene.places();
                }
                idle = total < GAIN * bestOfStrike ? 0 : idle + 1;
                bestOfStrike = Math.min(total, bestOfStrike);
                scene.raiseWeights(LEAST, MORE, DECAY);
            }
            strikes = best < GAIN * start ? 0 : strikes + 1;
            if (best > 0) {
                scene.restore(places);
            }
        }
        return best;
    }

    private void pass(PlaceFinder.Samples samples) {
        // All pairs are added up after each pass.
        scene.pairs.done(1 + scene.size() * scene.size() / PAIRS_A_TEST);
        int n = 0;
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] != Scene.NONE && scene.overlap(i) > 0) {
                order[n++] = i;
            }
        }
        for (int i = n - 1; i > 0; i--) {
            int j = random.nextInt(i + 1);
            int swap = order[i];
            order[i] = order[j];
            order[j] = swap;
        }
        for (int k = 0; k < n; k++) {
            if (scene.overlap(order[k]) > 0) {
                finder.improve(order[k], samples);
            }
            pulse.beat();
        }
    }
}
