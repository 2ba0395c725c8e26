package dev.oleander.nesting.search;

import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestedSheet;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Lays what a task begins with onto the sheets of a scene. */
final class Start {

    /** Degrees within which a turn is one of those allowed. */
    private static final double SAME = 1e-6;

    private final Model model;
    private final SheetSet set;
    private final Scene scene;

    Start(Model model, SheetSet set, Scene scene) {
        this.model = model;
        this.set = set;
        this.scene = scene;
    }

    /**
     * Lays every part that is still asked for in a way in which it may lie; others lie nowhere.
     *
     * @return whether the scene has all of the sheets
     */
    boolean restored() {
        Map<String, Deque<Integer>> left = new HashMap<>();
        for (int i = 0; i < scene.size(); i++) {
            left.computeIfAbsent(scene.items[i].line.id(), id -> new ArrayDeque<>()).add(i);
        }
        boolean[] taken = new boolean[set.rooms().size()];
        for (NestedSheet sheet : model.task.start()) {
            int r = room(sheet.stock(), taken);
            if (r < 0) {
                return false;
            }
            taken[r] = true;
            for (NestPlacement p : sheet.placements()) {
                Deque<Integer> items = left.getOrDefault(p.line(), new ArrayDeque<>());
                if (!items.isEmpty() && lay(items.peek(), p, r)) {
                    items.remove();
                }
            }
        }
        return true;
    }

    private int room(String stock, boolean[] taken) {
        for (int r = 0; r < taken.length; r++) {
            boolean same = set.rooms().get(r).stock.id().equals(stock);
            if (!taken[r] && same && set.locked(r).isEmpty()) {
                return r;
            }
        }
        return -1;
    }

    private boolean lay(int item, NestPlacement p, int r) {
        Optional<Turned> way = way(scene.items[item], p, scene.rooms[r].grain);
        boolean lies = way.filter(w -> scene.fits(w, r)).isPresent();
        if (lies) {
            scene.putWithin(item, way.get(), p.at().x(), p.at().y(), r);
        }
        return lies;
    }

    private static Optional<Turned> way(Kind kind, NestPlacement p, double grain) {
        if (kind.anyTurn()) {
            boolean side = kind.line.mirror() || !p.mirrored();
            return side
                    ? Optional.of(new Turned(kind.body, p.angle(), p.mirrored()))
                    : Optional.empty();
        }
        for (Turned way : kind.ways(grain)) {
            double off = Math.abs(way.degrees - p.angle()) % 360;
            if (way.mirrored == p.mirrored() && Math.min(off, 360 - off) <= SAME) {
                return Optional.of(way);
            }
        }
        return Optional.empty();
    }
}
