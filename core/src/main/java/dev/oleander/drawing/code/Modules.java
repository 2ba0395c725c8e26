package dev.oleander.drawing.code;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.ChecksumException;
import com.google.zxing.EncodeHintType;
import com.google.zxing.FormatException;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.datamatrix.DataMatrixWriter;
import com.google.zxing.datamatrix.encoder.SymbolShapeHint;
import com.google.zxing.qrcode.QRCodeWriter;
import dev.oleander.quantity.Worded;
import java.util.Map;
import java.util.Optional;

/**
 * The modules of a code: which of its squares are dark, from the lower left corner.
 *
 * @see Kind
 */
public final class Modules {

    /** What codes there are, as ISO has them. */
    public enum Kind implements Worded {
        /** ISO/IEC 18004 */
        QR,
        /** ISO/IEC 16022, square */
        MATRIX
    }

    /** Characters of a text in a sentence about it. */
    private static final int SHOWN = 40;

    private final BitMatrix dark;

    private Modules(BitMatrix dark) {
        this.dark = dark;
    }

    /**
     * The smallest code that holds a text; of QR with error correction M.
     *
     * @throws CodeException when no code holds it, or it has letters that codes cannot say
     */
    public static Modules of(String text, Kind kind) {
        try {
            return new Modules(
                    kind == Kind.QR
                            ? new QRCodeWriter()
                                    .encode(
                                            text,
                                            BarcodeFormat.QR_CODE,
                                            0,
                                            0,
                                            Map.of(
                                                    EncodeHintType.MARGIN, 0,
                                                    EncodeHintType.ERROR_CORRECTION, "M",
                                                    EncodeHintType.CHARACTER_SET, "UTF-8"))
                            : new DataMatrixWriter()
                                    .encode(
                                            text,
                                            BarcodeFormat.DATA_MATRIX,
                                            0,
                                            0,
                                            Map.of(
                                                    EncodeHintType.DATA_MATRIX_SHAPE,
                                                    SymbolShapeHint.FORCE_SQUARE)));
        } catch (WriterException | IllegalArgumentException tooMuch) {
            throw new CodeException(
                    "No %s says \"%s\": it is too long, or has letters that such a code does not know."
                            .formatted(kind == Kind.QR ? "QR code" : "data matrix", shown(text)));
        }
    }

    private static String shown(String text) {
        return text.length() > SHOWN ? text.substring(0, SHOWN) + "..." : text;
    }

    /** What is dark where somebody looked, by rows from the lower left corner. */
    public static Modules seen(boolean[][] rows) {
        BitMatrix dark = new BitMatrix(rows[0].length, rows.length);
        for (int y = 0; y < rows.length; y++) {
            for (int x = 0; x < rows[y].length; x++) {
                if (rows[y][x]) {
                    dark.set(x, rows.length - 1 - y);
                }
            }
        }
        return new Modules(dark);
    }

    /** What it says; empty when it cannot be read. */
    public Optional<String> read(Kind kind) {
        try {
            return Optional.of(
                    kind == Kind.QR
                            ? new com.google.zxing.qrcode.decoder.Decoder().decode(dark).getText()
                            : new com.google.zxing.datamatrix.decoder.Decoder()
                                    .decode(dark)
                                    .getText());
        } catch (ChecksumException | FormatException unreadable) {
            return Optional.empty();
        }
    }

    public int width() {
        return dark.getWidth();
    }

    public int height() {
        return dark.getHeight();
    }

    /** Whether a module is dark; none beyond the code is. */
    public boolean isDark(int x, int y) {
        return x >= 0 && y >= 0 && x < width() && y < height() && dark.get(x, height() - 1 - y);
    }
}
