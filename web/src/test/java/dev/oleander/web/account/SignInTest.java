package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import dev.oleander.web.OleanderSettings;
import dev.oleander.web.WebTest;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Instant;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.springframework.security.core.userdetails.UsernameNotFoundException;

class SignInTest extends WebTest {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return http.send(request(path).GET().build(), BodyHandlers.ofString());
    }

    private HttpResponse<String> post(String path, String form)
            throws IOException, InterruptedException {
        HttpRequest request =
                request(path)
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(form))
                        .build();
        return http.send(request, BodyHandlers.ofString());
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    }

    private String signIn(String user) throws IOException, InterruptedException {
        String token = token(get("/sign-in").body());
        post("/sign-in", "username=%s&password=slipway-%s&_csrf=%s".formatted(user, user, token));
        return token(get("/").body());
    }

    private static String token(String page) {
        Matcher found = TOKEN.matcher(page);
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    @Test
    void pagesNeedASignIn() throws IOException, InterruptedException {
        HttpResponse<String> board = get("/");
        assertThat(board.statusCode()).isEqualTo(302);
        assertThat(board.headers().firstValue("Location").orElseThrow()).endsWith("/sign-in");
        HttpResponse<String> fragment =
                http.send(
                        request("/jobs/1/cuts/slip").header("HX-Request", "true").GET().build(),
                        BodyHandlers.ofString());
        assertThat(fragment.statusCode()).isEqualTo(401);
        assertThat(fragment.headers().firstValue("HX-Redirect")).contains("/sign-in");
    }

    @Test
    void everyPageHasAStrictPolicyAndNoInlineScript() throws IOException, InterruptedException {
        signIn("mira");
        for (String path :
                new String[] {"/", "/jobs/1/shape", "/jobs/1/cuts", "/machines/teasel"}) {
            HttpResponse<String> page = get(path);
            assertThat(page.statusCode()).isEqualTo(200);
            assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
                    .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                    .doesNotContain("unsafe");
            assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
            assertThat(page.headers().firstValue("Referrer-Policy")).isPresent();
            assertThat(page.body())
                    .doesNotContainPattern("<script(?![^>]*src=)")
                    .doesNotContainPattern("\\son[a-z]+=\"")
                    .doesNotContainPattern("\\sstyle=\"");
        }
    }

    @Test
    void changesNeedTheTokenAndTheRole() throws IOException, InterruptedException {
        signIn("mira");
        assertThat(post("/jobs/1/cuts/undo", "").statusCode()).isEqualTo(403);
        String token = signIn("tove");
        assertThat(post("/jobs/1/cuts/undo", "_csrf=" + token).statusCode()).isEqualTo(403);
        assertThat(get("/jobs/1/release").statusCode()).isEqualTo(200);
    }

    @Test
    void addressesThatLeadNowhereSaySo() throws IOException, InterruptedException {
        signIn("mira");
        assertThat(get("/jobs/999999/cuts").statusCode()).isEqualTo(404);
        assertThat(get("/jobs/999999/cuts").body()).contains("There is no job 999999.");
        assertThat(get("/jobs/1/kitchen").body()).contains("There is no stage");
        assertThat(get("/jobs/one/cuts").statusCode()).isEqualTo(400);
        assertThat(get("/no/such/page").statusCode()).isEqualTo(404);
    }

    @Test
    void demoAccountsSignInOnlyInDemoMode() {
        AccountRepository accounts = mock(AccountRepository.class);
        Account demo =
                new Account("mira", "Mira", "x", Role.PROGRAMMER, true, Instant.EPOCH) {
                    @Override
                    public Long id() {
                        return 1L;
                    }
                };
        when(accounts.findByUsername("mira")).thenReturn(Optional.of(demo));
        assertThat(details(accounts, true).loadUserByUsername("mira").role())
                .isEqualTo(Role.PROGRAMMER);
        Assertions.assertThatThrownBy(() -> details(accounts, false).loadUserByUsername("mira"))
                .isInstanceOf(UsernameNotFoundException.class);
    }

    private static AccountDetailsService details(AccountRepository accounts, boolean demo) {
        return new AccountDetailsService(accounts, new OleanderSettings(demo, "", 10));
    }
}
