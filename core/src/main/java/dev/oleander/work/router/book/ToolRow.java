package dev.oleander.work.router.book;

import dev.oleander.book.BookRow;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.tool.Feeds;

/**
 * How tools of one kind and diameter go in a material.
 *
 * @param kind word of the kind of tool
 * @param diameter mm
 * @param cuttingSpeed m/min
 * @param chip mm a tooth
 * @param chipLeast mm a tooth: less rubs
 * @param chipMost mm a tooth
 * @param plungeChip mm a tooth straight down
 * @param stepDown diameters at once
 * @param stepOver share of the diameter from one way to the next
 * @param peck mm after which a drill comes up; 0: never
 * @param kc force for each mm2 of chip, N/mm2
 * @param interpolated whether it lies between two rows of the book
 */
public record ToolRow(
        String id,
        String kind,
        double diameter,
        String material,
        double cuttingSpeed,
        double chip,
        double chipLeast,
        double chipMost,
        double plungeChip,
        double stepDown,
        double stepOver,
        double peck,
        double kc,
        boolean interpolated)
        implements BookRow {

    @Override
    public String label() {
        return "%s, %s %s".formatted(material, kind, Numbers.plain(diameter, 3));
    }

    /** What the rows of a material differ by: their diameter. */
    @Override
    public double thickness() {
        return diameter;
    }

    public Feeds.Data data() {
        return new Feeds.Data(cuttingSpeed, chip, chipLeast, chipMost, plungeChip, kc);
    }
}
