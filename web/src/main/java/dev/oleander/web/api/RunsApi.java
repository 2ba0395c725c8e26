package dev.oleander.web.api;

import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Part;
import dev.oleander.geometry.Box;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.web.api.ApiJson.MadeJson;
import dev.oleander.web.api.ApiJson.MissingJson;
import dev.oleander.web.api.ApiJson.MotionJson;
import dev.oleander.web.api.ApiJson.ProofJson;
import dev.oleander.web.api.ApiJson.RunJson;
import dev.oleander.web.api.ApiJson.SetUpJson;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.result.JobResult;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The runs of a job, one for each set-up that its quantity needs. */
@RestController
@RequestMapping("/api/jobs/{id}/runs")
class RunsApi {

    private final PlannedJobs planned;
    private final FieldsOfWork fields;

    RunsApi(PlannedJobs planned, FieldsOfWork fields) {
        this.fields = fields;
        this.planned = planned;
    }

    @GetMapping
    List<SetUpJson> runs(@PathVariable long id, Patience patience) {
        return planned.complete(id, "runs", patience).runs().stream()
                .map(run -> setUp(id, run))
                .toList();
    }

    /**
     * @param number from 1
     */
    @GetMapping("/{number}")
    RunJson run(@PathVariable long id, @PathVariable int number, Patience patience) {
        return ApiMapper.run(of(id, number, "", patience), fields);
    }

    @GetMapping("/{number}/motion")
    MotionJson motion(@PathVariable long id, @PathVariable int number, Patience patience) {
        return ApiMapper.motion(of(id, number, "/motion", patience).timeline());
    }

    @GetMapping("/{number}/proof")
    ProofJson proof(@PathVariable long id, @PathVariable int number, Patience patience) {
        return ApiMapper.proof(of(id, number, "/proof", patience).proof());
    }

    private JobResult of(long id, int number, String what, Patience patience) {
        String asked = "runs/%d%s".formatted(number, what);
        List<JobResult> runs = planned.complete(id, asked, patience).runs();
        if (number < 1 || number > runs.size()) {
            throw new NotFoundException(
                    "Job %d has no run %d; it has %d.".formatted(id, number, runs.size()));
        }
        return runs.get(number - 1);
    }

    private static SetUpJson setUp(long job, JobResult result) {
        SetUp setUp = result.setUp();
        Box stock = result.run().layout().stock();
        Demand on = result.plan().placed();
        // what fits nowhere is told once
        Demand left =
                setUp.number() == 1 ? result.demand().less(result.made(), 1) : Demand.whole(0);
        return new SetUpJson(
                setUp.number(),
                setUp.count(),
                new int[] {setUp.firstCopy(), setUp.firstCopy() + setUp.copies() - 1},
                new double[] {stock.width(), stock.height()},
                byPart(
                        result,
                        on,
                        (part, n) ->
                                new MadeJson(
                                        jobOf(job, result, part),
                                        FeatureKey.localOf(part),
                                        setUp.count() * n)),
                byPart(
                        result,
                        left,
                        (part, n) -> new MissingJson(part, n, SheetLayout.NOTHING_FITS)),
                result.run().stops().size(),
                ApiMapper.seconds(result.timeline().seconds()));
    }

    /** The job that a part is of: another one where its parts are nested with others. */
    private static long jobOf(long own, JobResult result, String part) {
        return result.document()
                .nest()
                .map(nest -> nest.sources().get(FeatureKey.sourceOf(part)))
                .map(NestDocument.Source::job)
                .orElse(own);
    }

    /** The parts of a demand, with the number of each; those without any are left out. */
    private static <T> List<T> byPart(
            JobResult result, Demand demand, BiFunction<String, Integer, T> as) {
        return result.reading().parts().stream()
                .map(Part::id)
                .map(id -> Map.entry(id, demand.of(PartRef.WHOLE) + demand.of(PartRef.ofId(id))))
                .filter(e -> e.getValue() > 0)
                .map(e -> as.apply(e.getKey(), e.getValue()))
                .toList();
    }
}
