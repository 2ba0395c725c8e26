package dev.oleander.work.wire.book;

import dev.oleander.book.BookRow;
import dev.oleander.quantity.Numbers;
import java.util.List;

/**
 * Data of a wire machine for one wire, work material, height and finish.
 *
 * @param id unique within the machine
 * @param wire its material and diameter as people call it: brass 0.25
 * @param wireDiameter mm
 * @param material of the work
 * @param height of the work, mm
 * @param interpolated whether it was computed between two heights of the book
 * @param passes the rough pass first; at least one
 */
public record WireRow(
        String id,
        String wire,
        double wireDiameter,
        String material,
        double height,
        String finish,
        boolean interpolated,
        List<WirePass> passes)
        implements BookRow {

    public WireRow {
        passes = List.copyOf(passes);
        if (!(wireDiameter > 0 && height > 0) || passes.isEmpty()) {
            throw new IllegalArgumentException(
                    "wire data %s: diameter and height must be above 0, with at least one pass"
                            .formatted(id));
        }
    }

    /** Distance of the wire's centre from the profile in a pass, mm; passes count from 1. */
    public double offset(int pass) {
        return passes.get(pass - 1).offset(wireDiameter / 2);
    }

    /** Speed in a pass, mm/min. */
    public double feed(int pass) {
        return passes.get(pass - 1).feed(height);
    }

    /** Width that a pass cuts, mm. */
    public double width(int pass) {
        return wireDiameter + 2 * passes.get(pass - 1).gap();
    }

    /** The greatest offset of all passes, mm. */
    public double greatestOffset() {
        double most = 0;
        for (int pass = 1; pass <= passes.size(); pass++) {
            most = Math.max(most, offset(pass));
        }
        return most;
    }

    /** Name for people: tool steel 40, fine, brass 0.25. */
    @Override
    public String label() {
        return "%s %s, %s, %s".formatted(material, Numbers.plain(height, 2), finish, wire);
    }

    /** Its height. */
    @Override
    public double thickness() {
        return height;
    }
}
