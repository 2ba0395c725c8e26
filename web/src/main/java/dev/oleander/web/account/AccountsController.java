package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The people of the shop, for the lead. */
@Controller
@RequestMapping("/accounts")
class AccountsController {

    /** Stands for the form of a new account. */
    private static final long NEW = 0;

    private static final String BACK = "redirect:/accounts";

    private final AccountService accounts;
    private final PersonSessions sessions;

    AccountsController(AccountService accounts, PersonSessions sessions) {
        this.accounts = accounts;
        this.sessions = sessions;
    }

    /** One person with the sessions that are open. */
    public record Row(Account account, List<PersonSessions.Open> sessions) {}

    /**
     * A password that is shown this once.
     *
     * @param username whose it is
     */
    public record Given(String username, String password) {}

    @GetMapping
    String list(@AuthenticationPrincipal SignedIn who, Model model) {
        return page(who, model);
    }

    private String page(SignedIn who, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("roles", Role.values());
        model.addAttribute(
                "people",
                accounts.all().stream()
                        .map(a -> new Row(a, sessions.of(a.username(), null)))
                        .toList());
        return "accounts";
    }

    @PostMapping
    String make(
            @RequestParam String username,
            @RequestParam String fullName,
            @RequestParam Role role,
            @AuthenticationPrincipal SignedIn who,
            HttpServletResponse response,
            Model model) {
        String page =
                shown(
                        NEW,
                        () ->
                                new Given(
                                        username.strip(),
                                        accounts.make(username, fullName, role, who)),
                        who,
                        response,
                        model);
        if (model.getAttribute("given") == null) {
            model.addAttribute("username", username);
            model.addAttribute("fullName", fullName);
            model.addAttribute("role", role);
        }
        return page;
    }

    @PostMapping("/{id}")
    String change(
            @PathVariable long id,
            @RequestParam String fullName,
            @RequestParam Role role,
            @AuthenticationPrincipal SignedIn who,
            HttpServletResponse response,
            Model model) {
        return done(id, () -> accounts.change(id, fullName, role, who), who, response, model);
    }

    /** A new password, shown in the answer itself: a redirect would have to keep it. */
    @PostMapping("/{id}/password")
    String reset(
            @PathVariable long id,
            @AuthenticationPrincipal SignedIn who,
            HttpServletResponse response,
            Model model) {
        return shown(
                id,
                () -> new Given(accounts.find(id).username(), accounts.reset(id, who)),
                who,
                response,
                model);
    }

    @PostMapping("/{id}/close")
    String close(
            @PathVariable long id,
            @AuthenticationPrincipal SignedIn who,
            HttpServletResponse response,
            Model model) {
        return done(id, () -> accounts.close(id, who), who, response, model);
    }

    @PostMapping("/{id}/open")
    String open(
            @PathVariable long id,
            @AuthenticationPrincipal SignedIn who,
            HttpServletResponse response,
            Model model) {
        return done(id, () -> accounts.reopen(id, who), who, response, model);
    }

    @PostMapping("/{id}/sessions/end")
    String endSessions(
            @PathVariable long id,
            @RequestParam String key,
            @AuthenticationPrincipal SignedIn who,
            HttpServletResponse response,
            Model model) {
        return done(
                id, () -> sessions.end(accounts.find(id).username(), key), who, response, model);
    }

    private String done(
            long id, Runnable deed, SignedIn who, HttpServletResponse response, Model model) {
        try {
            deed.run();
            return BACK;
        } catch (AccountException wrong) {
            return refused(id, wrong, who, response, model);
        }
    }

    private String shown(
            long id,
            Supplier<Given> deed,
            SignedIn who,
            HttpServletResponse response,
            Model model) {
        try {
            model.addAttribute("given", deed.get());
            response.setHeader("Cache-Control", "no-store");
            return page(who, model);
        } catch (AccountException wrong) {
            return refused(id, wrong, who, response, model);
        }
    }

    /**
     * @param id of the account whose row tells it, or {@link #NEW}
     */
    private String refused(
            long id,
            AccountException wrong,
            SignedIn who,
            HttpServletResponse response,
            Model model) {
        Refusals.tell(wrong, response, model);
        model.addAttribute("errorAt", id);
        return page(who, model);
    }
}
