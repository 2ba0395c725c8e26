package dev.oleander.web.board;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.job.JobMaker;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.job.source.Uploads;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.JobRepository;
import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;

/** Finds tickets and makes jobs of files. */
@Service
class BoardService {

    private static final int TICKETS_PER_PAGE = 12;

    private final JobRepository jobs;
    private final JobService jobService;
    private final MachineLibrary machines;
    private final Clock clock;

    BoardService(JobRepository jobs, JobService jobService, MachineLibrary machines, Clock clock) {
        this.jobs = jobs;
        this.jobService = jobService;
        this.machines = machines;
        this.clock = clock;
    }

    /** A page of tickets. */
    record Board(List<Ticket> tickets, long total, int page, int pages) {}

    /** What became of files: ids of jobs, and sentences about files that became none. */
    record Brought(List<Long> jobs, List<String> problems) {

        static final Brought NOTHING = new Brought(List.of(), List.of());

        static Brought job(long id) {
            return new Brought(List.of(id), List.of());
        }

        static Brought problem(String sentence) {
            return new Brought(List.of(), List.of(sentence));
        }

        Brought plus(Brought other) {
            List<Long> allJobs = new ArrayList<>(jobs);
            allJobs.addAll(other.jobs);
            List<String> allProblems = new ArrayList<>(problems);
            allProblems.addAll(other.problems);
            return new Brought(allJobs, allProblems);
        }

        /** The problems, and how many files went well. */
        List<String> sentences() {
            if (jobs.isEmpty()) {
                return problems;
            }
            List<String> all = new ArrayList<>(problems);
            all.add(
                    jobs.size() == 1
                            ? "The other file became a job."
                            : "The other %d files became jobs.".formatted(jobs.size()));
            return all;
        }
    }

    Board search(BoardQuery query) {
        Page<Job> page =
                jobs.search(
                        query.pattern(),
                        query.machine(),
                        query.stageOrNull(),
                        PageRequest.of(query.page() - 1, TICKETS_PER_PAGE));
        List<Ticket> tickets =
                page.getContent().stream()
                        .map(j -> Ticket.of(j, machineName(j.machine()), clock.instant()))
                        .toList();
        return new Board(
                tickets, page.getTotalElements(), query.page(), Math.max(1, page.getTotalPages()));
    }

    private String machineName(String id) {
        return machines.find(id).map(Machine::name).orElse(id);
    }

    /** Makes a job of one file; its name is that of the file. */
    long bring(MultipartFile file, IntakeForm form, SignedIn who) throws IOException {
        return bring(Uploads.of(file), form, who, Progress.NONE, () -> {});
    }

    /**
     * The same, telling how far it is.
     *
     * @param also is done with the keeping of the job, or neither is
     */
    long bring(Upload file, IntakeForm form, SignedIn who, Progress progress, Runnable also) {
        String name = JobNames.ofFile(file.name());
        return make(name, List.of(file), form, who, new JobMaker.Making(progress, also));
    }

    /** Makes a job without a file, to be drawn. */
    long begin(IntakeForm form, SignedIn who) {
        return make("New part", List.of(), form, who, JobMaker.Making.PLAIN);
    }

    private long make(
            String name,
            List<Upload> uploads,
            IntakeForm form,
            SignedIn who,
            JobMaker.Making making) {
        JobDocument.Order plain =
                new JobDocument.Order(
                        name,
                        form.machine(),
                        form.material(),
                        Typed.parse(form.thickness(), Map.of()),
                        1);
        UnaryOperator<JobDocument> values =
                d -> {
                    JobDocument counted = OrderValues.QUANTITY.put(d, form.quantity());
                    return form.customer() == null
                            ? counted
                            : OrderValues.CUSTOMER.put(counted, form.customer());
                };
        return jobService.create(uploads, plain, values, who, making);
    }
}
