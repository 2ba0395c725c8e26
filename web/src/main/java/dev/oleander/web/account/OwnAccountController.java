package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What everybody does about their own account: password, sessions, tokens. */
@Controller
@RequestMapping(OwnAccountController.PATH)
class OwnAccountController {

    static final String PATH = "/account";

    private final AccountService accounts;
    private final PersonSessions sessions;
    private final AccessTokens tokens;

    OwnAccountController(AccountService accounts, PersonSessions sessions, AccessTokens tokens) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.tokens = tokens;
    }

    @GetMapping
    String account(
            @AuthenticationPrincipal SignedIn who,
            @RequestParam(required = false) String changed,
            HttpSession session,
            Model model) {
        model.addAttribute("changed", changed != null);
        return page(who, session, model);
    }

    private String page(SignedIn who, HttpSession session, Model model) {
        model.addAttribute("who", who);
        model.addAttribute("account", accounts.find(who.id()));
        model.addAttribute("sessions", sessions.of(who.username(), session.getId()));
        model.addAttribute("tokens", tokens.of(who));
        model.addAttribute("scopes", TokenScope.values());
        return "account";
    }

    @PostMapping("/password")
    String password(
            @RequestParam String present,
            @RequestParam String password,
            @RequestParam String again,
            @AuthenticationPrincipal SignedIn who,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        HttpSession session = request.getSession();
        try {
            if (!password.equals(again)) {
                throw new AccountException("again", "The two new passwords are not the same.");
            }
            SignedIn now = accounts.changeOwn(who, present, password, session.getId());
            request.changeSessionId();
            keep(now, session);
            return "redirect:" + PATH + "?changed";
        } catch (AccountException wrong) {
            return refused(wrong, who, session, response, model);
        }
    }

    private String refused(
            AccountException wrong,
            SignedIn who,
            HttpSession session,
            HttpServletResponse response,
            Model model) {
        Refusals.tell(wrong, response, model);
        return page(who, session, model);
    }

    /** The session goes on as of somebody who need not change the password. */
    private static void keep(SignedIn now, HttpSession session) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(now, null, now.authorities()));
        SecurityContextHolder.setContext(context);
        session.setAttribute(
                HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY, context);
    }

    /** Ends one of one's own sessions; all others without a key. */
    @PostMapping("/sessions/end")
    String end(
            @RequestParam(defaultValue = "") String key,
            @AuthenticationPrincipal SignedIn who,
            HttpSession session) {
        if (key.isEmpty()) {
            sessions.endOthers(who.username(), session.getId());
        } else {
            sessions.end(who.username(), key);
        }
        return "redirect:" + PATH + "#sessions";
    }

    @PostMapping("/tokens")
    String make(
            @RequestParam String name,
            @RequestParam String scope,
            @RequestParam int days,
            @AuthenticationPrincipal SignedIn who,
            HttpSession session,
            HttpServletResponse response,
            Model model) {
        try {
            // shown in the answer itself: a redirect would have to keep it
            model.addAttribute("made", tokens.make(name, scope, days, who));
            response.setHeader("Cache-Control", "no-store");
            return page(who, session, model);
        } catch (AccountException wrong) {
            return refused(wrong, who, session, response, model);
        }
    }

    @PostMapping("/tokens/revoke")
    String revoke(
            @RequestParam long token,
            @AuthenticationPrincipal SignedIn who,
            HttpSession session,
            HttpServletResponse response,
            Model model) {
        try {
            tokens.revoke(token, who);
            return "redirect:" + PATH + "#tokens";
        } catch (AccountException wrong) {
            return refused(wrong, who, session, response, model);
        }
    }
}
