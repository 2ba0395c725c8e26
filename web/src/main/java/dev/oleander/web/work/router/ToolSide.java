package dev.oleander.web.work.router;

import dev.oleander.work.router.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A tool with its holder in the stock, from the side and to scale: mm, z downwards.
 *
 * @param box of the picture
 * @param stock the stock round the tool, a path
 * @param cutting the part that cuts, a path
 * @param bodies shank and holder, from below
 * @param caption what is seen
 */
public record ToolSide(
        String box, String stock, String cutting, List<Body> bodies, String caption) {

    /** Steps of a profile that is not flat. */
    private static final int STEPS = 24;

    /** mm of stock to both sides of what is widest. */
    private static final double BESIDE = 6;

    /** A cylinder, mm. */
    public record Body(double x, double y, double width, double height, String what) {}

    /**
     * @param depth to which it goes, mm
     * @param thickness of the stock, mm
     */
    static ToolSide of(Tool tool, double depth, double thickness) {
        double radius = tool.diameter() / 2;
        double top = depth - tool.shank().stickOut();
        List<Body> bodies = new ArrayList<>();
        double flutes = Math.min(tool.edges().length(), tool.shank().stickOut());
        bodies.add(body(tool.shank().diameter(), depth - flutes, top, "shank"));
        double at = top;
        double widest = Math.max(tool.diameter(), tool.shank().diameter());
        for (Tool.Holder.Step step : tool.holder().steps()) {
            bodies.add(body(step.diameter(), at, at - step.height(), "holder"));
            at -= step.height();
            widest = Math.max(widest, step.diameter());
        }
        double half = widest / 2 + BESIDE;
        double high = Math.max(thickness, depth) - at;
        return new ToolSide(
                "%s %s %s %s".formatted(mm(-half), mm(at), mm(2 * half), mm(high)),
                stock(radius, depth, thickness, half),
                cutting(tool, depth, flutes),
                List.copyOf(bodies),
                "%s mm deep; flutes %s mm, stands out %s mm"
                        .formatted(
                                mm(depth), mm(tool.edges().length()), mm(tool.shank().stickOut())));
    }

    private static Body body(double diameter, double bottom, double top, String what) {
        return new Body(-diameter / 2, top, diameter, Math.max(0, bottom - top), what);
    }

    /** Cut as wide as the tool. */
    private static String stock(double radius, double depth, double thickness, double half) {
        double floor = Math.min(depth, thickness);
        return "M%s 0H%sV%sH%sV0H%sV%sH%sZ"
                .formatted(
                        mm(-half),
                        mm(-radius),
                        mm(floor),
                        mm(radius),
                        mm(half),
                        mm(thickness),
                        mm(-half));
    }

    private static String cutting(Tool tool, double depth, double flutes) {
        double radius = tool.diameter() / 2;
        StringBuilder path = new StringBuilder();
        for (int i = -STEPS; i <= STEPS; i++) {
            double x = radius * i / STEPS;
            double y = depth - Math.min(flutes, tool.form().rise(Math.abs(x)));
            path.append(path.isEmpty() ? 'M' : 'L').append(mm(x)).append(' ').append(mm(y));
        }
        return path + "V%sH%sZ".formatted(mm(depth - flutes), mm(-radius));
    }

    private static String mm(double value) {
        String text = String.format(Locale.ROOT, "%.3f", value);
        return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
    }
}
