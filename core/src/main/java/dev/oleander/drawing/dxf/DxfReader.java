package dev.oleander.drawing.dxf;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** Reads a DXF file in text form (R12 to 2018). */
public final class DxfReader {

    private static final int BINARY_PROBE = 256;

    private final DxfOptions options;

    public DxfReader(DxfOptions options) {
        this.options = options;
    }

    /**
     * @param name of the file, for messages
     * @throws DrawingException when the file is empty, binary, cut off, no DXF, too large or holds
     *     no line work
     */
    public Drawing read(String name, byte[] bytes) {
        if (bytes.length == 0) {
            throw new DrawingException(name, null, "%s is empty.".formatted(name));
        }
        if (bytes.length > options.mostBytes()) {
            throw new DrawingException(
                    name,
                    null,
                    "%s has %d MB; the limit is %d MB."
                            .formatted(name, bytes.length >> 20, options.mostBytes() >> 20));
        }
        if (isBinary(bytes)) {
            throw new DrawingException(
                    name,
                    null,
                    "%s is a binary file. Oleander reads DXF in its text form: save it as text."
                            .formatted(name));
        }
        return new DxfParser(name, options).parse(new GroupReader(name, decode(bytes)));
    }

    private static boolean isBinary(byte[] bytes) {
        for (int i = 0; i < Math.min(bytes.length, BINARY_PROBE); i++) {
            if (bytes[i] == 0) {
                return true;
            }
        }
        return false;
    }

    /** UTF-8 since R2007; before, a code page, of which Western Europe's is the usual one. */
    private static String decode(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, Charset.forName("windows-1252"));
        }
    }
}
