package dev.oleander.web.account;

import dev.oleander.web.trail.Trail;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Somebody signed in: it is written down, and leads to where the person wanted to go. */
@Component
class SignInSuccesses implements AuthenticationSuccessHandler {

    private final AccountRepository accounts;
    private final TransactionTemplate transaction;
    private final Trail trail;
    private final Clock clock;

    SignInSuccesses(
            AccountRepository accounts, TransactionTemplate transaction, Trail trail, Clock clock) {
        this.accounts = accounts;
        this.transaction = transaction;
        this.trail = trail;
        this.clock = clock;
    }

    @Override
    public void onAuthenticationSuccess(
            HttpServletRequest request, HttpServletResponse response, Authentication made)
            throws IOException {
        SignedIn who = (SignedIn) made.getPrincipal();
        request.getSession().setAttribute(PersonSessions.FROM, from(request));
        transaction.executeWithoutResult(
                status -> accounts.findById(who.id()).ifPresent(a -> a.signedIn(clock.instant())));
        trail.write(who.id(), Trail.Kind.SIGN_IN, "Signed in", request.getRemoteAddr());
        response.sendRedirect(LocalPath.checked(request.getParameter(LocalPath.NAME)));
    }

    private static String from(HttpServletRequest request) {
        return "%s, %s"
                .formatted(
                        request.getRemoteAddr(), Browsers.named(request.getHeader("User-Agent")));
    }
}
