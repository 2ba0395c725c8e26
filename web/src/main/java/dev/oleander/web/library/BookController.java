package dev.oleander.web.library;

import dev.oleander.book.Book;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.BookTrial;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.Shelf;
import dev.oleander.web.job.document.NotFoundException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/**
 * A machine with its book, and the tables beside it: found in, changed with a note, copied, taken
 * out as a file and in.
 */
@Controller
@RequestMapping({"/machines/{id}", "/machines/{id}/{table:[a-z]+}"})
class BookController {

    private final MachineLibrary machines;
    private final Books books;
    private final BookPage page;
    private final List<BookTrial> trials;

    BookController(MachineLibrary machines, Books books, BookPage page, List<BookTrial> trials) {
        this.trials = List.copyOf(trials);
        this.machines = machines;
        this.books = books;
        this.page = page;
    }

    /**
     * @param find words that rows must have
     */
    @GetMapping
    String book(
            @PathVariable String id,
            @PathVariable(required = false) String table,
            @RequestParam(defaultValue = "") String find,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        return page.show(shelf(id, table), find, BookProblem.NONE, who, model);
    }

    private Shelf shelf(String id, String table) {
        Machine machine =
                machines.find(id)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "There is no machine \"%s\".".formatted(id)));
        boolean known = table == null || books.of(machine).beside().containsKey(table);
        if (!known) {
            throw new NotFoundException("%s has no table \"%s\".".formatted(machine.name(), table));
        }
        return new Shelf(machine, table == null ? "" : table);
    }

    /**
     * A row to change, or to make another one like it.
     *
     * @param copy whether a new row is to come of it
     */
    @GetMapping("/rows/{row}")
    String row(
            @PathVariable String id,
            @PathVariable(required = false) String table,
            @PathVariable String row,
            @RequestParam(defaultValue = "false") boolean copy,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        Shelf shelf = shelf(id, table);
        RowText text = text(books.of(shelf), row);
        return form(new RowForm(shelf, row, copy, text, "", ""), who, model);
    }

    private static <R extends BookRow> RowText text(Book<R> book, String row) {
        return book.row(row)
                .map(book.form()::write)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "The cut book has no row \"%s\".".formatted(row)));
    }

    /** A row as its form shows it. */
    private record RowForm(
            Shelf shelf, String row, boolean copy, RowText text, String note, String error) {

        /** The row that is changed; empty: a new one. */
        String changes() {
            return copy ? "" : row;
        }

        RowForm with(String problem) {
            return new RowForm(shelf, row, copy, text, note, problem);
        }
    }

    private String form(RowForm shown, SignedIn who, Model model) {
        BookForm<?> form = books.of(shown.shelf()).form();
        model.addAttribute("who", who);
        model.addAttribute("machine", shown.shelf().machine());
        model.addAttribute("shelf", shown.shelf());
        model.addAttribute("row", shown.row());
        model.addAttribute("copy", shown.copy());
        model.addAttribute("fields", form.fields());
        model.addAttribute("values", shown.text().values());
        model.addAttribute("note", shown.note());
        model.addAttribute("error", shown.error());
        model.addAttribute("triable", trial(shown.shelf()).isPresent());
        form.lines()
                .ifPresent(
                        lines -> {
                            model.addAttribute("lines", lines);
                            model.addAttribute(
                                    "lineValues", SentRows.withOneMore(lines, shown.text()));
                        });
        return "book-row";
    }

    @PostMapping("/rows/{row}")
    String save(
            @PathVariable String id,
            @PathVariable(required = false) String table,
            @PathVariable String row,
            @RequestParam Map<String, String> sent,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        RowForm typed = typed(shelf(id, table), row, sent);
        try {
            String saved =
                    books.save(typed.shelf(), typed.changes(), typed.text(), typed.note(), who);
            return "redirect:%s#%s".formatted(typed.shelf().path(), saved);
        } catch (CutDataException wrong) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(typed.with(wrong.getMessage()), who, model);
        }
    }

    private RowForm typed(Shelf shelf, String row, Map<String, String> sent) {
        return new RowForm(
                shelf,
                row,
                Boolean.parseBoolean(sent.get("copy")),
                SentRows.read(books.of(shelf).form(), sent),
                sent.getOrDefault("note", "").strip(),
                "");
    }

    private Optional<BookTrial> trial(Shelf shelf) {
        return trials.stream().filter(t -> t.concerns(shelf)).findFirst();
    }

    /** What the change would change; the form stays as it is typed. */
    @PostMapping("/rows/{row}/trial")
    String tried(
            @PathVariable String id,
            @PathVariable(required = false) String table,
            @PathVariable String row,
            @RequestParam Map<String, String> sent,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        RowForm typed = typed(shelf(id, table), row, sent);
        BookTrial trial =
                trial(typed.shelf())
                        .orElseThrow(
                                () -> new NotFoundException("Rows of this table have no trial."));
        try {
            model.addAttribute(
                    "tried", trial.wouldChange(typed.shelf(), typed.changes(), typed.text()));
            return form(typed, who, model);
        } catch (CutDataException wrong) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(typed.with(wrong.getMessage()), who, model);
        }
    }

    @PostMapping("/rows/{row}/delete")
    String delete(
            @PathVariable String id,
            @PathVariable(required = false) String table,
            @PathVariable String row,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        Shelf shelf = shelf(id, table);
        try {
            books.delete(shelf, row, who);
            return "redirect:" + shelf.path();
        } catch (CutDataException wrong) {
            return refused(
                    shelf, new BookProblem("rows", wrong.getMessage()), who, model, response);
        }
    }

    private String refused(
            Shelf shelf,
            BookProblem problem,
            SignedIn who,
            Model model,
            HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page.show(shelf, "", problem, who, model);
    }

    @GetMapping("/cut-book.csv")
    ResponseEntity<String> csv(
            @PathVariable String id, @PathVariable(required = false) String table) {
        Shelf shelf = shelf(id, table);
        String name = shelf.word().isEmpty() ? "cut-book" : shelf.word();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        "Content-Disposition",
                        "attachment; filename=\"%s-%s.csv\"".formatted(name, shelf.machine().id()))
                .body(books.csv(shelf));
    }

    @PostMapping("/cut-book.csv")
    String load(
            @PathVariable String id,
            @PathVariable(required = false) String table,
            @RequestParam MultipartFile file,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response)
            throws IOException {
        String text = new String(file.getBytes(), StandardCharsets.UTF_8);
        Shelf shelf = shelf(id, table);
        try {
            books.load(shelf, text, "from " + file.getOriginalFilename(), who);
            return "redirect:" + shelf.path();
        } catch (CutDataException wrong) {
            return refused(
                    shelf, new BookProblem("file", wrong.getMessage()), who, model, response);
        }
    }
}
