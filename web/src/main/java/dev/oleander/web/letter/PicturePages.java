package dev.oleander.web.letter;

import dev.oleander.drawing.picture.PictureException;
import dev.oleander.web.account.SignedIn;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URLConnection;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Pictures for the pages of jobs. */
@Controller
@RequestMapping("/pictures")
class PicturePages {

    private final Pictures pictures;

    PicturePages(Pictures pictures) {
        this.pictures = pictures;
    }

    @PostMapping
    ResponseEntity<Object> bring(
            @RequestParam MultipartFile file, @AuthenticationPrincipal SignedIn who)
            throws IOException {
        String name = Objects.requireNonNullElse(file.getOriginalFilename(), "picture");
        try {
            return ResponseEntity.ok(pictures.bring(file.getBytes(), name, who));
        } catch (PictureException wrong) {
            return ResponseEntity.unprocessableContent().body(Map.of("detail", wrong.getMessage()));
        }
    }

    /** Never another one under the same sum. */
    @GetMapping("/{sha256}")
    ResponseEntity<byte[]> picture(@PathVariable String sha256) throws IOException {
        byte[] file = pictures.whole(sha256);
        String type = URLConnection.guessContentTypeFromStream(new ByteArrayInputStream(file));
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(30)).cachePrivate())
                .contentType(MediaType.parseMediaType(type == null ? "image/bmp" : type))
                .body(file);
    }
}
