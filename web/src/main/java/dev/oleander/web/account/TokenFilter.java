package dev.oleander.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.web.filter.OncePerRequestFilter;

/** Signs programs in by a personal token as bearer (RFC 6750). */
final class TokenFilter extends OncePerRequestFilter {

    private static final String BEARER = "Bearer ";
    private static final int LONGEST = 200;

    private final AccessTokens tokens;
    private final GuessGuard guard;
    private final AuthenticationEntryPoint problems;

    TokenFilter(AccessTokens tokens, GuessGuard guard, AuthenticationEntryPoint problems) {
        this.tokens = tokens;
        this.guard = guard;
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader("Authorization");
        if (header == null || !header.regionMatches(true, 0, BEARER, 0, BEARER.length())) {
            chain.doFilter(request, response);
            return;
        }
        String secret = header.substring(BEARER.length()).strip();
        String address = request.getRemoteAddr();
        Duration wait = guard.wait(BEARER, address);
        if (!wait.isZero()) {
            problems.commence(request, response, new TooManyGuessesException(wait));
            return;
        }
        Optional<SignedIn> owner =
                secret.length() > LONGEST ? Optional.empty() : tokens.owner(secret);
        if (owner.isEmpty()) {
            guard.wrong(BEARER, address);
            problems.commence(request, response, new BadCredentialsException("token"));
            return;
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(
                        owner.get(), null, owner.get().authorities()));
        SecurityContextHolder.setContext(context);
        chain.doFilter(request, response);
    }
}
