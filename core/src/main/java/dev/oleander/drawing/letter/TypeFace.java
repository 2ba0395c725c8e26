package dev.oleander.drawing.letter;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntBinaryOperator;
import java.util.function.IntFunction;

/** A font of outlines or strokes. Thread-safe. */
public final class TypeFace {

    /** By what capitals are measured, the first that there is. */
    private static final String CAPITALS = "HEIX";

    private final Names names;
    private final int unitsPerEm;
    private final IntFunction<Optional<Glyph>> glyphs;
    private final IntBinaryOperator kerning;
    private final Map<Integer, Optional<Glyph>> known = new ConcurrentHashMap<>();
    private final double capHeight;

    /**
     * What a font is called.
     *
     * @param sha256 of its file, by which texts name it
     * @param style regular, bold, ...
     * @param strokes whether its letters are lines that a tool follows, not outlines
     */
    public record Names(String sha256, String family, String style, boolean strokes) {}

    /**
     * @param glyphs by code point; empty where it has none
     * @param kerning between the numbers of two letters, in units
     * @throws LetterException when none of its capitals can be measured
     */
    TypeFace(
            Names names,
            int unitsPerEm,
            IntFunction<Optional<Glyph>> glyphs,
            IntBinaryOperator kerning) {
        this.names = names;
        this.unitsPerEm = unitsPerEm;
        this.glyphs = glyphs;
        this.kerning = kerning;
        this.capHeight = measured();
    }

    private double measured() {
        return CAPITALS.chars()
                .mapToObj(this::glyph)
                .flatMap(Optional::stream)
                .mapToDouble(Glyph::top)
                .filter(top -> top > 0)
                .findFirst()
                .orElseThrow(
                        () ->
                                new LetterException(
                                        "%s has none of the capitals H, E, I and X, by which letters are measured.",
                                        names.family()));
    }

    public Names names() {
        return names;
    }

    /** The same under another name: files of one weight of many often say only the family. */
    public TypeFace called(String family, String style) {
        return new TypeFace(
                new Names(names.sha256(), family, style, names.strokes()),
                unitsPerEm,
                glyphs,
                kerning);
    }

    public int unitsPerEm() {
        return unitsPerEm;
    }

    /** Of the outline of H, in units. */
    public double capHeight() {
        return capHeight;
    }

    Optional<Glyph> glyph(int codePoint) {
        return known.computeIfAbsent(codePoint, glyphs::apply);
    }

    /** By how much the second of two letters comes nearer (below 0), in units. */
    double kerning(Glyph first, Glyph second) {
        return kerning.applyAsInt(first.number(), second.number());
    }
}
