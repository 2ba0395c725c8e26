package dev.oleander.web.letter;

import dev.oleander.drawing.picture.DotSpec;
import dev.oleander.drawing.picture.PictureException;
import dev.oleander.drawing.picture.PictureScale;
import dev.oleander.drawing.picture.TraceSpec;
import dev.oleander.geometry.Point;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** How a picture is made line work, or holes, as it is said in JSON. */
final class PictureOptions {

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES).build();

    private static final int MOST_PIXELS = 1_000_000;

    private PictureOptions() {}

    /**
     * Line work.
     *
     * @param threshold otsu, local, or a level from 0 to 255
     */
    record Tracing(
            String mode,
            JsonNode threshold,
            Boolean invert,
            Double smooth,
            Integer speckPx,
            Integer holePx,
            Double tolerance,
            Double corner,
            Polishing polish,
            Scaling scale) {

        TraceSpec spec() {
            return new TraceSpec(
                    word(TraceSpec.Mode.class, or(mode, "outline"), "mode"),
                    level(),
                    isWord("local"),
                    Boolean.TRUE.equals(invert),
                    within(or(smooth, 0.0), 0, 20, "smooth"),
                    (int) within(or(speckPx, 0), 0, MOST_PIXELS, "speckPx"),
                    (int) within(or(holePx, 0), 0, MOST_PIXELS, "holePx"),
                    Optional.ofNullable(tolerance).map(t -> within(t, 0.01, 20, "tolerance")),
                    within(or(corner, TraceSpec.CORNER), 5, 175, "corner"),
                    polish == null ? TraceSpec.Polish.ALL : polish.polish());
        }

        private boolean isWord(String word) {
            return threshold != null && threshold.isString() && threshold.asString().equals(word);
        }

        private Optional<Double> level() {
            if (threshold == null || threshold.isNull() || isWord("otsu") || isWord("local")) {
                return Optional.empty();
            }
            if (!threshold.isNumber()) {
                throw new PictureException(
                        "threshold is \"%s\"; known are otsu, local, and a level from 0 to 255.",
                        threshold.asString());
            }
            return Optional.of(within(threshold.asDouble(), 0, 255, "threshold"));
        }

        PictureScale scaling() {
            return scale == null ? PictureScale.NONE : scale.scale();
        }
    }

    /** What may be put right; null: it may. */
    record Polishing(Boolean circles, Boolean axes) {

        TraceSpec.Polish polish() {
            return new TraceSpec.Polish(
                    !Boolean.FALSE.equals(circles), !Boolean.FALSE.equals(axes));
        }
    }

    /** One way to say how large the picture is. */
    record Scaling(
            Double mmPerPixel,
            Double width,
            Double lineWorkWidth,
            List<double[]> places,
            Double distance) {

        PictureScale scale() {
            return new PictureScale(
                    mmPerPixel,
                    width,
                    lineWorkWidth,
                    places == null ? null : places.stream().map(Scaling::point).toList(),
                    distance);
        }

        private static Point point(double[] of) {
            if (of == null || of.length != 2 || !(Math.abs(of[0]) + Math.abs(of[1]) < 1e6)) {
                throw new PictureException("A place is x and y, in pixels.");
            }
            return new Point(of[0], of[1]);
        }
    }

    /** Holes. */
    record Dotting(
            Double pitch,
            String pattern,
            String tone,
            Double width,
            Double least,
            Double web,
            List<Double> diameters,
            Boolean invert) {

        DotSpec spec() {
            String tones = or(tone, "linear");
            if (!tones.equals("linear") && !tones.equals("coded")) {
                throw new PictureException("tone is \"%s\"; known are linear, coded.", tones);
            }
            if (pitch == null || width == null) {
                throw new PictureException("Holes need a pitch and the width of the picture, mm.");
            }
            return new DotSpec(
                    pitch,
                    word(DotSpec.Pattern.class, or(pattern, "square"), "pattern"),
                    width,
                    or(least, 0.0),
                    or(web, 0.0),
                    or(diameters, List.<Double>of()),
                    tones.equals("linear"),
                    Boolean.TRUE.equals(invert));
        }
    }

    /**
     * @throws PictureException naming what cannot be read
     */
    static <T> T read(String json, Class<T> type) {
        try {
            T read = JSON.readValue(json == null || json.isBlank() ? "{}" : json, type);
            if (read != null) {
                return read;
            }
            throw new PictureException("options is null; it is an object.");
        } catch (JacksonException unreadable) {
            throw new PictureException("options: %s", unreadable.getOriginalMessage());
        }
    }

    private static <T> T or(T value, T otherwise) {
        return value == null ? otherwise : value;
    }

    private static double within(double value, double least, double most, String what) {
        if (!(value >= least && value <= most)) {
            throw new PictureException("%s is %s; it is from %s to %s.", what, value, least, most);
        }
        return value;
    }

    private static <E extends Enum<E>> E word(Class<E> of, String word, String what) {
        return Arrays.stream(of.getEnumConstants())
                .filter(e -> e.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst()
                .orElseThrow(
                        () ->
                                new PictureException(
                                        "%s is \"%s\"; known are %s.",
                                        what,
                                        word,
                                        String.join(
                                                ", ",
                                                Arrays.stream(of.getEnumConstants())
                                                        .map(e -> e.name().toLowerCase(Locale.ROOT))
                                                        .toList())));
    }
}
