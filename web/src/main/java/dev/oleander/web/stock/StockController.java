package dev.oleander.web.stock;

import dev.oleander.drawing.DrawingException;
import dev.oleander.drawing.write.DxfWriter;
import dev.oleander.drawing.write.WrittenChain;
import dev.oleander.geometry.Contour;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.paper.RegionPicture;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The page of the shop's remnants. */
@Controller
@RequestMapping("/stock")
class StockController {

    private static final double PICTURE = 72;

    private final Remnants remnants;

    StockController(Remnants remnants) {
        this.remnants = remnants;
    }

    /**
     * A remnant on the page.
     *
     * @param picture of its outline, as SVG
     */
    record Row(
            long id,
            String material,
            String size,
            String picture,
            String place,
            String state,
            boolean free,
            String origin,
            Long originJob,
            Long usedBy) {

        static Row of(Remnant r) {
            return new Row(
                    r.id(),
                    "%s %s mm".formatted(r.material(), Numbers.plain(r.thickness(), 3)),
                    "%s × %s".formatted(Numbers.plain(r.width(), 1), Numbers.plain(r.height(), 1)),
                    RegionPicture.of(r.region(), PICTURE),
                    r.place(),
                    r.state().word(),
                    r.state() == Remnant.State.FREE,
                    r.origin(),
                    r.originJob(),
                    r.usedBy());
        }
    }

    @GetMapping
    String page(
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "false") boolean all,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        return page(text, all, "", who, model);
    }

    private String page(String text, boolean all, String problem, SignedIn who, Model model) {
        List<Row> rows = remnants.search(text, all).stream().map(Row::of).toList();
        model.addAttribute("who", who);
        model.addAttribute("rows", rows);
        model.addAttribute("text", text);
        model.addAttribute("all", all);
        model.addAttribute("problem", problem);
        return "stock";
    }

    /** What changes the stock. */
    private interface Change {
        void make() throws IOException;
    }

    private String changed(Change change, SignedIn who, Model model, HttpServletResponse response) {
        try {
            change.make();
            return "redirect:/stock";
        } catch (RefusedEditException
                | FormulaException
                | DrawingException
                | NestException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page("", false, refused.getMessage(), who, model);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /**
     * What was typed of a remnant.
     *
     * @param width and height of a plain rectangle; empty where a drawing shows the outline
     */
    record Typing(String material, String thickness, String width, String height, String place) {

        Typing {
            place = place == null ? "" : place;
        }
    }

    @PostMapping
    String add(
            Typing typed,
            @RequestParam(required = false) MultipartFile outline,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        return changed(() -> add(typed, outline, who), who, model, response);
    }

    private void add(Typing typed, MultipartFile file, SignedIn who) throws IOException {
        double thickness = number("thickness", typed.thickness);
        if (file != null && !file.isEmpty()) {
            List<Loop> outline = RemnantDrawing.outline(name(file), file.getBytes());
            remnants.add(typed.material, thickness, outline, typed.place, who);
            return;
        }
        double width = number("width", typed.width);
        double height = number("height", typed.height);
        remnants.add(typed.material, thickness, width, height, List.of(), typed.place, who);
    }

    private static String name(MultipartFile file) {
        String name = file.getOriginalFilename();
        return name == null || name.isBlank() ? "The drawing" : name;
    }

    private static double number(String what, String typed) {
        if (typed == null || typed.isBlank()) {
            throw new RefusedEditException(
                    "The %s of the remnant is missing. Give material, thickness, and width and height or a drawing of the outline."
                            .formatted(what));
        }
        return Typed.parse(typed, Map.of()).value();
    }

    @PostMapping("/{id}/place")
    String place(
            @PathVariable long id,
            @RequestParam String place,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        return changed(() -> remnants.put(id, place, who), who, model, response);
    }

    @PostMapping("/{id}/gone")
    String gone(
            @PathVariable long id,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        return changed(() -> remnants.gone(id, who), who, model, response);
    }

    /** Its outline as a drawing. */
    @GetMapping("/{id}.dxf")
    ResponseEntity<byte[]> drawing(@PathVariable long id) {
        List<WrittenChain> chains =
                remnants.require(id).region().contours().stream()
                        .map(StockController::written)
                        .toList();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("image/vnd.dxf"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("remnant-%d.dxf".formatted(id))
                                .build()
                                .toString())
                .body(DxfWriter.write(chains).getBytes(StandardCharsets.US_ASCII));
    }

    private static WrittenChain written(Contour contour) {
        return new WrittenChain("STOCK", contour, contour.circleDiameter(1e-9).isPresent());
    }
}
