package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.LengthUnit;
import java.util.Arrays;
import java.util.Optional;

/**
 * The page of the file: how user units become mm, y up with the page's lower left corner at the
 * origin (SVG 1.1, 7.7 and 7.8).
 *
 * @param declared the unit of the page's size; empty when it has none or only pixels
 */
record Viewport(Transform toPage, Optional<LengthUnit> declared) {

    /**
     * @param unit taken for a user unit instead of what the page says; may be null
     */
    static Viewport of(SvgNode svg, LengthUnit unit) {
        double[] view = viewBox(svg.text("viewBox"));
        Optional<Double> width = Lengths.millimetres(svg.text("width")).filter(w -> w > 0);
        Optional<Double> height = Lengths.millimetres(svg.text("height")).filter(h -> h > 0);
        boolean sized = width.isPresent() && height.isPresent();
        Optional<LengthUnit> declared =
                sized
                        ? Optional.of(Lengths.unit(svg.text("width")).orElse(LengthUnit.MILLIMETRE))
                        : Optional.empty();
        if (unit != null || !sized) {
            double scale = (unit == null ? LengthUnit.PIXEL : unit).millimetres();
            double tall = view == null ? Lengths.user(svg, "height", 0) : view[3];
            Point corner = view == null ? Point.ORIGIN : new Point(view[0], view[1]);
            return new Viewport(
                    new Transform(
                            scale, 0, 0, -scale, -corner.x() * scale, (corner.y() + tall) * scale),
                    declared);
        }
        double w = width.orElseThrow();
        double h = height.orElseThrow();
        if (view == null) {
            double pixel = LengthUnit.PIXEL.millimetres();
            return new Viewport(new Transform(pixel, 0, 0, -pixel, 0, h), declared);
        }
        return new Viewport(fitted(svg.text("preserveAspectRatio"), view, w, h), declared);
    }

    private static Transform fitted(String aspect, double[] view, double w, double h) {
        double sx = w / view[2];
        double sy = h / view[3];
        double freeX = 0;
        double freeY = 0;
        if (!aspect.contains("none")) {
            double scale = aspect.contains("slice") ? Math.max(sx, sy) : Math.min(sx, sy);
            freeX = (w - scale * view[2]) * share(aspect, "xMin", "xMax");
            freeY = (h - scale * view[3]) * share(aspect, "YMin", "YMax");
            sx = scale;
            sy = scale;
        }
        return new Transform(sx, 0, 0, -sy, freeX - view[0] * sx, h - freeY + view[1] * sy);
    }

    private static double share(String aspect, String least, String most) {
        return aspect.contains(least) ? 0 : aspect.contains(most) ? 1 : 0.5;
    }

    private static double[] viewBox(String text) {
        if (text.isBlank()) {
            return null;
        }
        try {
            double[] view =
                    Arrays.stream(text.strip().split("[\\s,]+"))
                            .mapToDouble(Double::parseDouble)
                            .toArray();
            boolean usable =
                    view.length == 4
                            && Arrays.stream(view).allMatch(Double::isFinite)
                            && view[2] > 0
                            && view[3] > 0;
            if (usable) {
                return view;
            }
        } catch (NumberFormatException notNumbers) {
            // told below
        }
        throw new UnreadableException("its viewBox \"%s\" is not usable".formatted(text));
    }
}
