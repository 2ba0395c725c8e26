package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireRun;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.StartHoleList;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** What only jobs on a wire machine have: the view in space, the list of start holes. */
@Controller
class WireController {

    private final JobService jobs;

    WireController(JobService jobs) {
        this.jobs = jobs;
    }

    @GetMapping("/jobs/{id}/solid")
    @ResponseBody
    SolidView solid(@PathVariable long id, @RequestParam(defaultValue = "1") int run) {
        return SolidView.of(planned(id, run));
    }

    /** Holes to be drilled before, as a table or as a drawing. */
    @GetMapping("/jobs/{id}/start-holes.{form:csv|dxf}")
    ResponseEntity<String> holes(
            @PathVariable long id,
            @PathVariable String form,
            @RequestParam(defaultValue = "1") int run) {
        List<StartHole> holes =
                planned(id, run).own(WireRun.class).map(WireRun::plan).orElseThrow().toDrill();
        boolean csv = form.equals("csv");
        String name = "%d-start-holes.%s".formatted(id, form);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(MediaType.parseMediaType(csv ? "text/csv" : "image/vnd.dxf"))
                .body(csv ? StartHoleList.csv(holes) : StartHoleList.dxf(holes));
    }

    private JobResult planned(long id, int run) {
        JobResult result = jobs.view(id).on(run).result();
        if (!result.is(WIRE) || !result.isPlanned()) {
            throw new NotFoundException("Job %d has no plan for a wire machine.".formatted(id));
        }
        return result;
    }
}
