package dev.oleander.nesting.search;

import dev.oleander.nesting.OrderLine;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Consumer;

/**
 * More parts than room: those of high priority are pressed in, one after the other, and lower ones
 * take what is left.
 */
final class Priorities {

    private static final Separation.Patience INSERT =
            new Separation.Patience(50, 2, new PlaceFinder.Samples(24, 16, 24));

    private static final int TRIES = 160;

    /** Failures in a row after which the next priority is looked at. */
    private static final int PATIENCE = 40;

    private final Model model;
    private final SheetSet set;
    private final SplittableRandom random;
    private final Scene scene;
    private final Separation separation;
    private final Construction construction;
    private final PlaceFinder finder;
    private final Consumer<Found> found;

    Priorities(
            Model model,
            SheetSet set,
            SplittableRandom random,
            Pulse pulse,
            PairTest pairs,
            Consumer<Found> found) {
        this.model = model;
        this.set = set;
        this.random = random;
        this.found = found;
        this.scene =
                new Scene(
                        model.items.toArray(Kind[]::new), set.rooms().toArray(Room[]::new), pairs);
        this.separation = new Separation(scene, random, pulse);
        this.construction = new Construction(scene, random, pulse, TRIES);
        this.finder = new PlaceFinder(scene, random);
    }

    /** Goes through all priorities once, each as long as it gains. */
    void run(Found from) {
        if (from != null && from.set() == set) {
            scene.restore(from.places());
        }
        for (int priority = 1; priority <= Model.PRIORITIES; priority++) {
            press(priority);
        }
    }

    private void press(int priority) {
        if (missing(priority).isEmpty()) {
            return;
        }
        Scene.Places whole = scene.places();
        leaveOut(priority);
        Scene.Places base = scene.places();
        double baseArea = area(priority);
        boolean gained = false;
        for (int failures = 0; failures < PATIENCE && !missing(priority).isEmpty(); ) {
            trade(priority);
            if (separation.run(INSERT) == 0 && area(priority) > baseArea) {
                base = scene.places();
                baseArea = area(priority);
                gained = true;
                failures = 0;
                fillUp();
                found.accept(new Found(model.score(scene, set), set, scene.places()));
            } else {
                failures++;
            }
            scene.restore(base);
        }
        scene.restore(gained ? base : whole);
        fillUp();
    }

    /** Takes away what is of lower priority. */
    private void leaveOut(int priority) {
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] != Scene.NONE && scene.items[i].line.priority() > priority) {
                scene.take(i);
            }
        }
    }

    private List<Integer> missing(int priority) {
        List<Integer> all = new ArrayList<>();
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == Scene.NONE && scene.items[i].line.priority() == priority) {
                all.add(i);
            }
        }
        return all;
    }

    private double area(int priority) {
        double sum = 0;
        for (int i = 0; i < scene.size(); i++) {
            OrderLine line = scene.items[i].line;
            if (scene.room[i] != Scene.NONE && line.priority() == priority) {
                sum += line.shape().area();
            }
        }
        return sum;
    }

    /** Brings a missing part in; now and then a smaller one goes for it. */
    private void trade(int priority) {
        List<Integer> missing = missing(priority);
        int in = missing.get(random.nextInt(missing.size()));
        double area = scene.items[in].line.shape().area();
        if (random.nextInt(3) > 0) {
            List<Integer> smaller = new ArrayList<>();
            for (int i = 0; i < scene.size(); i++) {
                OrderLine line = scene.items[i].line;
                if (scene.room[i] != Scene.NONE
                        && line.priority() == priority
                        && line.shape().area() < area) {
                    smaller.add(i);
                }
            }
            if (!smaller.isEmpty()) {
                scene.take(smaller.get(random.nextInt(smaller.size())));
            }
        }
        bringIn(in);
    }

    private void bringIn(int item) {
        if (scene.putAnywhere(item, random)) {
            finder.improve(item, INSERT.samples());
        }
    }

    /** Lays everything that still finds a free place. */
    private void fillUp() {
        int[] rooms = scene.allRooms();
        for (int i = 0; i < scene.size(); i++) {
            if (scene.room[i] == Scene.NONE) {
                construction.lay(i, rooms);
            }
        }
    }
}
