package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.stereotype.Component;

/**
 * Sends people to the sign-in page, which then leads to where they wanted to go; a fragment request
 * makes the whole page go there. Nothing is kept of somebody who has not signed in.
 */
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
            return;
        }
        String wanted = LocalPath.of(request);
        response.sendRedirect(
                wanted.equals("/")
                        ? SIGN_IN
                        : "%s?%s=%s"
                                .formatted(
                                        SIGN_IN,
                                        LocalPath.NAME,
                                        URLEncoder.encode(wanted, StandardCharsets.UTF_8)));
    }
}
