package dev.oleander.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Somebody whose password another person chose comes to no page but the one where it is changed,
 * and makes no calls.
 */
final class OwnPasswordFirst extends OncePerRequestFilter {

    private final ApiSignInProblems problems;

    OwnPasswordFirst(ApiSignInProblems problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getRequestURI();
        if (!mustChange() || isOpen(path)) {
            chain.doFilter(request, response);
        } else if (path.startsWith("/api/")) {
            problems.mustChange(response);
        } else if (request.getHeader("HX-Request") != null) {
            response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
            response.setHeader("HX-Redirect", OwnAccountController.PATH);
        } else {
            response.sendRedirect(OwnAccountController.PATH);
        }
    }

    private static boolean mustChange() {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        return now != null && now.getPrincipal() instanceof SignedIn who && who.mustChange();
    }

    private static boolean isOpen(String path) {
        return path.equals(OwnAccountController.PATH)
                || path.equals(OwnAccountController.PATH + "/password")
                || path.equals("/sign-out")
                || SecurityConfig.isFile(path);
    }
}
