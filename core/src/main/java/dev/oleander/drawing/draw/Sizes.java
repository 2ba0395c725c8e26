package dev.oleander.drawing.draw;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.Formula;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What is written on a shape that is drawn by numbers. */
public final class Sizes {

    private Sizes() {}

    /**
     * A value on the drawing.
     *
     * @param value mm, degrees or a number
     * @param from where its dimension begins
     * @param to where it ends; the same place: it stands there
     */
    public record Size(String parameter, String label, double value, Point from, Point to) {}

    /**
     * Of a step that draws a shape; none of others.
     *
     * @param names values that formulas may use by name, mm
     * @throws DrawException naming the parameter that cannot be worked out
     */
    public static List<Size> of(DrawStep step, Map<String, Double> names) {
        return Commands.find(step.command())
                .filter(c -> !c.shown().isEmpty())
                .map(c -> of(step, c, names))
                .orElse(List.of());
    }

    private static List<Size> of(DrawStep step, Command command, Map<String, Double> names) {
        Args args = new Args(step, command.parameters(), names);
        Transform place = Figures.at(args.point("x", "y"), args.angle("turn"));
        Map<String, Double> known = new TreeMap<>(names);
        for (Parameter p : command.parameters()) {
            known.put(p.name(), args.number(p.name()));
        }
        List<Size> sizes = new ArrayList<>();
        for (Command.Shown shown : command.shown()) {
            Parameter parameter =
                    command.parameters().stream()
                            .filter(p -> p.name().equals(shown.parameter()))
                            .findFirst()
                            .orElseThrow();
            sizes.add(
                    new Size(
                            parameter.name(),
                            parameter.label(),
                            known.get(parameter.name()),
                            place.apply(point(shown.x1(), shown.y1(), known)),
                            place.apply(point(shown.x2(), shown.y2(), known))));
        }
        return sizes;
    }

    private static Point point(String x, String y, Map<String, Double> known) {
        return new Point(Formula.evaluate(x, known), Formula.evaluate(y, known));
    }
}
