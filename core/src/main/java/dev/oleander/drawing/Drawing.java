package dev.oleander.drawing;

import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import java.util.List;
import java.util.Optional;

/**
 * A drawing, before mending.
 *
 * @param declaredUnit what the file says, if it does; lengths here are in mm already
 * @param unit what was taken: the declared one, the one asked for, or mm
 * @param unitGuessed whether nobody said the unit, neither the file nor a person
 * @param points single points that are drawn, mm: places to snap to
 * @param labels texts that stand in it
 * @param skipped what was left out and why
 * @param faults what the reader itself found: entities without length, unreadable ones
 * @param fits curves that became lines and arcs
 */
public record Drawing(
        String name,
        Optional<LengthUnit> declaredUnit,
        LengthUnit unit,
        boolean unitGuessed,
        List<Layer> layers,
        List<Entity> entities,
        List<Point> points,
        List<Label> labels,
        List<Skipped> skipped,
        List<Fault> faults,
        Fits fits) {

    public Drawing {
        layers = List.copyOf(layers);
        entities = List.copyOf(entities);
        points = List.copyOf(points);
        labels = List.copyOf(labels);
        skipped = List.copyOf(skipped);
        faults = List.copyOf(faults);
    }

    /** Nothing drawn yet. */
    public static Drawing empty(String name) {
        return new Drawing(
                name,
                Optional.of(LengthUnit.MILLIMETRE),
                LengthUnit.MILLIMETRE,
                false,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Fits.none(ImportOptions.defaults().fit()));
    }

    /** The same drawing with other line work. */
    public Drawing with(List<Layer> newLayers, List<Entity> newEntities, List<Point> newPoints) {
        return new Drawing(
                name,
                declaredUnit,
                unit,
                unitGuessed,
                newLayers,
                newEntities,
                newPoints,
                labels,
                skipped,
                faults,
                fits);
    }

    public Drawing withFaults(List<Fault> newFaults) {
        return new Drawing(
                name,
                declaredUnit,
                unit,
                unitGuessed,
                layers,
                entities,
                points,
                labels,
                skipped,
                newFaults,
                fits);
    }
}
