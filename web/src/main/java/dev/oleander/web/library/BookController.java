package dev.oleander.web.library;

import dev.oleander.book.Book;
import dev.oleander.book.BookForm;
import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.job.document.NotFoundException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
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

/** A machine with its book: found in, changed with a note, copied, taken out as a file and in. */
@Controller
@RequestMapping("/machines/{id}")
class BookController {

    private final MachineLibrary machines;
    private final Books books;
    private final BookPage page;

    BookController(MachineLibrary machines, Books books, BookPage page) {
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
            @RequestParam(defaultValue = "") String find,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        return page.show(machine(id), find, BookProblem.NONE, who, model);
    }

    private Machine machine(String id) {
        return machines.find(id)
                .orElseThrow(
                        () -> new NotFoundException("There is no machine \"%s\".".formatted(id)));
    }

    /**
     * A row to change, or to make another one like it.
     *
     * @param copy whether a new row is to come of it
     */
    @GetMapping("/rows/{row}")
    String row(
            @PathVariable String id,
            @PathVariable String row,
            @RequestParam(defaultValue = "false") boolean copy,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        Machine machine = machine(id);
        RowText text = text(books.of(machine), row);
        return form(new RowForm(machine, row, copy, text, "", ""), who, model);
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
            Machine machine, String row, boolean copy, RowText text, String note, String error) {}

    private String form(RowForm shown, SignedIn who, Model model) {
        BookForm<?> form = books.of(shown.machine()).form();
        model.addAttribute("who", who);
        model.addAttribute("machine", shown.machine());
        model.addAttribute("row", shown.row());
        model.addAttribute("copy", shown.copy());
        model.addAttribute("fields", form.fields());
        model.addAttribute("values", shown.text().values());
        model.addAttribute("note", shown.note());
        model.addAttribute("error", shown.error());
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
            @PathVariable String row,
            @RequestParam Map<String, String> sent,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        Machine machine = machine(id);
        boolean copy = Boolean.parseBoolean(sent.get("copy"));
        RowText text = SentRows.read(books.of(machine).form(), sent);
        String note = sent.getOrDefault("note", "").strip();
        try {
            String saved = books.save(machine, copy ? "" : row, text, note, who);
            return "redirect:/machines/%s#%s".formatted(id, saved);
        } catch (CutDataException wrong) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            RowForm shown = new RowForm(machine, row, copy, text, note, wrong.getMessage());
            return form(shown, who, model);
        }
    }

    @PostMapping("/rows/{row}/delete")
    String delete(
            @PathVariable String id,
            @PathVariable String row,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            books.delete(machine(id), row, who);
            return "redirect:/machines/" + id;
        } catch (CutDataException wrong) {
            return refused(id, new BookProblem("rows", wrong.getMessage()), who, model, response);
        }
    }

    private String refused(
            String id,
            BookProblem problem,
            SignedIn who,
            Model model,
            HttpServletResponse response) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page.show(machine(id), "", problem, who, model);
    }

    @GetMapping("/cut-book.csv")
    ResponseEntity<String> csv(@PathVariable String id) {
        Machine machine = machine(id);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        "Content-Disposition",
                        "attachment; filename=\"cut-book-%s.csv\"".formatted(machine.id()))
                .body(books.csv(machine));
    }

    @PostMapping("/cut-book.csv")
    String load(
            @PathVariable String id,
            @RequestParam MultipartFile file,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response)
            throws IOException {
        String text = new String(file.getBytes(), StandardCharsets.UTF_8);
        try {
            books.load(machine(id), text, "from " + file.getOriginalFilename(), who);
            return "redirect:/machines/" + id;
        } catch (CutDataException wrong) {
            return refused(id, new BookProblem("file", wrong.getMessage()), who, model, response);
        }
    }
}
