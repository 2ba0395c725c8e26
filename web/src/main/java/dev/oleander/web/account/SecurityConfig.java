package dev.oleander.web.account;

import dev.oleander.web.OleanderSettings;
import dev.oleander.web.asset.WebJars;
import jakarta.servlet.DispatcherType;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.www.BasicAuthenticationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.NullRequestCache;

/** Who may see and do what, over forms and over the HTTP interface. */
@Configuration
class SecurityConfig {

    /**
     * No script, style or connection from elsewhere, and none written into a page but the map of
     * imports.
     */
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self' '%s'; style-src 'self'; font-src 'self'; "
                    + "img-src 'self' data:; connect-src 'self'; form-action 'self'; "
                    + "base-uri 'none'; frame-ancestors 'none'";

    /** Begins of the addresses of files that pages are made of. */
    private static final List<String> FILES =
            List.of("/css/", "/js/", "/fonts/", "/webjars/", "/favicon");

    private static final String[] OPEN = {
        "/sign-in",
        "/css/**",
        "/js/**",
        "/fonts/**",
        "/webjars/**",
        "/favicon*.svg",
        "/favicon.ico",
        "/actuator/health",
        "/actuator/health/**"
    };

    /** What keeps the shop right: its people, its data, its formats. */
    private static final String[] LEADS = {"/accounts/**", "/trail/**", "/seals/**"};

    private static final String[] LEADS_TO_CHANGE = {"/machines/**", "/formats/**"};

    /** What everybody may send. */
    private static final String[] OWN = {
        "/sign-out", "/programs", "/account/**", "/products/*/ticks"
    };

    private static final String LEAD = Role.LEAD.name();
    private static final String[] EDITORS = {Role.PROGRAMMER.name(), LEAD};

    private final WebJars webJars;

    SecurityConfig(WebJars webJars) {
        this.webJars = webJars;
    }

    static boolean isFile(String path) {
        return FILES.stream().anyMatch(path::startsWith);
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return new RememberingEncoder(new BCryptPasswordEncoder(), Duration.ofMinutes(2));
    }

    /** Programs: HTTP Basic or a personal token, no session and so no CSRF. */
    @Bean
    @Order(1)
    SecurityFilterChain apiSecurity(
            HttpSecurity http, ApiSignInProblems problems, AccessTokens tokens, GuessGuard guard)
            throws Exception {
        http.securityMatcher("/api/**")
                .authorizeHttpRequests(
                        who ->
                                who.requestMatchers("/api/openapi.json")
                                        .permitAll()
                                        .requestMatchers(HttpMethod.GET, "/api/**")
                                        .authenticated()
                                        .requestMatchers(HttpMethod.HEAD, "/api/**")
                                        .authenticated()
                                        .requestMatchers("/api/read-back", "/api/tokens/**")
                                        .authenticated()
                                        .requestMatchers("/api/machines/*/rules")
                                        .hasRole(LEAD)
                                        .anyRequest()
                                        .hasAnyRole(EDITORS))
                .httpBasic(basic -> basic.authenticationEntryPoint(problems))
                .addFilterBefore(
                        new TokenFilter(tokens, guard, problems), BasicAuthenticationFilter.class)
                .addFilterBefore(new OwnPasswordFirst(problems), AuthorizationFilter.class)
                .exceptionHandling(
                        e -> e.authenticationEntryPoint(problems).accessDeniedHandler(problems))
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(csrf -> csrf.disable());
        harden(http);
        return http.build();
    }

    /** People: a form, and a session that begins when they have signed in. */
    @Bean
    @Order(2)
    SecurityFilterChain pageSecurity(
            HttpSecurity http,
            ExpiredSignIn expired,
            SignInSuccesses signedIn,
            ApiSignInProblems problems,
            OleanderSettings settings,
            Clock clock)
            throws Exception {
        http.authorizeHttpRequests(
                        who ->
                                who.dispatcherTypeMatchers(DispatcherType.ERROR)
                                        .permitAll()
                                        // the page of an error is shown for errors only
                                        .requestMatchers("/error")
                                        .denyAll()
                                        .requestMatchers(OPEN)
                                        .permitAll()
                                        .requestMatchers(LEADS)
                                        .hasRole(LEAD)
                                        .requestMatchers(HttpMethod.POST, OWN)
                                        .authenticated()
                                        .requestMatchers(HttpMethod.POST, LEADS_TO_CHANGE)
                                        .hasRole(LEAD)
                                        .requestMatchers(HttpMethod.POST, "/**")
                                        .hasAnyRole(EDITORS)
                                        .anyRequest()
                                        .authenticated())
                .formLogin(
                        form ->
                                form.loginPage("/sign-in")
                                        .failureHandler(new SignInFailures())
                                        .successHandler(signedIn))
                .logout(
                        out ->
                                out.logoutUrl("/sign-out")
                                        .deleteCookies("oleander")
                                        .logoutSuccessUrl("/sign-in?left"))
                .requestCache(cache -> cache.requestCache(new NullRequestCache()))
                .csrf(csrf -> csrf.csrfTokenRepository(formTokens()))
                .addFilterBefore(
                        new SessionLimits(settings.longestSession(), clock),
                        SecurityContextHolderFilter.class)
                .addFilterBefore(new OwnPasswordFirst(problems), AuthorizationFilter.class)
                .exceptionHandling(e -> e.authenticationEntryPoint(expired));
        harden(http);
        return http.build();
    }

    /** In a cookie, so that somebody who only looks at the sign-in page needs no session. */
    private static CookieCsrfTokenRepository formTokens() {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName("oleander-form");
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
        return tokens;
    }

    private void harden(HttpSecurity http) throws Exception {
        http.headers(
                headers ->
                        headers.contentSecurityPolicy(
                                        p ->
                                                p.policyDirectives(
                                                        CONTENT_POLICY.formatted(
                                                                webJars.importMapHash())))
                                .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                                .permissionsPolicyHeader(
                                        p -> p.policy("camera=(), microphone=(), geolocation=()"))
                                .frameOptions(f -> f.deny()));
    }
}
