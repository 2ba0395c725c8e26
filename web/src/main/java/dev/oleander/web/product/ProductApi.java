package dev.oleander.web.product;

import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.Decision;
import dev.oleander.plan.panel.file.ProductFile;
import dev.oleander.plan.panel.file.ProductReader;
import dev.oleander.plan.panel.whole.CutList;
import dev.oleander.plan.panel.whole.Mates;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiOfWork;
import dev.oleander.web.api.SeenStep;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.source.Uploads;
import dev.oleander.web.longwork.WorkState;
import dev.oleander.web.product.ProductViews.ClampingJson;
import dev.oleander.web.product.ProductViews.CutJson;
import dev.oleander.web.product.ProductViews.CutRowJson;
import dev.oleander.web.product.ProductViews.DecidedJson;
import dev.oleander.web.product.ProductViews.FaultJson;
import dev.oleander.web.product.ProductViews.MatesJson;
import dev.oleander.web.product.ProductViews.OperationJson;
import dev.oleander.web.product.ProductViews.PanelJson;
import dev.oleander.web.product.ProductViews.ProductJson;
import dev.oleander.web.product.ProductViews.ProductPatch;
import dev.oleander.web.product.ProductViews.RefusedJson;
import dev.oleander.web.product.ProductViews.WorkJson;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Products over HTTP. */
@ApiOfWork
@RequestMapping("/api/products")
class ProductApi {

    private final Products products;
    private final ProductPapers papers;
    private final ProductPrograms programs;
    private final PanelPrograms panels;
    private final ProductReleases releases;

    ProductApi(
            Products products,
            ProductPapers papers,
            ProductPrograms programs,
            PanelPrograms panels,
            ProductReleases releases) {
        this.panels = panels;
        this.releases = releases;
        this.programs = programs;
        this.products = products;
        this.papers = papers;
    }

    @GetMapping
    List<Products.Entry> list(@RequestParam(defaultValue = "") String text) {
        return products.search(text);
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<ProductJson> make(
            @RequestBody String product, @AuthenticationPrincipal SignedIn who) {
        ProductState made = products.make(ProductReader.parse(product), who);
        return ResponseEntity.created(URI.create("/api/products/" + made.id())).body(json(made));
    }

    /** A product of drawings, one for each face: side.top.dxf. */
    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    ResponseEntity<ProductJson> make(
            @RequestParam(name = "file") List<MultipartFile> files,
            DrawnProduct said,
            @AuthenticationPrincipal SignedIn who)
            throws IOException {
        ProductState made = products.make(Uploads.of(files), said, who);
        return ResponseEntity.created(URI.create("/api/products/" + made.id())).body(json(made));
    }

    /** A face as a drawing. */
    @GetMapping(path = "/{id}/panels/{panel}/faces/{face}.dxf", produces = "application/dxf")
    String face(@PathVariable long id, @PathVariable String panel, @PathVariable String face) {
        return products.face(id, panel, face);
    }

    @GetMapping("/{id}")
    ProductJson one(@PathVariable long id) {
        return json(products.find(id));
    }

    /** The product as its file. */
    @GetMapping("/{id}/file")
    ProductFile file(@PathVariable long id) {
        return products.find(id).document().product();
    }

    /** Another version of it. */
    @PutMapping(path = "/{id}/file", consumes = MediaType.APPLICATION_JSON_VALUE)
    ProductJson replace(
            @PathVariable long id,
            @RequestBody String product,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        ProductFile file = ProductReader.parse(product);
        return json(products.edit(id, seen.number(), "Another version", d -> d.with(file), who));
    }

    @PatchMapping("/{id}")
    ProductJson change(
            @PathVariable long id,
            @RequestBody ProductPatch patch,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        return json(
                products.edit(
                        id, seen.number(), "Machine and pre-milling", d -> patched(d, patch), who));
    }

    private static ProductDocument patched(ProductDocument document, ProductPatch patch) {
        ProductDocument changed = document;
        if (patch.machine() != null) {
            changed = changed.on(patch.machine());
        }
        if (patch.preMilling() != null) {
            changed = changed.milling(patch.preMilling());
        }
        if (patch.roundCorners() != null) {
            changed = changed.rounding(patch.roundCorners());
        }
        if (patch.boards() != null || patch.trim() != null) {
            changed =
                    changed.onBoards(
                            Objects.requireNonNullElse(patch.boards(), changed.boards()),
                            Objects.requireNonNullElse(patch.trim(), changed.trim()));
        }
        if (patch.pods() != null) {
            changed = changed.onPods(patch.pods());
        }
        if (patch.materials() != null) {
            for (Map.Entry<String, String> called : patch.materials().entrySet()) {
                changed = changed.calling(called.getKey(), called.getValue());
            }
        }
        return changed;
    }

    /** Panels by their ids; none: all. */
    record SomePanels(List<String> panels) {}

    private static List<String> ids(SomePanels some) {
        return some == null || some.panels() == null ? List.of() : some.panels();
    }

    /** Makes all programs, or those of some panels, and renews those that are stale. */
    @PostMapping("/{id}/programs")
    ResponseEntity<WorkJson> programs(
            @PathVariable long id,
            @RequestBody(required = false) SomePanels some,
            @AuthenticationPrincipal SignedIn who) {
        return begun(id, programs.begin(id, ProductPrograms.Wanted.MAKE, ids(some), who));
    }

    /** Makes all programs, lays panels on boards by material, and searches for nests of them. */
    @PostMapping("/{id}/boards")
    ResponseEntity<WorkJson> boards(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
        return begun(id, programs.begin(id, ProductPrograms.Wanted.LAY, List.of(), who));
    }

    /** The nests on which panels lie, by material. */
    @GetMapping("/{id}/boards")
    List<ProductJobTable.Nest> boards(@PathVariable long id) {
        return programs.nests(products.find(id));
    }

    /** What is still to be done to panels when they have come off their boards. */
    @GetMapping("/{id}/left")
    List<LeftToDo> left(@PathVariable long id) {
        return LeftToDo.of(products.find(id));
    }

    /** Releases all programs that are ready. */
    @PostMapping("/{id}/releases")
    ResponseEntity<WorkJson> releases(
            @PathVariable long id,
            @RequestBody(required = false) SomePanels some,
            @AuthenticationPrincipal SignedIn who) {
        return begun(id, programs.begin(id, ProductPrograms.Wanted.RELEASE, ids(some), who));
    }

    /** Releases of the product, the newest first. */
    @GetMapping("/{id}/releases")
    List<ProductReleases.Release> releases(@PathVariable long id) {
        products.find(id);
        return releases.all(id);
    }

    /** What changed of each clamping between two of them. */
    @GetMapping("/{id}/releases/{from}/{to}")
    List<PartChange> changes(@PathVariable long id, @PathVariable int from, @PathVariable int to) {
        products.find(id);
        return releases.changes(id, from, to);
    }

    private static ResponseEntity<WorkJson> begun(long id, WorkState state) {
        return ResponseEntity.accepted()
                .location(URI.create("/api/products/%d/programs".formatted(id)))
                .body(json(state));
    }

    @GetMapping("/{id}/programs")
    WorkJson programsState(@PathVariable long id) {
        products.find(id);
        return programs.state(id)
                .map(ProductApi::json)
                .orElseThrow(() -> new NotFoundException("No programs of it were asked for yet."));
    }

    /** Stops; what is made stays. */
    @DeleteMapping("/{id}/programs")
    WorkJson stop(@PathVariable long id) {
        products.find(id);
        programs.stop(id);
        return programsState(id);
    }

    private static WorkJson json(WorkState state) {
        return new WorkJson(
                state.phase().name().toLowerCase(Locale.ROOT), state.share(), state.doing());
    }

    @PostMapping("/{id}/undo")
    ProductJson undo(@PathVariable long id, SeenStep seen, @AuthenticationPrincipal SignedIn who) {
        return json(products.undo(id, seen.number(), who));
    }

    @PostMapping("/{id}/redo")
    ProductJson redo(@PathVariable long id, SeenStep seen, @AuthenticationPrincipal SignedIn who) {
        return json(products.redo(id, seen.number(), who));
    }

    @GetMapping("/{id}/panels/{panel}")
    DecidedJson panel(@PathVariable long id, @PathVariable String panel) {
        ProductState state = products.find(id);
        return decided(state, state.panel(panel));
    }

    @PatchMapping("/{id}/panels/{panel}")
    DecidedJson wish(
            @PathVariable long id,
            @PathVariable String panel,
            @RequestBody PanelWishesEdit edit,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        Panel of = products.find(id).panel(panel);
        ProductState after =
                products.edit(
                        id,
                        seen.number(),
                        "How %s lies".formatted(panel),
                        d -> d.with(panel, edit.applied(d.wishes(panel), of)),
                        who);
        return decided(after, after.panel(panel));
    }

    @GetMapping("/{id}/cut-list")
    List<CutRowJson> cutList(@PathVariable long id) {
        return products.find(id).cutList().rows().stream().map(ProductApi::row).toList();
    }

    @GetMapping(path = "/{id}/cut-list.csv", produces = "text/csv")
    String cutListCsv(@PathVariable long id) {
        return papers.cutList(products.find(id));
    }

    @GetMapping(path = "/{id}/cut-list.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] cutListPdf(@PathVariable long id) {
        return papers.cutListPdf(products.find(id));
    }

    @GetMapping("/{id}/order")
    ProductOrder order(@PathVariable long id) {
        return programs.order(products.find(id));
    }

    @GetMapping("/{id}/cost")
    ProductCost cost(@PathVariable long id) {
        return programs.cost(products.find(id));
    }

    @GetMapping(path = "/{id}/order.csv", produces = "text/csv")
    String orderCsv(@PathVariable long id) {
        return papers.order(programs.order(products.find(id)));
    }

    @GetMapping(path = "/{id}/order.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    byte[] orderPdf(@PathVariable long id) {
        ProductState state = products.find(id);
        return papers.orderPdf(state, programs.order(state));
    }

    @GetMapping("/{id}/mates")
    MatesJson mates(@PathVariable long id) {
        Mates mates = products.find(id).mates();
        return new MatesJson(
                mates.pairs().stream()
                        .map(p -> List.of(p.first().toString(), p.second().toString()))
                        .toList(),
                mates.faults().stream().map(ProductApi::fault).toList());
    }

    @GetMapping(path = "/{id}/mates.csv", produces = "text/csv")
    String matesCsv(@PathVariable long id) {
        return papers.mates(products.find(id));
    }

    // ---- as JSON

    private ProductJson json(ProductState state) {
        PanelStates states = programs.states(state);
        return new ProductJson(
                state.id(),
                state.product().name(),
                state.product().quantity(),
                state.document().machine(),
                state.document().preMilling(),
                state.step(),
                state.product().panels().stream().map(p -> json(state, states.of(p), p)).toList(),
                state.checks());
    }

    private static PanelJson json(ProductState state, PanelStates.State of, Panel panel) {
        Decision decision = state.decision(panel);
        return new PanelJson(
                panel.id(),
                panel.name(),
                panel.role().word(),
                state.product().count(panel),
                of.word(),
                of.sentence(),
                decision.clampings().size(),
                state.twins().equalTo(panel.id()).orElse(null),
                state.twins().mirrorOf(panel.id()).orElse(null));
    }

    private DecidedJson decided(ProductState state, Panel panel) {
        Decision decision = state.decision(panel);
        PanelStates.State of = programs.states(state).of(panel);
        Face.Size cut = panel.cut(state.document().preMilling());
        return new DecidedJson(
                panel.id(),
                of.word(),
                decision.why(),
                decision.clampings().stream().map(ProductApi::clamping).toList(),
                decision.refused().stream()
                        .map(r -> new RefusedJson(r.feature(), r.sentence()))
                        .toList(),
                new CutJson(cut.length(), cut.width()),
                panels.operations(state, panel).stream()
                        .map(
                                m ->
                                        new OperationJson(
                                                m.feature(),
                                                m.rule(),
                                                m.operation(),
                                                m.tool(),
                                                m.others()))
                        .toList(),
                of.jobs(),
                state.document().wishes(panel.id()),
                state.cost(panel));
    }

    private static ClampingJson clamping(Clamping clamping) {
        return new ClampingJson(
                clamping.lying().up().word(),
                clamping.lying().turn(),
                clamping.corner(),
                clamping.reference().stream().map(Face::word).toList(),
                clamping.features(),
                clamping.why());
    }

    private static CutRowJson row(CutList.Row row) {
        Map<String, String> bands = new TreeMap<>();
        row.bands().forEach((edge, id) -> bands.put(edge.word(), id));
        return new CutRowJson(
                row.panel(),
                row.material(),
                row.length(),
                row.width(),
                row.grain().word(),
                row.count(),
                bands);
    }

    private static FaultJson fault(Mates.Fault fault) {
        return new FaultJson(
                fault.holes().stream().map(Mates.Hole::toString).toList(), fault.sentence());
    }
}
