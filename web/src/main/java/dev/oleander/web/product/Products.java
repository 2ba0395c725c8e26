package dev.oleander.web.product;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.panel.Face;
import dev.oleander.plan.panel.clamping.PanelMachine;
import dev.oleander.plan.panel.file.FaceDrawings;
import dev.oleander.plan.panel.file.ProductFile;
import dev.oleander.quantity.Worded;
import dev.oleander.web.account.Account;
import dev.oleander.web.account.AccountRepository;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.StaleEditException;
import dev.oleander.web.job.source.Upload;
import dev.oleander.work.Kinds;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The products of the shop: what is in them, and what people say of how panels lie. Nothing is
 * decided while a transaction is open or a row is held.
 */
@Service
public class Products {

    /** What earlier steps do not know is as it is usual. */
    static final JsonMapper JSON =
            JsonMapper.builder()
                    .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                    .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                    .build();

    private static final int MOST = 500;
    private static final int LONGEST_NAME = 160;
    private static final double MOST_MILLING = 5;
    private static final double MOST_TRIM = 50;

    /** What is decided of a step does not change while its machine does not. */
    private final Cache<Key, ProductState> states = Caffeine.newBuilder().maximumSize(50).build();

    private final ProductRepository products;
    private final ProductStepRepository steps;
    private final AccountRepository accounts;
    private final MachineLibrary machines;
    private final Books books;
    private final TransactionOperations transactions;
    private final Clock clock;

    private record Key(long product, int step, long books) {}

    Products(
            ProductRepository products,
            ProductStepRepository steps,
            AccountRepository accounts,
            MachineLibrary machines,
            Books books,
            TransactionOperations transactions,
            Clock clock) {
        this.transactions = transactions;
        this.products = products;
        this.steps = steps;
        this.accounts = accounts;
        this.machines = machines;
        this.books = books;
        this.clock = clock;
    }

    /** A product in the list. */
    public record Entry(long id, String name, String changedBy, Instant changedAt) {}

    /**
     * Those whose name contains a text, last changed first.
     *
     * @param text empty: all
     */
    public List<Entry> search(String text) {
        String masked = text.strip().toLowerCase(Locale.ROOT).replaceAll("([!%_])", "!$1");
        return products.search(masked, Limit.of(MOST)).stream()
                .map(p -> new Entry(p.id(), p.name(), p.changedBy().fullName(), p.changedAt()))
                .toList();
    }

    /** Machines that work panels, in the order of the library. */
    public List<Machine> machines() {
        return machines.machines().stream().filter(m -> ability(m).isPresent()).toList();
    }

    private Optional<PanelMachine> ability(Machine machine) {
        return Kinds.of(machine).panels(machine, books.of(machine));
    }

    private PanelMachine ability(String id) {
        Machine machine =
                machines.find(id).orElseThrow(() -> NotFoundException.machine(id, machines));
        return ability(machine)
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "%s works no panels; %s does."
                                                .formatted(
                                                        machine.name(),
                                                        String.join(
                                                                ", ",
                                                                machines().stream()
                                                                        .map(Machine::name)
                                                                        .toList()))));
    }

    /**
     * A material of a product, and what the book of its machine calls it.
     *
     * @param called empty: nothing is alike
     * @param known what the book has
     */
    public record MaterialView(String id, String called, List<String> known) {}

    /** Those that its panels are made of. */
    public List<MaterialView> materials(ProductState state) {
        Machine machine = machines.find(state.document().machine()).orElseThrow();
        return state.product().made().stream()
                .map(p -> p.material())
                .distinct()
                .sorted()
                .map(
                        id ->
                                new MaterialView(
                                        id,
                                        ProductMaterials.called(state, id, books.of(machine))
                                                .orElse(""),
                                        books.of(machine).materials()))
                .toList();
    }

    // ---- read

    /**
     * @throws NotFoundException when there is none
     */
    public ProductState find(long id) {
        return state(kept(id));
    }

    /**
     * A face of a panel as DXF.
     *
     * @throws NotFoundException when there is none
     */
    public String face(long id, String panel, String face) {
        Face of =
                Worded.of(Face.class, face)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "A panel has no face %s; it has %s."
                                                        .formatted(face, Face.all())));
        return FaceDrawings.write(find(id).panel(panel), of);
    }

    private KeptProduct kept(long id) {
        return products.findById(id).orElseThrow(() -> missing(id));
    }

    private static NotFoundException missing(long id) {
        return new NotFoundException("There is no product %d.".formatted(id));
    }

    private ProductState state(KeptProduct product) {
        Key key = new Key(product.id(), product.pointer(), books.version());
        return states.get(
                key,
                k -> {
                    ProductDocument document = document(step(product.id(), product.pointer()));
                    return ProductState.of(
                            product.id(), product.pointer(), document, ability(document.machine()));
                });
    }

    private ProductStep step(long product, int number) {
        return steps.findById(new ProductStep.Key(product, number)).orElseThrow();
    }

    private static ProductDocument document(ProductStep step) {
        return JSON.readValue(step.document(), ProductDocument.class);
    }

    /** What undo would take back; empty: nothing. */
    public Optional<String> undoLabel(ProductState state) {
        ProductStep step = step(state.id(), state.step());
        return step.parent() == ProductStep.NONE ? Optional.empty() : Optional.of(step.label());
    }

    /** What redo would make again; empty: nothing. */
    public Optional<String> redoLabel(ProductState state) {
        return steps.newestOn(state.id(), state.step()).map(ProductStep::label);
    }

    // ---- change

    /**
     * A new product, on the first machine that works panels.
     *
     * @throws dev.oleander.plan.panel.PanelException when it cannot be
     */
    public ProductState make(ProductFile file, SignedIn who) {
        String machine =
                machines().stream()
                        .findFirst()
                        .map(Machine::id)
                        .orElseThrow(
                                () -> new RefusedEditException("No machine here works panels."));
        ProductDocument document = ProductDocument.of(file, machine);
        ProductState checked = checked(0, 0, document);
        String name = checked.product().name();
        KeptProduct made =
                transactions.execute(
                        status -> {
                            Account account = accounts.getReferenceById(who.id());
                            KeptProduct product = new KeptProduct(name, account, clock.instant());
                            products.saveAndFlush(product);
                            append(product, "Product brought in", document, name, account);
                            return product;
                        });
        return state(made);
    }

    /**
     * A product of drawings of faces.
     *
     * @throws dev.oleander.drawing.DrawingException when one cannot be read
     * @throws dev.oleander.plan.panel.PanelException when it cannot be
     */
    public ProductState make(List<Upload> uploads, DrawnProduct said, SignedIn who) {
        Machine machine =
                machines().stream()
                        .findFirst()
                        .orElseThrow(
                                () -> new RefusedEditException("No machine here works panels."));
        return make(said.of(uploads, machine, books.of(machine).materials()), who);
    }

    private ProductState checked(long id, int step, ProductDocument document) {
        ProductState state = ProductState.of(id, step, document, ability(document.machine()));
        String name = state.product().name();
        if (name.length() > LONGEST_NAME) {
            throw new RefusedEditException(
                    "The name of the product has %d characters; %d at most."
                            .formatted(name.length(), LONGEST_NAME));
        }
        JobNames.requirePlain("name", name);
        if (!(document.preMilling() >= 0 && document.preMilling() <= MOST_MILLING)) {
            throw new RefusedEditException(
                    "Pre-milling is %s mm; it must lie between 0 and %s."
                            .formatted(document.preMilling(), MOST_MILLING));
        }
        if (!(document.trim() >= 0 && document.trim() <= MOST_TRIM)) {
            throw new RefusedEditException(
                    "Trim is %s mm; it must lie between 0 and %s."
                            .formatted(document.trim(), MOST_TRIM));
        }
        return state;
    }

    /** Within a transaction. */
    private void append(
            KeptProduct product,
            String label,
            ProductDocument document,
            String name,
            Account account) {
        int number = steps.last(product.id()) + 1;
        Instant now = clock.instant();
        steps.save(
                new ProductStep(
                        new ProductStep.Key(product.id(), number),
                        product.pointer(),
                        label,
                        JSON.writeValueAsString(document),
                        account,
                        now));
        product.moveTo(number, name, account, now);
        products.flush();
    }

    /**
     * Changes a product; what changes nothing makes no step.
     *
     * @param seenStep that the change was made on; null: on what is there
     * @throws StaleEditException when somebody changed it meanwhile
     * @throws dev.oleander.plan.panel.PanelException when it cannot be as it is wished
     */
    public ProductState edit(
            long id,
            Integer seenStep,
            String label,
            UnaryOperator<ProductDocument> change,
            SignedIn who) {
        KeptProduct seen = kept(id);
        int on = seenStep == null ? seen.pointer() : seenStep;
        requirePresent(id, seen.pointer(), on);
        ProductDocument before = document(step(id, on));
        ProductDocument after = change.apply(before);
        if (after.equals(before)) {
            return state(seen);
        }
        String name = checked(id, 0, after).product().name();
        return state(
                transactions.execute(
                        status -> {
                            KeptProduct product = held(id, on);
                            Account account = accounts.getReferenceById(who.id());
                            append(product, label, after, name, account);
                            return product;
                        }));
    }

    private KeptProduct held(long id, Integer seenStep) {
        KeptProduct product = products.findHeldById(id).orElseThrow(() -> missing(id));
        requirePresent(id, product.pointer(), seenStep);
        return product;
    }

    private void requirePresent(long id, int present, Integer seenStep) {
        if (seenStep != null && seenStep != present) {
            throw new StaleEditException("product", List.of(steps.change(id, present)));
        }
    }

    public ProductState undo(long id, Integer seenStep, SignedIn who) {
        return moved(id, seenStep, who, present -> step(id, present).parent(), "undo");
    }

    public ProductState redo(long id, Integer seenStep, SignedIn who) {
        return moved(
                id,
                seenStep,
                who,
                present ->
                        steps.newestOn(id, present)
                                .map(ProductStep::number)
                                .orElse(ProductStep.NONE),
                "redo");
    }

    private ProductState moved(
            long id, Integer seenStep, SignedIn who, IntUnaryOperator next, String what) {
        return state(
                transactions.execute(
                        status -> {
                            KeptProduct product = held(id, seenStep);
                            int to = next.applyAsInt(product.pointer());
                            if (to == ProductStep.NONE) {
                                throw new RefusedEditException(
                                        "There is nothing to %s.".formatted(what));
                            }
                            String name = document(step(id, to)).product().name();
                            Account account = accounts.getReferenceById(who.id());
                            product.moveTo(to, name, account, clock.instant());
                            products.flush();
                            return product;
                        }));
    }
}
