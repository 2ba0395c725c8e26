package dev.oleander.web.page;

import dev.oleander.web.load.EarlyAnswer;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses control characters in what forms and addresses send: nothing keeps them, and databases
 * and paper stumble over them. Line breaks and tabs are text.
 */
@Component
class PlainTextFilter extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> field = wrongField(request.getParameterMap());
        if (field.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        EarlyAnswer.write(
                request,
                response,
                HttpServletResponse.SC_BAD_REQUEST,
                "%s has a control character in it; it must be text.".formatted(field.get()));
    }

    private static Optional<String> wrongField(Map<String, String[]> fields) {
        for (Map.Entry<String, String[]> field : fields.entrySet()) {
            if (PlainText.isWrong(field.getKey())) {
                return Optional.of("A name of a field");
            }
            for (String value : field.getValue()) {
                if (PlainText.isWrong(value)) {
                    return Optional.of(field.getKey());
                }
            }
        }
        return Optional.empty();
    }
}
