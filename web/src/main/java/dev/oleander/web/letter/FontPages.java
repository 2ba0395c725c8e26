package dev.oleander.web.letter;

import dev.oleander.drawing.letter.LetterException;
import dev.oleander.web.account.SignedIn;
import java.io.IOException;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Fonts that are brought in from the page of a job. */
@Controller
@RequestMapping("/fonts")
class FontPages {

    private final Fonts fonts;

    FontPages(Fonts fonts) {
        this.fonts = fonts;
    }

    @PostMapping
    ResponseEntity<Object> bring(
            @RequestParam MultipartFile file, @AuthenticationPrincipal SignedIn who)
            throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "font");
        try {
            return ResponseEntity.ok(fonts.bring(file.getBytes(), name, who));
        } catch (LetterException wrong) {
            return ResponseEntity.unprocessableContent().body(Map.of("detail", wrong.getMessage()));
        }
    }
}
