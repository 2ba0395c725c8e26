package dev.oleander.drawing.svg;

import dev.oleander.drawing.intake.UnreadableException;
import dev.oleander.geometry.Transform;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is shown of user space, and how it is fitted into a viewport (SVG 2, 8.6 and 8.7). */
record ViewBox(double x, double y, double width, double height) {

    private static final Pattern ASPECT =
            Pattern.compile(
                    "(?:defer\\s+)?(none|x(Min|Mid|Max)Y(Min|Mid|Max))(?:\\s+(meet|slice))?");

    /**
     * @throws UnreadableException when it is not four numbers, or not wider and higher than 0
     */
    static Optional<ViewBox> of(SvgNode node) {
        String text = node.text("viewBox");
        if (text.isBlank()) {
            return Optional.empty();
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
                return Optional.of(new ViewBox(view[0], view[1], view[2], view[3]));
            }
        } catch (NumberFormatException notNumbers) {
            // told below
        }
        throw new UnreadableException("its viewBox \"%s\" is not usable".formatted(text));
    }

    /**
     * From user space to a viewport that begins at the origin, y down.
     *
     * @param aspect value of preserveAspectRatio; one that is not understood is like none given
     */
    Transform into(String aspect, double w, double h) {
        Matcher m = ASPECT.matcher(aspect.strip());
        boolean given = m.matches();
        double sx = w / width;
        double sy = h / height;
        if (given && m.group(1).equals("none")) {
            return new Transform(sx, 0, 0, sy, -x * sx, -y * sy);
        }
        boolean slice = given && "slice".equals(m.group(4));
        double scale = slice ? Math.max(sx, sy) : Math.min(sx, sy);
        double freeX = (w - scale * width) * share(given ? m.group(2) : "Mid");
        double freeY = (h - scale * height) * share(given ? m.group(3) : "Mid");
        return new Transform(scale, 0, 0, scale, freeX - x * scale, freeY - y * scale);
    }

    private static double share(String align) {
        return switch (align) {
            case "Min" -> 0;
            case "Max" -> 1;
            default -> 0.5;
        };
    }

    View view() {
        return new View(width, height);
    }
}
