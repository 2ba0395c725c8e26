package dev.oleander.web.api;

import dev.oleander.dialect.ReadBack;
import dev.oleander.drawing.Fault;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FormGroup;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.motion.MotionItem;
import dev.oleander.motion.PassSeconds;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.Pass;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.web.api.ApiJson.BoxJson;
import dev.oleander.web.api.ApiJson.ContourJson;
import dev.oleander.web.api.ApiJson.CopyJson;
import dev.oleander.web.api.ApiJson.EventJson;
import dev.oleander.web.api.ApiJson.FaultJson;
import dev.oleander.web.api.ApiJson.FindingJson;
import dev.oleander.web.api.ApiJson.FitsJson;
import dev.oleander.web.api.ApiJson.FormJson;
import dev.oleander.web.api.ApiJson.HoleJson;
import dev.oleander.web.api.ApiJson.JobJson;
import dev.oleander.web.api.ApiJson.LeadJson;
import dev.oleander.web.api.ApiJson.MotionJson;
import dev.oleander.web.api.ApiJson.PassJson;
import dev.oleander.web.api.ApiJson.PlacementJson;
import dev.oleander.web.api.ApiJson.ProblemJson;
import dev.oleander.web.api.ApiJson.ProofJson;
import dev.oleander.web.api.ApiJson.ReadBackJson;
import dev.oleander.web.api.ApiJson.ReadingJson;
import dev.oleander.web.api.ApiJson.ReleaseJson;
import dev.oleander.web.api.ApiJson.RuleJson;
import dev.oleander.web.api.ApiJson.RunJson;
import dev.oleander.web.api.ApiJson.SecondsJson;
import dev.oleander.web.api.ApiJson.SkippedJson;
import dev.oleander.web.api.ApiJson.StageJson;
import dev.oleander.web.api.ApiJson.StopJson;
import dev.oleander.web.api.ApiJson.TabJson;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.StageView;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.Release;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/** Turns results into the records of the HTTP interface. */
final class ApiMapper {

    private ApiMapper() {}

    static JobJson job(JobView job) {
        JobDocument d = job.document();
        Map<String, StageJson> stages = new LinkedHashMap<>();
        for (StageView s : job.stages()) {
            stages.put(s.stage().word(), new StageJson(lower(s.state()), s.needs()));
        }
        return new JobJson(
                job.id(),
                job.step(),
                d.name(),
                job.result().machine().name(),
                d.material(),
                d.thickness().value(),
                d.quantity(),
                stages);
    }

    static ReadingJson reading(Reading r) {
        return new ReadingJson(
                r.drawing().unit().symbol(),
                r.drawing().declaredUnit().isPresent(),
                new BoxJson(place(r.box().min()), place(r.box().max())),
                r.parts().size(),
                r.features().stream().map(ApiMapper::contour).toList(),
                r.holes().stream()
                        .map(h -> new HoleJson(h.diameter(), h.count(), h.features()))
                        .toList(),
                r.keptArea(),
                r.cutLength(),
                r.faults().stream().map(ApiMapper::fault).toList(),
                r.drawing().skipped().stream()
                        .map(s -> new SkippedJson(s.entity(), s.layer(), s.count(), s.why()))
                        .toList(),
                r.forms().stream().map(ApiMapper::form).toList(),
                r.parts().stream()
                        .filter(p -> p.copyOf().isPresent())
                        .map(ApiMapper::copy)
                        .toList(),
                purposes(r),
                new FitsJson(
                        r.drawing().fits().curves(),
                        r.drawing().fits().segments(),
                        r.drawing().fits().tolerance()));
    }

    private static FormJson form(FormGroup g) {
        return new FormJson(
                g.form().kind().word(),
                g.form().label(),
                g.form().length(),
                g.form().width(),
                g.form().radius(),
                g.form().sides(),
                g.count(),
                g.features());
    }

    private static CopyJson copy(Part p) {
        return new CopyJson(p.id(), p.copyOf().orElseThrow(), p.mirrored());
    }

    private static Map<String, String> purposes(Reading r) {
        Map<String, String> purposes = new TreeMap<>();
        r.layerPurposes().forEach((layer, purpose) -> purposes.put(layer, purpose.word()));
        return purposes;
    }

    private static ContourJson contour(Feature f) {
        return new ContourJson(
                f.id(),
                f.part().orElse(null),
                f.isClosed(),
                lower(f.kind()),
                lower(f.purpose()),
                f.layer(),
                f.depth(),
                f.chain().length(),
                f.area(),
                f.lines(),
                f.arcs(),
                f.circleDiameter().isPresent() ? f.circleDiameter().getAsDouble() : null,
                f.parent().orElse(null),
                f.form().map(form -> form.label()).orElse(null),
                f.place().startOf().orElse(null),
                f.sources());
    }

    static FaultJson fault(Fault f) {
        return new FaultJson(
                lower(f.kind()),
                f.place().map(ApiMapper::place).orElse(null),
                f.size(),
                f.mended(),
                f.sentence());
    }

    static RunJson run(JobResult result, FieldsOfWork fields) {
        return new RunJson(
                result.machine().name(),
                result.run().order().word(),
                seconds(result.timeline().seconds()),
                result.run().layout().placements().stream().map(ApiMapper::placement).toList(),
                stops(result, fields),
                fields.ofRun(result));
    }

    private static PlacementJson placement(Placement placement) {
        Transform to = placement.transform();
        Point zero = to.apply(Point.ORIGIN);
        return new PlacementJson(
                placement.copy(), zero.x(), zero.y(), to.degrees(), to.isMirrored());
    }

    private static List<StopJson> stops(JobResult result, FieldsOfWork fields) {
        PassSeconds seconds = PassSeconds.of(result.timeline());
        return result.run().stops().stream().map(s -> stop(s, result, seconds, fields)).toList();
    }

    static StopJson stop(Stop s, JobResult result, FieldsOfWork fields) {
        return stop(s, result, PassSeconds.of(result.timeline()), fields);
    }

    private static StopJson stop(
            Stop s, JobResult result, PassSeconds seconds, FieldsOfWork fields) {
        Map<String, String> sources = new TreeMap<>();
        s.sources().forEach((name, source) -> sources.put(name, source.word()));
        return new StopJson(
                s.id(),
                s.number(),
                s.feature(),
                s.part().isEmpty() ? null : s.part(),
                s.copy(),
                lower(s.kind()),
                s.name(),
                s.side().word(),
                s.anticlockwise() ? "ccw" : "cw",
                s.compensation().word(),
                lead(s.leadIn()),
                lead(s.leadOut()),
                s.path().map(p -> place(p.start())).orElse(null),
                s.path().map(p -> place(p.pierce())).orElse(null),
                s.overRun(),
                s.passes().stream().map(p -> pass(s, p, seconds)).toList(),
                s.tabs().stream().map(t -> new TabJson(t.from(), t.to(), t.lifts())).toList(),
                s.work().commonLine(),
                s.work().approach().low(),
                s.work().approach().round().stream().map(ApiMapper::place).toList(),
                result.run().eventsOf(s).stream().map(ApiMapper::event).toList(),
                sources,
                s.remarks(),
                s.refusalSentence().orElse(null),
                fields.ofStop(result, s));
    }

    private static EventJson event(StopEvent e) {
        return new EventJson(
                e.kind().word(), e.before() ? "before" : "after", e.amount(), e.text());
    }

    private static PassJson pass(Stop stop, Pass pass, PassSeconds seconds) {
        double cutting = seconds.of(stop.id(), pass.number());
        return new PassJson(pass.number(), pass.offset(), pass.feed(), cutting);
    }

    private static LeadJson lead(Lead lead) {
        return new LeadJson(lead.kind().word(), lead.length(), lead.angle(), lead.radius());
    }

    static SecondsJson seconds(Seconds s) {
        return new SecondsJson(s.total(), s.cutting(), s.travel(), s.piercing(), s.people());
    }

    static ReadBackJson readBack(ReadBack read, Timeline timeline) {
        return new ReadBackJson(
                motion(timeline),
                read.problems().stream()
                        .map(p -> new ProblemJson(p.line(), p.column(), p.sentence()))
                        .toList());
    }

    static MotionJson motion(Timeline timeline) {
        return new MotionJson(MotionItem.all(timeline.program(), timeline.ends()));
    }

    static ProofJson proof(Proof proof) {
        return new ProofJson(
                proof.rules().stream()
                        .map(r -> new RuleJson(r.id(), r.title(), r.checked(), r.findings()))
                        .toList(),
                findings(proof.findings()),
                seconds(proof.timeline().seconds()),
                proof.releasable());
    }

    static List<FindingJson> findings(List<Finding> findings) {
        return findings.stream()
                .map(
                        f ->
                                new FindingJson(
                                        f.id(),
                                        f.rule(),
                                        f.severity().word(),
                                        f.stop().isEmpty() ? null : f.stop(),
                                        f.place().map(ApiMapper::place).orElse(null),
                                        f.moment(),
                                        f.value(),
                                        f.limit(),
                                        f.sentence(),
                                        f.accepted().orElse(null),
                                        f.alike()))
                .toList();
    }

    /**
     * @param together of the runs that were released as one revision
     */
    static ReleaseJson release(List<Release> together) {
        Release r = together.get(0);
        return new ReleaseJson(
                r.id(),
                r.jobId(),
                r.revision(),
                r.machine(),
                r.dialect(),
                r.dialectVersion(),
                r.fileName(),
                r.sha256(),
                r.previousSha256(),
                together.stream().mapToDouble(Release::greatestDeviation).max().orElseThrow(),
                together.stream().mapToDouble(run -> run.times() * run.seconds()).sum(),
                r.releasedBy().fullName(),
                r.releasedAt().toString());
    }

    private static double[] place(Point p) {
        return new double[] {p.x(), p.y()};
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
