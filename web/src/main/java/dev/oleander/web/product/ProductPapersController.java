package dev.oleander.web.product;

import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
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

/** Lists, work and releases of products, on the screen and on paper. */
@Controller
@RequestMapping("/products")
class ProductPapersController {

    private final Products products;
    private final ProductPapers papers;
    private final ProductPrograms programs;
    private final ProductReleases releases;

    ProductPapersController(
            Products products,
            ProductPapers papers,
            ProductPrograms programs,
            ProductReleases releases) {
        this.products = products;
        this.papers = papers;
        this.programs = programs;
        this.releases = releases;
    }

    // ---- releases

    /** Two releases compared by panel; the last two where nothing is said. */
    @GetMapping("/{id}/releases")
    String releases(
            @PathVariable long id,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        ProductState state = products.find(id);
        List<ProductReleases.Release> all = releases.all(id);
        model.addAttribute("who", who);
        model.addAttribute("state", state);
        model.addAttribute("releases", all);
        if (!all.isEmpty()) {
            int last = to == null ? all.get(0).number() : to;
            int first = from == null ? Math.max(1, last - 1) : from;
            model.addAttribute("from", first);
            model.addAttribute("to", last);
            model.addAttribute("changes", releases.changes(id, first, last));
        }
        return "product-releases";
    }

    // ---- papers

    @GetMapping("/{id}/cut-list.pdf")
    ResponseEntity<byte[]> cutListPdf(@PathVariable long id) {
        return ProductModel.paper(
                papers.cutListPdf(products.find(id)), MediaType.APPLICATION_PDF, "cut-list.pdf");
    }

    @GetMapping("/{id}/cut-list.csv")
    ResponseEntity<byte[]> cutListCsv(@PathVariable long id) {
        return ProductModel.text(papers.cutList(products.find(id)), "cut-list.csv");
    }

    /** The work in its order, with what is done of it. */
    @GetMapping("/{id}/order")
    String order(@PathVariable long id, @AuthenticationPrincipal SignedIn who, Model model) {
        return order(id, "", who, model);
    }

    private String order(long id, String problem, SignedIn who, Model model) {
        ProductState state = products.find(id);
        model.addAttribute("who", who);
        model.addAttribute("state", state);
        model.addAttribute("order", programs.order(state));
        model.addAttribute("left", LeftToDo.of(state));
        model.addAttribute("problem", problem);
        return "product-work";
    }

    /** Somebody at the machine says how many of a clamping are done. */
    @PostMapping("/{id}/ticks")
    String tick(
            @PathVariable long id,
            @RequestParam String panel,
            @RequestParam int clamping,
            @RequestParam int done,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            programs.tick(id, panel, clamping, done, who);
            return "redirect:/products/%d/order".formatted(id);
        } catch (RefusedEditException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return order(id, refused.getMessage(), who, model);
        }
    }

    @GetMapping("/{id}/order.pdf")
    ResponseEntity<byte[]> orderPdf(@PathVariable long id) {
        ProductState state = products.find(id);
        return ProductModel.paper(
                papers.orderPdf(state, programs.order(state)),
                MediaType.APPLICATION_PDF,
                "work-order.pdf");
    }

    @GetMapping("/{id}/order.csv")
    ResponseEntity<byte[]> orderCsv(@PathVariable long id) {
        return ProductModel.text(papers.order(programs.order(products.find(id))), "work-order.csv");
    }

    @GetMapping("/{id}/mates.csv")
    ResponseEntity<byte[]> matesCsv(@PathVariable long id) {
        return ProductModel.text(papers.mates(products.find(id)), "mates.csv");
    }

    @GetMapping("/{id}/product.json")
    ResponseEntity<byte[]> file(@PathVariable long id) {
        String json = ProductReader.write(products.find(id).document().product());
        return ProductModel.paper(
                json.getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                "product-%d.json".formatted(id));
    }
}
