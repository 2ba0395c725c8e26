package dev.oleander.drawing.draw;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/** Says which entities a command works on when a person pointed at a place. */
public final class TargetFinder {

    private final List<Entity> entities;

    /**
     * @param among keys to choose from; empty for all
     */
    public TargetFinder(Drawing drawing, Set<String> among) {
        this.entities =
                drawing.entities().stream()
                        .filter(e -> among.isEmpty() || among.contains(e.key()))
                        .toList();
    }

    /**
     * @return keys, one or two
     * @throws DrawException when there is nothing to work on
     */
    public List<String> at(Point place, Command.Targets targets) {
        if (entities.isEmpty()) {
            throw new DrawException("There is nothing drawn that this could work on.");
        }
        return targets == Command.Targets.ONE_OR_TWO ? corner(place) : List.of(nearest(place));
    }

    private String nearest(Point place) {
        return entities.stream()
                .min(
                        Comparator.comparingDouble(
                                e -> e.chain().nearest(place).point().distance(place)))
                .orElseThrow()
                .key();
    }

    private record Spot(Entity entity, double distance, boolean end) {}

    /** The chain whose inner corner is nearest, or the two whose ends are. */
    private List<String> corner(Point place) {
        List<Spot> spots = new ArrayList<>();
        for (Entity entity : entities) {
            Chain chain = entity.chain();
            int n = chain.segments().size();
            boolean closed = chain instanceof Contour;
            for (int i = 0; i < n; i++) {
                double distance = chain.segments().get(i).start().distance(place);
                spots.add(new Spot(entity, distance, !closed && i == 0));
            }
            if (!closed) {
                spots.add(new Spot(entity, chain.end().distance(place), true));
            }
        }
        spots.sort(Comparator.comparingDouble(Spot::distance));
        Spot first = spots.get(0);
        if (!first.end()) {
            return List.of(first.entity().key());
        }
        return spots.stream()
                .filter(s -> s.end() && s.entity() != first.entity())
                .findFirst()
                .map(s -> List.of(first.entity().key(), s.entity().key()))
                .orElse(List.of(first.entity().key()));
    }
}
