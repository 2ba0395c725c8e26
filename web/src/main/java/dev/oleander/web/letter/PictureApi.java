package dev.oleander.web.letter;

import dev.oleander.drawing.picture.Dots;
import dev.oleander.drawing.picture.Picture;
import dev.oleander.drawing.picture.PictureReader;
import dev.oleander.drawing.picture.Trace;
import dev.oleander.drawing.picture.Tracer;
import dev.oleander.progress.Progress;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiOfWork;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Objects;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Line work and holes of pictures over HTTP; nothing is kept. */
@ApiOfWork
@RequestMapping("/api")
class PictureApi {

    private final Pictures pictures;

    PictureApi(Pictures pictures) {
        this.pictures = pictures;
    }

    /** Brings a picture in, for the drawings of jobs. */
    @PostMapping(path = "/pictures", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ResponseEntity<Pictures.Brought> bring(
            @RequestParam MultipartFile file, @AuthenticationPrincipal SignedIn who)
            throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "picture");
        Pictures.Brought brought = pictures.bring(file.getBytes(), name, who);
        return ResponseEntity.created(URI.create("/api/pictures/" + brought.sha256()))
                .body(brought);
    }

    @GetMapping("/pictures/{sha256}")
    ResponseEntity<byte[]> picture(@PathVariable String sha256) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(pictures.whole(sha256));
    }

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

    @PostMapping(path = "/trace", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    TraceJson trace(
            @RequestParam MultipartFile file, @RequestParam(required = false) String options)
            throws IOException {
        PictureOptions.Tracing said = PictureOptions.read(options, PictureOptions.Tracing.class);
        byte[] content = file.getBytes();
        return pictures.within(content, () -> traced(content, said));
    }

    private static TraceJson traced(byte[] file, PictureOptions.Tracing said) {
        Picture picture = PictureReader.read(file);
        Trace found = Tracer.trace(picture, said.spec(), Progress.NONE);
        double scale = said.scaling().mmPerPixel(picture.width(), found);
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

    @PostMapping(path = "/dots", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    DotsJson dots(@RequestParam MultipartFile file, @RequestParam(required = false) String options)
            throws IOException {
        PictureOptions.Dotting said = PictureOptions.read(options, PictureOptions.Dotting.class);
        byte[] content = file.getBytes();
        Dots.Made made =
                pictures.within(
                        content,
                        () -> Dots.of(PictureReader.read(content), said.spec(), Progress.NONE));
        return new DotsJson(
                made.holes().stream()
                        .map(h -> new HoleJson(new double[] {h.at().x(), h.at().y()}, h.diameter()))
                        .toList(),
                made.openShare());
    }
}
