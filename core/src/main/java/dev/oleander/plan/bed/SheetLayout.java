package dev.oleander.plan.bed;

import dev.oleander.geometry.Box;
import java.util.List;

/**
 * Stock and the copies on it. Coordinates are those of the machine: the zero point is the origin.
 *
 * @param asked copies wanted on this sheet
 * @param gap used between neighbours, mm
 * @param margin used at the edge, mm
 * @param keepOut what the head must not hit
 */
public record SheetLayout(
        Box stock,
        List<Placement> placements,
        int asked,
        int rows,
        int columns,
        double gap,
        double margin,
        List<KeepOut> keepOut) {

    /** What is said where no copy was placed. */
    public static final String NOTHING_FITS =
            "No copy fits on the stock. Take a larger stock, a smaller margin, or turn the part.";

    public SheetLayout {
        keepOut = keepOut == null ? List.of() : List.copyOf(keepOut);
        placements = List.copyOf(placements);
    }

    public int placed() {
        return placements.size();
    }

    public int left() {
        return Math.max(0, asked - placements.size());
    }
}
