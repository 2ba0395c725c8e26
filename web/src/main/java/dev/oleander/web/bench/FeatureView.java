package dev.oleander.web.bench;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;

/** A chain with its figures. */
public record FeatureView(
        String id,
        String title,
        List<ShapeSlip.Figure> figures,
        String purpose,
        boolean onPurpose,
        boolean closed,
        boolean turned) {

    static FeatureView of(Feature f) {
        List<ShapeSlip.Figure> figures = new ArrayList<>();
        figures.add(new ShapeSlip.Figure("Length", Numbers.plain(f.chain().length(), 3) + " mm"));
        if (f.isClosed()) {
            figures.add(new ShapeSlip.Figure("Encloses", Numbers.plain(f.area(), 2) + " mm²"));
        } else {
            Point a = f.chain().start();
            Point b = f.chain().end();
            figures.add(new ShapeSlip.Figure("Ends apart", Numbers.length(a.distance(b))));
        }
        f.form().ifPresent(form -> figures.add(new ShapeSlip.Figure("Form", form.label())));
        f.place().startOf().ifPresent(c -> figures.add(new ShapeSlip.Figure("Start hole of", c)));
        figures.add(new ShapeSlip.Figure("Made of", f.lines() + " lines, " + f.arcs() + " arcs"));
        figures.add(new ShapeSlip.Figure("Layer", f.layer()));
        figures.add(new ShapeSlip.Figure("Depth", String.valueOf(f.depth())));
        return new FeatureView(
                f.id(),
                name(f) + " " + f.id(),
                figures,
                f.purpose().word(),
                f.onPurpose(),
                f.isClosed(),
                f.place().turned());
    }

    private static String name(Feature f) {
        if (!f.isClosed()) {
            return "Open line";
        }
        if (f.purpose() == Purpose.START) {
            return ReadingGroups.startHole(f);
        }
        return f.kind() == Feature.Kind.OUTLINE ? "Outline" : ReadingGroups.opening(f);
    }
}
