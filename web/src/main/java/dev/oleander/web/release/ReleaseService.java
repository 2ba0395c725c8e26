package dev.oleander.web.release;

import dev.oleander.book.BookRow;
import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectException;
import dev.oleander.dialect.FileNames;
import dev.oleander.dialect.Parameter;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.motion.Excerpt;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.motion.TimeModel;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Proof;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.format.Formats;
import dev.oleander.web.format.SavedFormat;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.document.DocumentJson;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.ProgramText;
import dev.oleander.web.job.store.Stage;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes proven programs and keeps them for ever. */
@Service
public class ReleaseService {

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS).build();

    /** How often a program is written anew because somebody else took its revision. */
    private static final int MOST_TRIES = 10;

    private final ReleaseRepository releases;
    private final JobService jobs;
    private final ReleaseKeeper keeper;
    private final ShopSheet shopSheet;
    private final Formats formats;
    private final Clock clock;

    ReleaseService(
            ReleaseRepository releases,
            JobService jobs,
            ReleaseKeeper keeper,
            ShopSheet shopSheet,
            Formats formats,
            Clock clock) {
        this.releases = releases;
        this.jobs = jobs;
        this.keeper = keeper;
        this.shopSheet = shopSheet;
        this.formats = formats;
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
     * For each line of a release's text the position of its item in a job's motion, -1 for none.
     *
     * @param whole motion of the run that it was made from
     */
    public static List<Integer> itemsOfLines(Release release, Program whole) {
        List<Integer> items = JSON.readValue(release.itemOfLine(), new TypeReference<>() {});
        if (!release.trial()) {
            return items;
        }
        List<Integer> places = places(new KeptMotion(release).program(), whole);
        return items.stream().map(i -> i < 0 ? -1 : places.get(i)).toList();
    }

    /** Where the items of a part stand in the whole; -1 for those that were set up again for it. */
    private static List<Integer> places(Program part, Program whole) {
        Map<Item, Deque<Integer>> there = new HashMap<>();
        for (int i = 0; i < whole.size(); i++) {
            there.computeIfAbsent(known(whole.items().get(i)), k -> new ArrayDeque<>()).add(i);
        }
        List<Integer> places = new ArrayList<>(part.size());
        for (Item item : part.items()) {
            Integer place = there.getOrDefault(known(item), new ArrayDeque<>()).poll();
            places.add(place == null ? -1 : place);
        }
        return places;
    }

    /** A travel of a part may begin elsewhere: it is known by where it ends. */
    private static Item known(Item item) {
        return item instanceof Item.Rapid rapid
                ? new Item.Rapid(rapid.to(), rapid.to(), rapid.origin())
                : item;
    }

    /** The text the next release would hold, read back and compared. */
    public ProgramPreview preview(JobView job) {
        return preview(job, ReleaseWish.NONE);
    }

    /**
     * @throws DialectException when a parameter is not possible
     */
    private ProgramPreview preview(JobView job, ReleaseWish wish) {
        return preview(job, job.result().dialect(), wish);
    }

    /**
     * The text the next release would hold if its format were another one.
     *
     * @throws DialectException when it cannot say the program
     */
    public ProgramPreview preview(JobView job, Dialect format) {
        return preview(job, format, ReleaseWish.NONE);
    }

    private ProgramPreview preview(JobView job, Dialect format, ReleaseWish wish) {
        String revision = keeper.nextRevision(job.id(), wish.isTrial());
        Map<String, String> frame = frame(job, revision);
        if (wish.isTrial()) {
            int count = wish.stops().size();
            frame.put(
                    "revision",
                    "%s trial of %d %s".formatted(revision, count, count == 1 ? "stop" : "stops"));
        }
        requireKnown(wish, format);
        for (Parameter parameter : format.parameters()) {
            frame.put(parameter.name(), parameter.value(wish.parameters().get(parameter.name())));
        }
        SplitWriter.Texts texts =
                ProgramText.of(job.result(), format, frame, Set.copyOf(wish.stops()));
        Map<String, String> named = new LinkedHashMap<>(frame);
        named.put("revision", revision);
        String fileName = FileNames.of(format, named);
        return new ProgramPreview(revision, fileName, texts, frame);
    }

    /** The same as a release of the whole run with the usual parameters. */
    public Release release(long jobId, SignedIn who) {
        return release(jobId, ReleaseWish.NONE, who);
    }

    /** See {@link #release(long, Integer, ReleaseWish, SignedIn)}; whatever the present step is. */
    public Release release(long jobId, ReleaseWish wish, SignedIn who) {
        return release(jobId, null, wish, who);
    }

    /**
     * Proves, writes, reads back, compares and keeps.
     *
     * @param seenStep step of the job that the person saw; null: not checked
     * @throws dev.oleander.web.job.document.StaleEditException when it is not the present one
     * @throws ReleaseRefusedException when a finding stands against it, the text differs from the
     *     plan, or the wish cannot be
     */
    public Release release(long jobId, Integer seenStep, ReleaseWish wish, SignedIn who) {
        for (int i = 0; i < MOST_TRIES; i++) {
            JobView job = jobs.finished(jobId, seenStep);
            ProgramPreview preview = requirePossible(job, wish);
            Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
            Release.Content content = content(job, wish, preview, who, now);
            Optional<Release> made =
                    keeper.keep(origin(job), preview.revision(), content, who, now);
            if (made.isPresent()) {
                jobs.refreshSummary(jobId);
                return made.get();
            }
        }
        throw new ReleaseRefusedException(
                "Others release this job at the same moment. Try again.", List.of());
    }

    /**
     * Proves, writes, reads back and compares, and keeps nothing.
     *
     * @throws ReleaseRefusedException as {@link #release(long, Integer, ReleaseWish, SignedIn)}
     *     does
     */
    public ProgramPreview requirePossible(JobView job, ReleaseWish wish) {
        if (job.planning().isPresent()) {
            throw new ReleaseRefusedException(
                    "The plan is not complete: %s.".formatted(job.stage(Stage.PROOF).sentence()),
                    List.of());
        }
        requireReleasable(job, job.result().proof());
        requireStops(job.result(), wish);
        return written(job, wish);
    }

    private ProgramPreview written(JobView job, ReleaseWish wish) {
        ProgramPreview preview;
        try {
            preview = preview(job, wish);
        } catch (DialectException impossible) {
            throw new ReleaseRefusedException(impossible.getMessage(), List.of());
        }
        Checked checked = preview.checked();
        if (!checked.isTrue()) {
            throw new ReleaseRefusedException(
                    "The program read back is not the plan: " + checked.faults().get(0), List.of());
        }
        return preview;
    }

    private Release.Content content(
            JobView job, ReleaseWish wish, ProgramPreview preview, SignedIn who, Instant now) {
        JobResult result = job.result();
        List<Integer> items = preview.checked().written().itemOfLine();
        Timeline timeline = result.timeline();
        if (wish.isTrial()) {
            Excerpt part =
                    Excerpt.of(timeline.program(), Set.copyOf(wish.stops())::contains, false);
            items = within(part, items);
            timeline = new TimeModel(result.machine()).time(part.program());
        }
        return new Release.Content(
                preview.fileName(),
                preview.checked().written().text(),
                JSON.writeValueAsString(items),
                JSON.writeValueAsString(inputs(result, wish, preview)),
                JSON.writeValueAsString(findings(result.proof())),
                KeptMotion.packed(timeline.program()),
                shopSheet.write(
                        job, preview, timeline, Set.copyOf(wish.stops()), who.fullName(), now),
                preview.checked().deviation(),
                timeline.total(),
                JSON.writeValueAsString(preview.texts().lines()),
                wish.isTrial());
    }

    /** Positions in a part of the motion instead of the whole. */
    private static List<Integer> within(Excerpt part, List<Integer> items) {
        Map<Integer, Integer> places = new HashMap<>();
        for (int i = 0; i < part.itemOf().size(); i++) {
            places.put(part.itemOf().get(i), i);
        }
        return items.stream().map(i -> i < 0 ? -1 : places.getOrDefault(i, -1)).toList();
    }

    private static void requireStops(JobResult result, ReleaseWish wish) {
        Map<String, Stop> stops = result.stops();
        for (String id : wish.stops()) {
            Stop stop = stops.get(id);
            if (stop == null || stop.path().isEmpty()) {
                throw new ReleaseRefusedException(
                        "There is no stop \"%s\" that is cut.".formatted(id), List.of());
            }
        }
    }

    private static void requireKnown(ReleaseWish wish, Dialect format) {
        List<String> known = format.parameters().stream().map(Parameter::name).toList();
        for (String name : wish.parameters().keySet()) {
            if (!known.contains(name)) {
                throw new RefusedEditException(
                        known.isEmpty()
                                ? "The format %s has no parameters; \"%s\" was given."
                                        .formatted(format.title(), name)
                                : "The format %s has no parameter \"%s\"; it has %s."
                                        .formatted(format.title(), name, String.join(", ", known)));
            }
        }
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
    private Map<String, Object> inputs(JobResult result, ReleaseWish wish, ProgramPreview preview) {
        Map<String, Object> inputs = new LinkedHashMap<>();
        inputs.put("fingerprint", DocumentJson.fingerprint(result.document()));
        inputs.put("dataFingerprint", result.dataFingerprint());
        inputs.put("document", result.document());
        inputs.put("machine", result.machine());
        inputs.put("cutData", result.dataInUse());
        inputs.put("stock", result.run().layout().stock());
        inputs.put("placements", result.run().layout().placements());
        inputs.put("format", format(result.dialect()));
        inputs.put("frame", preview.frame());
        inputs.put("parameters", wish.parameters());
        inputs.put("stops", wish.stops());
        return inputs;
    }

    private String format(Dialect dialect) {
        return formats.latest(dialect.name()).map(SavedFormat::description).orElse("");
    }

    private static List<Map<String, Object>> findings(Proof proof) {
        return proof.findings().stream()
                .map(
                        f -> {
                            Map<String, Object> finding = new LinkedHashMap<>();
                            finding.put("rule", f.rule());
                            finding.put("severity", f.severity().word());
                            finding.put("stop", f.stop());
                            finding.put("stops", f.alike());
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
        frame.put("id", String.valueOf(job.id()));
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
                result.dataInUse().stream().map(BookRow::label).collect(Collectors.joining("; ")));
        return frame;
    }
}
