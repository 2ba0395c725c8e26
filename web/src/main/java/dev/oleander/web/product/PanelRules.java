package dev.oleander.web.product;

import dev.oleander.book.Book;
import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.panel.Panel;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.BookTrial;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.Shelf;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.work.Kinds;
import dev.oleander.work.PanelJob;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The rules by which machines make the features of panels: changed together, tried before. */
@Service
public class PanelRules implements BookTrial {

    /** The table beside the data of a machine. */
    private static final String RULES = "rules";

    private static final String ID = "number";

    private final MachineLibrary machines;
    private final Books books;
    private final Products products;

    PanelRules(MachineLibrary machines, Books books, Products products) {
        this.machines = machines;
        this.books = books;
        this.products = products;
    }

    /** A panel that other rules would make otherwise. */
    public record Changed(
            long product, String name, String panel, List<String> features, String sentence) {}

    private Machine machine(String id) {
        return machines.find(id).orElseThrow(() -> NotFoundException.machine(id, machines));
    }

    private Book<?> rules(Machine machine) {
        return Optional.<Book<?>>ofNullable(books.of(machine).beside().get(RULES))
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "%s works no panels.".formatted(machine.name())));
    }

    /** In the order in which they are tried. */
    public List<? extends BookRow> of(String machine) {
        return rules(machine(machine)).rows();
    }

    /**
     * Puts rules in the place of all that there are.
     *
     * @param wanted values by the words of the table
     * @throws CutDataException naming the value that is not usable; then nothing is changed
     */
    @Transactional
    public void replace(
            String machine, List<Map<String, Object>> wanted, String note, SignedIn who) {
        Machine of = machine(machine);
        Shelf shelf = new Shelf(of, RULES);
        Set<String> kept = new HashSet<>();
        Set<String> there = ids(rules(of));
        for (Map<String, Object> rule : wanted) {
            String id = id(rule, kept);
            books.save(shelf, there.contains(id) ? id : "", text(rule), note, who);
        }
        there.stream().filter(id -> !kept.contains(id)).forEach(id -> books.delete(shelf, id, who));
    }

    private static Set<String> ids(Book<?> book) {
        Set<String> ids = new HashSet<>();
        book.rows().forEach(r -> ids.add(r.id()));
        return ids;
    }

    private static String id(Map<String, Object> rule, Set<String> before) {
        String id = String.valueOf(rule.get(ID));
        if (!before.add(id)) {
            throw new CutDataException("Two rules have the number %s.".formatted(id));
        }
        return id;
    }

    private static RowText text(Map<String, Object> rule) {
        Map<String, String> text = new TreeMap<>();
        rule.forEach(
                (word, value) -> {
                    if (value != null) {
                        text.put(word, value.toString());
                    }
                });
        return new RowText(text);
    }

    /**
     * Which panels of which products other rules would make otherwise; nothing is changed.
     *
     * @throws CutDataException naming the value that is not usable
     */
    public List<Changed> trial(String machine, List<Map<String, Object>> wanted) {
        Machine of = machine(machine);
        return trial(of, changed(books.of(of), rules(of), wanted));
    }

    @Override
    public boolean concerns(Shelf shelf) {
        return shelf.word().equals(RULES);
    }

    @Override
    public List<Consequence> wouldChange(Shelf shelf, String id, RowText text) {
        Book<?> rules = rules(shelf.machine());
        BookRow row = rules.form().read(id, text);
        if (id.isEmpty() && rules.row(row.id()).isPresent()) {
            throw new CutDataException(
                    "%s has %s already.".formatted(shelf.machine().name(), row.label()));
        }
        JsonNode json = JsonMapper.shared().valueToTree(row);
        Book<?> after =
                books.of(shelf.machine()).changed(RULES + ":" + row.id(), Optional.of(json));
        return trial(shelf.machine(), after).stream()
                .map(
                        c ->
                                new Consequence(
                                        "/products/%d/panels/%s".formatted(c.product(), c.panel()),
                                        c.name() + ", " + c.panel(),
                                        c.sentence()))
                .toList();
    }

    private List<Changed> trial(Machine of, Book<?> after) {
        Book<?> before = books.of(of);
        Work<?, ?> kind = Kinds.of(of);
        List<Changed> all = new ArrayList<>();
        for (Products.Entry entry : products.search("")) {
            ProductState state = products.find(entry.id());
            if (state.document().machine().equals(of.id())) {
                for (Panel panel : state.product().made()) {
                    changed(
                                    state,
                                    panel,
                                    made(state, panel, of, kind, before),
                                    made(state, panel, of, kind, after))
                            .ifPresent(all::add);
                }
            }
        }
        return all;
    }

    private static Book<?> changed(Book<?> book, Book<?> rules, List<Map<String, Object>> wanted) {
        Book<?> changed = book;
        Set<String> kept = new HashSet<>();
        for (Map<String, Object> rule : wanted) {
            String id = id(rule, kept);
            BookRow row = rules.form().read(id, text(rule));
            JsonNode json = JsonMapper.shared().valueToTree(row);
            changed = changed.changed(RULES + ":" + id, Optional.of(json));
        }
        for (String id : ids(rules)) {
            if (!kept.contains(id)) {
                changed = changed.changed(RULES + ":" + id, Optional.empty());
            }
        }
        return changed;
    }

    /** How each feature is made, in words that tell rules apart. */
    private static Map<String, String> made(
            ProductState state, Panel panel, Machine of, Work<?, ?> kind, Book<?> book) {
        Map<String, String> made = new LinkedHashMap<>();
        for (int number = 1; number <= state.decision(panel).clampings().size(); number++) {
            PanelJob<?> job = PanelProgram.job(state, panel, number, of, kind, book);
            for (PanelJob.Made one : job.made()) {
                made.put(
                        one.feature(),
                        "%s by rule %s%s%s"
                                .formatted(
                                        one.deed(),
                                        one.rule(),
                                        one.tool() == 0 ? "" : " with tool " + one.tool(),
                                        one.how().isEmpty() ? "" : " (" + one.how() + ")"));
            }
            job.without().forEach(w -> made.put(w.feature(), "no rule fits"));
        }
        return made;
    }

    private static Optional<Changed> changed(
            ProductState state,
            Panel panel,
            Map<String, String> before,
            Map<String, String> after) {
        List<String> features =
                before.keySet().stream().filter(f -> !before.get(f).equals(after.get(f))).toList();
        if (features.isEmpty()) {
            return Optional.empty();
        }
        String first = features.get(0);
        String more = features.size() == 1 ? "" : " and %d more".formatted(features.size() - 1);
        return Optional.of(
                new Changed(
                        state.id(),
                        state.product().name(),
                        panel.id(),
                        features,
                        "%s%s: %s instead of %s"
                                .formatted(first, more, after.get(first), before.get(first))));
    }
}
