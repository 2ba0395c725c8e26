package dev.oleander.web.release;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.Dialect;
import dev.oleander.machine.CutRow;
import dev.oleander.motion.DataTable;
import dev.oleander.plan.SheetLayout;
import dev.oleander.proof.Proof;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.DocumentJson;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.web.job.StageReport;
import java.text.Normalizer;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes proven programs and keeps them for ever. */
@Service
@Transactional(readOnly = true)
public class ReleaseService {

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();

    private final ReleaseRepository releases;
    private final JobService jobs;
    private final AccountRepository accounts;
    private final ShopSheet shopSheet;
    private final Clock clock;

    ReleaseService(
            ReleaseRepository releases,
            JobService jobs,
            AccountRepository accounts,
            ShopSheet shopSheet,
            Clock clock) {
        this.releases = releases;
        this.jobs = jobs;
        this.accounts = accounts;
        this.shopSheet = shopSheet;
        this.clock = clock;
    }

    public List<Release> ofJob(long job) {
        return releases.findByJobIdOrderByIdDesc(job);
    }

    /** The newest releases of all jobs, the newest first. */
    public List<Release> latest() {
        return releases.findTop50ByOrderByIdDesc();
    }

    /**
     * @throws NotFoundException when there is none
     */
    public Release find(long id) {
        return releases.findById(id)
                .orElseThrow(() -> new NotFoundException("There is no release %d.".formatted(id)));
    }

    /**
     * @throws NotFoundException when the job has no such revision
     */
    public Release find(long job, String revision) {
        return releases.findByJobIdAndRevision(job, revision)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Job %d has no revision \"%s\".".formatted(job, revision)));
    }

    /**
     * Computes all hashes of a release and of those before it anew.
     *
     * @throws NotFoundException when there is no such release
     */
    public Verification verify(long id) {
        Release asked = find(id);
        List<Release> chain =
                releases.findByJobIdOrderByIdDesc(asked.jobId()).stream()
                        .filter(r -> r.id() <= asked.id())
                        .toList();
        List<Verification.Check> checks = new ArrayList<>();
        for (int i = 0; i < chain.size(); i++) {
            Release release = chain.get(i);
            String before = i + 1 < chain.size() ? chain.get(i + 1).sha256() : null;
            checks.add(
                    new Verification.Check(
                            release.revision(),
                            release.sha256(),
                            ReleaseSeal.again(release),
                            Objects.equals(before, release.previousSha256())));
        }
        return Verification.of(checks);
    }

    /** The text the next release would hold, read back and compared. */
    public ProgramPreview preview(JobView job) {
        String revision = nextRevision(releases.findFirstByJobIdOrderByIdDesc(job.id()));
        return new ProgramPreview(
                revision, fileName(job, revision), job.result().write(frame(job, revision)));
    }

    /** The text the next release would hold if its format were another one. */
    public Checked preview(JobView job, Dialect format) {
        String revision = nextRevision(releases.findFirstByJobIdOrderByIdDesc(job.id()));
        Map<String, String> frame = frame(job, revision);
        format.parameters().forEach(p -> frame.put(p.name(), p.usual()));
        return job.result().write(format, frame);
    }

    /**
     * Proves, writes, reads back, compares and keeps.
     *
     * @throws ReleaseRefusedException when a finding stands against it or the text differs from the
     *     plan
     */
    @Transactional
    public Release release(long jobId, SignedIn who) {
        JobView job = jobs.heldView(jobId);
        Proof proof = job.result().proof();
        requireReleasable(job, proof);
        Optional<Release> previous = releases.findFirstByJobIdOrderByIdDesc(jobId);
        ProgramPreview preview = preview(job);
        Checked checked = preview.checked();
        if (!checked.isTrue()) {
            throw new ReleaseRefusedException(
                    "The program read back is not the plan: " + checked.faults().get(0), List.of());
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Release.Content content =
                new Release.Content(
                        preview.fileName(),
                        checked.written().text(),
                        JSON.writeValueAsString(checked.written().itemOfLine()),
                        JSON.writeValueAsString(inputs(job.result())),
                        JSON.writeValueAsString(findings(proof)),
                        KeptMotion.packed(job.result().timeline().program()),
                        shopSheet.write(job, preview, who.fullName(), now),
                        checked.deviation(),
                        job.result().timeline().total());
        String before = previous.map(Release::sha256).orElse(null);
        Release.Seal seal =
                new Release.Seal(preview.revision(), ReleaseSeal.of(content, before), before);
        Release made =
                releases.saveAndFlush(
                        new Release(
                                origin(job),
                                content,
                                seal,
                                accounts.getReferenceById(who.id()),
                                now));
        jobs.refreshSummary(jobId);
        return made;
    }

    private static void requireReleasable(JobView job, Proof proof) {
        if (job.result().timeline().program().size() <= 1) {
            throw new ReleaseRefusedException("There is nothing to cut.", List.of());
        }
        String open = StageReport.revisionNeed(job.document().shape().revision());
        if (!open.isEmpty()) {
            throw new ReleaseRefusedException(open, List.of());
        }
        if (!proof.releasable()) {
            throw new ReleaseRefusedException(
                    "%d findings stand against a release. The first: %s"
                            .formatted(proof.open().size(), proof.open().get(0).sentence()),
                    proof.open());
        }
    }

    private static Release.Origin origin(JobView job) {
        JobResult result = job.result();
        return new Release.Origin(
                job.id(),
                job.step(),
                result.machine().id(),
                result.dialect().name(),
                result.dialect().version());
    }

    /** Everything the program was made from, so that it can be understood without today's data. */
    private static Map<String, Object> inputs(JobResult result) {
        Map<String, Object> inputs = new LinkedHashMap<>();
        inputs.put("fingerprint", DocumentJson.fingerprint(result.document()));
        inputs.put("dataFingerprint", result.dataFingerprint());
        inputs.put("document", result.document());
        inputs.put("machine", result.machine());
        inputs.put("cutData", DataTable.of(result.run()));
        inputs.put("stock", result.run().layout().stock());
        inputs.put("placements", result.run().layout().placements());
        return inputs;
    }

    private static List<Map<String, Object>> findings(Proof proof) {
        return proof.findings().stream()
                .map(
                        f -> {
                            Map<String, Object> finding = new LinkedHashMap<>();
                            finding.put("rule", f.rule());
                            finding.put("severity", f.severity().word());
                            finding.put("stop", f.stop());
                            finding.put("sentence", f.sentence());
                            finding.put("accepted", f.accepted().orElse(null));
                            return finding;
                        })
                .toList();
    }

    private Map<String, String> frame(JobView job, String revision) {
        JobResult result = job.result();
        SheetLayout layout = result.run().layout();
        Map<String, String> frame = new LinkedHashMap<>();
        frame.put("number", String.format(Locale.ROOT, "%04d", job.id() % 10_000));
        frame.put("job", result.document().name());
        frame.put("revision", revision);
        frame.put("date", LocalDate.now(clock.withZone(ZoneOffset.UTC)).toString());
        frame.put("quantity", String.valueOf(layout.placed()));
        frame.put("material", result.document().material());
        frame.put("thickness", Numbers.plain(result.document().thickness().value(), 2));
        frame.put("stockWidth", Numbers.plain(layout.stock().width(), 1));
        frame.put("stockHeight", Numbers.plain(layout.stock().height(), 1));
        frame.put(
                "data",
                DataTable.of(result.run()).stream()
                        .map(CutRow::label)
                        .collect(Collectors.joining("; ")));
        return frame;
    }

    private static String nextRevision(Optional<Release> previous) {
        return previous.map(Release::revision).map(RevisionLetters::after).orElse("A");
    }

    /** Plain letters, digits and hyphens, since it becomes a file on a controller. */
    private static String fileName(JobView job, String revision) {
        String plain =
                Normalizer.normalize(job.document().name(), Normalizer.Form.NFKD)
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                        .replaceAll("^-|-$", "");
        String name = plain.isEmpty() ? "job" : plain;
        String extension = job.result().dialect().file().extension();
        return "%d-%s-%s.%s".formatted(job.id(), name, revision, extension);
    }
}
