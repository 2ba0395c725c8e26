package dev.oleander.web.api;

import dev.oleander.drawing.read.Purpose;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiJson.JobJson;
import dev.oleander.web.api.ApiJson.JobLine;
import dev.oleander.web.api.ApiJson.MotionJson;
import dev.oleander.web.api.ApiJson.ProofJson;
import dev.oleander.web.api.ApiJson.ReadingJson;
import dev.oleander.web.api.ApiJson.RunJson;
import dev.oleander.web.api.ApiJson.StopJson;
import dev.oleander.web.api.ApiJson.WorkJson;
import dev.oleander.web.board.BoardQuery;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.ValueEdits;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.Scope;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.source.Uploads;
import dev.oleander.web.job.store.JobRepository;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import org.springframework.data.domain.PageRequest;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Jobs over HTTP: made of drawings, read, planned, proven. */
@RestController
@RequestMapping("/api/jobs")
class JobApi {

    private static final int JOBS_PER_PAGE = 50;

    private final JobService jobs;
    private final JobRepository repository;
    private final ValueEdits valueEdits;
    private final MachineLibrary machines;
    private final PlanPatch plans;
    private final PlannedJobs planned;
    private final FieldsOfWork fields;

    JobApi(
            JobService jobs,
            JobRepository repository,
            ValueEdits valueEdits,
            MachineLibrary machines,
            PlanPatch plans,
            PlannedJobs planned,
            FieldsOfWork fields) {
        this.fields = fields;
        this.planned = planned;
        this.plans = plans;
        this.jobs = jobs;
        this.repository = repository;
        this.valueEdits = valueEdits;
        this.machines = machines;
    }

    @PostMapping(consumes = "multipart/form-data")
    ResponseEntity<JobJson> create(
            @RequestParam(name = "file") List<MultipartFile> files,
            @RequestParam String machine,
            @RequestParam String material,
            @RequestParam double thickness,
            @RequestParam int quantity,
            @RequestParam(required = false) String name,
            @RequestParam(required = false) String units,
            @RequestParam(required = false) String purposes,
            @AuthenticationPrincipal SignedIn who)
            throws IOException {
        List<Upload> uploads = Uploads.of(files);
        String title =
                name == null || name.isBlank() ? JobNames.ofFile(uploads.get(0).name()) : name;
        String id = machines.find(machine).map(Machine::id).orElse(machine);
        JobDocument.Order order =
                new JobDocument.Order(title, id, material, Typed.of(thickness), quantity);
        long made = jobs.create(uploads, order, settings(units, purposes), who);
        return ResponseEntity.created(URI.create("/api/jobs/" + made))
                .body(ApiMapper.job(jobs.view(made)));
    }

    private static UnaryOperator<JobDocument> settings(String units, String purposes) {
        Map<String, Purpose> layers = purposes == null ? Map.of() : purposes(purposes);
        return document -> {
            JobDocument changed = units == null ? document : OrderValues.UNIT.put(document, units);
            for (Map.Entry<String, Purpose> layer : layers.entrySet()) {
                changed = changed.reshaped(s -> s.withLayer(layer.getKey(), layer.getValue()));
            }
            return changed;
        };
    }

    private static Map<String, Purpose> purposes(String json) {
        try {
            Map<String, String> words =
                    JsonMapper.shared().readValue(json, new TypeReference<>() {});
            Map<String, Purpose> purposes = new TreeMap<>();
            words.forEach((layer, word) -> purposes.put(layer, purpose(layer, word)));
            return purposes;
        } catch (JacksonException notJson) {
            throw new RefusedEditException(
                    "purposes is no JSON object of layers and words: "
                            + notJson.getOriginalMessage());
        }
    }

    private static Purpose purpose(String layer, String word) {
        return Purpose.ofWord(word)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "Layer %s: \"%s\" is no purpose: cut, mark, fold, start or ignore."
                                                .formatted(layer, word)));
    }

    /**
     * @param page from 1
     */
    @GetMapping
    List<JobLine> list(
            @RequestParam(required = false) String text,
            @RequestParam(required = false) String machine,
            @RequestParam(required = false) Integer page) {
        String id = machine == null ? "" : machines.find(machine).map(Machine::id).orElse(machine);
        BoardQuery query = new BoardQuery(text, id, null, page);
        return repository
                .search(
                        query.pattern(),
                        query.machine(),
                        null,
                        PageRequest.of(query.page() - 1, JOBS_PER_PAGE))
                .map(
                        j ->
                                new JobLine(
                                        j.id(),
                                        j.name(),
                                        machines.find(j.machine()).map(Machine::name).orElse(""),
                                        j.material(),
                                        j.thickness(),
                                        j.quantity(),
                                        j.stage().word(),
                                        j.nextAction()))
                .getContent();
    }

    @GetMapping("/{id}")
    JobJson job(@PathVariable long id, SeenStep seen) {
        return ApiMapper.job(seen.tell(jobs.view(id)));
    }

    @GetMapping("/{id}/reading")
    ReadingJson reading(@PathVariable long id) {
        return ApiMapper.reading(jobs.view(id).result().reading());
    }

    /**
     * How to plan anew.
     *
     * @param order rule of the order; left out: as is usual
     * @param quality of the cut book, on wire machines the finish
     * @param recipe of the shop that is used wherever it fits
     */
    record PlanRequest(String order, String quality, String recipe) {}

    /** Forgets what was decided for stops and plans with what is given. */
    @PostMapping("/{id}/plan")
    RunJson plan(
            @PathVariable long id,
            @RequestBody(required = false) @Schema(implementation = PlanRequest.class)
                    JsonNode request,
            SeenStep seen,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        seen.tell(
                jobs.edit(
                        id,
                        seen.number(),
                        "Planned anew",
                        before -> plans.fresh(before, request),
                        who));
        return run(id, patience);
    }

    /** Sets the stock and how the parts lie on it; what is left out stays, null is as usual. */
    @PutMapping("/{id}/sheet")
    RunJson sheet(
            @PathVariable long id,
            @RequestBody @Schema(implementation = SheetPatch.SheetRequest.class) JsonNode values,
            SeenStep seen,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        seen.tell(
                jobs.edit(
                        id,
                        seen.number(),
                        "Sheet",
                        before -> SheetPatch.apply(before, values),
                        who));
        return run(id, patience);
    }

    /** How far the plan of a job is, whichever node makes it. */
    @GetMapping("/{id}/work")
    WorkJson work(@PathVariable long id) {
        return planned.work(id);
    }

    @GetMapping("/{id}/run")
    RunJson run(@PathVariable long id, Patience patience) {
        return ApiMapper.run(planned.complete(id, "run", patience), fields);
    }

    /** Changes values of one stop; null takes a value back. */
    @PatchMapping("/{id}/run/stops/{stop}")
    @io.swagger.v3.oas.annotations.parameters.RequestBody(
            content =
                    @Content(
                            schema =
                                    @Schema(
                                            ref =
                                                    "#/components/schemas/"
                                                            + OpenApiConfig.STOP_VALUES)))
    StopJson change(
            @PathVariable long id,
            @PathVariable String stop,
            @RequestBody JsonNode values,
            SeenStep seen,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        JobView job =
                jobs.edit(
                        id,
                        seen.number(),
                        "Values of " + stop,
                        before -> changed(before.at(stop), stop, values),
                        who);
        seen.tell(job);
        JobResult result = planned.complete(id, "run", patience).at(stop);
        return ApiMapper.stop(result.stops().get(stop), result, fields);
    }

    /**
     * @param before the run that has the stop
     */
    private JobDocument changed(JobResult before, String stop, JsonNode values) {
        Map<String, String> read = ValuePatch.read(before, stop, values);
        return valueEdits.ofStops(List.of(stop), Scope.COPY, read).apply(before);
    }

    @GetMapping("/{id}/motion")
    MotionJson motion(@PathVariable long id, Patience patience) {
        return ApiMapper.motion(planned.complete(id, "motion", patience).timeline());
    }

    @GetMapping("/{id}/proof")
    ProofJson proof(@PathVariable long id, Patience patience) {
        return ApiMapper.proof(planned.complete(id, "proof", patience).proof());
    }
}
