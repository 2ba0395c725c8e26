package dev.oleander.web.nest;

import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.board.BoardQuery;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.store.Job;
import dev.oleander.web.job.store.JobRepository;
import dev.oleander.web.job.store.Stage;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Jobs whose parts a nest could take in: of its material, its thickness and its kind of work. */
@Component
public class NestCandidates {

    private static final int MOST = 100;

    private final JobService jobs;
    private final JobRepository repository;
    private final MachineLibrary machines;

    NestCandidates(JobService jobs, JobRepository repository, MachineLibrary machines) {
        this.jobs = jobs;
        this.repository = repository;
        this.machines = machines;
    }

    /**
     * One of them.
     *
     * @param taken whether parts of it are in the nest already
     * @param ready whether nothing is left to decide on its Shape
     */
    public record Candidate(
            long id, String name, int quantity, String stage, boolean taken, boolean ready) {}

    /**
     * Those whose name contains a text, last changed first.
     *
     * @throws dev.oleander.web.job.document.NotFoundException when there is no such nest
     */
    public List<Candidate> of(long nest, String text) {
        JobDocument document = jobs.present(nest).document();
        Optional<NestDocument> taken = document.nest();
        Work<?, ?> kind = kind(document.machine());
        return repository
                .findAlike(
                        document.material(),
                        document.thickness().value(),
                        new BoardQuery(text, "", null, 1).pattern(),
                        Limit.of(MOST))
                .stream()
                .filter(
                        job ->
                                job.id() != nest
                                        && !job.isNested()
                                        && kind(job.machine()).equals(kind))
                .map(job -> candidate(job, taken))
                .toList();
    }

    private Work<?, ?> kind(String machine) {
        return Kinds.of(machines.find(machine).orElseThrow());
    }

    private static Candidate candidate(Job job, Optional<NestDocument> nest) {
        return new Candidate(
                job.id(),
                job.name(),
                job.quantity(),
                job.stage().label(),
                nest.flatMap(n -> n.letterOf(job.id())).isPresent(),
                job.stage() != Stage.SHAPE);
    }
}
