package dev.oleander.nesting.search;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Shrinks the room of a nest: the front of the last sheet moves back, what sticks out is put back
 * in, and everything is pushed apart again.
 */
final class Strip {

    /** How far the front moves back at once while something new is looked for, of all length. */
    private static final double EXPLORE = 0.01;

    private static final double EXPLORE_LEAST = 0.002;

    /** A step that takes more work than this was a large one. */
    private static final long MUCH = 1_500_000;

    private static final double PRESS = 0.001;
    private static final double PRESS_LEAST = 1e-5;

    /** By how much a small step grows when it succeeds. */
    private static final double PRESS_GROW = 1.3;

    private static final Separation.Patience LONG =
            new Separation.Patience(100, 3, new PlaceFinder.Samples(12, 8, 12));
    private static final Separation.Patience SHORT =
            new Separation.Patience(60, 2, new PlaceFinder.Samples(12, 12, 16));

    /** Failed places that are kept to go on from. */
    private static final int KEPT = 12;

    private final Scene scene;
    private final SheetSet set;
    private final SplittableRandom random;
    private final Separation separation;
    private final Exchange exchange;
    private final List<Failed> failed = new ArrayList<>();
    private Scene.Places best;
    private double front;
    private double rate = EXPLORE;
    private double press = PRESS;
    private int failures;

    private record Failed(Scene.Places places, double overlap) {}

    /**
     * @param scene with a nest without overlaps
     */
    Strip(Scene scene, SheetSet set, SplittableRandom random, Pulse pulse) {
        this.scene = scene;
        this.set = set;
        this.random = random;
        this.separation = new Separation(scene, random, pulse);
        this.exchange = new Exchange(scene, random);
        accept();
    }

    Scene scene() {
        return scene;
    }

    SheetSet set() {
        return set;
    }

    Scene.Places best() {
        return best;
    }

    /** Whether nothing lies on the last sheet. */
    boolean isSpent() {
        return front <= set.origin();
    }

    int failures() {
        return failures;
    }

    /** Begins anew from another nest. */
    void take(Scene.Places places) {
        scene.restore(places);
        failures = 0;
        failed.clear();
        accept();
    }

    /** Length of all sheets as far as they may be used, mm. */
    private double length() {
        return (set.area() - set.last().area) / set.across() + front - set.origin();
    }

    /** The front at the parts that reach farthest. */
    private void accept() {
        double reach = set.origin();
        int r = set.front();
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == r) {
                double end =
                        set.alongX()
                                ? scene.way[i].maxX + scene.x[i]
                                : scene.way[i].maxY + scene.y[i];
                reach = Math.max(reach, end);
            }
        }
        front = reach;
        setFront(reach);
        best = scene.places();
    }

    private void setFront(double to) {
        double[] fronts = set.alongX() ? scene.frontX : scene.frontY;
        fronts[set.front()] = to;
    }

    /**
     * One step back with something new.
     *
     * @return whether a better nest was found
     */
    boolean explore() {
        double target = front - rate * length();
        begin(target);
        long before = scene.pairs.work();
        double left = separation.run(LONG);
        if (left == 0) {
            boolean easy = scene.pairs.work() - before < MUCH;
            accept();
            failures = 0;
            failed.clear();
            rate = easy ? Math.min(EXPLORE, 1.5 * rate) : Math.max(EXPLORE_LEAST, rate / 1.5);
            return true;
        }
        keep(new Failed(scene.places(), left));
        failures++;
        if (failures % 4 == 0) {
            rate = Math.max(EXPLORE_LEAST, rate / 1.5);
            failed.clear();
        }
        return false;
    }

    /** From the best, or from a failure that was near, shaken. */
    private void begin(double target) {
        if (failed.isEmpty()) {
            scene.restore(best);
            setFront(target);
            bringIn();
            if (failures > 0) {
                exchange.run();
            }
            return;
        }
        // The better ones more often.
        double pick = random.nextDouble() * random.nextDouble();
        Failed from = failed.get((int) (pick * failed.size()));
        scene.restore(from.places);
        setFront(target);
        bringIn();
        exchange.run();
    }

    private void keep(Failed one) {
        int at = 0;
        while (at < failed.size() && failed.get(at).overlap < one.overlap) {
            at++;
        }
        failed.add(at, one);
        if (failed.size() > KEPT) {
            failed.remove(KEPT);
        }
    }

    /**
     * One small step back, with little patience.
     *
     * @return whether a better nest was found
     */
    boolean press() {
        scene.restore(best);
        setFront(front - press * length());
        bringIn();
        if (separation.run(SHORT) == 0) {
            accept();
            press = Math.min(PRESS, PRESS_GROW * press);
            return true;
        }
        press = Math.max(PRESS_LEAST, press / 1.5);
        scene.restore(best);
        return false;
    }

    private void bringIn() {
        int r = set.front();
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == r && !scene.within(scene.way[i], scene.x[i], scene.y[i], r)) {
                scene.putWithin(i, scene.way[i], scene.x[i], scene.y[i], r);
            }
        }
    }
}
