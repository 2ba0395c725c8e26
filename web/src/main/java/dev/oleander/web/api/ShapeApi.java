package dev.oleander.web.api;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.mend.MendOptions;
import dev.oleander.geometry.Point;
import dev.oleander.quantity.Typed;
import dev.oleander.quantity.Worded;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiJson.FaultJson;
import dev.oleander.web.api.ApiJson.ReadingJson;
import dev.oleander.web.bench.DrawingDownload;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.ShapeEdits;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.source.Uploads;
import java.io.IOException;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The drawing of a job: mending, new versions, drawing, and the drawing as a file. */
@RestController
@RequestMapping("/api/jobs/{id}")
class ShapeApi {

    private final JobService jobs;
    private final ShapeEdits edits;

    ShapeApi(JobService jobs, ShapeEdits edits) {
        this.jobs = jobs;
        this.edits = edits;
    }

    /**
     * @param tolerance mm; null: as it is
     * @param kinds gaps, doubles, crumbs, spurs, shortLines; null: all
     */
    record MendRequest(Double tolerance, List<String> kinds) {}

    /** What was mended, what is left to decide, and the reading after it. */
    record MendAnswer(List<FaultJson> changes, List<FaultJson> left, ReadingJson reading) {}

    @PostMapping("/mend")
    MendAnswer mend(
            @PathVariable long id,
            @RequestBody(required = false) MendRequest request,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        MendRequest wanted = request == null ? new MendRequest(null, null) : request;
        Set<MendOptions.Step> steps =
                wanted.kinds() == null ? MendOptions.ALL : steps(wanted.kinds());
        JobView job =
                jobs.edit(
                        id,
                        seen.number(),
                        "Mend all",
                        before ->
                                edits.mend(
                                                tolerance(wanted, before.document().shape().gap()),
                                                steps)
                                        .apply(before),
                        who);
        seen.tell(job);
        List<Fault> changes = job.result().reading().changes();
        return new MendAnswer(
                changes.stream().map(ApiMapper::fault).toList(),
                job.result().reading().openFaults().stream().map(ApiMapper::fault).toList(),
                ApiMapper.reading(job.result().reading()));
    }

    private static Typed tolerance(MendRequest request, Typed present) {
        return request.tolerance() == null ? present : Typed.of(request.tolerance());
    }

    private static Set<MendOptions.Step> steps(List<String> words) {
        Set<MendOptions.Step> steps = EnumSet.noneOf(MendOptions.Step.class);
        for (String word : words) {
            steps.add(
                    Worded.of(MendOptions.Step.class, word)
                            .orElseThrow(
                                    () ->
                                            new RefusedEditException(
                                                    "\"%s\" is nothing that can be mended: gaps, doubles, crumbs, spurs and shortLines are."
                                                            .formatted(word))));
        }
        return steps;
    }

    /** A feature that a new version does not have, with its old place. */
    record LostJson(String contour, String name, double[] place) {}

    /** What a new version of the drawing did: how many stayed, which moved, which are gone. */
    record RevisedJson(int kept, List<String> stale, List<LostJson> lost) {}

    @PutMapping(path = "/drawing", consumes = "multipart/form-data")
    RevisedJson revise(
            @PathVariable long id,
            @RequestParam(name = "file") List<MultipartFile> files,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who)
            throws IOException {
        List<Upload> uploads = Uploads.of(files);
        JobService.Revised revised = jobs.revise(id, seen.number(), uploads, who);
        seen.tell(revised.job());
        return new RevisedJson(
                revised.kept(),
                revised.stale(),
                revised.lost().stream()
                        .map(l -> new LostJson(l.feature(), l.name(), new double[] {l.x(), l.y()}))
                        .toList());
    }

    /**
     * Something to draw; see the drawing commands.
     *
     * @param near x, y of the place that was pointed at
     * @param contours ids of what it works on
     * @param values formulas by parameter
     */
    record DrawRequest(
            String command, double[] near, List<String> contours, Map<String, String> values) {}

    @PostMapping("/draw")
    ReadingJson draw(
            @PathVariable long id,
            @RequestBody DrawRequest request,
            SeenStep seen,
            @AuthenticationPrincipal SignedIn who) {
        boolean placed = request.near() != null && request.near().length == 2;
        ShapeEdits.Wish wish =
                new ShapeEdits.Wish(
                        request.command() == null ? "" : request.command(),
                        placed ? new Point(request.near()[0], request.near()[1]) : null,
                        request.contours() == null ? List.of() : request.contours(),
                        request.values() == null ? Map.of() : request.values());
        String label = "Draw: " + wish.command();
        JobView job = seen.tell(jobs.edit(id, seen.number(), label, edits.draw(wish), who));
        return ApiMapper.reading(job.result().reading());
    }

    @GetMapping("/drawing.{form:dxf|svg}")
    ResponseEntity<String> drawing(@PathVariable long id, @PathVariable String form) {
        return DrawingDownload.of(jobs.view(id), form);
    }
}
