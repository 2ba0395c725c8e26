package dev.oleander.web.job.result;

import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.SvgWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Box;
import dev.oleander.web.job.document.RefusedEditException;
import java.util.List;

/** The mended drawing of a job as a file; what is ignored is left out. */
public final class DrawingExport {

    private final Reading reading;

    public DrawingExport(Reading reading) {
        this.reading = reading;
    }

    /**
     * @throws RefusedEditException when nothing is drawn
     */
    public String dxf() {
        return DxfWriter.write(chains());
    }

    /**
     * @throws RefusedEditException when nothing is drawn
     */
    public String svg() {
        List<WrittenChain> chains = chains();
        return SvgWriter.write(
                chains, Box.around(chains.stream().map(c -> c.chain().box()).toList()));
    }

    private List<WrittenChain> chains() {
        List<WrittenChain> chains =
                reading.features().stream()
                        .filter(f -> f.purpose() != Purpose.IGNORE)
                        .map(DrawingExport::written)
                        .toList();
        if (chains.isEmpty()) {
            throw new RefusedEditException("Nothing is drawn yet, so there is nothing to save.");
        }
        return chains;
    }

    private static WrittenChain written(Feature f) {
        return new WrittenChain(f.layer(), f.chain(), f.circleDiameter().isPresent());
    }
}
