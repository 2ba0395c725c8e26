package dev.oleander.drawing;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Puts several drawings into one, each to the right of the one before. */
public final class SideBySide {

    private final double gap;

    /**
     * @param gap mm between the boxes of neighbours
     */
    public SideBySide(double gap) {
        this.gap = gap;
    }

    /**
     * The first drawing stays where it is; one alone comes back as it is. Layers of one name become
     * one. The unit counts as declared when all files declare theirs.
     *
     * @throws IllegalArgumentException when there is none
     */
    public Drawing join(List<Drawing> drawings) {
        if (drawings.isEmpty()) {
            throw new IllegalArgumentException("no drawing to join");
        }
        return drawings.size() == 1 ? drawings.get(0) : joined(drawings);
    }

    private Drawing joined(List<Drawing> drawings) {
        Map<String, Layer> layers = new LinkedHashMap<>();
        List<Entity> entities = new ArrayList<>();
        List<Skipped> skipped = new ArrayList<>();
        List<Fault> faults = new ArrayList<>();
        List<Point> points = new ArrayList<>();
        List<Label> labels = new ArrayList<>();
        Fits fits = Fits.none(drawings.get(0).fits().tolerance());
        Box placed = null;
        for (Drawing drawing : drawings) {
            Box box = boxOf(drawing);
            Point shift =
                    placed == null
                            ? Point.ORIGIN
                            : new Point(placed.max().x() + gap, placed.min().y()).minus(box.min());
            Transform move = Transform.translation(shift);
            drawing.layers().forEach(l -> layers.putIfAbsent(l.name(), l));
            for (Entity entity : drawing.entities()) {
                entities.add(moved(entity, entities.size(), move));
            }
            skipped.addAll(drawing.skipped());
            drawing.faults().forEach(f -> faults.add(moved(f, move)));
            drawing.points().forEach(p -> points.add(move.apply(p)));
            drawing.labels().forEach(l -> labels.add(new Label(l.text(), move.apply(l.place()))));
            fits = fits.plus(drawing.fits());
            Box here = new Box(box.min().plus(shift), box.max().plus(shift));
            placed = placed == null ? here : placed.union(here);
        }
        boolean allDeclared = drawings.stream().allMatch(d -> d.declaredUnit().isPresent());
        Drawing first = drawings.get(0);
        return new Drawing(
                drawings.stream().map(Drawing::name).collect(Collectors.joining(", ")),
                allDeclared ? first.declaredUnit() : Optional.empty(),
                first.unit(),
                drawings.stream().anyMatch(Drawing::unitGuessed),
                List.copyOf(layers.values()),
                entities,
                points,
                labels,
                skipped,
                faults,
                fits);
    }

    private static Box boxOf(Drawing drawing) {
        return Box.around(
                drawing.entities().stream()
                        .flatMap(e -> e.segments().stream())
                        .map(s -> s.box())
                        .toList());
    }

    private static Entity moved(Entity entity, int ordinal, Transform move) {
        return entity.shaped(entity.chain().transformed(move))
                .at(ordinal)
                .called(String.valueOf(ordinal + 1));
    }

    private static Fault moved(Fault fault, Transform move) {
        return fault.at(
                fault.place().map(move::apply), fault.ends().stream().map(move::apply).toList());
    }
}
