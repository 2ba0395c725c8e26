package dev.oleander.web.product;

import dev.oleander.book.Book;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.plan.panel.Grain;
import dev.oleander.plan.panel.Panel;
import dev.oleander.plan.panel.Product;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.nest.NestEdits;
import dev.oleander.web.nest.NestMaker;
import dev.oleander.web.nest.NestSearch;
import dev.oleander.web.nest.NestWish;
import dev.oleander.web.nest.NestWishes;
import dev.oleander.web.product.ProductJobTable.Link;
import dev.oleander.web.product.ProductJobTable.Nest;
import dev.oleander.web.seal.Hashes;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * Lays the panels of a product on boards: a nest for each material, whose parts are the jobs of
 * their first clampings.
 */
@Component
class ProductBoards {

    /** s that is searched for a nest; who wants a closer one goes on in the nest itself. */
    private static final double SECONDS = 20;

    private final ProductJobTable table;
    private final JobService jobs;
    private final NestMaker maker;
    private final NestEdits edits;
    private final NestSearch searches;
    private final JobComputer computer;
    private final MachineLibrary machines;
    private final Books books;

    ProductBoards(
            ProductJobTable table,
            JobService jobs,
            NestMaker maker,
            NestEdits edits,
            NestSearch searches,
            JobComputer computer,
            MachineLibrary machines,
            Books books) {
        this.table = table;
        this.jobs = jobs;
        this.maker = maker;
        this.edits = edits;
        this.searches = searches;
        this.computer = computer;
        this.machines = machines;
        this.books = books;
    }

    /** A panel whose program is there, and how it may lie. */
    private record Laid(Panel panel, long job, int count, String turns) {

        NestWishes.PartsWish wish() {
            return new NestWishes.PartsWish(
                    job,
                    "",
                    Map.of(
                            NestValues.QUANTITY.word(),
                            String.valueOf(count),
                            NestValues.TURNS.word(),
                            turns));
        }
    }

    /**
     * Panels whose programs are there and fresh are laid; nests of which nothing has changed stay
     * as they are.
     *
     * @throws RefusedEditException see {@link #require}
     */
    void lay(ProductState state, PanelStates states, SignedIn who) {
        require(state);
        Map<String, List<Laid>> byMaterial = new TreeMap<>();
        List<Link> links = table.of(state.id());
        for (Panel panel : state.product().made()) {
            link(links, panel)
                    .filter(link -> !states.isStale(link) && states.isSound(link))
                    .filter(link -> state.twins().equalTo(panel.id()).isEmpty())
                    .ifPresent(
                            link ->
                                    byMaterial
                                            .computeIfAbsent(
                                                    panel.material(), m -> new ArrayList<>())
                                            .add(laid(state, panel, link)));
        }
        byMaterial.forEach((material, parts) -> lay(state, material, parts, who));
    }

    /**
     * @throws RefusedEditException when panels are not cut from boards, or a board does not lie on
     *     the machine
     */
    static void require(ProductState state) {
        if (!state.document().boards()) {
            throw new RefusedEditException(
                    "Panels of this product lie alone; say first that they are cut from boards.");
        }
        state.product().made().stream()
                .map(Panel::material)
                .distinct()
                .forEach(m -> requireOnTable(state, state.product().materials().get(m)));
    }

    private static Optional<Link> link(List<Link> links, Panel panel) {
        return links.stream()
                .filter(l -> l.panel().equals(panel.id()) && l.clamping() == 1)
                .findFirst();
    }

    /** Half turns keep the grain; without any, quarters do no harm. */
    private static Laid laid(ProductState state, Panel panel, Link link) {
        Product.Board board = state.product().materials().get(panel.material()).board();
        boolean grain = panel.grain() != Grain.NONE && board.grain() != Grain.NONE;
        return new Laid(panel, link.job(), state.countWithTwins(panel), grain ? "half" : "quarter");
    }

    private void lay(ProductState state, String material, List<Laid> parts, SignedIn who) {
        Product.Material of = state.product().materials().get(material);
        String madeOf =
                Hashes.sha256(
                        parts.stream()
                                        .map(Laid::wish)
                                        .map(w -> w.job() + " " + new TreeMap<>(w.values()))
                                        .toList()
                                + of.board().toString());
        Optional<Nest> before =
                table.nests(state.id()).stream()
                        .filter(n -> n.material().equals(material))
                        .findFirst();
        boolean fresh = before.filter(n -> n.madeOf().equals(madeOf)).isPresent();
        long nest = before.map(Nest::job).orElseGet(() -> made(state, of, parts, who));
        if (before.isPresent() && !fresh) {
            jobs.edit(nest, "Panels laid anew", result -> renewed(result, of, parts), who);
        }
        parts.forEach(p -> table.laid(state.id(), p.panel().id(), nest));
        table.putNest(state.id(), material, nest, madeOf);
        if (!fresh || !isRight(nest)) {
            searches.begin(nest, wish(), who);
        }
        jobs.refreshSummary(nest);
    }

    /** Whether something lies there, as the distances ask by now. */
    private boolean isRight(long nest) {
        JobResult result = computer.result(jobs.present(nest).document());
        boolean laid = !result.document().nest().orElseThrow().choices().laid().isEmpty();
        return laid && result.nestFaults().isEmpty();
    }

    private static NestWish wish() {
        return new NestWish(
                NestWish.From.AFRESH, SECONDS, null, null, 1, NestSearch.usualThreads());
    }

    private static void requireOnTable(ProductState state, Product.Material material) {
        Product.Board board = material.board();
        boolean fits =
                board.length() <= state.machine().length()
                        && board.width() <= state.machine().width();
        if (!fits) {
            throw new RefusedEditException(
                    "A board of %s is %s × %s mm; %s takes %s × %s."
                            .formatted(
                                    material.id(),
                                    mm(board.length()),
                                    mm(board.width()),
                                    state.machine().name(),
                                    mm(state.machine().length()),
                                    mm(state.machine().width())));
        }
    }

    private static String mm(double value) {
        return Numbers.plain(value, 1);
    }

    private static StockLine sheet(Product.Board board) {
        return StockLine.plain("", board.length(), board.width());
    }

    private long made(
            ProductState state, Product.Material material, List<Laid> parts, SignedIn who) {
        Machine machine = machines.find(state.document().machine()).orElseThrow();
        Book<?> book = books.of(machine);
        JobDocument.Order order =
                new JobDocument.Order(
                        "%s: boards of %s".formatted(state.product().name(), material.id()),
                        machine.id(),
                        ProductMaterials.called(state, material.id(), book)
                                .orElseThrow(
                                        () ->
                                                ProductMaterials.unknown(
                                                        parts.get(0).panel(), machine, book)),
                        Typed.of(material.thickness()),
                        1);
        return maker.make(order, wishes(material, parts, List.of(), List.of()), who);
    }

    /** Other parts on the same boards; what a person has said of the distances stays. */
    private JobDocument renewed(JobResult before, Product.Material material, List<Laid> parts) {
        var choices = before.document().nest().orElseThrow().choices();
        List<String> lines = choices.lines().stream().map(PartLine::id).toList();
        List<String> sheets = choices.stock().stream().map(StockLine::id).toList();
        return edits.all(wishes(material, parts, lines, sheets)).apply(before);
    }

    private static NestWishes wishes(
            Product.Material material,
            List<Laid> parts,
            List<String> linesGone,
            List<String> sheetsGone) {
        return new NestWishes(
                parts.stream().map(Laid::wish).toList(),
                Map.of(),
                linesGone,
                List.of(sheet(material.board())),
                Map.of(),
                sheetsGone,
                Map.of());
    }
}
