package dev.oleander.drawing.svg;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Colours of strokes in one spelling, so that rules find them. */
final class Colours {

    private static final Pattern SHORT = Pattern.compile("#([0-9a-f])([0-9a-f])([0-9a-f])");
    private static final Pattern RGB =
            Pattern.compile("rgb\\(\\s*(\\d{1,3})\\s*,\\s*(\\d{1,3})\\s*,\\s*(\\d{1,3})\\s*\\)");
    private static final Map<String, String> NAMES =
            Map.of(
                    "#000000", "black",
                    "#ff0000", "red",
                    "#ffff00", "yellow",
                    "#00ff00", "green",
                    "#00ffff", "cyan",
                    "#0000ff", "blue",
                    "#ff00ff", "magenta",
                    "#808080", "grey");

    private Colours() {}

    static String named(String text) {
        String full = text;
        Matcher shortened = SHORT.matcher(text);
        Matcher rgb = RGB.matcher(text);
        if (shortened.matches()) {
            full = shortened.replaceAll("#$1$1$2$2$3$3");
        } else if (rgb.matches()) {
            full =
                    String.format(
                            "#%02x%02x%02x",
                            Integer.parseInt(rgb.group(1)) & 255,
                            Integer.parseInt(rgb.group(2)) & 255,
                            Integer.parseInt(rgb.group(3)) & 255);
        }
        return NAMES.getOrDefault(full, full.length() > 40 ? "other" : full);
    }
}
