package dev.oleander.web.product;

import dev.oleander.web.account.SignedIn;
import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.ui.Model;

/** What the pages of products share. */
final class ProductModel {

    private ProductModel() {}

    /** What all of them show. */
    static void fill(
            Products products, ProductState product, String problem, SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("state", product);
        model.addAttribute("list", CutListView.of(product));
        model.addAttribute("undo", products.undoLabel(product).orElse(""));
        model.addAttribute("redo", products.redoLabel(product).orElse(""));
        model.addAttribute("problem", problem);
    }

    /** The page of a product, or of one of its panels. */
    static String back(long id, String panel) {
        return "redirect:/products/" + id + (panel.isEmpty() ? "" : "/panels/" + panel);
    }

    static ResponseEntity<byte[]> text(String csv, String name) {
        return paper(
                csv.getBytes(StandardCharsets.UTF_8), MediaType.parseMediaType("text/csv"), name);
    }

    static ResponseEntity<byte[]> paper(byte[] content, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
