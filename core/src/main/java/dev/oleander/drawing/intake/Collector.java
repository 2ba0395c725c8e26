package dev.oleander.drawing.intake;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Fits;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.Label;
import dev.oleander.drawing.Layer;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.Style;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Collects what a reader finds in one file and keeps to the limits of its options. */
public final class Collector {

    /** Texts that are kept; no drawing of a part has more. */
    private static final int MOST_LABELS = 10_000;

    private record SkipKey(String entity, String layer, String why, boolean lineWork) {}

    /** Where a thing stands in the file. */
    public record Source(String type, Style style, int line, String handle) {}

    private final String file;
    private final ImportOptions options;
    private final long began = System.nanoTime();
    private final Map<String, Layer> layers = new LinkedHashMap<>();
    private final List<Entity> entities = new ArrayList<>();

    /** One object for all that are equal: a drawing has many entities of few styles. */
    private final Map<Style, Style> styles = new HashMap<>();

    private final Map<String, String> types = new HashMap<>();
    private final List<Point> points = new ArrayList<>();
    private final List<Label> labels = new ArrayList<>();
    private final Map<SkipKey, Integer> skipped = new LinkedHashMap<>();
    private final List<Fault> faults = new ArrayList<>();
    private Fits fits;
    private int segments;
    private int inserts;

    public Collector(String file, ImportOptions options) {
        this.file = file;
        this.options = options;
        this.fits = Fits.none(options.fit());
    }

    public String file() {
        return file;
    }

    public ImportOptions options() {
        return options;
    }

    public void layer(Layer layer) {
        layers.put(layer.name(), layer);
    }

    public Layer layer(String name) {
        return layers.get(name);
    }

    /**
     * Takes line work; a thing without length is reported.
     *
     * @param place of a thing without length
     * @throws DrawingException when there is too much or it takes too long
     */
    public void add(Source source, Outline outline, Point place) {
        layers.computeIfAbsent(source.style().layer(), Layer::plain);
        if (outline.segments().isEmpty()) {
            String sentence =
                    "%s without length on layer %s (line %d of the file) is left out."
                            .formatted(source.type(), source.style().layer(), source.line());
            faults.add(Fault.mended(Fault.Kind.CRUMB, place, 0, sentence));
            return;
        }
        segments += outline.segments().size();
        if (segments > options.mostSegments()) {
            throw tooMuch(source.line(), options.mostSegments(), "lines and arcs");
        }
        requireTime(source.line());
        fits = fits.plus(outline.fits(options.fit()));
        int ordinal = entities.size();
        entities.add(
                new Entity(
                        ordinal,
                        String.valueOf(ordinal + 1),
                        types.computeIfAbsent(source.type(), t -> t),
                        styles.computeIfAbsent(source.style(), s -> s),
                        source.line(),
                        source.handle(),
                        outline.segments(),
                        outline.closed()));
    }

    public void point(Point p) {
        points.add(p);
    }

    /** Counts a block or a copy that is put in. */
    public void insert(int line) {
        inserts++;
        if (inserts > options.mostInserts()) {
            throw tooMuch(line, options.mostInserts(), "inserted blocks");
        }
        requireTime(line);
    }

    private DrawingException tooMuch(int line, int limit, String what) {
        return new DrawingException(
                file,
                line,
                "%s has more than %d %s, counted up to line %d. Export only what is to be cut."
                        .formatted(file, limit, what, line));
    }

    /**
     * @throws DrawingException when reading has taken longer than it may
     */
    public void requireTime(int line) {
        double seconds = (System.nanoTime() - began) / 1e9;
        if (seconds > options.mostSeconds()) {
            throw new DrawingException(
                    file,
                    line,
                    "%s was given up at line %d: reading it took longer than %s s."
                            .formatted(file, line, Numbers.plain(options.mostSeconds(), 1)));
        }
    }

    /** Counts a thing as left out. */
    public void skip(String entity, String layer, String why, boolean lineWork) {
        skipped.merge(new SkipKey(entity, layer, why, lineWork), 1, Integer::sum);
    }

    /** Leaves out what cannot become geometry, and says so. */
    public void unreadable(String type, String layer, int line, String why) {
        skip(type, layer, why, true);
        fault(
                "%s on layer %s (line %d of the file) is left out: %s."
                        .formatted(type, layer, line, why));
    }

    /**
     * Text that stands in the drawing.
     *
     * @param place where it begins, mm
     */
    public void label(String text, Point place) {
        if (!text.isBlank() && labels.size() < MOST_LABELS) {
            labels.add(new Label(text.strip(), place));
        }
    }

    /** Something a person must know about the file. */
    public void fault(String sentence) {
        faults.add(Fault.ofFile(sentence));
    }

    /**
     * A point as it is.
     *
     * @throws UnreadableException when it is not finite or too far away
     */
    public Point checked(Point p) {
        double limit = options.farthest();
        if (!(Math.abs(p.x()) <= limit && Math.abs(p.y()) <= limit)) {
            throw new UnreadableException(
                    "its place (%s, %s) is farther than %s mm away"
                            .formatted(
                                    shortened(p.x()), shortened(p.y()), Numbers.plain(limit, 0)));
        }
        return p;
    }

    private static String shortened(double value) {
        return Math.abs(value) < 1e12 ? Numbers.plain(value, 3) : String.valueOf(value);
    }

    /**
     * @throws DrawingException when no line work was found
     */
    public Drawing drawing(Optional<LengthUnit> declared, LengthUnit unit) {
        if (entities.isEmpty()) {
            throw new DrawingException(file, null, nothingFound());
        }
        List<Skipped> left =
                skipped.entrySet().stream()
                        .map(
                                e ->
                                        new Skipped(
                                                e.getKey().entity(),
                                                e.getKey().layer(),
                                                e.getValue(),
                                                e.getKey().why(),
                                                e.getKey().lineWork()))
                        .toList();
        return new Drawing(
                file,
                declared,
                unit,
                declared.isEmpty() && options.unit().isEmpty(),
                List.copyOf(layers.values()),
                entities,
                points,
                labels,
                left,
                faults,
                fits);
    }

    private String nothingFound() {
        int left = skipped.values().stream().mapToInt(Integer::intValue).sum();
        String sentence = "%s holds no line work.".formatted(file);
        if (left == 0) {
            return sentence;
        }
        Map.Entry<SkipKey, Integer> most =
                skipped.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
        return sentence
                + " %d entities were left out, most of them %s: %s."
                        .formatted(left, most.getKey().entity(), most.getKey().why());
    }
}
