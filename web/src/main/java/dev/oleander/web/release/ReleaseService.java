package dev.oleander.web.release;

import dev.oleander.dialect.CheckedWriter.Checked;
import dev.oleander.dialect.DialectException;
import dev.oleander.motion.Item;
import dev.oleander.motion.Program;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.store.Stage;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Writes proven programs and keeps them for ever. */
@Service
public class ReleaseService {

    private static final JsonMapper JSON = JsonMapper.shared();

    /** Rules of a nest that spoil nothing when they are broken. */
    private static final Set<String> MAY_BE = Set.of("priority", "fill");

    /** How often a program is written anew because somebody else took its revision. */
    private static final int MOST_TRIES = 10;

    private final ReleaseRepository releases;
    private final JobService jobs;
    private final ReleaseKeeper keeper;
    private final Previews previews;
    private final ReleaseContents contents;
    private final Clock clock;
    private final List<WithRelease> with;

    ReleaseService(
            ReleaseRepository releases,
            JobService jobs,
            ReleaseKeeper keeper,
            Previews previews,
            ReleaseContents contents,
            Clock clock,
            List<WithRelease> with) {
        this.with = List.copyOf(with);
        this.releases = releases;
        this.jobs = jobs;
        this.keeper = keeper;
        this.previews = previews;
        this.contents = contents;
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
     * Those that were released together as a revision, in the order of the runs.
     *
     * @throws NotFoundException when the job has no such revision
     */
    public List<Release> revision(long job, String revision) {
        List<Release> all = releases.findByJobIdAndRevisionOrderByRun(job, revision);
        if (all.isEmpty()) {
            throw new NotFoundException("Job %d has no revision \"%s\".".formatted(job, revision));
        }
        return all;
    }

    /** All that were released together with one, in the order of the runs. */
    public List<Release> together(long id) {
        Release one = find(id);
        return revision(one.jobId(), one.revision());
    }

    /**
     * The first of a revision.
     *
     * @throws NotFoundException when the job has no such revision
     */
    public Release find(long job, String revision) {
        return revision(job, revision).get(0);
    }

    /**
     * @throws NotFoundException when the job has no such revision, or it does not hold the run
     */
    public Release find(long job, String revision, int run) {
        return revision(job, revision).stream()
                .filter(r -> r.run() == run)
                .findFirst()
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "Revision %s of job %d has no sheet %d."
                                                .formatted(revision, job, run)));
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

    /** The same as a release of all runs with the usual parameters. */
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
     * @return that of the first run; see {@link #together}
     * @throws dev.oleander.web.job.document.StaleEditException when it is not the present one
     * @throws ReleaseRefusedException when a finding stands against it, the text differs from the
     *     plan, or the wish cannot be
     */
    public Release release(long jobId, Integer seenStep, ReleaseWish wish, SignedIn who) {
        for (int i = 0; i < MOST_TRIES; i++) {
            JobView job = jobs.finished(jobId, seenStep);
            Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
            List<ProgramPreview> programs = requirePossible(job, wish);
            String revision = programs.get(0).revision();
            List<Release.Content> all =
                    programs.stream().map(p -> contents.of(p, of(p, wish), who, now)).toList();
            List<Runnable> also = also(job, wish, revision, who);
            List<Release> made =
                    keeper.keep(
                            origin(job),
                            revision,
                            all,
                            who,
                            now,
                            () -> also.forEach(Runnable::run));
            if (!made.isEmpty()) {
                jobs.refreshSummary(jobId);
                return made.get(0);
            }
        }
        throw new ReleaseRefusedException(
                "Others release this job at the same moment. Try again.", List.of());
    }

    /** A trial leaves the stock as it is, and takes no numbers. */
    private List<Runnable> also(JobView job, ReleaseWish wish, String revision, SignedIn who) {
        if (wish.isTrial()) {
            return List.of();
        }
        obstacles(job).stream()
                .findFirst()
                .ifPresent(
                        obstacle -> {
                            throw new ReleaseRefusedException(obstacle.sentence(), List.of());
                        });
        return with.stream().map(w -> w.prepared(job, revision, who)).toList();
    }

    /** What is in the way of a release besides findings. */
    public List<WithRelease.Obstacle> obstacles(JobView job) {
        return with.stream().flatMap(w -> w.obstacle(job).stream()).toList();
    }

    /**
     * Proves, writes, reads back and compares, and keeps nothing.
     *
     * @return the programs of all runs that are wanted
     * @throws RefusedEditException when there is no such run
     * @throws ReleaseRefusedException as {@link #release(long, Integer, ReleaseWish, SignedIn)}
     *     does
     */
    public List<ProgramPreview> requirePossible(JobView job, ReleaseWish wish) {
        if (job.planning().isPresent()) {
            throw new ReleaseRefusedException(
                    "The plan is not complete: %s.".formatted(job.stage(Stage.PROOF).sentence()),
                    List.of());
        }
        job.result().nestFaults().stream()
                .filter(fault -> !MAY_BE.contains(fault.rule()))
                .findFirst()
                .ifPresent(
                        fault -> {
                            throw new ReleaseRefusedException(fault.sentence(), List.of());
                        });
        List<JobView> runs = runs(job, wish);
        requireReleasable(runs);
        return runs.stream().map(run -> written(run, of(run, wish))).toList();
    }

    /** The runs that are wanted; of a trial those that have its stops. */
    private static List<JobView> runs(JobView job, ReleaseWish wish) {
        int count = job.result().runs().size();
        for (int run : wish.runs()) {
            if (run < 1 || run > count) {
                throw new RefusedEditException(
                        "The job has no sheet %d to release; it has %d.".formatted(run, count));
            }
        }
        requireStops(job.result(), wish);
        List<JobView> wanted =
                IntStream.rangeClosed(1, count)
                        .filter(run -> wish.runs().isEmpty() || wish.runs().contains(run))
                        .mapToObj(job::on)
                        .filter(run -> !wish.isTrial() || !of(run, wish).stops().isEmpty())
                        .toList();
        if (wanted.isEmpty()) {
            throw new RefusedEditException("None of these stops is on the sheets to release.");
        }
        return wanted;
    }

    /** What is wanted of a run: of a trial its own stops. */
    private static ReleaseWish of(JobView run, ReleaseWish wish) {
        Map<String, Stop> own = run.result().stops();
        return wish.of(wish.stops().stream().filter(own::containsKey).toList());
    }

    private static ReleaseWish of(ProgramPreview program, ReleaseWish wish) {
        return of(program.job(), wish);
    }

    private ProgramPreview written(JobView run, ReleaseWish wish) {
        ProgramPreview preview;
        try {
            preview = previews.of(run, wish);
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

    private static void requireStops(JobResult result, ReleaseWish wish) {
        for (String id : wish.stops()) {
            boolean cut =
                    result.at(id).run().stop(id).filter(s -> s.path().isPresent()).isPresent();
            if (!cut) {
                throw new ReleaseRefusedException(
                        "There is no stop \"%s\" that is cut.".formatted(id), List.of());
            }
        }
    }

    private static void requireReleasable(List<JobView> runs) {
        if (runs.stream().anyMatch(run -> !run.result().proof().cuts())) {
            throw new ReleaseRefusedException("There is nothing to cut.", List.of());
        }
        JobView job = runs.get(0);
        String open = StageReport.revisionNeed(job.document().shape().revision());
        if (!open.isEmpty()) {
            throw new ReleaseRefusedException(open, List.of());
        }
        List<Finding> against =
                runs.stream().flatMap(run -> run.result().proof().open().stream()).toList();
        if (!against.isEmpty()) {
            throw new ReleaseRefusedException(
                    "%d findings stand against a release. The first: %s"
                            .formatted(against.size(), against.get(0).sentence()),
                    against);
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
}
