package dev.oleander.plan.bed;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How many of what are wanted, or are still to be laid on a sheet.
 *
 * @param of copies by what they are of; of what is not in it, none
 */
public record Demand(Map<PartRef, Integer> of) {

    public Demand {
        Map<PartRef, Integer> some = new LinkedHashMap<>(of);
        some.values().removeIf(n -> n <= 0);
        of = Collections.unmodifiableMap(some);
    }

    /** Copies of the whole drawing. */
    public static Demand whole(int quantity) {
        return new Demand(Map.of(PartRef.WHOLE, quantity));
    }

    /**
     * What a job asks for.
     *
     * @param quantity copies of the drawing
     * @param parts copies of single parts, by id; where there are any, the drawing is not laid as a
     *     whole, and of parts that are not named as many are wanted as of the drawing
     */
    public static Demand of(Reading reading, int quantity, Map<String, Integer> parts) {
        List<String> known = reading.parts().stream().map(Part::id).toList();
        if (known.stream().noneMatch(parts::containsKey)) {
            return whole(quantity);
        }
        Map<PartRef, Integer> wanted = new LinkedHashMap<>();
        known.forEach(id -> wanted.put(PartRef.of(id), parts.getOrDefault(id, quantity)));
        return new Demand(wanted);
    }

    /** What lies on a sheet. */
    public static Demand on(List<Placement> placements) {
        Map<PartRef, Integer> placed = new LinkedHashMap<>();
        placements.forEach(p -> placed.merge(p.of(), 1, Integer::sum));
        return new Demand(placed);
    }

    public boolean isEmpty() {
        return of.isEmpty();
    }

    /** Whether copies of the whole drawing are wanted, and nothing else. */
    public boolean isWhole() {
        return of.keySet().stream().allMatch(PartRef::isWhole);
    }

    public int all() {
        return of.values().stream().mapToInt(Integer::intValue).sum();
    }

    public int of(PartRef part) {
        return of.getOrDefault(part, 0);
    }

    /** How often another one goes into this one. */
    public int times(Demand other) {
        return other.of.entrySet().stream()
                .mapToInt(e -> of(e.getKey()) / e.getValue())
                .min()
                .orElse(0);
    }

    /** What is left when another one is done some times. */
    public Demand less(Demand other, int times) {
        Map<PartRef, Integer> left = new LinkedHashMap<>(of);
        other.of.forEach((part, n) -> left.computeIfPresent(part, (p, now) -> now - times * n));
        return new Demand(left);
    }
}
