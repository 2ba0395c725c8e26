package dev.oleander.web.library;

import dev.oleander.machine.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.book.WireBooks;
import dev.oleander.web.job.NotFoundException;
import dev.oleander.work.wire.WireCutting;
import dev.oleander.work.wire.book.WireDataField;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.book.WireRowText;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Rows of the cut book of a wire machine, changed with a note or copied. */
@Controller
@RequestMapping("/machines/{id}")
class WireBookController {

    private final MachineLibrary machines;
    private final WireBooks books;

    WireBookController(MachineLibrary machines, WireBooks books) {
        this.machines = machines;
        this.books = books;
    }

    private Machine machine(String id) {
        return machines.find(id)
                .filter(WireCutting.WIRE::does)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "There is no wire machine \"%s\".".formatted(id)));
    }

    /**
     * A row to change, or to make another one like it.
     *
     * @param copy whether a new row is to come of it
     */
    @GetMapping("/wire-rows/{row}")
    String row(
            @PathVariable String id,
            @PathVariable String row,
            @RequestParam(defaultValue = "false") boolean copy,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        WireRow known =
                books.of(machine(id))
                        .row(row)
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "The cut book has no row \"%s\".".formatted(row)));
        model.addAttribute("note", "");
        return form(id, row, copy, WireRowText.write(known), "", who, model);
    }

    private String form(
            String id,
            String row,
            boolean copy,
            List<Map<WireDataField, String>> passes,
            String error,
            SignedIn who,
            Model model) {
        List<Map<WireDataField, String>> shown = new ArrayList<>(passes);
        if (shown.size() < WireRowText.MOST_PASSES) {
            // an empty line for one pass more
            shown.add(Map.of());
        }
        model.addAttribute("who", who);
        model.addAttribute("machine", machine(id));
        model.addAttribute("row", row);
        model.addAttribute("copy", copy);
        model.addAttribute("fields", WireDataField.ofRows());
        model.addAttribute("passFields", WireDataField.ofPasses());
        model.addAttribute("passes", shown);
        model.addAttribute("error", error);
        return "wire-row";
    }

    @PostMapping("/wire-rows/{row}")
    String save(
            @PathVariable String id,
            @PathVariable String row,
            @RequestParam Map<String, String> values,
            @AuthenticationPrincipal SignedIn who,
            Model model,
            HttpServletResponse response) {
        boolean copy = Boolean.parseBoolean(values.get("copy"));
        List<Map<WireDataField, String>> passes = passes(values);
        String note = values.getOrDefault("note", "").strip();
        try {
            WireRow saved = books.save(machine(id), copy ? "" : row, passes, note, who);
            return "redirect:/machines/%s#%s".formatted(id, saved.id());
        } catch (CutDataException wrong) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("note", note);
            return form(id, row, copy, passes, wrong.getMessage(), who, model);
        }
    }

    /** Values by pass; a line in which nothing stands is no pass. */
    private static List<Map<WireDataField, String>> passes(Map<String, String> values) {
        Map<WireDataField, String> head = new EnumMap<>(WireDataField.class);
        WireDataField.ofRows().forEach(f -> head.put(f, values.getOrDefault(f.word(), "")));
        List<Map<WireDataField, String>> passes = new ArrayList<>();
        for (int pass = 1; pass <= WireRowText.MOST_PASSES; pass++) {
            Map<WireDataField, String> line = new EnumMap<>(head);
            boolean said = false;
            for (WireDataField field : WireDataField.ofPasses()) {
                String text = values.getOrDefault(field.word() + "." + pass, "");
                said |= !text.isBlank();
                line.put(field, text);
            }
            if (said) {
                passes.add(line);
            }
        }
        return passes;
    }
}
