package dev.oleander.web.care;

import dev.oleander.quantity.Cells;
import dev.oleander.web.account.AccountService;
import dev.oleander.web.account.SignedIn;
import dev.oleander.web.trail.TrailQuery;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.time.LocalDate;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.format.annotation.DateTimeFormat.ISO;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who did what and when, with filter and as a table. */
@Controller
@RequestMapping("/trail")
class TrailController {

    private final TrailQuery trail;
    private final AccountService accounts;

    TrailController(TrailQuery trail, AccountService accounts) {
        this.trail = trail;
        this.accounts = accounts;
    }

    @GetMapping
    String trail(
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(required = false) @DateTimeFormat(iso = ISO.DATE) LocalDate from,
            @RequestParam(required = false) @DateTimeFormat(iso = ISO.DATE) LocalDate to,
            @RequestParam(defaultValue = "0") int page,
            @AuthenticationPrincipal SignedIn who,
            Model model) {
        TrailQuery.Wish wish = new TrailQuery.Wish(person, kind, text.strip(), from, to);
        int number = Math.max(0, Math.min(page, 100_000));
        model.addAttribute("who", who);
        model.addAttribute("wish", wish);
        model.addAttribute("found", trail.page(wish, number));
        model.addAttribute("page", number);
        model.addAttribute("people", accounts.all());
        model.addAttribute("kinds", TrailQuery.kinds());
        return "trail";
    }

    /** Written as it is read, so that any number fits. */
    @GetMapping("/trail.csv")
    void csv(
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(required = false) @DateTimeFormat(iso = ISO.DATE) LocalDate from,
            @RequestParam(required = false) @DateTimeFormat(iso = ISO.DATE) LocalDate to,
            HttpServletResponse response)
            throws IOException {
        TrailQuery.Wish wish = new TrailQuery.Wish(person, kind, text.strip(), from, to);
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"trail.csv\"");
        Writer out = response.getWriter();
        out.write(Cells.line("at", "person", "name", "kind", "what", "job", "job name", "address"));
        trail.each(wish, entry -> write(out, entry));
    }

    private static void write(Writer out, TrailQuery.Entry e) {
        try {
            out.write(
                    Cells.line(
                            e.at(),
                            e.username(),
                            e.person(),
                            e.kind(),
                            e.what(),
                            e.job(),
                            e.jobName(),
                            e.address()));
        } catch (IOException left) {
            throw new UncheckedIOException(left);
        }
    }
}
