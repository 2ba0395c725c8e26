package dev.oleander.drawing.read;

import dev.oleander.geometry.Region;
import java.util.List;
import java.util.Optional;

/**
 * One piece of kept material: an outline with its openings.
 *
 * @param copyOf the first part of the drawing that is equal to this one, turned or moved
 * @param mirrored whether it is equal to that one only when turned over
 */
public record Part(
        String id,
        String outline,
        List<String> openings,
        Region region,
        Optional<String> copyOf,
        boolean mirrored) {

    public Part {
        openings = List.copyOf(openings);
    }

    Part asCopyOf(String other, boolean turnedOver) {
        return new Part(id, outline, openings, region, Optional.of(other), turnedOver);
    }
}
