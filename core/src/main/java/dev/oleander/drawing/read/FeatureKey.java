package dev.oleander.drawing.read;

import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Names a feature of a drawing, one copy of it on the bed, or one visit to that copy. As text, in
 * documents and over HTTP: {@code c3}, {@code c3.2}, {@code c3.2-off}.
 *
 * @param copy empty: all of them
 * @param visit empty: all of them
 */
public record FeatureKey(String feature, OptionalInt copy, String visit) {

    private static final Pattern TEXT = Pattern.compile("(.+)\\.(-?\\d+)(?:-(\\w+))?");

    /** A feature with all its copies. */
    public static FeatureKey of(String feature) {
        return new FeatureKey(feature, OptionalInt.empty(), "");
    }

    /** One copy of a feature. */
    public static FeatureKey of(String feature, int copy) {
        return new FeatureKey(feature, OptionalInt.of(copy), "");
    }

    /** From text; what names no copy names a feature. */
    public static FeatureKey parse(String text) {
        Matcher parts = TEXT.matcher(text);
        if (!parts.matches()) {
            return of(text);
        }
        String visit = parts.group(3) == null ? "" : parts.group(3);
        return new FeatureKey(
                parts.group(1), OptionalInt.of(Integer.parseInt(parts.group(2))), visit);
    }

    /** One of the visits to the copy. */
    public FeatureKey visit(String name) {
        return new FeatureKey(feature, copy, name);
    }

    /** The same of another feature. */
    public FeatureKey with(String other) {
        return new FeatureKey(other, copy, visit);
    }

    /** As it is written. */
    public String text() {
        String ofCopy = copy.isPresent() ? feature + "." + copy.getAsInt() : feature;
        return visit.isEmpty() ? ofCopy : ofCopy + "-" + visit;
    }
}
