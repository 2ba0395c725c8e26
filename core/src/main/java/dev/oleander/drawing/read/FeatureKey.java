package dev.oleander.drawing.read;

import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Names a feature of a drawing, one copy of it on the bed, or one visit to that copy. As text, in
 * documents and over HTTP: {@code c3}, {@code c3.2}, {@code c3.2-off}, {@code c3-off}.
 *
 * @param copy empty: all of them
 * @param visit empty: all of them
 */
public record FeatureKey(String feature, OptionalInt copy, String visit) {

    private static final Pattern TEXT =
            Pattern.compile("([^.-]+)(?:\\.(-?\\d+))?(?:-(\\w[\\w-]*))?");

    /** Between the name of a source and an id, where drawings of several jobs are read as one. */
    private static final char OF_SOURCE = '~';

    /**
     * An id as it is where several sources are read as one.
     *
     * @param source empty: the id stays as it is
     */
    public static String inSource(String source, String id) {
        return source.isEmpty() ? id : source + OF_SOURCE + id;
    }

    /** The source that an id names; empty when it names none. */
    public static String sourceOf(String id) {
        return id.substring(0, Math.max(0, id.indexOf(OF_SOURCE)));
    }

    /** The id as it is in its own source. */
    public static String localOf(String id) {
        return id.substring(id.indexOf(OF_SOURCE) + 1);
    }

    /** A feature with all its copies. */
    public static FeatureKey of(String feature) {
        return new FeatureKey(feature, OptionalInt.empty(), "");
    }

    /** One copy of a feature. */
    public static FeatureKey of(String feature, int copy) {
        return new FeatureKey(feature, OptionalInt.of(copy), "");
    }

    /** From text; what is no key names a feature. */
    public static FeatureKey parse(String text) {
        Matcher parts = TEXT.matcher(text);
        if (!parts.matches()) {
            return of(text);
        }
        String visit = parts.group(3) == null ? "" : parts.group(3);
        return new FeatureKey(
                parts.group(1),
                parts.group(2) == null
                        ? OptionalInt.empty()
                        : OptionalInt.of(Integer.parseInt(parts.group(2))),
                visit);
    }

    /** One of the visits to the copy. */
    public FeatureKey visit(String name) {
        return new FeatureKey(feature, copy, name);
    }

    /** The same of all copies. */
    public FeatureKey ofAllCopies() {
        return new FeatureKey(feature, OptionalInt.empty(), visit);
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
