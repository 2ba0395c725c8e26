package dev.oleander.drawing.svg;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.LengthUnit;
import java.util.Optional;

/**
 * The page of the file: how user units become mm, y up with the page's lower left corner at the
 * origin (SVG 2, 8.2 to 8.7).
 *
 * @param declared the unit of the page's size; empty when it has none or only pixels
 * @param view what percentages are shares of
 */
record Viewport(Transform toPage, Optional<LengthUnit> declared, View view) {

    /** What a viewport without any size is, in pixels (CSS 2, 10.3.2). */
    private static final View USUAL = new View(300, 150);

    private static final double PIXEL = LengthUnit.PIXEL.millimetres();

    /**
     * @param unit taken for a user unit instead of what the page says; may be null
     */
    static Viewport of(SvgNode svg, LengthUnit unit) {
        Optional<ViewBox> box = ViewBox.of(svg);
        Optional<LengthUnit> declared = declared(svg);
        View size = size(svg, box);
        View view = box.map(ViewBox::view).orElse(new View(size.width(), size.height()));
        if (unit != null) {
            return new Viewport(alone(box, view, unit), declared, view);
        }
        Transform fitted =
                box.map(b -> b.into(svg.text("preserveAspectRatio"), size.width(), size.height()))
                        .orElse(Transform.IDENTITY);
        Transform upright = new Transform(PIXEL, 0, 0, -PIXEL, 0, size.height() * PIXEL);
        return new Viewport(fitted.then(upright), declared, view);
    }

    private static Transform alone(Optional<ViewBox> box, View view, LengthUnit unit) {
        double scale = unit.millimetres();
        Point corner = box.map(b -> new Point(b.x(), b.y())).orElse(Point.ORIGIN);
        return new Transform(
                scale, 0, 0, -scale, -corner.x() * scale, (corner.y() + view.height()) * scale);
    }

    private static Optional<LengthUnit> declared(SvgNode svg) {
        String named =
                Lengths.millimetres(svg.text("width")).isPresent()
                        ? svg.text("width")
                        : svg.text("height");
        return Lengths.millimetres(named)
                .filter(mm -> mm > 0)
                .map(mm -> Lengths.unit(named).orElse(LengthUnit.MILLIMETRE));
    }

    /** In pixels; a side that is missing follows from the view box. */
    private static View size(SvgNode svg, Optional<ViewBox> box) {
        Optional<Double> width = Lengths.absolute(svg, "width").filter(w -> w > 0);
        Optional<Double> height = Lengths.absolute(svg, "height").filter(h -> h > 0);
        if (box.isEmpty()) {
            return new View(width.orElse(USUAL.width()), height.orElse(USUAL.height()));
        }
        ViewBox b = box.get();
        double w =
                width.orElseGet(
                        () -> height.map(h -> h * b.width() / b.height()).orElse(b.width()));
        double h = height.orElseGet(() -> w * b.height() / b.width());
        return new View(w, h);
    }
}
