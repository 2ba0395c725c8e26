package dev.oleander.web.nest;

import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import dev.oleander.work.Kinds;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Makes jobs that are nests: of parts of other jobs, or of shapes of their own. */
@Component
public class NestMaker {

    /** mm, of shapes that come without a material. */
    private static final double USUAL_THICKNESS = 3;

    private final JobService jobs;
    private final JobComputer computer;
    private final NestSources sources;
    private final MachineLibrary machines;
    private final Books books;
    private final NestEdits edits;

    NestMaker(
            JobService jobs,
            JobComputer computer,
            NestSources sources,
            MachineLibrary machines,
            Books books,
            NestEdits edits) {
        this.edits = edits;
        this.jobs = jobs;
        this.computer = computer;
        this.sources = sources;
        this.machines = machines;
        this.books = books;
    }

    /**
     * A nest of parts of other jobs.
     *
     * @param wishes parts, sheets and distances; one usual sheet when there are none
     * @return number of the job
     */
    public long make(JobDocument.Order order, NestWishes wishes, SignedIn who) {
        return jobs.create(List.of(), order, plain -> with(plain, wishes), who);
    }

    private JobDocument with(JobDocument plain, NestWishes wishes) {
        NestDocument nest = NestDocument.empty().withChoices(wishes.begun());
        JobDocument empty = plain.withNest(Optional.of(nest));
        JobResult result = computer.result(empty);
        nest.choices().distances().requireHeads(result.machine());
        if (!result.kind().nests()) {
            throw new RefusedEditException(
                    "%s does not cut nested parts.".formatted(result.machine().name()));
        }
        for (NestWishes.PartsWish wish : wishes.parts()) {
            nest = sources.added(result, nest, wish.wish());
        }
        JobDocument made = plain.withNest(Optional.of(nest));
        return nest.choices().stock().isEmpty() ? withUsualSheet(made) : made;
    }

    /** The sheet that the largest of the parts would be laid on alone. */
    private JobDocument withUsualSheet(JobDocument made) {
        JobResult result = computer.result(made);
        NestDocument nest = made.nest().orElseThrow();
        NestChoices sheets = nest.choices().withStock(List.of(NestEdits.usualSheet(result)));
        return made.withNest(Optional.of(nest.withChoices(edits.withRemnants(sheets, made))));
    }

    /**
     * A nest of shapes of its own.
     *
     * @param order of the job; empty: on the first machine that cuts nested parts
     */
    public long make(NestTask task, String name, Optional<JobDocument.Order> order, SignedIn who) {
        CaseNest file = new CaseNest(task);
        Upload drawing = new Upload("shapes.dxf", file.dxf().getBytes(StandardCharsets.US_ASCII));
        return jobs.create(
                List.of(drawing),
                order.orElseGet(() -> usualOrder(name)),
                plain -> {
                    NestChoices choices = file.choices(computer.result(plain).reading());
                    return plain.withNest(Optional.of(NestDocument.empty().withChoices(choices)));
                },
                who);
    }

    private JobDocument.Order usualOrder(String name) {
        Machine machine =
                machines.machines().stream()
                        .filter(m -> Kinds.of(m).nests())
                        .findFirst()
                        .orElseThrow();
        String material = books.of(machine).materials().get(0);
        return new JobDocument.Order(name, machine.id(), material, Typed.of(USUAL_THICKNESS), 1);
    }
}
