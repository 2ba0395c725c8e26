package dev.oleander.web.account;

import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;

/** Who may see and do what, over forms and over the HTTP interface. */
@Configuration
class SecurityConfig {

    /** No script, style or connection from elsewhere, and none written into a page. */
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; "
                    + "img-src 'self' data:; connect-src 'self'; form-action 'self'; "
                    + "base-uri 'none'; frame-ancestors 'none'";

    private static final String[] OPEN = {
        "/sign-in",
        "/css/**",
        "/js/**",
        "/fonts/**",
        "/webjars/**",
        "/favicon*.svg",
        "/favicon.ico",
        "/actuator/health",
        "/actuator/health/**",
        "/error"
    };

    private static final String[] EDITORS = {Role.PROGRAMMER.name(), Role.LEAD.name()};

    @Bean
    PasswordEncoder passwordEncoder() {
        return new RememberingEncoder(new BCryptPasswordEncoder(), Duration.ofMinutes(2));
    }

    /** Programs: HTTP Basic, no session and so no CSRF. */
    @Bean
    @Order(1)
    SecurityFilterChain apiSecurity(HttpSecurity http, ApiSignInProblems problems)
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
                                        .requestMatchers("/api/read-back")
                                        .authenticated()
                                        .anyRequest()
                                        .hasAnyRole(EDITORS))
                .httpBasic(basic -> basic.authenticationEntryPoint(problems))
                .exceptionHandling(
                        e -> e.authenticationEntryPoint(problems).accessDeniedHandler(problems))
                .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .csrf(csrf -> csrf.disable());
        harden(http);
        return http.build();
    }

    /** People: a form and a session. */
    @Bean
    @Order(2)
    SecurityFilterChain pageSecurity(HttpSecurity http, ExpiredSignIn expired) throws Exception {
        http.authorizeHttpRequests(
                        who ->
                                who.requestMatchers(OPEN)
                                        .permitAll()
                                        .requestMatchers(HttpMethod.POST, "/sign-out", "/programs")
                                        .authenticated()
                                        .requestMatchers(HttpMethod.POST, "/**")
                                        .hasAnyRole(EDITORS)
                                        .anyRequest()
                                        .authenticated())
                .formLogin(
                        form ->
                                form.loginPage("/sign-in")
                                        .failureHandler(new SignInFailures())
                                        .defaultSuccessUrl("/"))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?left"))
                .requestCache(cache -> cache.requestCache(pagesOnly()))
                .exceptionHandling(e -> e.authenticationEntryPoint(expired));
        harden(http);
        return http.build();
    }

    /** After signing in people go where they wanted to, if that was a page and no part of one. */
    private static RequestCache pagesOnly() {
        HttpSessionRequestCache cache = new HttpSessionRequestCache();
        cache.setRequestMatcher(
                request ->
                        request.getMethod().equals("GET")
                                && request.getHeader("HX-Request") == null
                                && String.valueOf(request.getHeader("Accept"))
                                        .contains("text/html"));
        return cache;
    }

    private static void harden(HttpSecurity http) throws Exception {
        http.headers(
                headers ->
                        headers.contentSecurityPolicy(p -> p.policyDirectives(CONTENT_POLICY))
                                .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                                .permissionsPolicyHeader(
                                        p -> p.policy("camera=(), microphone=(), geolocation=()"))
                                .frameOptions(f -> f.deny()));
    }
}
