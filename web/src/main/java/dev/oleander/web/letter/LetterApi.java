package dev.oleander.web.letter;

import com.fasterxml.jackson.annotation.JsonProperty;
import dev.oleander.drawing.letter.LetterException;
import dev.oleander.drawing.letter.LetterOutlines;
import dev.oleander.drawing.letter.LetterOutlines.Outline;
import dev.oleander.drawing.letter.Placed;
import dev.oleander.drawing.letter.TextLayout;
import dev.oleander.drawing.letter.TextValues;
import dev.oleander.drawing.letter.TypeFace;
import dev.oleander.geometry.Box;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiOfWork;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Fonts and texts over HTTP; nothing of a text is kept. */
@ApiOfWork
@RequestMapping("/api")
class LetterApi {

    private final Fonts fonts;

    LetterApi(Fonts fonts) {
        this.fonts = fonts;
    }

    @GetMapping("/fonts")
    List<Fonts.Font> fonts() {
        return fonts.all();
    }

    @PostMapping(path = "/fonts", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ResponseEntity<Fonts.Font> bring(
            @RequestParam MultipartFile file, @AuthenticationPrincipal SignedIn who)
            throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "font");
        Fonts.Font font = fonts.bring(file.getBytes(), name, who);
        return ResponseEntity.created(URI.create("/api/fonts")).body(font);
    }

    /** A letter: its origin on the base line, mm, and the turn of its base line, degrees. */
    record LetterJson(
            @JsonProperty("char") String letter,
            int index,
            double[] at,
            double angle,
            double advance) {}

    /** A chain: x, y and bulge of each vertex; the letter that it belongs to. */
    record PathJson(boolean closed, List<double[]> vertices, int letter) {}

    /**
     * A text that is laid out.
     *
     * @param length of its longest line, mm
     * @param box round its outlines: x1, y1, x2, y2; null where nothing is drawn
     */
    record LaidJson(List<LetterJson> letters, double length, double[] box, List<PathJson> paths) {}

    /** Lays a text out. */
    @PostMapping("/letter")
    LaidJson letter(@RequestBody LetterRequest request) {
        if (request.font() == null) {
            throw new LetterException("A text needs a font: the sha256 of one of /api/fonts.");
        }
        TypeFace face = fonts.face(request.font());
        TextLayout.Laid laid = TextLayout.of(face, request.spec());
        List<Outline> outlines = LetterOutlines.of(laid, face.names().strokes(), request.within());
        return new LaidJson(
                laid.letters().stream().map(LetterApi::letter).toList(),
                laid.length(),
                box(outlines),
                outlines.stream().map(LetterApi::path).toList());
    }

    private static LetterJson letter(Placed letter) {
        return new LetterJson(
                letter.character(),
                letter.index(),
                new double[] {letter.at().x(), letter.at().y()},
                letter.angle(),
                letter.advance());
    }

    private static double[] box(List<Outline> outlines) {
        if (outlines.isEmpty()) {
            return null;
        }
        Box box = Box.around(outlines.stream().map(o -> o.chain().box()).toList());
        return new double[] {box.min().x(), box.min().y(), box.max().x(), box.max().y()};
    }

    private static PathJson path(Outline outline) {
        ChainJson chain = ChainJson.of(outline.chain());
        return new PathJson(chain.closed(), chain.vertices(), outline.letter());
    }

    /**
     * A text for copies.
     *
     * @param csv table with a header, a row for each copy
     */
    record TextsRequest(
            String text,
            Integer copies,
            Long from,
            Long step,
            String csv,
            Map<String, String> values) {}

    record TextsJson(List<String> texts) {}

    /** The text of each copy. */
    @PostMapping("/letter/texts")
    TextsJson texts(@RequestBody TextsRequest request) {
        return new TextsJson(
                TextValues.of(
                        Objects.requireNonNullElse(request.text(), ""),
                        new TextValues.Counting(
                                Objects.requireNonNullElse(request.copies(), 1),
                                Objects.requireNonNullElse(request.from(), 1L),
                                Objects.requireNonNullElse(request.step(), 1L)),
                        request.csv(),
                        request.values() == null ? Map.of() : request.values()));
    }
}
