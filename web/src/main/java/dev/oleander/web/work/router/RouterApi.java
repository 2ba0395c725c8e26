package dev.oleander.web.work.router;

import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.api.ApiOfWork;
import dev.oleander.web.api.Patience;
import dev.oleander.web.api.PlannedJobs;
import dev.oleander.web.api.RunAnswers;
import dev.oleander.web.api.SeenStep;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.router.RouterMilling;
import dev.oleander.work.router.RouterRun;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.book.RouterBook;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;

/** Operations, tools and material of jobs on a router. */
@ApiOfWork
class RouterApi {

    private final JobService jobs;
    private final PlannedJobs planned;
    private final MachineLibrary machines;
    private final Books books;
    private final RunAnswers answers;

    RouterApi(
            JobService jobs,
            PlannedJobs planned,
            MachineLibrary machines,
            Books books,
            RunAnswers answers) {
        this.jobs = jobs;
        this.planned = planned;
        this.machines = machines;
        this.books = books;
        this.answers = answers;
    }

    /** Tools in the magazine of a router. */
    @GetMapping("/api/tools")
    List<FlatTool> tools(@RequestParam String machine) {
        return book(router(machine)).tools().stream().map(FlatTool::of).toList();
    }

    /** How fast a tool goes in a cut; nothing is kept. */
    @PostMapping("/api/tool-data")
    ToolData.Answer toolData(@RequestBody ToolData asked) {
        Machine machine = asked.machine() == null ? usual() : router(asked.machine());
        return asked.answer(machine, book(machine));
    }

    private Machine usual() {
        return machines.machines().stream()
                .filter(RouterMilling.ROUTER::does)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no router."));
    }

    private Machine router(String name) {
        return machines.find(name)
                .filter(RouterMilling.ROUTER::does)
                .orElseThrow(
                        () -> new NotFoundException("There is no router \"%s\".".formatted(name)));
    }

    private RouterBook book(Machine machine) {
        return (RouterBook) books.of(machine);
    }

    /** Says what is done to the features of a drawing. */
    @PutMapping("/api/jobs/{id}/operations")
    Object operations(
            @PathVariable long id,
            @RequestBody OperationsRequest request,
            SeenStep seen,
            Patience patience,
            @AuthenticationPrincipal SignedIn who) {
        seen.tell(
                jobs.edit(
                        id, seen.number(), "Operations", before -> applied(request, before), who));
        return answers.run(id, patience);
    }

    private static JobDocument applied(OperationsRequest request, JobResult before) {
        if (!before.is(RouterMilling.ROUTER)) {
            throw new RefusedEditException(
                    "The job is for %s, which has no operations: they are a router's."
                            .formatted(before.machine().name()));
        }
        return request.applied(before.document());
    }

    /**
     * What is gone of the stock.
     *
     * @param t machine time, s; left out: the end
     */
    @GetMapping("/api/jobs/{id}/material")
    MaterialAnswer.Material material(
            @PathVariable long id, @RequestParam(required = false) Double t, Patience patience) {
        return MaterialAnswer.material(run(id, "material", patience), moment(t));
    }

    /** How deep the stock is cut at a place, mm in the coordinates of the machine. */
    @GetMapping("/api/jobs/{id}/material/depth")
    MaterialAnswer.DepthJson depth(
            @PathVariable long id,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(required = false) Double t,
            Patience patience) {
        if (!Double.isFinite(x) || !Double.isFinite(y)) {
            throw new RefusedEditException("x and y must be numbers, mm.");
        }
        return MaterialAnswer.depth(
                run(id, "material/depth", patience), new Point(x, y), moment(t));
    }

    /** How deep the stock is cut along a line, mm in the coordinates of the machine. */
    @GetMapping("/api/jobs/{id}/material/section")
    MaterialAnswer.SectionJson section(@PathVariable long id, SectionLine line, Patience patience) {
        return MaterialAnswer.section(
                run(id, "material/section", patience), line.from(), line.to(), moment(line.t()));
    }

    private static Optional<Double> moment(Double t) {
        if (t != null && !(t >= 0)) {
            throw new RefusedEditException("t is %s s; it must be at least 0.".formatted(t));
        }
        return Optional.ofNullable(t);
    }

    private RouterRun run(long id, String what, Patience patience) {
        return planned.complete(id, what, patience)
                .own(RouterRun.class)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Job %d has no plan for a router.".formatted(id)));
    }
}
