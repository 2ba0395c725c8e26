package dev.oleander.drawing;

import dev.oleander.quantity.LengthUnit;
import java.util.List;
import java.util.Optional;

/**
 * A drawing file after reading, before mending.
 *
 * @param declaredUnit what the file says, if it does; lengths here are in mm already
 * @param unit what was taken: the declared one, the one asked for, or mm
 * @param faults what the reader itself found: entities without length, unreadable ones
 */
public record Drawing(
        String name,
        Optional<LengthUnit> declaredUnit,
        LengthUnit unit,
        List<Layer> layers,
        List<Entity> entities,
        List<Skipped> skipped,
        List<Fault> faults) {

    public Drawing {
        layers = List.copyOf(layers);
        entities = List.copyOf(entities);
        skipped = List.copyOf(skipped);
        faults = List.copyOf(faults);
    }
}
