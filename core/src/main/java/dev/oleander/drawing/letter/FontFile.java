package dev.oleander.drawing.letter;

import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntBinaryOperator;
import org.apache.fontbox.cff.CFFFont;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.KerningSubtable;
import org.apache.fontbox.ttf.NamingTable;
import org.apache.fontbox.ttf.OTFParser;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TTFTable;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** Reads fonts of outlines: TrueType, OpenType and WOFF 1. */
public final class FontFile {

    private FontFile() {}

    /**
     * @param name of the file, for sentences
     * @throws LetterException naming what is wrong with it
     */
    public static TypeFace read(byte[] file, String name) {
        byte[] sfnt = FontTables.checked(file, name);
        try {
            return FontTables.isOpenType(sfnt)
                    ? cubic(file, sfnt, name)
                    : quadratic(file, sfnt, name);
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof LetterException said) {
                throw said;
            }
            throw new LetterException("%s cannot be read: %s", name, said(broken));
        }
    }

    private static String said(Exception broken) {
        String message = broken.getMessage();
        return message == null || message.isBlank() ? "its tables contradict each other." : message;
    }

    private static TypeFace quadratic(byte[] file, byte[] sfnt, String name) throws IOException {
        TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(sfnt));
        if (font.getGlyph() == null) {
            throw new LetterException("%s has no outlines.", name);
        }
        TrueTypeOutlines outlines = new TrueTypeOutlines(font, name);
        return face(file, font, name, outlines::of);
    }

    private static TypeFace cubic(byte[] file, byte[] sfnt, String name) throws IOException {
        OpenTypeFont font = new OTFParser().parse(new RandomAccessReadBuffer(sfnt));
        CFFFont cff = font.getCFF().getFont();
        return face(
                file,
                font,
                name,
                number -> CubicOutlines.of(cff.getType2CharString(number).getPath()));
    }

    private static TypeFace face(byte[] file, TrueTypeFont font, String name, Outlines outlines)
            throws IOException {
        CmapLookup letters = letters(font, name);
        return new TypeFace(
                names(file, font, name),
                font.getUnitsPerEm(),
                code ->
                        Optional.of(letters.getGlyphId(code))
                                .filter(number -> number != 0)
                                .map(number -> glyph(font, number, outlines)),
                kerning(font));
    }

    private static CmapLookup letters(TrueTypeFont font, String name) throws IOException {
        CmapLookup letters = font.getUnicodeCmapLookup(false);
        if (letters == null) {
            throw new LetterException("%s does not say which of its letters are which.", name);
        }
        return letters;
    }

    /** Outlines by the number of the letter; reading may fail. */
    private interface Outlines {
        List<List<Span>> of(int number) throws IOException;
    }

    private static Glyph glyph(TrueTypeFont font, int number, Outlines outlines) {
        try {
            synchronized (font) {
                return new Glyph(number, font.getAdvanceWidth(number), outlines.of(number));
            }
        } catch (LetterException said) {
            throw said;
        } catch (IOException | RuntimeException broken) {
            throw new LetterException("Letter %d of the font cannot be read.", number);
        }
    }

    private static TypeFace.Names names(byte[] file, TrueTypeFont font, String name)
            throws IOException {
        NamingTable naming = font.getNaming();
        String family = naming == null ? null : naming.getFontFamily();
        String style = naming == null ? null : naming.getFontSubFamily();
        return new TypeFace.Names(
                sha256(file),
                family == null || family.isBlank() ? name : family,
                style == null || style.isBlank() ? "regular" : style.toLowerCase(Locale.ROOT),
                false);
    }

    static String sha256(byte[] file) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(file));
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** Of GPOS where it kerns, else of the older table. */
    private static IntBinaryOperator kerning(TrueTypeFont font) throws IOException {
        TTFTable gpos = font.getTableMap().get("GPOS");
        if (gpos != null) {
            PairAdjustment pairs = new PairAdjustment(font.getTableBytes(gpos));
            if (pairs.kerns()) {
                return pairs::between;
            }
        }
        KerningSubtable table =
                font.getKerning() == null ? null : font.getKerning().getHorizontalKerningSubtable();
        return table == null ? (a, b) -> 0 : table::getKerning;
    }
}
