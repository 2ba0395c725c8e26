package dev.oleander.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Round everything, sessions and sign-in too: who waited in vain for a connection or a lock is told
 * to come again.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BusyFilter extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | RuntimeException failed) {
            if (!Busy.isCauseOf(failed)) {
                throw failed;
            }
            logger.warn("busy: " + request.getMethod() + " " + request.getRequestURI());
            Busy.answer(request, response);
        }
    }
}
