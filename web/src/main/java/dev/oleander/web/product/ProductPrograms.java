package dev.oleander.web.product;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.DrawingException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.clamping.Clamping;
import dev.oleander.plan.panel.clamping.TakenAway;
import dev.oleander.price.PriceList;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Severity;
import dev.oleander.proof.panel.CarriedBack;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.Acceptances;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.source.Upload;
import dev.oleander.web.longwork.WorkKind;
import dev.oleander.web.longwork.WorkProgress;
import dev.oleander.web.longwork.WorkState;
import dev.oleander.web.longwork.Works;
import dev.oleander.web.product.ProductJobTable.Link;
import dev.oleander.web.release.ReleaseRefusedException;
import dev.oleander.web.release.ReleaseService;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Makes the programs of a product as long work: of each clamping a job, planned and proved; those
 * that are there and still what the product asks for stay. Releases those that are ready.
 */
@Component
public class ProductPrograms implements WorkKind {

    private static final Logger LOG = LoggerFactory.getLogger(ProductPrograms.class);

    /** Parts of the key of a work: product, what, who, when, and panels. */
    private static final int KEY = 5;

    /** Share of the way when all programs are there. */
    private static final double MADE = 0.95;

    /** Rule whose looks are inner corners that no round tool reaches. */
    private static final String CORNERS = "rest";

    private final Products products;
    private final ProductJobTable table;
    private final Works works;
    private final JobService jobs;
    private final ReleaseService releases;
    private final MachineLibrary machines;
    private final Books books;
    private final AccountRepository accounts;
    private final PriceList prices;
    private final ProductBoards boards;
    private final PanelPrograms ofPanels;
    private final ProductReleases kept;
    private final Clock clock;

    ProductPrograms(
            Products products,
            ProductJobTable table,
            Works works,
            JobService jobs,
            ReleaseService releases,
            MachineLibrary machines,
            Books books,
            AccountRepository accounts,
            PriceList prices,
            ProductBoards boards,
            PanelPrograms ofPanels,
            ProductReleases kept,
            Clock clock) {
        this.kept = kept;
        this.ofPanels = ofPanels;
        this.boards = boards;
        this.prices = prices;
        this.products = products;
        this.table = table;
        this.works = works;
        this.jobs = jobs;
        this.releases = releases;
        this.machines = machines;
        this.books = books;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** What is to be done. */
    public enum Wanted {
        MAKE,
        /** makes them, and lays panels on boards */
        LAY,
        RELEASE
    }

    @Override
    public String word() {
        return "product";
    }

    private static String subject(long product) {
        return "programs of product " + product;
    }

    /**
     * Begins; what is under way for the product ends.
     *
     * @param panels for which it is wanted; none: for all
     * @throws NotFoundException when there is no such product or panel
     * @throws RefusedEditException when its panels cannot be laid on boards
     */
    public WorkState begin(long product, Wanted wanted, Collection<String> panels, SignedIn who) {
        ProductState state = products.find(product);
        panels.forEach(state::panel);
        if (wanted == Wanted.LAY) {
            ProductBoards.require(state);
        }
        long version = clock.millis();
        String key =
                "%d/%s/%d/%d/%s"
                        .formatted(product, wanted, who.id(), version, String.join(",", panels));
        table.programs(product, key);
        return works.want(wish(key));
    }

    private Works.Wish wish(String key) {
        String[] parts = key.split("/");
        return new Works.Wish(
                this,
                key,
                subject(Long.parseLong(parts[0])),
                Long.parseLong(parts[3]),
                Long.valueOf(parts[2]));
    }

    /** How far it is; empty when nothing was wanted. */
    public Optional<WorkState> state(long product) {
        String key = table.programs(product);
        return key.isEmpty() ? Optional.empty() : works.known(wish(key));
    }

    public void stop(long product) {
        works.stop(subject(product));
    }

    /** How far panels are. */
    public PanelStates states(ProductState state) {
        return PanelStates.of(
                state,
                table.of(state.id()),
                table.faults(state.id()),
                p -> ofPanels.programs(state, p));
    }

    /** The work of a product in its order. */
    public ProductOrder order(ProductState state) {
        return ProductOrder.of(state, table.of(state.id()), table.ticks(state.id()));
    }

    /** The boards on which panels lie, by material. */
    public List<ProductJobTable.Nest> nests(ProductState state) {
        return state.document().boards() ? table.nests(state.id()) : List.of();
    }

    /** What all products cost, as far as programs are there. */
    public ProductCost cost(ProductState state) {
        Machine machine = machines.find(state.document().machine()).orElseThrow();
        return ProductCost.of(state, order(state), machine, books.of(machine), prices);
    }

    /**
     * A clamping while it is worked.
     *
     * @throws NotFoundException when it has no program
     */
    MachiningView machining(ProductState state, String panel, int number) {
        Link link =
                table.of(state.id()).stream()
                        .filter(l -> l.panel().equals(panel) && l.clamping() == number)
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "Clamping %d of panel %s has no program."
                                                        .formatted(number, panel)));
        JobResult result = jobs.view(link.job()).result();
        if (!result.isPlanned()) {
            throw new NotFoundException(
                    "Job %d is being planned; ask again in a moment.".formatted(link.job()));
        }
        return MachiningView.of(
                link.job(),
                result.run().layout().stock(),
                result.document().thickness().value(),
                result.timeline());
    }

    /**
     * How many of a clamping are done.
     *
     * @throws RefusedEditException when there are not so many
     */
    public void tick(long product, String panel, int clamping, int done, SignedIn who) {
        ProductOrder.Row row =
                order(products.find(product)).rows().stream()
                        .filter(r -> r.panel().equals(panel) && r.number() == clamping)
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "Panel %s has no clamping %d."
                                                        .formatted(panel, clamping)));
        if (done < 0 || done > row.count()) {
            throw new RefusedEditException(
                    "%d of %s are done; there are 0 to %d.".formatted(done, panel, row.count()));
        }
        table.tick(product, panel, clamping, done, who.id());
    }

    @Override
    public void run(String key, WorkProgress progress) {
        String[] parts = key.split("/", KEY);
        Set<String> only = only(parts);
        long product = Long.parseLong(parts[0]);
        SignedIn who = SignedIn.of(accounts.findById(Long.valueOf(parts[2])).orElseThrow());
        switch (Wanted.valueOf(parts[1])) {
            case MAKE -> {
                make(products.find(product), only, who, progress);
                acceptOnBoards(products.find(product), who);
            }
            case LAY -> {
                make(products.find(product), Set.of(), who, progress.within(0, MADE));
                ProductState state = products.find(product);
                boards.lay(state, states(state), who);
            }
            default -> release(product, only, who, progress);
        }
    }

    /** Panels that a work is about; none: all. */
    private static Set<String> only(String[] key) {
        boolean some = key.length == KEY && !key[KEY - 1].isEmpty();
        return some ? Set.of(key[KEY - 1].split(",")) : Set.of();
    }

    private void make(ProductState state, Set<String> only, SignedIn who, Progress progress) {
        List<Panel> panels =
                state.product().made().stream()
                        .filter(p -> state.twins().equalTo(p.id()).isEmpty())
                        .filter(p -> only.isEmpty() || only.contains(p.id()))
                        .toList();
        for (int i = 0; i < panels.size(); i++) {
            Panel panel = panels.get(i);
            progress.at((double) i / panels.size(), panel.name());
            table.keepFirst(state.id(), panel.id(), state.decision(panel).clampings().size());
            try {
                List<PanelProgram> programs = ofPanels.programs(state, panel);
                List<CarriedBack.Done> done = new ArrayList<>();
                for (int number = 1; number <= programs.size(); number++) {
                    JobResult made = make(state, panel, number, programs.get(number - 1), who);
                    Clamping clamping = state.decision(panel).clampings().get(number - 1);
                    taken(made).ifPresent(t -> done.add(new CarriedBack.Done(clamping, t)));
                }
                boolean all = done.size() == programs.size();
                table.fault(state.id(), panel.id(), all ? fault(state, panel, done) : "");
            } catch (RefusedEditException
                    | PlanException
                    | CutDataException
                    | DrawingException refused) {
                // its state says so
                LOG.info("No program of {}: {}", panel.id(), refused.getMessage());
            }
        }
    }

    private static Optional<TakenAway> taken(JobResult made) {
        return made.isPlanned() ? made.plan().takenAway() : Optional.empty();
    }

    /** What stands against a panel when all its programs are carried back; empty: nothing. */
    private static String fault(ProductState state, Panel panel, List<CarriedBack.Done> done) {
        return CarriedBack.of(panel, done, state.document().preMilling()).stream()
                .map(CarriedBack.Finding::sentence)
                .findFirst()
                .orElse("");
    }

    /** Boards take over what may stay round of all panels, once something lies on them. */
    private void acceptOnBoards(ProductState state, SignedIn who) {
        for (ProductJobTable.Nest nest : nests(state)) {
            JobView view = jobs.finished(nest.job());
            if (state.document().roundCorners() && view.result().isProved()) {
                jobs.edit(nest.job(), "Round corners accepted", ProductPrograms::rounded, who);
                jobs.finished(nest.job());
                jobs.refreshSummary(nest.job());
            }
        }
    }

    private JobResult make(
            ProductState state, Panel panel, int number, PanelProgram program, SignedIn who) {
        Optional<Long> there =
                table.of(state.id()).stream()
                        .filter(l -> l.panel().equals(panel.id()) && l.clamping() == number)
                        .filter(l -> l.madeOf().equals(program.hash()))
                        .map(Link::job)
                        .findFirst();
        long job = there.orElseGet(() -> created(state, panel, number, program, who));
        JobView view = jobs.finished(job);
        if (view.result().isPlanned()) {
            double seconds = view.result().timeline().total();
            table.seconds(state.id(), panel.id(), number, seconds);
        }
        if (state.document().roundCorners() && view.result().isProved()) {
            jobs.edit(job, "Round corners accepted", ProductPrograms::rounded, who);
            jobs.finished(job);
        }
        jobs.refreshSummary(job);
        return view.result();
    }

    private long created(
            ProductState state, Panel panel, int number, PanelProgram program, SignedIn who) {
        long job =
                jobs.create(
                        List.of(new Upload(program.fileName(), program.drawing())),
                        program.order(),
                        program.decided(),
                        who);
        table.put(state.id(), panel.id(), number, job, program.hash());
        return job;
    }

    private static JobDocument rounded(JobResult before) {
        JobDocument document = before.document();
        for (JobResult run : before.runs()) {
            for (Finding finding : run.proof().open()) {
                if (finding.severity() == Severity.LOOK && finding.rule().equals(CORNERS)) {
                    document =
                            Acceptances.of(
                                    before,
                                    document,
                                    finding.key(),
                                    "inner corners of this product may stay round");
                }
            }
        }
        return document;
    }

    private void release(long product, Set<String> only, SignedIn who, WorkProgress progress) {
        acceptOnBoards(products.find(product), who);
        List<Link> links =
                table.of(product).stream()
                        .filter(l -> only.isEmpty() || only.contains(l.panel()))
                        .toList();
        PanelStates states = states(products.find(product));
        Set<Long> programs = new HashSet<>();
        for (int i = 0; i < links.size(); i++) {
            Link link = links.get(i);
            progress.at((double) i / links.size(), link.panel());
            boolean wanted =
                    link.revision() == null && !states.isStale(link) && states.isSound(link);
            if (wanted && programs.add(link.program())) {
                release(link, who);
            }
        }
        List<Link> after = table.of(product);
        if (after.stream().anyMatch(l -> programs.contains(l.program()) && l.revision() != null)) {
            kept.keep(products.find(product), after, who);
        }
    }

    private void release(Link link, SignedIn who) {
        try {
            releases.release(link.program(), who);
        } catch (ReleaseRefusedException | RefusedEditException notReady) {
            LOG.info("Job {} is not released: {}", link.program(), notReady.getMessage());
        }
    }
}
