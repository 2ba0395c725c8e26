package dev.oleander.drawing.read;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Fault;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the line work of a drawing is, after mending. */
public record Reading(
        Drawing drawing,
        List<Feature> features,
        List<Part> parts,
        List<HoleGroup> holes,
        List<Fault> faults,
        Map<String, Purpose> layerPurposes) {

    /** What an empty table shows, mm. */
    private static final Box NOTHING = new Box(Point.ORIGIN, new Point(200, 120));

    public Stream<Feature> cut() {
        return features.stream().filter(f -> f.purpose() == Purpose.CUT);
    }

    /** Box round what is cut and closed; round everything when nothing is. */
    public Box box() {
        if (features.isEmpty()) {
            return NOTHING;
        }
        List<Box> closed = cut().filter(Feature::isClosed).map(f -> f.chain().box()).toList();
        return Box.around(
                closed.isEmpty() ? features.stream().map(f -> f.chain().box()).toList() : closed);
    }

    /** Whether anything is cut or marked. */
    public boolean hasWork() {
        return worked().findAny().isPresent();
    }

    private Stream<Feature> worked() {
        return features.stream().filter(Feature::isWorked);
    }

    /** Box round everything that is cut or marked. */
    public Box workBox() {
        List<Box> worked = worked().map(f -> f.chain().box()).toList();
        return worked.isEmpty() ? box() : Box.around(worked);
    }

    /** Area of all parts, mm2. */
    public double keptArea() {
        return parts.stream().mapToDouble(p -> p.region().area()).sum();
    }

    /** Length of everything that is cut, closed or open, mm. */
    public double cutLength() {
        return cut().mapToDouble(f -> f.chain().length()).sum();
    }

    /** Faults that a person has to decide on. */
    public List<Fault> openFaults() {
        return faults.stream().filter(Fault::needsPerson).toList();
    }

    /** Slots, keyholes and other named openings by form and size. */
    public List<FormGroup> forms() {
        return FormGroup.of(features);
    }

    /** Faults that were mended, in the order they were found: the list of changes. */
    public List<Fault> changes() {
        return faults.stream().filter(Fault::mended).toList();
    }

    public Map<String, Feature> byId() {
        return features.stream().collect(Collectors.toMap(Feature::id, Function.identity()));
    }
}
