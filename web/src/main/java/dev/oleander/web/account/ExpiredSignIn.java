package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.stereotype.Component;

/** Sends people to the sign-in page; a fragment request makes the whole page go there. */
@Component
class ExpiredSignIn implements AuthenticationEntryPoint {

    private static final String SIGN_IN = "/sign-in";

    @Override
    public void commence(
            HttpServletRequest request,
            HttpServletResponse response,
            AuthenticationException failure)
            throws IOException {
        if (request.getHeader("HX-Request") != null) {
            response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
            response.setHeader("HX-Redirect", SIGN_IN);
        } else {
            response.sendRedirect(SIGN_IN);
        }
    }
}
