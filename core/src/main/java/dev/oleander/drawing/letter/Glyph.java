package dev.oleander.drawing.letter;

import java.util.List;
import java.util.stream.Stream;

/**
 * A letter of a font, in its units.
 *
 * @param number within the font
 * @param advance to where the next letter begins
 * @param outlines closed, what is inked by the rule of non-zero winding; of letters of strokes open
 */
record Glyph(int number, double advance, List<List<Span>> outlines) {

    Glyph {
        outlines = outlines.stream().map(List::copyOf).toList();
    }

    /** Of its highest point; 0 when nothing is drawn. */
    double top() {
        return outlines.stream()
                .flatMap(List::stream)
                .flatMap(span -> Stream.concat(Stream.of(span.start()), span.flat(1e-3).stream()))
                .mapToDouble(p -> p.y())
                .max()
                .orElse(0);
    }
}
