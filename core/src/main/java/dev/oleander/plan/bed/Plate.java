package dev.oleander.plan.bed;

import dev.oleander.quantity.Numbers;

/**
 * What a sheet is of.
 *
 * @param thickness mm
 */
public record Plate(String material, double thickness) {

    /** mm; sheets that differ by less are equally thick. */
    private static final double SAME = 1e-6;

    /** Whether parts for the one can be cut of the other. */
    public boolean isAlike(Plate other) {
        return material.equalsIgnoreCase(other.material)
                && Math.abs(thickness - other.thickness) <= SAME;
    }

    /** For people: mild steel 3 mm. */
    @Override
    public String toString() {
        return "%s %s mm".formatted(material, Numbers.plain(thickness, 3));
    }
}
