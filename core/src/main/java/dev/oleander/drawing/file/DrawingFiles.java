package dev.oleander.drawing.file;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.csv.PointListReader;
import dev.oleander.drawing.dxf.DxfReader;
import dev.oleander.drawing.svg.SvgReader;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** Reads drawing files: DXF, SVG and lists of points. */
public final class DrawingFiles {

    private static final int PROBE = 4096;

    private final ImportOptions options;

    public DrawingFiles(ImportOptions options) {
        this.options = options;
    }

    /**
     * @param name of the file; its ending tells lists of points from DXF
     * @throws DrawingException when the file is empty, too large or cannot be read
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
        String lower = name.toLowerCase(Locale.ROOT);
        if (lower.endsWith(".svg") || isMarkup(bytes)) {
            return new SvgReader(options).read(name, bytes);
        }
        if (lower.endsWith(".csv") || lower.endsWith(".txt")) {
            return new PointListReader(options).read(name, bytes);
        }
        return new DxfReader(options).read(name, bytes);
    }

    private static boolean isMarkup(byte[] bytes) {
        int length = Math.min(bytes.length, PROBE);
        String head = new String(bytes, 0, length, StandardCharsets.UTF_8).stripLeading();
        return head.startsWith("<") || head.startsWith("\uFEFF<");
    }
}
