package dev.oleander.web.api;

import dev.oleander.nesting.choice.Loop;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.stock.Remnant;
import dev.oleander.web.stock.Remnants;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Remnants of the shop over HTTP. */
@RestController
@RequestMapping("/api/stock")
class StockApi {

    private final Remnants remnants;

    StockApi(Remnants remnants) {
        this.remnants = remnants;
    }

    /**
     * A remnant.
     *
     * @param outline contours of vertices x, y and bulge: the outer one, then holes; empty: a plain
     *     rectangle
     * @param job that left it; null: none
     * @param usedBy the job that it was released for; null: none
     */
    record RemnantJson(
            long id,
            String material,
            double thickness,
            double width,
            double height,
            List<List<List<Double>>> outline,
            Double grain,
            String place,
            String state,
            String origin,
            Long job,
            Long usedBy) {}

    /**
     * A remnant that somebody found.
     *
     * @param outline in place of width and height
     */
    record RemnantRequest(
            String material,
            Double thickness,
            Double width,
            Double height,
            List<List<List<Double>>> outline,
            String place) {}

    @GetMapping
    List<RemnantJson> list(
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "false") boolean all) {
        return remnants.search(text, all).stream().map(StockApi::json).toList();
    }

    @GetMapping("/{id}")
    RemnantJson one(@PathVariable long id) {
        return json(remnants.require(id));
    }

    @PostMapping
    ResponseEntity<RemnantJson> add(
            @RequestBody RemnantRequest request, @AuthenticationPrincipal SignedIn who) {
        if (request.material() == null || request.thickness() == null) {
            throw new RefusedEditException("A remnant needs a material and a thickness.");
        }
        String place = request.place() == null ? "" : request.place();
        long id =
                request.outline() == null
                        ? remnants.add(
                                request.material(),
                                request.thickness(),
                                or(request.width()),
                                or(request.height()),
                                List.of(),
                                place,
                                who)
                        : remnants.add(
                                request.material(),
                                request.thickness(),
                                request.outline().stream().map(StockApi::loop).toList(),
                                place,
                                who);
        return ResponseEntity.created(URI.create("/api/stock/" + id)).body(one(id));
    }

    private static double or(Double given) {
        return given == null ? 0 : given;
    }

    private static Loop loop(List<List<Double>> vertices) {
        List<Double> numbers = new ArrayList<>();
        for (List<Double> vertex : vertices) {
            if (vertex.size() != 3) {
                throw new RefusedEditException(
                        "A vertex is %s; it must be three numbers: x, y and bulge."
                                .formatted(vertex));
            }
            numbers.addAll(vertex);
        }
        return new Loop(numbers);
    }

    /** Thrown away. */
    @DeleteMapping("/{id}")
    RemnantJson gone(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
        remnants.gone(id, who);
        return one(id);
    }

    private static RemnantJson json(Remnant r) {
        return new RemnantJson(
                r.id(),
                r.material(),
                r.thickness(),
                r.width(),
                r.height(),
                r.outline().stream().map(StockApi::vertices).toList(),
                r.grain(),
                r.place(),
                r.state().word(),
                r.origin(),
                r.originJob(),
                r.usedBy());
    }

    private static List<List<Double>> vertices(Loop loop) {
        List<List<Double>> all = new ArrayList<>();
        for (int i = 0; i + 2 < loop.numbers().size(); i += 3) {
            all.add(loop.numbers().subList(i, i + 3));
        }
        return all;
    }
}
