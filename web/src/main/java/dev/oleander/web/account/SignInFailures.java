package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;

/**
 * Somebody could not sign in: a wrong password is told, a database that is away is no wrong one.
 * Nothing of what was typed is kept.
 */
class SignInFailures implements AuthenticationFailureHandler {

    /** Passes on that nobody could find out whether a password is right. */
    static void requireKnown(AuthenticationException failure) {
        if (failure instanceof InternalAuthenticationServiceException) {
            throw failure;
        }
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request,
            HttpServletResponse response,
            AuthenticationException failure)
            throws IOException {
        requireKnown(failure);
        String why =
                failure instanceof TooManyGuessesException many
                        ? "wait=" + many.seconds()
                        : "refused";
        String to = LocalPath.checked(request.getParameter(LocalPath.NAME));
        response.sendRedirect(
                "/sign-in?%s&%s=%s"
                        .formatted(
                                why,
                                LocalPath.NAME,
                                URLEncoder.encode(to, StandardCharsets.UTF_8)));
    }
}
