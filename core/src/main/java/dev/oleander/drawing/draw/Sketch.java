package dev.oleander.drawing.draw;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.Style;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The drawing while steps are done, one after the other. */
final class Sketch {

    static final String DEFAULT_LAYER = "CUT";

    private static final int MOST_SEGMENTS = 2_000_000;

    private final Map<String, Entity> entities = new LinkedHashMap<>();
    private final Map<String, Layer> layers = new LinkedHashMap<>();
    private final List<Point> points = new ArrayList<>();
    private final List<Drawn.Guide> guides = new ArrayList<>();
    private final List<Drawn.Dimension> dimensions = new ArrayList<>();
    private final Map<String, List<String>> groups = new LinkedHashMap<>();
    private final List<Drawn.Numbers> numbers = new ArrayList<>();
    private int segments;

    private final Supplies supplies;

    Sketch(Drawing drawing, Supplies supplies) {
        this.supplies = supplies;
        drawing.entities().forEach(e -> entities.put(e.key(), e));
        drawing.layers().forEach(l -> layers.put(l.name(), l));
        points.addAll(drawing.points());
    }

    /** Entities of a step, in their order: those that are there of what it works on. */
    List<Entity> targets(DrawStep step) {
        List<Entity> found = new ArrayList<>();
        for (String key : step.on()) {
            Entity entity = entities.get(key);
            if (entity != null) {
                found.add(entity);
            } else {
                found.addAll(madeBy(key));
            }
        }
        if (found.isEmpty()) {
            throw new DrawException(
                    "What this works on (%s) is no longer there.", String.join(", ", step.on()));
        }
        return found;
    }

    /** All entities that a step drew, and what was made of them; so that a shape may grow. */
    private List<Entity> madeBy(String key) {
        if (!key.endsWith("*")) {
            return List.of();
        }
        String of = key.substring(0, key.length() - 1);
        return entities.values().stream()
                .filter(e -> e.key().equals(of) || e.key().startsWith(of + "-"))
                .toList();
    }

    Supplies supplies() {
        return supplies;
    }

    List<Entity> others(List<Entity> than) {
        return entities.values().stream().filter(e -> !than.contains(e)).toList();
    }

    /** A new entity; the first of its step is called by the step alone. */
    void draw(DrawStep step, String type, Chain chain) {
        String layer = step.values().getOrDefault("layer", DEFAULT_LAYER).strip();
        add(newKey(step.id()), type, style(layer.isEmpty() ? DEFAULT_LAYER : layer), chain);
    }

    private Style style(String layer) {
        Layer known = layers.computeIfAbsent(layer, Layer::plain);
        return new Style(layer, known.colour(), known.lineType());
    }

    void drawAll(DrawStep step, String type, List<? extends Chain> chains) {
        chains.forEach(c -> draw(step, type, c));
    }

    /** A copy of an entity with another shape, on its layer. */
    void copy(DrawStep step, Entity of, Chain chain) {
        add(newKey(step.id()), of.type(), of.style(), chain);
    }

    private String newKey(String step) {
        if (!entities.containsKey(step)) {
            return step;
        }
        int n = counts.merge(step, 1, Integer::sum) + 1;
        while (entities.containsKey(step + "-" + n)) {
            n = counts.merge(step, 1, Integer::sum) + 1;
        }
        return step + "-" + n;
    }

    private final Map<String, Integer> counts = new LinkedHashMap<>();

    private void add(String key, String type, Style style, Chain chain) {
        List<Segment> own = chain.segments();
        segments += own.size();
        if (segments > MOST_SEGMENTS) {
            throw new DrawException("More than %d lines and arcs would be drawn.", MOST_SEGMENTS);
        }
        entities.put(
                key,
                new Entity(
                        entities.size(), key, type, style, 0, "", own, chain instanceof Contour));
    }

    /** Gives an entity another shape; its name stays. */
    void reshape(Entity entity, Chain chain) {
        entities.put(entity.key(), entity.shaped(chain));
    }

    void remove(Entity entity) {
        entities.remove(entity.key());
    }

    void restyle(Entity entity, String layer) {
        entities.put(entity.key(), entity.styled(style(layer)));
    }

    void point(Point p) {
        points.add(p);
    }

    void guide(Drawn.Guide guide) {
        guides.add(guide);
    }

    void dimension(Drawn.Dimension dimension) {
        dimensions.add(dimension);
    }

    void group(String name, List<String> keys) {
        groups.put(name, List.copyOf(keys));
    }

    void number(Drawn.Numbers some) {
        numbers.add(some);
    }

    Drawn drawn(Drawing before, List<Drawn.Trouble> troubles) {
        List<Entity> numbered = new ArrayList<>(entities.size());
        entities.values().forEach(e -> numbered.add(e.at(numbered.size())));
        Drawing drawing = before.with(List.copyOf(layers.values()), numbered, points);
        return new Drawn(before, drawing, guides, dimensions, groups, numbers, troubles);
    }
}
