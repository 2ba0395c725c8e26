package dev.oleander.drawing.letter;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.ttf.GlyfCompositeComp;
import org.apache.fontbox.ttf.GlyfCompositeDescript;
import org.apache.fontbox.ttf.GlyphData;
import org.apache.fontbox.ttf.GlyphDescription;
import org.apache.fontbox.ttf.TrueTypeFont;

/**
 * Outlines of a table glyf from its raw points: points that are implied lie exactly half way
 * between two, and parts of composite letters are carried by their own matrix, unrounded.
 */
final class TrueTypeOutlines {

    private static final int ON = 1;
    private static final int DEEPEST = 8;
    private static final int PLACED = 0x0002;
    private static final int SCALED_OFFSET = 0x0800;

    private final TrueTypeFont font;
    private final String name;

    TrueTypeOutlines(TrueTypeFont font, String name) {
        this.font = font;
        this.name = name;
    }

    /**
     * @throws LetterException when a part of it is missing, or parts hold each other
     */
    List<List<Span>> of(int glyph) throws IOException {
        return of(glyph, 0);
    }

    private List<List<Span>> of(int number, int deep) throws IOException {
        if (deep > DEEPEST) {
            throw new LetterException(
                    "Letter %d of %s is made of parts that are more than %d deep.",
                    number, name, DEEPEST);
        }
        if (number >= font.getNumberOfGlyphs()) {
            throw new LetterException(
                    "A letter of %s is made of letter %d, which it has not.", name, number);
        }
        GlyphData data = font.getGlyph().getGlyph(number);
        if (data == null || data.getNumberOfContours() == 0) {
            return List.of();
        }
        GlyphDescription description = data.getDescription();
        if (description == null) {
            throw new LetterException("Letter %d of %s cannot be read.", number, name);
        }
        return description.isComposite()
                ? composite((GlyfCompositeDescript) description, deep)
                : simple(description);
    }

    private List<List<Span>> composite(GlyfCompositeDescript parts, int deep) throws IOException {
        List<List<Span>> all = new ArrayList<>();
        for (GlyfCompositeComp part : parts.getComponents()) {
            if ((part.getFlags() & PLACED) == 0) {
                throw new LetterException(
                        "A letter of %s is put together by points that meet, which is not read.",
                        name);
            }
            Transform to = matrix(part);
            for (List<Span> outline : of(part.getGlyphIndex(), deep + 1)) {
                all.add(outline.stream().map(s -> s.transformed(to)).toList());
            }
        }
        return all;
    }

    private static Transform matrix(GlyfCompositeComp part) {
        double a = part.getXScale();
        double b = part.getScale01();
        double c = part.getScale10();
        double d = part.getYScale();
        boolean scaled = (part.getFlags() & SCALED_OFFSET) != 0;
        double x = part.getXTranslate() * (scaled ? Math.hypot(a, b) : 1);
        double y = part.getYTranslate() * (scaled ? Math.hypot(c, d) : 1);
        return new Transform(a, b, c, d, x, y);
    }

    private static List<List<Span>> simple(GlyphDescription glyph) {
        List<List<Span>> outlines = new ArrayList<>();
        int from = 0;
        for (int contour = 0; contour < glyph.getContourCount(); contour++) {
            int end = glyph.getEndPtOfContours(contour);
            List<Raw> points = new ArrayList<>();
            for (int i = from; i <= end; i++) {
                Point at = new Point(glyph.getXCoordinate(i), glyph.getYCoordinate(i));
                points.add(new Raw(at, (glyph.getFlags(i) & ON) != 0));
            }
            from = end + 1;
            if (points.size() > 2) {
                outlines.add(spans(points));
            }
        }
        return outlines;
    }

    private record Raw(Point at, boolean on) {}

    /** Between two points that are off the outline lies one on it. */
    private static List<Span> spans(List<Raw> points) {
        List<Raw> whole = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            Raw here = points.get(i);
            Raw next = points.get((i + 1) % points.size());
            whole.add(here);
            if (!here.on() && !next.on()) {
                whole.add(new Raw(here.at().plus(next.at()).times(0.5), true));
            }
        }
        int first = 0;
        while (!whole.get(first).on()) {
            first++;
        }
        List<Span> spans = new ArrayList<>();
        Point at = whole.get(first).at();
        for (int i = 1; i <= whole.size(); i++) {
            Raw next = whole.get((first + i) % whole.size());
            if (next.on()) {
                add(spans, Span.of(at, next.at()));
                at = next.at();
            } else {
                Raw end = whole.get((first + i + 1) % whole.size());
                add(spans, Span.of(at, next.at(), end.at()));
                at = end.at();
                i++;
            }
        }
        return spans;
    }

    private static void add(List<Span> spans, Span span) {
        if (!span.isLine() || span.start().distance(span.end()) > 0) {
            spans.add(span);
        }
    }
}
