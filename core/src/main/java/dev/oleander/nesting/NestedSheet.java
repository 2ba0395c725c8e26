package dev.oleander.nesting;

import java.util.List;
import java.util.Optional;

/**
 * A sheet, or a stretch of one, with what lies on it.
 *
 * @param stock id of the kind of sheet
 * @param stretch how much of it, and by how many heads; null: all of it, by one
 */
public record NestedSheet(String stock, List<NestPlacement> placements, Stretch stretch) {

    public NestedSheet {
        placements = List.copyOf(placements);
        stretch = Stretch.WHOLE.equals(stretch) ? null : stretch;
    }

    /** All of a sheet, by one head. */
    public NestedSheet(String stock, List<NestPlacement> placements) {
        this(stock, placements, null);
    }

    /** The same stretch with other parts. */
    public NestedSheet with(List<NestPlacement> others) {
        return new NestedSheet(stock, others, stretch);
    }

    public NestedSheet on(Stretch other) {
        return new NestedSheet(stock, placements, other);
    }

    /** What of the sheet it is. */
    public Stretch part() {
        return Optional.ofNullable(stretch).orElse(Stretch.WHOLE);
    }

    /** How many come of each part that lies on it. */
    public int heads() {
        return part().heads();
    }
}
