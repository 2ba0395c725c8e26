package dev.oleander.plan.panel;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Work on a face of a panel, mm.
 *
 * @param line round what is taken away, or along which the tool goes; of a hole its rim
 * @param at middle of a hole; empty of others
 * @param diameter of a hole; 0 of others
 * @param depth below the face; of what goes through the thickness of the panel there
 * @param through whether it goes through
 * @param steps of a hole that is wider farther up: each with diameter and depth, from the face
 * @param width of a groove or slot whose middle line is drawn, of a chamfer; empty of others
 * @param tag what it is for: dowel, handle; empty when nothing was said
 * @param tolerance of its place; empty when nothing was said
 */
public record PanelFeature(
        String id,
        Face face,
        FeatureKind kind,
        Chain line,
        Optional<Point> at,
        double diameter,
        double depth,
        boolean through,
        List<Step> steps,
        OptionalDouble width,
        String tag,
        OptionalDouble tolerance) {

    /** A wider part of a hole. */
    public record Step(double diameter, double depth) {}

    public PanelFeature {
        steps = List.copyOf(steps);
    }

    public boolean isHole() {
        return kind == FeatureKind.HOLE;
    }

    /** Whether it belongs to neither the top nor the bottom. */
    public boolean belongsToNone() {
        return through && !face.isEdge();
    }

    /** What it takes away seen from outside the face; empty where a line is followed. */
    public Optional<Region> area() {
        boolean encloses = isHole() || kind.isArea() || width.isEmpty() && isGroove();
        return encloses && line instanceof Contour contour
                ? Optional.of(new Region(contour.turning(true), List.of()))
                : Optional.empty();
    }

    private boolean isGroove() {
        return kind == FeatureKind.GROOVE || kind == FeatureKind.SLOT;
    }

    public Box box() {
        return line.box();
    }

    /** The middle of what it covers. */
    public Point middle() {
        return at.orElseGet(() -> box().centre());
    }

    public double tolerance(double usual) {
        return tolerance.orElse(usual);
    }
}
