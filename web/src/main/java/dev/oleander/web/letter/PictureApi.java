package dev.oleander.web.letter;

import dev.oleander.drawing.picture.Dots;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.PictureReader;
import dev.oleander.drawing.picture.Trace;
import dev.oleander.drawing.picture.Tracer;
import dev.oleander.progress.Progress;
import dev.oleander.web.api.ApiOfWork;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Line work and holes of pictures over HTTP; nothing is kept. */
@ApiOfWork
@RequestMapping(path = "/api", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
class PictureApi {

    /**
     * What a picture became; mm.
     *
     * @param strokeWidth mean width of strokes; null: there are none
     * @param told sentences about what should be looked at
     */
    record TraceJson(
            double threshold,
            List<ChainJson> contours,
            List<ChainJson> strokes,
            Double strokeWidth,
            Trace.Counts counts,
            double greatestDeviation,
            double mmPerPixel,
            List<String> told) {}

    @PostMapping("/trace")
    TraceJson trace(
            @RequestParam MultipartFile file, @RequestParam(required = false) String options)
            throws IOException {
        PictureOptions.Tracing said = PictureOptions.read(options, PictureOptions.Tracing.class);
        Picture picture = PictureReader.read(file.getBytes());
        Trace found = Tracer.trace(picture, said.spec(), Progress.NONE);
        double scale = said.scaling().mmPerPixel(picture, found);
        Trace trace = found.scaled(scale);
        return new TraceJson(
                trace.threshold(),
                trace.contours().stream().map(ChainJson::of).toList(),
                trace.strokes().stream().map(ChainJson::of).toList(),
                trace.strokeWidth().isPresent() ? trace.strokeWidth().getAsDouble() : null,
                trace.counts(),
                trace.greatestDeviation(),
                scale,
                trace.told());
    }

    /** A hole: its middle and diameter, mm. */
    record HoleJson(double[] at, double d) {}

    /**
     * @param openShare of the picture that the holes take away
     */
    record DotsJson(List<HoleJson> holes, double openShare) {}

    @PostMapping("/dots")
    DotsJson dots(@RequestParam MultipartFile file, @RequestParam(required = false) String options)
            throws IOException {
        PictureOptions.Dotting said = PictureOptions.read(options, PictureOptions.Dotting.class);
        Dots.Made made = Dots.of(PictureReader.read(file.getBytes()), said.spec(), Progress.NONE);
        return new DotsJson(
                made.holes().stream()
                        .map(h -> new HoleJson(new double[] {h.at().x(), h.at().y()}, h.diameter()))
                        .toList(),
                made.openShare());
    }
}
