package dev.oleander.web.library;

import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.FormulaException;
import dev.oleander.quantity.Typed;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.CutBooks;
import dev.oleander.web.book.KeptBook;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.work.sheet.book.CutField;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.book.CutRowText;
import dev.oleander.work.sheet.book.WaterjetBook;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
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

/**
 * A machine with its cut book: found in, changed with a note, copied, taken out as a file and in.
 */
@Controller
@RequestMapping("/machines/{id}")
class CutBookController {

    private final MachineLibrary machines;
    private final CutBooks books;
    private final Books all;
    private final List<BookPage> pages;

    CutBookController(MachineLibrary machines, CutBooks books, Books all, List<BookPage> pages) {
        this.machines = machines;
        this.books = books;
        this.all = all;
        this.pages = pages;
    }

    private KeptBook kept(Machine machine) {
        return all.keeperOf(machine);
    }

    /**
     * @param find words that rows must have
     */
    @GetMapping
    String cutBook(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String find,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        return show(id, find, BookProblem.NONE, who, model);
    }

    private String show(String id, String find, BookProblem problem, SignedIn who, Model model) {
        Machine machine = machine(id);
        return pages.stream()
                .filter(page -> page.kind().does(machine))
                .findFirst()
                .orElseThrow()
                .show(machine, find, problem, who, model);
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
        CutRow known =
                books.of(machine(id)).rows().stream()
                        .filter(r -> r.id().equals(row))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "The cut book has no row \"%s\".".formatted(row)));
        return form(id, row, copy, CutRowText.write(known), "", who, model);
    }

    private String form(
            String id,
            String row,
            boolean copy,
            Map<CutField, String> texts,
            String error,
            SignedIn who,
            Model model) {
        Machine machine = machine(id);
        model.addAttribute("who", who);
        model.addAttribute("machine", machine);
        model.addAttribute("row", row);
        model.addAttribute("copy", copy);
        model.addAttribute("fields", CutField.values());
        model.addAttribute("texts", texts);
        model.addAttribute("power", SheetBookPage.powerLabel(machine.process()));
        model.addAttribute("error", error);
        if (!model.containsAttribute("note")) {
            model.addAttribute("note", "");
        }
        return "cut-row";
    }

    @PostMapping("/rows/{row}")
    String save(
            @PathVariable String id,
            @PathVariable String row,
            @RequestParam Map<String, String> values,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        boolean copy = Boolean.parseBoolean(values.get("copy"));
        Map<CutField, String> texts = new EnumMap<>(CutField.class);
        values.forEach((name, text) -> CutField.ofWord(name).ifPresent(f -> texts.put(f, text)));
        String note = values.getOrDefault("note", "").strip();
        model.addAttribute("note", note);
        try {
            CutRow saved = books.save(machine(id), copy ? "" : row, texts, note, who);
            return "redirect:/machines/%s#%s".formatted(id, saved.id());
        } catch (CutDataException wrong) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(id, row, copy, texts, wrong.getMessage(), who, model);
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
            kept(machine(id)).delete(machine(id), row, who);
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
        return show(id, "", problem, who, model);
    }

    @GetMapping("/cut-book.csv")
    ResponseEntity<String> csv(@PathVariable String id) {
        Machine machine = machine(id);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        "Content-Disposition",
                        "attachment; filename=\"cut-book-%s.csv\"".formatted(machine.id()))
                .body(kept(machine).csv(machine));
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
            kept(machine(id)).load(machine(id), text, "from " + file.getOriginalFilename(), who);
            return "redirect:/machines/" + id;
        } catch (CutDataException wrong) {
            return refused(id, new BookProblem("file", wrong.getMessage()), who, model, response);
        }
    }

    /** The machinability of a material by a test cut. */
    @PostMapping("/calibration")
    String calibrate(
            @PathVariable String id,
            @RequestParam String material,
            @RequestParam String thickness,
            @RequestParam String quality,
            @RequestParam String feed,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        try {
            double mm = Typed.parse(thickness, Map.of()).within("The thickness", 0.1, 400).value();
            double speed = Typed.parse(feed, Map.of()).within("The feed", 0.1, 100_000).value();
            books.calibrate(machine(id), material, mm, quality, speed, who);
            return "redirect:/machines/%s#calibration".formatted(id);
        } catch (CutDataException | FormulaException wrong) {
            boolean computed = books.of(machine(id)) instanceof WaterjetBook;
            BookProblem problem =
                    new BookProblem(computed ? "calibration" : "rows", wrong.getMessage());
            return refused(id, problem, who, model, response);
        }
    }
}
