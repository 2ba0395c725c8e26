package dev.oleander.web.api;

import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.file.NestFile;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.NestJson.NestRequest;
import dev.oleander.web.api.NestJson.NestView;
import dev.oleander.web.api.NestJson.PlacementRequest;
import dev.oleander.web.api.NestJson.ResultView;
import dev.oleander.web.api.NestJson.SearchRequest;
import dev.oleander.web.api.NestJson.SearchView;
import dev.oleander.web.api.NestJson.WhyView;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.nest.NestEdits;
import dev.oleander.web.nest.NestHand;
import dev.oleander.web.nest.NestMaker;
import dev.oleander.web.nest.NestMoves;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.nest.NestSearch;
import dev.oleander.web.nest.NestWhy;
import dev.oleander.web.nest.Nests;
import io.swagger.v3.oas.annotations.media.Schema;
import java.net.URI;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Nests over HTTP; the number of a nest is that of its job. */
@RestController
@RequestMapping("/api/nests")
class NestApi {

    private final JobService jobs;
    private final JobComputer computer;
    private final NestMaker maker;
    private final NestEdits edits;
    private final NestHand hand;
    private final NestMoves moves;
    private final NestSearch searches;
    private final Nests nests;
    private final MachineLibrary machines;

    NestApi(
            JobService jobs,
            JobComputer computer,
            NestMaker maker,
            NestEdits edits,
            NestHand hand,
            NestMoves moves,
            NestSearch searches,
            Nests nests,
            MachineLibrary machines) {
        this.jobs = jobs;
        this.computer = computer;
        this.maker = maker;
        this.edits = edits;
        this.hand = hand;
        this.moves = moves;
        this.searches = searches;
        this.nests = nests;
        this.machines = machines;
    }

    @PostMapping
    ResponseEntity<NestView> create(
            @RequestBody @Schema(implementation = NestRequest.class) JsonNode body,
            @AuthenticationPrincipal SignedIn who) {
        if (!body.isObject()) {
            throw new RefusedEditException("The body must be a JSON object.");
        }
        boolean ownShapes = body.has("shapes");
        long made = ownShapes ? ofShapes(body, who) : ofJobs(request(body), who);
        return ResponseEntity.created(URI.create("/api/nests/" + made)).body(view(made));
    }

    private long ofShapes(JsonNode body, SignedIn who) {
        NestTask task = NestFile.task(body.toString());
        String name = body.path("name").asString(body.path("case").asString("Nest"));
        Optional<JobDocument.Order> order =
                body.has("machine")
                        ? Optional.of(
                                order(
                                        name,
                                        body.path("machine").asString(""),
                                        body.path("material").asString(""),
                                        body.path("thickness").asDouble(Double.NaN)))
                        : Optional.empty();
        return maker.make(task, name, order, who);
    }

    private long ofJobs(NestRequest request, SignedIn who) {
        if (request.machine() == null
                || request.material() == null
                || request.thickness() == null) {
            throw new RefusedEditException("A nest needs a machine, a material and a thickness.");
        }
        JobDocument.Order order =
                order(
                        request.name() == null ? "Nest" : request.name(),
                        request.machine(),
                        request.material(),
                        request.thickness());
        return maker.make(order, NestRequests.wishes(request), who);
    }

    private JobDocument.Order order(
            String name, String machine, String material, double thickness) {
        String id = machines.find(machine).map(Machine::id).orElse(machine);
        return new JobDocument.Order(name, id, material, Typed.of(thickness), 1);
    }

    private static NestRequest request(JsonNode body) {
        try {
            return JsonMapper.shared().treeToValue(body, NestRequest.class);
        } catch (JacksonException wrong) {
            throw new RefusedEditException(
                    "The body does not describe a nest: " + wrong.getOriginalMessage());
        }
    }

    @GetMapping("/{id}")
    NestView nest(@PathVariable long id, SeenStep seen) {
        seen.response().setHeader("ETag", "\"%d\"".formatted(jobs.present(id).step()));
        return view(id);
    }

    private NestView view(long id) {
        JobResult result = result(id);
        return new NestMapper(id, result)
                .nest(nests.stale(result.document().nest().orElseThrow()), searches.of(id));
    }

    private JobResult result(long id) {
        return computer.result(jobs.present(id).document());
    }

    /** Lines and sheets with an id are changed, others are added; all of it holds, or nothing. */
    @PatchMapping("/{id}")
    NestView change(
            @PathVariable long id,
            @RequestBody NestRequest request,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        if (request.machine() != null
                || request.material() != null
                || request.thickness() != null) {
            throw new RefusedEditException(
                    "Machine, material and thickness of a nest are those of its job and its parts.");
        }
        return edited(id, seen, "Nest changed", edits.all(NestRequests.wishes(request)), who);
    }

    private NestView edited(
            long id, SeenStep seen, String label, JobService.Edit edit, SignedIn who) {
        seen.tell(jobs.edit(id, seen.number(), label, edit, who));
        return view(id);
    }

    /** Takes a job in again as it is now. */
    @PostMapping("/{id}/jobs/{job}/renew")
    NestView renew(
            @PathVariable long id,
            @PathVariable long job,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        String letter =
                result(id)
                        .document()
                        .nest()
                        .flatMap(nest -> nest.letterOf(job))
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "Nest %d has no parts of job %d."
                                                        .formatted(id, job)));
        return edited(id, seen, "Job %d renewed".formatted(job), edits.renew(letter), who);
    }

    // ---- searches

    @PostMapping("/{id}/runs")
    ResponseEntity<SearchView> search(
            @PathVariable long id,
            @RequestBody(required = false) SearchRequest request,
            @AuthenticationPrincipal SignedIn who) {
        int number =
                searches.begin(id, NestRequests.search(request, NestSearch.usualThreads()), who);
        return ResponseEntity.accepted()
                .location(URI.create("/api/nests/%d/runs/%d".formatted(id, number)))
                .body(search(id, number));
    }

    @GetMapping("/{id}/runs/{number}")
    SearchView search(@PathVariable long id, @PathVariable int number) {
        return new NestMapper(id, result(id)).search(searches.result(id, number));
    }

    /** Ends it; what it has found is kept. */
    @DeleteMapping("/{id}/runs/{number}")
    SearchView stop(@PathVariable long id, @PathVariable int number) {
        NestResult search = searches.result(id, number);
        if (!search.state().isOver()) {
            searches.stop(id);
        }
        return search(id, number);
    }

    @GetMapping("/{id}/results/{number}")
    ResultView found(@PathVariable long id, @PathVariable int number) {
        NestResult search = searches.result(id, number);
        return new NestMapper(id, computer.result(searches.document(search)))
                .result(search, searches.requireBest(id, number));
    }

    @PostMapping("/{id}/results/{number}/take")
    NestView take(
            @PathVariable long id,
            @PathVariable int number,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        NestResult.Best best = searches.requireBest(id, number);
        return edited(id, seen, "Nest %d taken".formatted(number), edits.laid(best.sheets()), who);
    }

    // ---- by hand

    @PatchMapping("/{id}/sheets/{sheet}/placements/{part}")
    NestView place(
            @PathVariable long id,
            @PathVariable int sheet,
            @PathVariable int part,
            @RequestBody PlacementRequest request,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        return edited(id, seen, "Part moved", move(sheet, part, request), who);
    }

    private JobService.Edit move(int sheet, int part, PlacementRequest request) {
        if (request.push() != null) {
            return moves.push(sheet, part, NestMoves.Direction.of(request.push()));
        }
        if (request.align() != null) {
            NestMoves.Edge edge = NestMoves.Edge.of(request.align().edge());
            return moves.align(sheet, part, request.align().with(), edge);
        }
        if (request.makeRoom() != null) {
            Point by = new Point(request.makeRoom().dx(), request.makeRoom().dy());
            return moves.makeRoom(sheet, part, by);
        }
        NestHand.Wish wish =
                new NestHand.Wish(
                        request.x(),
                        request.y(),
                        request.angle(),
                        request.mirrored(),
                        request.locked(),
                        request.sheet(),
                        null,
                        null);
        return hand.place(sheet, part, wish);
    }

    /** Why a part lies where it does. */
    @GetMapping("/{id}/sheets/{sheet}/placements/{part}")
    WhyView why(@PathVariable long id, @PathVariable int sheet, @PathVariable int part) {
        return NestMapper.why(NestWhy.reasons(result(id), sheet, part));
    }

    @DeleteMapping("/{id}/sheets/{sheet}/placements/{part}")
    NestView takeOff(
            @PathVariable long id,
            @PathVariable int sheet,
            @PathVariable int part,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        return edited(id, seen, "Part taken off", hand.takeOff(sheet, part), who);
    }
}
