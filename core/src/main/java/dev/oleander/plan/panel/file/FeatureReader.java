package dev.oleander.plan.panel.file;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.FeatureKind;
import dev.oleander.plan.panel.PanelException;
import dev.oleander.plan.panel.PanelFeature;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads one feature of a panel. */
final class FeatureReader {

    private static final String THROUGH = "through";

    /** mm within which a depth is the thickness. */
    private static final double SAME = 1e-6;

    private final ProductFile.Feature given;
    private final Face.Size size;
    private final Map<String, Double> names;
    private final String what;

    FeatureReader(
            ProductFile.Feature given, Face.Size size, Map<String, Double> names, String panel) {
        this.given = given;
        this.size = size;
        this.names = names;
        String id = ProductReader.named(given.id(), panel + ": a feature");
        this.what = panel + ", feature " + id;
    }

    /**
     * @throws PanelException naming what is wrong first
     */
    PanelFeature read() {
        Face face = PanelReader.face(given.face(), what);
        FeatureKind kind = ProductReader.word(FeatureKind.class, given.kind(), "", what + ", kind");
        boolean hole = kind == FeatureKind.HOLE;
        OptionalDouble width = optional(given.width(), "width");
        Optional<Point> at = hole ? Optional.of(middle()) : Optional.empty();
        double diameter =
                hole ? ProductReader.above(given.diameter(), names, what + ", diameter") : 0;
        at.ifPresent(p -> requireWithin(new Box(p, p), face));
        Chain line =
                hole ? Contour.circle(at.orElseThrow(), diameter / 2) : line(kind, face, width);
        double below = face.below(size);
        boolean through = isThrough(below);
        return new PanelFeature(
                given.id(),
                face,
                kind,
                line,
                at,
                diameter,
                through ? below : depth(below),
                through,
                steps(diameter, through ? below : depth(below)),
                width,
                given.tag() == null ? "" : given.tag().strip(),
                optional(given.tolerance(), "tolerance"));
    }

    private Point middle() {
        if (given.at() == null || given.at().size() != 2) {
            throw new PanelException(what + ": a hole needs two numbers, at.");
        }
        return new Point(given.at().get(0).in(names, what), given.at().get(1).in(names, what));
    }

    /** A middle line where a width is given, or two corners; else what is enclosed. */
    private Chain line(FeatureKind kind, Face face, OptionalDouble width) {
        Corners corners = new Corners(given.outline(), names, what);
        boolean open =
                !kind.isArea()
                        && kind != FeatureKind.CHAMFER
                        && (width.isPresent()
                                || corners.count() == 2
                                || Boolean.FALSE.equals(given.closed()));
        Chain line = open ? corners.path() : corners.contour();
        if (kind == FeatureKind.SLOT && open && width.isEmpty()) {
            throw new PanelException(what + ": a slot along a line needs a width.");
        }
        requireWithin(line.box(), face);
        return line;
    }

    private void requireWithin(Box box, Face face) {
        Corners.requireWithin(box, face.across(size), face.up(size), what);
    }

    private boolean isThrough(double below) {
        if (depthText() == null) {
            throw new PanelException(what + " has no depth; say how deep, or through.");
        }
        if (depthText().text().equals(THROUGH)) {
            return true;
        }
        return Math.abs(depthText().in(names, what + ", depth") - below) < SAME;
    }

    /** An edge that is broken is as deep as it is wide where nothing else is said. */
    private Amount depthText() {
        boolean broken = FeatureKind.CHAMFER.word().equals(given.kind());
        return given.depth() == null && broken ? given.width() : given.depth();
    }

    private double depth(double below) {
        double depth = ProductReader.above(depthText(), names, what + ", depth");
        if (depth > below + SAME) {
            throw new PanelException(
                    "%s needs depth %s on a face of %s mm: say through, or less than %s."
                            .formatted(
                                    what,
                                    Numbers.plain(depth, 3),
                                    Numbers.plain(below, 3),
                                    Numbers.plain(below, 3)));
        }
        return depth;
    }

    private List<PanelFeature.Step> steps(double diameter, double depth) {
        List<PanelFeature.Step> steps = new ArrayList<>();
        for (ProductFile.Step step : given.steps()) {
            double wide = ProductReader.above(step.diameter(), names, what + ", step, diameter");
            double deep = ProductReader.above(step.depth(), names, what + ", step, depth");
            if (wide <= diameter || deep >= depth) {
                throw new PanelException(
                        "%s: a step of %s mm, %s deep, is not wider and shallower than the hole."
                                .formatted(what, Numbers.plain(wide, 3), Numbers.plain(deep, 3)));
            }
            steps.add(new PanelFeature.Step(wide, deep));
        }
        return steps;
    }

    private OptionalDouble optional(Amount amount, String name) {
        return amount == null
                ? OptionalDouble.empty()
                : OptionalDouble.of(ProductReader.above(amount, names, what + ", " + name));
    }
}
