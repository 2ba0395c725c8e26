package dev.oleander.web.product;

import dev.oleander.drawing.DrawingException;
import dev.oleander.geometry.Box;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
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
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** Pages of products and their panels. */
@Controller
@RequestMapping("/products")
class ProductController {

    private static final int LARGEST = 8 << 20;
    private static final String MATERIAL = "material-";
    private static final String DRAWING = ".*\\.(dxf|svg)";

    private final Products products;
    private final ProductPapers papers;
    private final ProductPrograms programs;
    private final ProductReleases releases;

    ProductController(
            Products products,
            ProductPapers papers,
            ProductPrograms programs,
            ProductReleases releases) {
        this.releases = releases;
        this.programs = programs;
        this.products = products;
        this.papers = papers;
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
        fill(product, problem, who, model);
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

    private void fill(ProductState product, String problem, SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("state", product);
        model.addAttribute("list", CutListView.of(product));
        model.addAttribute("undo", products.undoLabel(product).orElse(""));
        model.addAttribute("redo", products.redoLabel(product).orElse(""));
        model.addAttribute("problem", problem);
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
        return back(id, panel);
    }

    @PostMapping("/{id}/redo")
    String redo(
            @PathVariable long id,
            @RequestParam Integer step,
            @RequestParam(defaultValue = "") String panel,
            @AuthenticationPrincipal SignedIn who) {
        products.redo(id, step, who);
        return back(id, panel);
    }

    private static String back(long id, String panel) {
        return "redirect:/products/" + id + (panel.isEmpty() ? "" : "/panels/" + panel);
    }

    // ---- one panel

    @GetMapping("/{id}/panels/{panel}")
    String panel(
            @PathVariable long id,
            @PathVariable String panel,
            @RequestParam(defaultValue = "") String feature,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        return panel(products.find(id), panel, feature, "", who, model);
    }

    private String panel(
            ProductState product,
            String id,
            String feature,
            String problem,
            SignedIn who,
            Model model) {
        fill(product, problem, who, model);
        Panel panel = product.panel(id);
        PanelPicture picture = new PanelPicture(panel, product.decision(panel), feature);
        List<ProductPrograms.Lies> lies = programs.lies(product, panel);
        model.addAttribute("panel", panel);
        model.addAttribute("jobs", programs.states(product).of(panel).jobs());
        model.addAttribute(
                "operation",
                programs.operations(product, panel).stream()
                        .filter(m -> m.feature().equals(feature))
                        .findFirst()
                        .orElse(null));
        model.addAttribute("size", ProductView.size(panel));
        model.addAttribute("decision", product.decision(panel));
        model.addAttribute("wishes", product.document().wishes(id));
        model.addAttribute("cost", product.cost(panel));
        model.addAttribute("faces", picture.faces());
        model.addAttribute("lyings", lyings(picture, product.decision(panel).clampings(), lies));
        model.addAttribute("lies", lies.stream().flatMap(l -> l.told().stream()).toList());
        model.addAttribute("turns", turns(panel, product.decision(panel).clampings()));
        List<FeatureView> features =
                panel.features().stream().map(f -> FeatureView.of(product, panel, f)).toList();
        model.addAttribute("features", features);
        model.addAttribute(
                "selected",
                features.stream().filter(f -> f.id().equals(feature)).findFirst().orElse(null));
        return "panel";
    }

    private static List<String> lyings(
            PanelPicture picture, List<Clamping> clampings, List<ProductPrograms.Lies> lies) {
        List<String> pictures = new ArrayList<>();
        for (int i = 0; i < clampings.size(); i++) {
            List<Box> pods = i < lies.size() ? lies.get(i).pods() : List.of();
            pictures.add(picture.lying(clampings.get(i), pods));
        }
        return pictures;
    }

    /** A turn as a picture, and in words. */
    public record Turn(String picture, String sentence) {}

    /** How it comes to each clamping; null where it stays as it lies. */
    private static List<Turn> turns(Panel panel, List<Clamping> clampings) {
        List<Turn> turns = new ArrayList<>();
        for (int i = 0; i < clampings.size(); i++) {
            boolean turned = i > 0 && TurnPicture.isTurned(clampings.get(i - 1), clampings.get(i));
            TurnPicture picture =
                    turned ? new TurnPicture(panel, clampings.get(i - 1), clampings.get(i)) : null;
            turns.add(picture == null ? null : new Turn(picture.svg(), picture.sentence()));
        }
        return turns;
    }

    /** What a person says of how a panel lies; an empty text: it is decided again. */
    @PostMapping("/{id}/panels/{panel}")
    String wish(
            @PathVariable long id,
            @PathVariable String panel,
            @RequestParam Integer step,
            @RequestParam(defaultValue = "") String feature,
            @RequestParam(required = false) String up,
            @RequestParam(required = false) String turn,
            @RequestParam(required = false) String face,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        PanelWishesEdit edit =
                new PanelWishesEdit(up, turn, face == null ? Map.of() : Map.of(feature, face));
        try {
            Panel of = products.find(id).panel(panel);
            products.edit(
                    id,
                    step,
                    "How %s lies".formatted(panel),
                    d -> d.with(panel, edit.applied(d.wishes(panel), of)),
                    who);
            return back(id, panel) + (feature.isEmpty() ? "" : "?feature=" + feature);
        } catch (RefusedEditException | StaleEditException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return panel(products.find(id), panel, feature, refused.getMessage(), who, model);
        }
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

    // ---- in space

    @GetMapping("/{id}/space")
    @ResponseBody
    SpaceView space(@PathVariable long id) {
        return SpaceView.of(products.find(id).product());
    }

    @GetMapping("/{id}/panels/{panel}/space")
    @ResponseBody
    SpaceView space(@PathVariable long id, @PathVariable String panel) {
        return SpaceView.of(products.find(id).panel(panel));
    }

    /** A clamping while it is worked, as its job plans it by now. */
    @GetMapping("/{id}/panels/{panel}/clampings/{number}/machining")
    @ResponseBody
    MachiningView machining(
            @PathVariable long id, @PathVariable String panel, @PathVariable int number) {
        return programs.machining(products.find(id), panel, number);
    }

    // ---- papers

    @GetMapping("/{id}/cut-list.pdf")
    ResponseEntity<byte[]> cutListPdf(@PathVariable long id) {
        return paper(
                papers.cutListPdf(products.find(id)), MediaType.APPLICATION_PDF, "cut-list.pdf");
    }

    @GetMapping("/{id}/cut-list.csv")
    ResponseEntity<byte[]> cutListCsv(@PathVariable long id) {
        return text(papers.cutList(products.find(id)), "cut-list.csv");
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
        return paper(
                papers.orderPdf(state, programs.order(state)),
                MediaType.APPLICATION_PDF,
                "work-order.pdf");
    }

    @GetMapping("/{id}/order.csv")
    ResponseEntity<byte[]> orderCsv(@PathVariable long id) {
        return text(papers.order(programs.order(products.find(id))), "work-order.csv");
    }

    @GetMapping("/{id}/panels/{panel}/faces/{face}.dxf")
    ResponseEntity<byte[]> face(
            @PathVariable long id, @PathVariable String panel, @PathVariable String face) {
        String dxf = products.face(id, panel, face);
        return paper(
                dxf.getBytes(StandardCharsets.UTF_8),
                MediaType.parseMediaType("application/dxf"),
                "%s.%s.dxf".formatted(panel, face));
    }

    @GetMapping("/{id}/mates.csv")
    ResponseEntity<byte[]> matesCsv(@PathVariable long id) {
        return text(papers.mates(products.find(id)), "mates.csv");
    }

    @GetMapping("/{id}/product.json")
    ResponseEntity<byte[]> file(@PathVariable long id) {
        String json = ProductReader.write(products.find(id).document().product());
        return paper(
                json.getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                "product-%d.json".formatted(id));
    }

    private static ResponseEntity<byte[]> text(String csv, String name) {
        return paper(
                csv.getBytes(StandardCharsets.UTF_8), MediaType.parseMediaType("text/csv"), name);
    }

    private static ResponseEntity<byte[]> paper(byte[] content, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(content);
    }
}
