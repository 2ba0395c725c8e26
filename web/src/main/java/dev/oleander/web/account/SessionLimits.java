package dev.oleander.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** A session ends some time after it began, however busy it is. */
final class SessionLimits extends OncePerRequestFilter {

    private final Duration longest;
    private final Clock clock;

    SessionLimits(Duration longest, Clock clock) {
        this.longest = longest;
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null && isOver(session)) {
            session.invalidate();
            SecurityContextHolder.clearContext();
        }
        chain.doFilter(request, response);
    }

    private boolean isOver(HttpSession session) {
        Instant began = Instant.ofEpochMilli(session.getCreationTime());
        return clock.instant().isAfter(began.plus(longest));
    }
}
