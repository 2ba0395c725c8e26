package dev.oleander.web.product;

import dev.oleander.geometry.Box;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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

/** Pages of single panels, and what is shown in space. */
@Controller
@RequestMapping("/products")
class PanelController {

    private final Products products;
    private final ProductPrograms programs;
    private final PanelPrograms panels;

    PanelController(Products products, ProductPrograms programs, PanelPrograms panels) {
        this.panels = panels;
        this.products = products;
        this.programs = programs;
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
        ProductModel.fill(products, product, problem, who, model);
        Panel panel = product.panel(id);
        PanelPicture picture = new PanelPicture(panel, product.decision(panel), feature);
        List<PanelPrograms.Lies> lies = panels.lies(product, panel);
        model.addAttribute("panel", panel);
        model.addAttribute("jobs", programs.states(product).of(panel).jobs());
        model.addAttribute(
                "operation",
                panels.operations(product, panel).stream()
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
            PanelPicture picture, List<Clamping> clampings, List<PanelPrograms.Lies> lies) {
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
            return ProductModel.back(id, panel) + (feature.isEmpty() ? "" : "?feature=" + feature);
        } catch (RefusedEditException | StaleEditException refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return panel(products.find(id), panel, feature, refused.getMessage(), who, model);
        }
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

    @GetMapping("/{id}/panels/{panel}/faces/{face}.dxf")
    ResponseEntity<byte[]> face(
            @PathVariable long id, @PathVariable String panel, @PathVariable String face) {
        String dxf = products.face(id, panel, face);
        return ProductModel.paper(
                dxf.getBytes(StandardCharsets.UTF_8),
                MediaType.parseMediaType("application/dxf"),
                "%s.%s.dxf".formatted(panel, face));
    }
}
