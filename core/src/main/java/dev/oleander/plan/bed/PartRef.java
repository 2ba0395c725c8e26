package dev.oleander.plan.bed;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import java.util.List;

/**
 * What lies at a place on the bed: the whole drawing of a source with its loose lines, or one part
 * of it.
 *
 * @param source name of the job that it comes from; empty: the only one
 * @param part id in the drawing of the source; empty: all of it
 */
public record PartRef(String source, String part) {

    /** The whole drawing of the only source. */
    public static final PartRef WHOLE = new PartRef("", "");

    /** A part of the only source. */
    public static PartRef of(String part) {
        return new PartRef("", part);
    }

    /** By its id in a reading that holds all sources. */
    public static PartRef ofId(String id) {
        return new PartRef(FeatureKey.sourceOf(id), FeatureKey.localOf(id));
    }

    public boolean isWhole() {
        return part.isEmpty();
    }

    /** Id of the part in a reading that holds all sources. */
    public String id() {
        return FeatureKey.inSource(source, part);
    }

    public boolean holds(Feature feature) {
        return isWhole()
                ? FeatureKey.sourceOf(feature.id()).equals(source)
                : feature.part().filter(id()::equals).isPresent();
    }

    public boolean holds(Part other) {
        return isWhole() ? FeatureKey.sourceOf(other.id()).equals(source) : other.id().equals(id());
    }

    /** The parts of a reading that it is made of. */
    public List<Part> parts(Reading reading) {
        return reading.parts().stream().filter(this::holds).toList();
    }

    /** Round all that is cut or marked of it in the drawing, mm. */
    public Box box(Reading reading) {
        List<Box> boxes =
                reading.features().stream()
                        .filter(Feature::isWorked)
                        .filter(this::holds)
                        .map(f -> f.chain().box())
                        .toList();
        return boxes.isEmpty() ? reading.workBox() : Box.around(boxes);
    }

    /** For people, by the id of a part: Part 2; with its source: Part 2 of a. */
    public static String label(String id) {
        return "P" + within(id).substring(1);
    }

    /** The same within a sentence: part 2. */
    public static String within(String id) {
        String source = FeatureKey.sourceOf(id);
        String own = "part " + FeatureKey.localOf(id).replace("p", "");
        return source.isEmpty() ? own : own + " of " + source;
    }
}
