package dev.oleander.web.estimate;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.machine.Machine;
import dev.oleander.price.Estimate;
import dev.oleander.progress.CancelledException;
import dev.oleander.progress.Progress;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.load.Caller;
import dev.oleander.web.load.Waiters;
import dev.oleander.web.longwork.WorkKind;
import dev.oleander.web.longwork.WorkProgress;
import dev.oleander.web.longwork.WorkState;
import dev.oleander.web.longwork.Works;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a job costs on every machine, as long work: any node does it, one machine after the other,
 * and all nodes show what is known so far.
 */
@Component
public class Estimates implements WorkKind {

    /** The largest quantity that is compared. */
    public static final int MOST = 100_000;

    /** How long one who does not wait may take to come again. */
    private static final Duration REMEMBERED = Duration.ofMinutes(10);

    private static final TypeReference<List<Estimate>> LIST = new TypeReference<>() {};

    private final EstimateService service;
    private final JobService jobs;
    private final JobComputer computer;
    private final Works works;
    private final Cache<String, Waiters> waiters =
            Caffeine.newBuilder().expireAfterAccess(REMEMBERED).build();

    Estimates(EstimateService service, JobService jobs, JobComputer computer, Works works) {
        this.service = service;
        this.jobs = jobs;
        this.computer = computer;
        this.works = works;
    }

    /**
     * What is known.
     *
     * @param soFar estimates that are there, in the order of the machines
     * @param missing names of the machines that are to come
     */
    public record Told(WorkState state, List<Estimate> soFar, List<String> missing) {

        /** Whether nothing more will come by itself. */
        public boolean isOver() {
            return state.phase().isOver();
        }

        public boolean isDone() {
            return state.phase() == WorkState.Phase.DONE;
        }
    }

    @Override
    public String word() {
        return "estimate";
    }

    private static String subject(long job) {
        return "estimate of job " + job;
    }

    /**
     * What is known of the present state of a job; begins with what is not.
     *
     * @throws dev.oleander.web.job.document.NotFoundException when there is no such job
     */
    public Told ask(long job, int quantity, SignedIn who) {
        Works.Wish wish = wish(job, quantity, jobs.present(job), who);
        waiters(wish).comeAgain();
        return told(wish);
    }

    private Told told(Works.Wish wish) {
        WorkState state = works.want(wish);
        List<Estimate> soFar = read(state.soFar());
        List<String> names = service.names();
        return new Told(state, soFar, names.subList(soFar.size(), names.size()));
    }

    private Works.Wish wish(long job, int quantity, JobService.Present present, SignedIn who) {
        String key =
                "%d/%d/%d/%d/%s"
                        .formatted(
                                job,
                                present.step(),
                                present.version(),
                                quantity,
                                computer.dataVersion());
        return new Works.Wish(this, key, subject(job), present.version(), who.id());
    }

    /**
     * Waits until all are known, or nothing more will come.
     *
     * @throws dev.oleander.web.load.CallerLeftException when the caller does not wait any more;
     *     what nobody else wants ends
     */
    public Told await(long job, int quantity, SignedIn who, Duration longest) {
        Works.Wish wish = wish(job, quantity, jobs.present(job), who);
        Waiters of = waiters(wish);
        of.join();
        try {
            Told told = await(wish, System.nanoTime() + longest.toNanos());
            if (!told.isOver()) {
                of.comeAgain();
            }
            return told;
        } finally {
            of.leave();
            if (of.isForsaken()) {
                works.forget(wish);
            }
        }
    }

    private Waiters waiters(Works.Wish wish) {
        return waiters.get(wish.id(), id -> new Waiters());
    }

    private Told await(Works.Wish wish, long deadline) {
        Caller caller = Caller.present();
        Told told = told(wish);
        while (!told.isOver() && System.nanoTime() < deadline) {
            caller.requireThere();
            try {
                Thread.sleep(Waiters.LOOKS_EVERY.toMillis());
            } catch (InterruptedException closing) {
                Thread.currentThread().interrupt();
                return told;
            }
            told = told(wish);
        }
        return told;
    }

    /** The estimate for one machine, computed here when it is not known. */
    Estimate one(long job, Machine machine, int quantity, SignedIn who) {
        JobService.Present present = jobs.present(job);
        return works.known(wish(job, quantity, present, who)).stream()
                .flatMap(state -> read(state.soFar()).stream())
                .filter(e -> e.id().equals(machine.id()))
                .findFirst()
                .orElseGet(() -> service.cut(present.document(), machine, quantity));
    }

    void stop(long job) {
        works.stop(subject(job));
    }

    /** What was stopped or failed is wanted again. */
    public void resume(long job) {
        works.resume(subject(job));
    }

    /** Of this job's state, when it still is the present one. */
    @Override
    public void run(String key, WorkProgress progress) {
        String[] parts = key.split("/");
        JobService.Present present = jobs.present(Long.parseLong(parts[0]));
        if (present.step() != Integer.parseInt(parts[1])) {
            throw new CancelledException();
        }
        int quantity = Integer.parseInt(parts[3]);
        List<String> names = service.names();
        List<Estimate> all = new ArrayList<>();
        for (String name : names) {
            double from = (double) all.size() / names.size();
            Progress own = progress.within(from, (all.size() + 1.0) / names.size());
            Progress named = (done, doing) -> own.at(done, name + ": " + doing);
            named.at(0, "Planning");
            all.add(service.at(all.size(), present.document(), quantity, named));
            progress.keep(JsonMapper.shared().writeValueAsString(all));
        }
    }

    private static List<Estimate> read(String kept) {
        return kept.isEmpty() ? List.of() : JsonMapper.shared().readValue(kept, LIST);
    }
}
