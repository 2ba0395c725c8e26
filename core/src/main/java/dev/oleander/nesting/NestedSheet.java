package dev.oleander.nesting;

import java.util.List;

/**
 * A sheet with what lies on it.
 *
 * @param stock id of the kind of sheet
 */
public record NestedSheet(String stock, List<NestPlacement> placements) {

    public NestedSheet {
        placements = List.copyOf(placements);
    }
}
