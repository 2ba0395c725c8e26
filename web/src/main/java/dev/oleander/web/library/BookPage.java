package dev.oleander.web.library;

import dev.oleander.book.Book;
import dev.oleander.book.BookRow;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.Shelf;
import dev.oleander.work.Kinds;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The page of a machine with its book, whatever kind it is. */
@Component
public class BookPage {

    private final MachineLibrary machines;
    private final Books books;
    private final Map<String, BookView<?>> views;

    BookPage(MachineLibrary machines, Books books, List<BookView<?>> views) {
        this.machines = machines;
        this.books = books;
        this.views =
                views.stream().collect(Collectors.toMap(v -> v.kind().word(), Function.identity()));
    }

    /**
     * @param find words that rows must have
     * @param problem what stands against what was sent
     * @return name of the view
     */
    public String show(Shelf shelf, String find, BookProblem problem, SignedIn who, Model model) {
        Machine machine = shelf.machine();
        model.addAttribute("who", who);
        model.addAttribute("machine", machine);
        model.addAttribute("machines", machines.machines());
        model.addAttribute("find", find);
        model.addAttribute("history", books.history(machine));
        model.addAttribute("wrong", problem.of());
        model.addAttribute("error", problem.sentence());
        model.addAttribute("shelf", shelf);
        model.addAttribute("beside", beside(machine));
        return show(shelf, books.of(shelf), find, model);
    }

    /** All tables, where there are several. */
    private List<Shelf> beside(Machine machine) {
        List<Shelf> all = new ArrayList<>(List.of(Shelf.of(machine)));
        books.of(machine).beside().keySet().forEach(word -> all.add(new Shelf(machine, word)));
        return all.size() > 1 ? all : List.of();
    }

    private <R extends BookRow> String show(Shelf shelf, Book<R> book, String find, Model model) {
        Machine machine = shelf.machine();
        BookView<R> view = view(shelf, book);
        List<BookTables.Table> tables = BookTables.of(book, view, find);
        model.addAttribute("figures", view.figures(machine));
        model.addAttribute("example", view.example());
        model.addAttribute("columns", view.columns(book.form()));
        model.addAttribute("lineColumns", view.lineColumns());
        model.addAttribute("lines", book.form().lines().orElse(null));
        model.addAttribute("tables", tables);
        model.addAttribute("count", tables.stream().mapToInt(t -> t.rows().size()).sum());
        model.addAttribute("computed", book.table().isEmpty());
        view.part(book)
                .ifPresent(
                        part -> {
                            model.addAttribute("part", part.fragment());
                            model.addAllAttributes(part.model());
                        });
        return "book";
    }

    /** A kind's view is of the rows of its own books. */
    @SuppressWarnings("unchecked")
    private <R extends BookRow> BookView<R> view(Shelf shelf, Book<R> book) {
        Machine machine = shelf.machine();
        BookView<?> own = views.get(Kinds.of(machine).word());
        return own == null || !shelf.word().isEmpty()
                ? new FieldsView<>(Kinds.of(machine), book)
                : (BookView<R>) own;
    }
}
