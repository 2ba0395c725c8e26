package dev.oleander.nesting.search;

import dev.oleander.geometry.Box;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;

/** Lays parts that only fill what is left, without taking anything from a remnant. */
final class Filler {

    private static final int TRIES = 400;

    private final Model model;
    private final Scene scene;
    private final SheetSet set;
    private final Construction construction;
    private final int first;

    Filler(Model model, Found found, long seed) {
        this.model = model;
        this.set = found.set();
        this.first = model.items.size();
        List<Kind> all = new ArrayList<>(model.items);
        all.addAll(model.fill);
        this.scene =
                new Scene(
                        all.toArray(Kind[]::new), set.rooms().toArray(Room[]::new), new PairTest());
        Scene.Places places = found.places();
        for (int i = 0; i < first; i++) {
            int r = places.room()[i];
            if (r != Scene.NONE) {
                scene.put(i, places.way()[i], places.x()[i], places.y()[i], r);
            }
        }
        this.construction = new Construction(scene, new SplittableRandom(seed), () -> {}, TRIES);
    }

    /** Everything that finds room, and where the rest lies as before. */
    Scene.Places filled() {
        int[] used = used();
        for (int r : used) {
            keepRemnant(r);
        }
        Set<Kind> full = new HashSet<>();
        for (int i = first; i < scene.size() && used.length > 0; i++) {
            Kind kind = scene.items[i];
            if (!full.contains(kind) && !construction.lay(i, used)) {
                full.add(kind);
            }
        }
        return scene.places();
    }

    private int[] used() {
        Set<Integer> rooms = new HashSet<>();
        for (int i = 0; i < first; i++) {
            if (scene.room[i] != Scene.NONE) {
                rooms.add(scene.room[i]);
            }
        }
        for (int r = 0; r < set.rooms().size(); r++) {
            if (!set.locked(r).isEmpty()) {
                rooms.add(r);
            }
        }
        int[] sorted = rooms.stream().mapToInt(Integer::intValue).toArray();
        Arrays.sort(sorted);
        return sorted;
    }

    /** Nothing reaches beyond what bounds the rest that is credited. */
    private void keepRemnant(int r) {
        double[] reach = model.reach(scene, set, r);
        double price = set.rooms().get(r).stock.price();
        Box box = set.rooms().get(r).stock.region().box();
        var rules = model.task.rules();
        double half = rules.gap() / 2;
        double both = Worth.costOf(set.rooms().get(r).stock, reach[0], reach[1], rules);
        double beside = Worth.costOf(set.rooms().get(r).stock, reach[0], box.max().y(), rules);
        if (both == price) {
            return;
        }
        if (beside == both) {
            scene.frontX[r] = reach[0] + half - Body.SLACK;
        } else {
            scene.frontY[r] = reach[1] + half - Body.SLACK;
        }
    }
}
