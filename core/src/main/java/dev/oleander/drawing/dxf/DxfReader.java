package dev.oleander.drawing.dxf;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** Reads a DXF file in text form (R12 to 2018). */
public final class DxfReader {

    private static final int BINARY_PROBE = 256;
    private static final char BYTE_ORDER_MARK = '\uFEFF';
    private static final char REPLACEMENT = '\uFFFD';

    private final ImportOptions options;

    public DxfReader(ImportOptions options) {
        this.options = options;
    }

    /**
     * @param name of the file, for messages
     * @throws DrawingException when the file is empty, binary, cut off, no DXF, too large or holds
     *     no line work
     */
    public Drawing read(String name, byte[] bytes) {
        return new DxfParser(name, options).parse(new GroupReader(name, decode(name, bytes)));
    }

    /** UTF-8 since R2007; before, a code page, of which Western Europe's is the usual one. */
    private static String decode(String name, byte[] bytes) {
        if (startsWith(bytes, 0xFF, 0xFE) || startsWith(bytes, 0xFE, 0xFF)) {
            return unmarked(new String(bytes, StandardCharsets.UTF_16));
        }
        if (isBinary(bytes)) {
            throw new DrawingException(
                    name,
                    null,
                    "%s is a binary file. Oleander reads DXF in its text form: save it as text."
                            .formatted(name));
        }
        String text = new String(bytes, StandardCharsets.UTF_8);
        boolean isUtf8 = text.indexOf(REPLACEMENT) < 0 || isUtf8(bytes);
        return isUtf8 ? unmarked(text) : new String(bytes, Charset.forName("windows-1252"));
    }

    /** Strict, where the quick way has put a mark that the file itself may have held. */
    private static boolean isUtf8(byte[] bytes) {
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes));
            return true;
        } catch (CharacterCodingException notUtf8) {
            return false;
        }
    }

    private static String unmarked(String text) {
        boolean marked = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK;
        return marked ? text.substring(1) : text;
    }

    private static boolean startsWith(byte[] bytes, int first, int second) {
        return bytes.length > 1 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
    }

    private static boolean isBinary(byte[] bytes) {
        for (int i = 0; i < Math.min(bytes.length, BINARY_PROBE); i++) {
            if (bytes[i] == 0) {
                return true;
            }
        }
        return false;
    }
}
