package dev.oleander.web.product;

import dev.oleander.drawing.DrawingException;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.source.Uploads;
import dev.oleander.web.longwork.WorkState;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Pages of products and their panels. */
@Controller
@RequestMapping("/products")
class ProductController {

    private static final int LARGEST = 8 << 20;
    private static final String MATERIAL = "material-";
    private static final String DRAWING = ".*\\.(dxf|svg)";

    private final Products products;
    private final ProductPrograms programs;

    ProductController(Products products, ProductPrograms programs) {
        this.products = products;
        this.programs = programs;
    }

    // ---- the list

    @GetMapping
    String list(
            @RequestParam(defaultValue = "") String text,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        return list(text, "", who, model);
    }

    private String list(String text, String problem, SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("rows", products.search(text));
        model.addAttribute("text", text);
        model.addAttribute("problem", problem);
        return "products";
    }

    @PostMapping
    String bring(
            @RequestParam List<MultipartFile> file,
            DrawnProduct said,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response)
            throws IOException {
        String first = file.isEmpty() ? "" : file.get(0).getOriginalFilename();
        try {
            boolean drawn = first != null && !first.toLowerCase(Locale.ROOT).endsWith(".json");
            ProductState made =
                    drawn && first.toLowerCase(Locale.ROOT).matches(DRAWING)
                            ? products.make(Uploads.of(file), said, who)
                            : products.make(ProductReader.parse(text(file.get(0))), who);
            return "redirect:/products/" + made.id();
        } catch (PlanException | RefusedEditException | DrawingException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return list("", first + ": " + refused.getMessage(), who, model);
        }
    }

    private static String text(MultipartFile file) throws IOException {
        if (file.getSize() > LARGEST) {
            throw new RefusedEditException(
                    "It has %d kB; a product has at most %d kB."
                            .formatted(file.getSize() >> 10, LARGEST >> 10));
        }
        return new String(file.getBytes(), StandardCharsets.UTF_8);
    }

    // ---- one product

    @GetMapping("/{id}")
    String product(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String state,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        ProductState product = products.find(id);
        model.addAttribute("text", text);
        model.addAttribute("only", state);
        return page(product, "", who, model);
    }

    private String page(ProductState product, String problem, SignedIn who, Model model) {
        Object text = model.getAttribute("text");
        Object only = model.getAttribute("only");
        ProductModel.fill(products, product, problem, who, model);
        model.addAttribute(
                "view",
                ProductView.of(
                        product,
                        programs.states(product),
                        text == null ? "" : text.toString(),
                        only == null ? "" : only.toString()));
        model.addAttribute("machines", products.machines());
        model.addAttribute("materials", products.materials(product));
        model.addAttribute("work", programs.state(product.id()).orElse(null));
        model.addAttribute("cost", programs.cost(product));
        model.addAttribute("nests", programs.nests(product));
        return "product";
    }

    /** Another version of the product's file. */
    @PostMapping("/{id}/file")
    String replace(
            @PathVariable long id,
            @RequestParam Integer step,
            @RequestParam MultipartFile file,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        return changed(
                id,
                () -> {
                    try {
                        var read = ProductReader.parse(text(file));
                        return products.edit(id, step, "Another version", d -> d.with(read), who);
                    } catch (IOException broken) {
                        throw new RefusedEditException("The file cannot be read.");
                    }
                },
                who,
                model,
                response);
    }

    @PostMapping("/{id}/values")
    String values(
            @PathVariable long id,
            @RequestParam Integer step,
            @RequestParam String machine,
            @RequestParam String preMilling,
            @RequestParam(defaultValue = "false") boolean roundCorners,
            @RequestParam(defaultValue = "false") boolean boards,
            @RequestParam(defaultValue = "0") String trim,
            @RequestParam(defaultValue = "false") boolean pods,
            @RequestParam Map<String, String> all,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        return changed(
                id,
                () -> {
                    double milled = Typed.parse(preMilling, Map.of()).value();
                    double sawn = Typed.parse(trim, Map.of()).value();
                    UnaryOperator<ProductDocument> change =
                            d ->
                                    d.on(machine)
                                            .milling(milled)
                                            .rounding(roundCorners)
                                            .onBoards(boards, sawn)
                                            .onPods(pods);
                    return products.edit(
                            id, step, "How it is made", d -> called(change.apply(d), all), who);
                },
                who,
                model,
                response);
    }

    /** Materials by the names of their fields: material-ply18. */
    private static ProductDocument called(ProductDocument document, Map<String, String> fields) {
        ProductDocument changed = document;
        for (Map.Entry<String, String> field : fields.entrySet()) {
            if (field.getKey().startsWith(MATERIAL)) {
                changed =
                        changed.calling(
                                field.getKey().substring(MATERIAL.length()), field.getValue());
            }
        }
        return changed;
    }

    /** Makes all programs, or releases those that are ready. */
    @PostMapping("/{id}/programs")
    String programs(
            @PathVariable long id,
            @RequestParam ProductPrograms.Wanted wanted,
            @RequestParam(defaultValue = "") List<String> panel,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        return changed(
                id,
                () -> {
                    programs.begin(id, wanted, panel, who);
                    return products.find(id);
                },
                who,
                model,
                response);
    }

    @PostMapping("/{id}/programs/stop")
    String stop(@PathVariable long id) {
        products.find(id);
        programs.stop(id);
        return "redirect:/products/" + id;
    }

    /** How far the programs are; the page is shown anew when they are there. */
    @GetMapping("/{id}/programs")
    String programs(@PathVariable long id, Model model, HttpServletResponse response) {
        ProductState state = products.find(id);
        WorkState work = programs.state(id).orElse(null);
        if (work == null || work.phase().isOver()) {
            response.setHeader("HX-Refresh", "true");
        }
        model.addAttribute("state", state);
        model.addAttribute("work", work);
        return "product-parts :: work";
    }

    private String changed(
            long id,
            Supplier<ProductState> change,
            SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            change.get();
            return "redirect:/products/" + id;
        } catch (PlanException
                | RefusedEditException
                | FormulaException
                | StaleEditException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(products.find(id), refused.getMessage(), who, model);
        }
    }

    @PostMapping("/{id}/undo")
    String undo(
            @PathVariable long id,
            @RequestParam Integer step,
            @RequestParam(defaultValue = "") String panel,
            @AuthenticationPrincipal SignedIn who) {
        products.undo(id, step, who);
        return ProductModel.back(id, panel);
    }

    @PostMapping("/{id}/redo")
    String redo(
            @PathVariable long id,
            @RequestParam Integer step,
            @RequestParam(defaultValue = "") String panel,
            @AuthenticationPrincipal SignedIn who) {
        products.redo(id, step, who);
        return ProductModel.back(id, panel);
    }
}
