package dev.oleander.nesting.search;

import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.SheetStock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/** Lays a part exactly where a person wants it and pushes aside what is in its way. */
public final class MakeRoom {

    private static final Separation.Patience PATIENCE =
            new Separation.Patience(60, 2, new PlaceFinder.Samples(8, 24, 16));

    /** Work after which it is given up: a second or two. */
    private static final long MOST_WORK = 1_500_000;

    private final Model model;
    private final NestedSheet others;
    private final NestPlacement wished;
    private final List<Integer> loose = new ArrayList<>();
    private final PairTest pairs = new PairTest();

    private MakeRoom(NestTask task, NestedSheet others, NestPlacement wished) {
        this.model = new Model(ByHand.only(task, others, wished.line()));
        this.others = others;
        this.wished = wished;
        for (int i = 0; i < others.placements().size(); i++) {
            if (!others.placements().get(i).locked()) {
                loose.add(i);
            }
        }
    }

    /**
     * The sheet with the part where it is wished.
     *
     * @param others what lies on the sheet besides; fixed parts stay where they are
     * @return the others in their order, each where it lies now, and the part as the last; empty
     *     where no room can be made
     */
    public static Optional<NestedSheet> round(
            NestTask task, NestedSheet others, NestPlacement wished) {
        List<NestPlacement> fixed = new ArrayList<>();
        others.placements().stream().filter(NestPlacement::locked).forEach(fixed::add);
        if (!NestCheck.fitting(task, others.with(fixed)).test(wished)) {
            return Optional.empty();
        }
        return new MakeRoom(task, others, wished).made().filter(s -> NestCheck.isSound(task, s));
    }

    private Optional<NestedSheet> made() {
        Scene scene = scene();
        try {
            Separation separation = new Separation(scene, new SplittableRandom(1), this::beat);
            if (scene.total() > 0 && separation.run(PATIENCE) > 0) {
                return Optional.empty();
            }
        } catch (Pulse.Ended tooLong) {
            return Optional.empty();
        }
        return Optional.of(sheet(scene));
    }

    private void beat() {
        if (pairs.work() > MOST_WORK) {
            throw new Pulse.Ended();
        }
    }

    private Scene scene() {
        List<NestPlacement> fixed = new ArrayList<>();
        others.placements().stream().filter(NestPlacement::locked).forEach(fixed::add);
        fixed.add(wished);
        SheetStock stock = model.task.sheet(others);
        Kind[] kinds = loose.stream().map(i -> model.kind(line(i))).toArray(Kind[]::new);
        Scene scene = new Scene(kinds, new Room[] {model.room(stock, fixed)}, pairs);
        for (int k = 0; k < loose.size(); k++) {
            NestPlacement p = others.placements().get(loose.get(k));
            Turned way = new Turned(kinds[k].body, p.angle(), p.mirrored());
            scene.putWithin(k, way, p.at().x(), p.at().y(), 0);
        }
        return scene;
    }

    private String line(int i) {
        return others.placements().get(i).line();
    }

    private NestedSheet sheet(Scene scene) {
        List<NestPlacement> all = new ArrayList<>(others.placements());
        for (int k = 0; k < loose.size(); k++) {
            Turned way = scene.way[k];
            all.set(
                    loose.get(k),
                    new NestPlacement(
                            line(loose.get(k)),
                            new Point(scene.x[k], scene.y[k]),
                            way.degrees,
                            way.mirrored,
                            false));
        }
        all.add(wished);
        return others.with(all);
    }
}
