package dev.oleander.drawing.letter;

import dev.oleander.drawing.letter.TextSpec.Across;
import dev.oleander.drawing.letter.TextSpec.Align;
import dev.oleander.drawing.letter.TextSpec.Fit;
import dev.oleander.drawing.letter.TextSpec.Mode;
import dev.oleander.drawing.letter.TextSpec.Turn;
import dev.oleander.drawing.letter.TextSpec.Way;
import dev.oleander.geometry.Chain;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Path;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/** Lays a text out: where each of its letters lies, straight or along a way. */
public final class TextLayout {

    /** Letters of a text at most. */
    private static final int LONGEST = 5_000;

    /** mm by which a text may reach beyond its way: rounding. */
    private static final double SLACK = 1e-6;

    private final TypeFace face;
    private final TextSpec spec;
    private final double scale;
    private final double width;
    private final List<Placed> placed = new ArrayList<>();
    private double longest;

    private TextLayout(TypeFace face, TextSpec spec) {
        this.face = face;
        this.spec = spec;
        this.scale = spec.capHeight() / face.capHeight();
        this.width = spec.form().width();
    }

    /**
     * A text that is laid out.
     *
     * @param length of its longest line, mm
     */
    public record Laid(List<Placed> letters, double length) {

        public Laid {
            letters = List.copyOf(letters);
        }
    }

    /**
     * @throws LetterException naming what does not fit, or a letter that there is not
     */
    public static Laid of(TypeFace face, TextSpec spec) {
        requireUsable(spec);
        TextLayout layout = new TextLayout(face, spec);
        List<TextLine> lines = layout.lines();
        if (spec.way().isPresent()) {
            layout.along(lines, spec.way().get());
        } else {
            layout.straight(lines);
        }
        return new Laid(layout.placed, layout.longest);
    }

    private static void requireUsable(TextSpec spec) {
        if (spec.text().isBlank()) {
            throw new LetterException("The text is empty.");
        }
        if (spec.text().length() > LONGEST) {
            throw new LetterException(
                    "The text has %d letters; %d at most.", spec.text().length(), LONGEST);
        }
        if (!(spec.capHeight() > 0 && spec.capHeight() <= 10_000)) {
            throw new LetterException(
                    "Capitals of %s mm; they are more than 0 and at most 10,000 mm high.",
                    Numbers.plain(spec.capHeight(), 3));
        }
        if (!(spec.form().width() > 0 && spec.form().width() <= 10)) {
            throw new LetterException(
                    "The width is %s times; it is more than 0 and at most 10.",
                    Numbers.plain(spec.form().width(), 3));
        }
        if (!(Math.abs(spec.form().slant()) <= 60)) {
            throw new LetterException(
                    "The slant is %s°; it lies between -60 and 60.",
                    Numbers.plain(spec.form().slant(), 2));
        }
    }

    // ---- lines

    private List<TextLine> lines() {
        List<TextLine> lines = new ArrayList<>();
        int index = 0;
        int number = 1;
        for (String text : spec.text().split("\r?\n", -1)) {
            TextLine line = new TextLine();
            int[] codes = text.codePoints().toArray();
            for (int i = 0; i < codes.length; i++) {
                line.add(codes[i], index++, glyph(codes[i], i + 1, number));
            }
            index++;
            number++;
            line.measure();
            lines.add(line);
        }
        return lines;
    }

    private Glyph glyph(int code, int letter, int line) {
        return face.glyph(code)
                .orElseThrow(
                        () ->
                                new LetterException(
                                        "%s has no letter \"%s\" (U+%s), letter %d of line %d.",
                                        face.names().family(),
                                        Character.toString(code),
                                        String.format(Locale.ROOT, "%04X", code),
                                        letter,
                                        line));
    }

    /** Letters one after the other, mm from the beginning of the line. */
    private final class TextLine {

        private final List<Integer> codes = new ArrayList<>();
        private final List<Integer> indexes = new ArrayList<>();
        private final List<Glyph> glyphs = new ArrayList<>();
        private double[] begins = {};
        private double length;
        private double factor = 1;
        private double height = 1;

        void add(int code, int index, Glyph glyph) {
            codes.add(code);
            indexes.add(index);
            glyphs.add(glyph);
        }

        int size() {
            return glyphs.size();
        }

        void measure() {
            begins = new double[size()];
            double pen = 0;
            for (int i = 0; i < size(); i++) {
                begins[i] = pen;
                length = pen + advance(i);
                double kern =
                        spec.spacing().kerning() && i + 1 < size()
                                ? face.kerning(glyphs.get(i), glyphs.get(i + 1))
                                : 0;
                pen = length + scale * width * kern + spec.spacing().letters();
                pen += isSpace(i) ? spec.spacing().words() : 0;
            }
        }

        boolean isSpace(int i) {
            return Character.isWhitespace(codes.get(i));
        }

        double advance(int i) {
            return scale * width * factor * glyphs.get(i).advance();
        }

        double middle(int i) {
            return begins[i] + advance(i) / 2;
        }

        /** More between all letters. */
        void spread(double more) {
            for (int i = 0; i < size(); i++) {
                begins[i] += i * more;
            }
            length += more * Math.max(0, size() - 1);
        }

        /** More at each space. */
        void justify(double wanted) {
            long spaces = IntStream.range(0, size()).filter(this::isSpace).count();
            double more = spaces == 0 ? 0 : (wanted - length) / spaces;
            double sum = 0;
            for (int i = 0; i < size(); i++) {
                begins[i] += sum;
                sum += isSpace(i) ? more : 0;
            }
            length += sum;
        }

        void stretch(double by) {
            for (int i = 0; i < size(); i++) {
                begins[i] *= by;
            }
            factor *= by;
            length *= by;
        }

        void shrink(double by) {
            stretch(by);
            height *= by;
        }

        /** From the units of the font to the beginning of the letter on the base line. */
        Transform form() {
            double tall = scale * height;
            return new Transform(
                    scale * width * factor,
                    0,
                    tall * Math.tan(Math.toRadians(spec.form().slant())),
                    tall,
                    0,
                    0);
        }

        String character(int i) {
            return Character.toString(codes.get(i));
        }

        /** Where its ink begins before its first letter, and ends after its last, mm. */
        double[] ink() {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < size(); i++) {
                for (List<Span> outline : glyphs.get(i).outlines()) {
                    for (Span span : outline) {
                        for (Point p : span.transformed(form()).flat(1e-4)) {
                            least = Math.min(least, begins[i] + p.x());
                            most = Math.max(most, begins[i] + p.x());
                        }
                    }
                }
            }
            return least <= most ? new double[] {least, most} : new double[] {0, length};
        }
    }

    // ---- straight

    private void straight(List<TextLine> lines) {
        Align align = spec.lines().align();
        if (align == Align.JUSTIFIED && spec.lines().width() > 0) {
            lines.subList(0, lines.size() - 1).forEach(l -> l.justify(spec.lines().width()));
        }
        List<double[]> edges = lines.stream().map(this::edges).toList();
        double block =
                align == Align.JUSTIFIED && spec.lines().width() > 0
                        ? spec.lines().width()
                        : edges.stream().mapToDouble(e -> e[1] - e[0]).max().orElse(0);
        longest = lines.stream().mapToDouble(l -> l.length).max().orElse(0);
        Transform place =
                (spec.mirrored() ? new Transform(-1, 0, 0, 1, 0, 0) : Transform.IDENTITY)
                        .then(Transform.rotation(Math.toRadians(spec.angle())))
                        .then(Transform.translation(spec.at()));
        double pitch = spec.lines().pitch() * spec.capHeight();
        double up = up(pitch * (lines.size() - 1));
        for (int n = 0; n < lines.size(); n++) {
            TextLine line = lines.get(n);
            double[] edge = edges.get(n);
            double free = block - (edge[1] - edge[0]);
            double left = -edge[0] + free * share(align) - block * share();
            put(line, new Point(left, up - n * pitch), place);
        }
    }

    private double[] edges(TextLine line) {
        return spec.lines().ink() ? line.ink() : new double[] {0, line.length};
    }

    private static double share(Align align) {
        return switch (align) {
            case CENTRE -> 0.5;
            case RIGHT -> 1;
            default -> 0;
        };
    }

    private double share() {
        return switch (spec.anchor().along()) {
            case START -> 0;
            case CENTRE -> 0.5;
            case END -> 1;
        };
    }

    /** Of the first base line over the place. */
    private double up(double down) {
        return switch (spec.anchor().across()) {
            case BASE -> 0;
            case CAP -> -spec.capHeight();
            case MIDDLE -> (down - spec.capHeight()) / 2;
        };
    }

    private void put(TextLine line, Point begin, Transform place) {
        for (int i = 0; i < line.size(); i++) {
            Point origin = begin.plus(new Point(line.begins[i], 0));
            Transform to = line.form().then(Transform.translation(origin)).then(place);
            placed.add(
                    new Placed(
                            line.character(i),
                            line.indexes.get(i),
                            place.apply(origin),
                            spec.angle(),
                            line.advance(i),
                            line.glyphs.get(i),
                            to,
                            Optional.empty()));
        }
    }

    // ---- along a way

    private void along(List<TextLine> lines, Way way) {
        Chain chain = way.reversed() ? reversed(way.chain()) : way.chain();
        double pitch = spec.lines().pitch() * spec.capHeight();
        for (int n = 0; n < lines.size(); n++) {
            along(lines.get(n), way, chain, way.distance() - n * pitch);
        }
    }

    private static Chain reversed(Chain chain) {
        return chain instanceof Contour contour ? contour.reversed() : ((Path) chain).reversed();
    }

    private void along(TextLine line, Way way, Chain chain, double distance) {
        double off = off(way.spaceAt());
        Guide guide = new Guide(chain, distance + off);
        way.fit().ifPresent(fit -> fitted(line, fit, guide));
        longest = Math.max(longest, line.length);
        double start = begin(way, chain, guide, distance + off) - share() * line.length;
        requireWithin(line, guide, start);
        for (int i = 0; i < line.size(); i++) {
            placed.add(
                    way.turn() == Turn.BENT
                            ? bent(line, i, guide, start, off)
                            : stood(line, i, guide, start, off, way.turn()));
        }
    }

    private double off(Across spaceAt) {
        return switch (spaceAt) {
            case BASE -> 0;
            case MIDDLE -> spec.capHeight() / 2;
            case CAP -> spec.capHeight();
        };
    }

    private static void fitted(TextLine line, Fit fit, Guide guide) {
        double wanted = fit.length() > 0 ? fit.length() : guide.length();
        if (fit.mode() == Mode.SPREAD && line.size() > 1) {
            line.spread((wanted - line.length) / (line.size() - 1));
        } else if (fit.mode() == Mode.STRETCH) {
            line.stretch(wanted / line.length);
        } else if (fit.mode() == Mode.SHRINK && line.length > wanted) {
            line.shrink(wanted / line.length);
        }
    }

    /** On the parallel, where the way is as long as is wished. */
    private static double begin(Way way, Chain chain, Guide guide, double left) {
        Guide itself = new Guide(chain, 0);
        Guide.Place place = itself.at(way.from());
        return guide.nearest(place.at().plus(place.left().times(left)));
    }

    private void requireWithin(TextLine line, Guide guide, double start) {
        if (line.length > guide.length() + SLACK) {
            double share = guide.length() / line.length;
            throw new LetterException(
                    "The text is %s mm long, the path %s: stretch to %s %%, or take capitals of %s mm.",
                    Numbers.plain(line.length, 1),
                    Numbers.plain(guide.length(), 1),
                    Numbers.plain(Math.floor(100 * share), 0),
                    Numbers.plain(Math.floor(10 * share * spec.capHeight()) / 10, 1));
        }
        double before = -start;
        double beyond = start + line.length - guide.length();
        if (!guide.isClosed() && Math.max(before, beyond) > SLACK) {
            throw new LetterException(
                    "The text reaches %s mm beyond the %s of the path.",
                    Numbers.plain(Math.max(before, beyond), 1),
                    before > beyond ? "beginning" : "end");
        }
    }

    private Placed stood(TextLine line, int i, Guide guide, double start, double off, Turn turn) {
        double advance = line.advance(i);
        double middle = start + line.middle(i);
        Guide.Place place = guide.at(middle);
        Point way = place.way();
        if (turn == Turn.UPRIGHT) {
            way = new Point(1, 0);
        } else if (guide.hasCorner(middle - advance / 2, middle + advance / 2)) {
            Point chord =
                    guide.at(middle + advance / 2).at().minus(guide.at(middle - advance / 2).at());
            way = chord.times(1 / Math.hypot(chord.x(), chord.y()));
        }
        Point left = new Point(-way.y(), way.x());
        Point foot =
                turn == Turn.UPRIGHT
                        ? place.at().minus(place.left().times(off))
                        : place.at().minus(left.times(off));
        Point origin = foot.minus(way.times(advance / 2));
        double angle = Math.atan2(way.y(), way.x());
        Transform to =
                line.form().then(Transform.rotation(angle)).then(Transform.translation(origin));
        return new Placed(
                line.character(i),
                line.indexes.get(i),
                origin,
                Math.toDegrees(angle),
                advance,
                line.glyphs.get(i),
                to,
                Optional.empty());
    }

    /** Its outlines are carried point by point: x along the way, y across it. */
    private Placed bent(TextLine line, int i, Guide guide, double start, double off) {
        double begin = start + line.begins[i];
        Guide.Place place = guide.at(begin);
        Point origin = place.at().minus(place.left().times(off));
        Transform to = line.form().then(Transform.translation(new Point(begin, -off)));
        return new Placed(
                line.character(i),
                line.indexes.get(i),
                origin,
                Math.toDegrees(Math.atan2(place.way().y(), place.way().x())),
                line.advance(i),
                line.glyphs.get(i),
                to,
                Optional.of(
                        p -> {
                            Guide.Place at = guide.at(p.x());
                            return at.at().plus(at.left().times(p.y()));
                        }));
    }
}
