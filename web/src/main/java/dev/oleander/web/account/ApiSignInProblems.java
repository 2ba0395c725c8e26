package dev.oleander.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Says as problem details who may not call the HTTP interface, and why. */
@Component
class ApiSignInProblems implements AuthenticationEntryPoint, AccessDeniedHandler {

    private final JsonMapper json;

    ApiSignInProblems(JsonMapper json) {
        this.json = json;
    }

    @Override
    public void commence(
            HttpServletRequest request,
            HttpServletResponse response,
            AuthenticationException failure)
            throws IOException {
        SignInFailures.requireKnown(failure);
        if (failure instanceof TooManyGuessesException many) {
            response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(many.seconds()));
            write(response, HttpStatus.TOO_MANY_REQUESTS, many.getMessage());
            return;
        }
        response.addHeader("WWW-Authenticate", "Basic realm=\"Oleander\"");
        response.addHeader("WWW-Authenticate", "Bearer realm=\"Oleander\"");
        boolean token = String.valueOf(request.getHeader("Authorization")).startsWith("Bearer");
        write(
                response,
                HttpStatus.UNAUTHORIZED,
                token
                        ? "The token is unknown, revoked or past its end, or its account is closed."
                        : "Sign in with HTTP Basic, name and password of your account, or with a"
                                + " personal token as bearer.");
    }

    @Override
    public void handle(
            HttpServletRequest request, HttpServletResponse response, AccessDeniedException denied)
            throws IOException {
        write(
                response,
                HttpStatus.FORBIDDEN,
                "You may look at jobs and take programs, not do this. Ask a programmer or the"
                        + " lead, or use a token of the scope work.");
    }

    void mustChange(HttpServletResponse response) throws IOException {
        write(
                response,
                HttpStatus.FORBIDDEN,
                "Your password was chosen by somebody else. Sign in with a browser and change it first.");
    }

    private void write(HttpServletResponse response, HttpStatus status, String detail)
            throws IOException {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(json.writeValueAsString(problem));
    }
}
