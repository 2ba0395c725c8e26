package dev.oleander.web.account;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.SimpleUrlAuthenticationFailureHandler;

/**
 * Somebody could not sign in: a wrong password is told, a database that is away is no wrong one.
 */
class SignInFailures extends SimpleUrlAuthenticationFailureHandler {

    SignInFailures() {
        super("/sign-in?refused");
    }

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
            throws IOException, ServletException {
        requireKnown(failure);
        super.onAuthenticationFailure(request, response, failure);
    }
}
