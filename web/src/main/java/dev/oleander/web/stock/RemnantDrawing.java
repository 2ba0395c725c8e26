package dev.oleander.web.stock;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.List;

/** The outline of a remnant from a drawing: what closed contours within it enclose is not there. */
final class RemnantDrawing {

    /** Bytes; an outline has few lines, and is read while its request waits. */
    private static final int MOST_BYTES = 2 << 20;

    private RemnantDrawing() {}

    /**
     * @param name of the file
     * @return outer contour, then holes and bad spots
     * @throws dev.oleander.drawing.DrawingException when the file cannot be read
     * @throws RefusedEditException when it is not one closed outline
     */
    static List<Loop> outline(String name, byte[] content) {
        if (content.length > MOST_BYTES) {
            throw new RefusedEditException(
                    "%s has %d kB; the drawing of a remnant has at most %d kB."
                            .formatted(name, content.length >> 10, MOST_BYTES >> 10));
        }
        Drawing drawing = new DrawingFiles(ImportOptions.defaults()).read(name, content);
        Reading reading = new DrawingReading(ReadOptions.defaults()).read(drawing);
        long open = reading.cut().filter(f -> !f.isClosed()).count();
        if (open > 0) {
            throw new RefusedEditException(
                    "%s has %d open %s. The outline of a remnant, its holes and bad spots must be closed."
                            .formatted(name, open, open == 1 ? "contour" : "contours"));
        }
        if (reading.parts().size() != 1) {
            throw new RefusedEditException(
                    "%s shows %d pieces of material. A remnant is one closed outline, with its holes and bad spots inside."
                            .formatted(name, reading.parts().size()));
        }
        return reading.parts().get(0).region().contours().stream().map(Loop::of).toList();
    }
}
