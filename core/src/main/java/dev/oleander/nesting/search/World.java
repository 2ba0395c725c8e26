package dev.oleander.nesting.search;

import dev.oleander.nesting.NestRules;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;

/** One search: a nest to begin with, then cheaper sheets and less of the last one by turns. */
final class World {

    /** Places looked at for each part and sheet of a construction. */
    private static final int TRIES = 160;

    /** How much closer than so far parts may be hoped to lie on cheaper sheets. */
    private static final double HOPE = 0.07;

    /** Share of room more than what did not hold all, for another beginning. */
    private static final double MORE_ROOM = 0.03;

    /** How much of other sheets may be covered, against those that did not hold all. */
    private static final double BETTER = 1.02;

    /** By how much hope shrinks with each failure. */
    private static final double LESS_HOPE = 0.012;

    /** Failures in a row after which a world begins anew, and one more for so many parts. */
    private static final int STUCK = 1;

    private static final int PARTS_A_FAILURE = 20;

    /** Orders of rectangles that are tried at a time. */
    private static final int SKYLINES = 20_000;

    private static final Separation.Patience ATTEMPT =
            new Separation.Patience(80, 2, new PlaceFinder.Samples(24, 16, 24));

    private final Model model;
    private final int number;
    private final SplittableRandom random;
    private final Pulse pulse;
    private final Meeting meeting;
    private final NestRules rules;
    private final List<SheetSet> sets;
    private final Map<SheetSet, Integer> failures = new HashMap<>();
    private final PairTest pairs = new PairTest();
    private Found best;
    private final Optional<List<Block>> blocks;
    private Strip strip;
    private Skyline skyline;
    private boolean pressing;

    World(
            Model model,
            List<SheetSet> sets,
            Optional<List<Block>> rectangles,
            int number,
            SplittableRandom random,
            Meeting meeting) {
        this.blocks = rectangles;
        this.model = model;
        this.sets = sets;
        this.number = number;
        this.random = random;
        this.meeting = meeting;
        this.rules = model.task.rules();
        this.pulse = () -> meeting.pulse(this);
    }

    Found best() {
        return best;
    }

    /** How much it has done. */
    long work() {
        return pairs.work();
    }

    long tests() {
        return pairs.tests();
    }

    /** Searches until the time is over. */
    void run() {
        boolean begun = false;
        while (true) {
            try {
                if (!begun) {
                    begin();
                    begun = true;
                }
                search();
            } catch (Meeting.PressNow now) {
                pressing = true;
                begun = begun || best != null;
            } catch (Pulse.Ended ended) {
                return;
            }
        }
    }

    private void begin() {
        model.task.start().stream().findFirst().ifPresent(any -> goOnFromStart());
        if (best != null) {
            strip = best.score().isComplete() ? strip(best) : null;
            return;
        }
        beginOnFirst();
        if (best != null && best.score().isComplete()) {
            strip = strip(best);
        }
    }

    /**
     * Lays everything on the first sheets that hold it; those with hardly more room than some that
     * did not, or with too little when parts come no closer than there, come last.
     */
    private void beginOnFirst() {
        List<SheetSet> later = new ArrayList<>();
        double tooSmall = 0;
        for (SheetSet set : sets) {
            if (set.area() <= tooSmall) {
                later.add(set);
                continue;
            }
            double share = shareHeld(set);
            if (share == 1) {
                return;
            }
            tooSmall = set.area() * Math.max(1 + MORE_ROOM, 1 / (share * BETTER));
        }
        for (SheetSet set : later) {
            if (shareHeld(set) == 1) {
                return;
            }
        }
    }

    /** Share of the area of all bodies that sheets are found to hold; 1: all of them. */
    private double shareHeld(SheetSet set) {
        if (blocks.isPresent() && packed(set)) {
            return 1;
        }
        Scene scene = scene(set);
        int missing = construct(scene);
        consider(scene, set);
        return missing == 0 ? 1 : scene.laidArea() / model.needed();
    }

    /** Begins with what lies somewhere already, and with what is missing beside it. */
    private void goOnFromStart() {
        for (SheetSet set : sets) {
            Scene scene = scene(set);
            if (!new Start(model, set, scene).restored()) {
                continue;
            }
            if (scene.total() > 0 && new Separation(scene, random, pulse).run(ATTEMPT) > 0) {
                takeOverlapping(scene);
            }
            int missing = construct(scene);
            consider(scene, set);
            if (missing == 0) {
                return;
            }
        }
    }

    private static void takeOverlapping(Scene scene) {
        for (int i = 0; i < scene.size(); i++) {
            if (scene.overlap(i) > 0) {
                scene.take(i);
            }
        }
    }

    /** Whether rectangles alone find place. */
    private boolean packed(SheetSet set) {
        skyline = new Skyline(blocks.get(), set, random, pairs);
        skyline.improve(SKYLINES);
        if (skyline.isComplete()) {
            considerSkyline();
            return true;
        }
        skyline = null;
        return false;
    }

    /** Rectangles on cheaper sheets, or closer on these. */
    private void packTighter() {
        if (skyline == null || !isCheaper(skyline.set())) {
            skyline = null;
            for (SheetSet set : sets) {
                boolean cheapest = skyline == null || set.price() < skyline.set().price();
                if (isCheaper(set) && cheapest) {
                    skyline = new Skyline(blocks.get(), set, random, pairs);
                }
            }
        }
        if (skyline == null) {
            skyline = new Skyline(blocks.get(), best.set(), random, pairs);
        }
        for (int i = 0; i < SKYLINES; i += 100) {
            skyline.improve(100);
            pulse.beat();
        }
        if (skyline.isComplete()) {
            considerSkyline();
        }
    }

    private boolean isCheaper(SheetSet set) {
        return set.price() < best.score().cost() - 1e-6;
    }

    private void considerSkyline() {
        Scene scene = scene(skyline.set());
        skyline.layInto(scene);
        if (scene.total() == 0 && consider(scene, skyline.set())) {
            strip = strip(best);
        }
    }

    private Scene scene(SheetSet set) {
        return new Scene(model.items.toArray(Kind[]::new), set.rooms().toArray(Room[]::new), pairs);
    }

    /** Lays what lies nowhere yet; how many parts find no place. */
    private int construct(Scene scene) {
        return new Construction(scene, random, pulse, TRIES).layAll(scene.allRooms());
    }

    private boolean consider(Scene scene, SheetSet set) {
        Found found = new Found(model.score(scene, set), set, scene.places());
        if (best == null || found.score().isBetterThan(best.score())) {
            best = found;
            return true;
        }
        return false;
    }

    private Strip strip(Found from) {
        Scene scene = scene(from.set());
        scene.restore(from.places());
        return new Strip(scene, from.set(), random, pulse);
    }

    private void search() {
        // Laying everything anew costs time, even where no two boxes meet.
        pairs.done(20 * (1 + model.items.size()));
        pulse.beat();
        learn();
        if (strip == null && best != null && best.score().isComplete()) {
            strip = strip(best);
        }
        if (strip == null) {
            SheetSet most = best == null ? sets.get(0) : best.set();
            new Priorities(model, most, random, pulse, pairs, this::found).run(best);
            return;
        }
        if (blocks.isPresent() && !pressing) {
            packTighter();
            if (random.nextInt(4) > 0) {
                return;
            }
        }
        if (pressing) {
            if (!strip.isSpent() && strip.press()) {
                consider(strip.scene(), strip.set());
            }
            return;
        }
        SheetSet cheaper = cheaper();
        if (cheaper != null) {
            attempt(cheaper);
        }
        if (beginsAnew() && isStuck()) {
            beginAnew();
        } else if (strip.isSpent()) {
            dropLast();
        } else if (strip.explore()) {
            consider(strip.scene(), strip.set());
        }
    }

    /**
     * Every other world looks for something else where it is stuck; the others go on from the best.
     */
    private boolean beginsAnew() {
        return number % 2 == 1;
    }

    private boolean isStuck() {
        return strip.failures() >= STUCK + model.items.size() / PARTS_A_FAILURE;
    }

    /** From a new construction on the best sheets so far; the best itself is kept. */
    private void beginAnew() {
        Scene scene = scene(best.set());
        if (construct(scene) == 0) {
            strip = new Strip(scene, best.set(), random, pulse);
        } else {
            strip = strip(best);
        }
    }

    /** Nothing lies on the last sheet any more: the front moves back on the one before. */
    private void dropLast() {
        List<Room> rest = strip.set().rooms().subList(0, strip.set().front());
        Scene.Places places = strip.best();
        for (SheetSet set : sets) {
            if (set.rooms().equals(rest)) {
                Scene scene = scene(set);
                scene.restore(places.within(set.rooms().size()));
                best = new Found(model.score(scene, set), set, scene.places());
                strip = strip(best);
                return;
            }
        }
    }

    private void found(Found better) {
        if (best == null || better.score().isBetterThan(best.score())) {
            best = better;
        }
    }

    /** Goes on from what another world has found when that is better and this one is stuck. */
    private void learn() {
        Found shared = meeting.best();
        if (shared == null || best == null || !shared.score().isBetterThan(best.score())) {
            return;
        }
        boolean stuck = strip == null || strip.failures() >= 2 && !beginsAnew();
        if (pressing || stuck || shared.set() != best.set()) {
            best = shared;
            if (shared.score().isComplete()) {
                if (strip != null && strip.set() == shared.set()) {
                    strip.take(shared.places());
                } else {
                    strip = strip(shared);
                }
            }
        }
    }

    /** Share of the room that bodies take on the best sheets so far, up to the front. */
    private double efficiency() {
        SheetSet set = best.set();
        double rest = 1 - (best.score().front() - set.origin()) / set.length();
        return model.needed() / (set.area() - set.last().area * Math.max(0, Math.min(1, rest)));
    }

    /** A set of sheets that would cost less if parts came a little closer; null: there is none. */
    private SheetSet cheaper() {
        double now = efficiency();
        double needed = model.needed();
        List<SheetSet> hopeful = new ArrayList<>();
        for (SheetSet set : sets) {
            int failed = failures.getOrDefault(set, 0);
            double hope = now + HOPE - LESS_HOPE * failed;
            if (set != best.set()
                    && failed < 8
                    && needed / set.area() < hope
                    && set.expected(needed, hope, rules) < best.score().cost() - 1e-6) {
                hopeful.add(set);
            }
        }
        hopeful.sort(
                Comparator.comparingDouble(
                        s ->
                                s.expected(needed, now + HOPE, rules)
                                        * (1 + 0.05 * failures.getOrDefault(s, 0))));
        return hopeful.isEmpty() ? null : hopeful.get(number % Math.min(2, hopeful.size()));
    }

    /** Tries to lay everything on a cheaper set of sheets. */
    private void attempt(SheetSet set) {
        Scene scene = scene(set);
        construct(scene);
        boolean all = true;
        for (int i = 0; i < scene.size(); i++) {
            all &= scene.room[i] != Scene.NONE || scene.putAnywhere(i, random);
        }
        boolean free = all && new Separation(scene, random, pulse).run(ATTEMPT) == 0;
        if (free && consider(scene, set)) {
            strip = strip(best);
        } else {
            failures.merge(set, 1, Integer::sum);
        }
    }
}
