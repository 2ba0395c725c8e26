package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import dev.oleander.web.OleanderSettings;
import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import dev.oleander.web.asset.WebJars;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.Mockito;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.util.unit.DataSize;

class SignInTest extends WebTest {

    @Autowired private WebJars webJars;
    private PageClient pages;

    @BeforeEach
    void open() {
        pages = new PageClient(port);
    }

    @Test
    void pagesNeedASignIn() {
        HttpResponse<String> board = pages.get("/");
        assertThat(board.statusCode()).isEqualTo(302);
        assertThat(board.headers().firstValue("Location").orElseThrow()).endsWith("/sign-in");
        assertThat(pages.get("/recipes?a=b&c").headers().firstValue("Location").orElseThrow())
                .endsWith("/sign-in?to=%2Frecipes%3Fa%3Db%26c");
        HttpResponse<String> fragment = pages.fragment("/jobs/1/cuts/slip");
        assertThat(fragment.statusCode()).isEqualTo(401);
        assertThat(fragment.headers().firstValue("HX-Redirect")).contains("/sign-in");
    }

    @Test
    void theSignInPageShowsTheDemoAccounts() {
        String page = pages.get("/sign-in").body();
        FirstAccounts.DEMO.forEach(a -> assertThat(page).contains(a.username(), a.password()));
        assertThat(pages.get("/sign-in?refused").body()).contains("is not right");
        assertThat(pages.get("/sign-in?left").body()).contains("signed out");
    }

    @Test
    void everyPageHasAStrictPolicyAndNothingInline() {
        pages.signedIn("mira");
        for (String path :
                new String[] {
                    "/",
                    "/jobs/1/shape",
                    "/jobs/1/cuts",
                    "/jobs/1/sheet",
                    "/jobs/1/proof",
                    "/jobs/1/release",
                    "/machines/teasel"
                }) {
            HttpResponse<String> page = pages.get(path);
            assertThat(page.statusCode()).isEqualTo(200);
            assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
                    .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                    .doesNotContain("unsafe");
            assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
            assertThat(page.headers().firstValue("X-Frame-Options")).contains("DENY");
            assertThat(page.headers().firstValue("Referrer-Policy")).isPresent();
            assertThat(page.body().replace(importMap(), ""))
                    .doesNotContainPattern("<script(?![^>]*src=)")
                    .doesNotContainPattern("\\son[a-z]+=\"")
                    .doesNotContainPattern("\\sstyle=\"");
        }
    }

    /** The one thing that must stand in the page itself, known to the policy by its hash. */
    private String importMap() {
        return "<script type=\"importmap\">" + webJars.importMap() + "</script>";
    }

    @Test
    void nothingIsFetchedFromElsewhere() {
        pages.signedIn("mira");
        String page = pages.get("/jobs/1/cuts").body();
        assertThat(page).doesNotContainPattern("(src|href)=\"(https?:)?//");
        assertThat(pages.get("/css/oleander.css").body()).doesNotContainPattern("url\\(\"?https?:");
    }

    @Test
    void changesNeedTheTokenAndTheRole() {
        pages.signedIn("mira");
        assertThat(pages.postWithoutToken("/jobs/1/cuts/undo", Map.of()).statusCode())
                .isEqualTo(403);
        PageClient tove = new PageClient(port).signedIn("tove");
        HttpResponse<String> refused = tove.post("/jobs/1/cuts/undo", Map.of());
        assertThat(refused.statusCode()).isEqualTo(403);
        assertThat(refused.body()).contains("Your role may not do this");
        assertThat(tove.get("/jobs/1/release").statusCode()).isEqualTo(200);
    }

    @Test
    void signingOutEndsTheSession() {
        pages.signedIn("anselm");
        assertThat(pages.get("/").statusCode()).isEqualTo(200);
        pages.post("/sign-out", Map.of());
        assertThat(pages.get("/").statusCode()).isEqualTo(302);
    }

    @Test
    void addressesThatLeadNowhereSaySo() {
        pages.signedIn("mira");
        assertThat(pages.get("/jobs/999999/cuts").statusCode()).isEqualTo(404);
        assertThat(pages.get("/jobs/999999/cuts").body()).contains("There is no job 999999.");
        assertThat(pages.get("/jobs/1/kitchen").body()).contains("There is no stage");
        assertThat(pages.get("/jobs/one/cuts").statusCode()).isEqualTo(400);
        assertThat(pages.get("/machines/thistle").statusCode()).isEqualTo(404);
        HttpResponse<String> nowhere = pages.get("/no/such/page");
        assertThat(nowhere.statusCode()).isEqualTo(404);
        assertThat(nowhere.body()).contains("Nothing here", "To the board");
    }

    @Test
    void demoAccountsSignInOnlyInDemoMode() {
        AccountRepository accounts = mock(AccountRepository.class);
        when(accounts.findByUsername("mira")).thenReturn(Optional.of(demoAccount()));
        assertThat(details(accounts, true).find("mira").who().role()).isEqualTo(Role.PROGRAMMER);
        assertThatThrownBy(() -> details(accounts, false).find("mira"))
                .isInstanceOf(UsernameNotFoundException.class);
    }

    private static Account demoAccount() {
        return new Account("mira", "Mira Rosvold", "x", Role.PROGRAMMER, true, Instant.EPOCH) {
            @Override
            public Long id() {
                return 1L;
            }
        };
    }

    private static SignInAccounts details(AccountRepository accounts, boolean demo) {
        return new SignInAccounts(accounts, settings(demo, ""));
    }

    @Test
    void outsideTheDemoOneLeadIsMadeWithTheGivenPassword() {
        AccountRepository accounts = mock(AccountRepository.class);
        when(accounts.save(Mockito.any())).thenAnswer(call -> call.getArgument(0));
        BCryptPasswordEncoder encoder = new BCryptPasswordEncoder(4);
        OleanderSettings settings = settings(false, "first-secret");
        new FirstAccounts(
                        accounts, encoder, settings, mock(PersonSessions.class), Clock.systemUTC())
                .makeIfNone();
        ArgumentCaptor<Account> made = ArgumentCaptor.forClass(Account.class);
        Mockito.verify(accounts).save(made.capture());
        assertThat(made.getValue().mustChange()).isTrue();
        assertThat(made.getValue().role()).isEqualTo(Role.LEAD);
        assertThat(made.getValue().isDemo()).isFalse();
        assertThat(encoder.matches("first-secret", made.getValue().passwordHash())).isTrue();
    }

    @Test
    void noAccountIsMadeWithoutAPasswordOrBesideOthers() {
        AccountRepository accounts = mock(AccountRepository.class);
        BCryptPasswordEncoder encoder = new BCryptPasswordEncoder(4);
        new FirstAccounts(
                        accounts,
                        encoder,
                        settings(false, ""),
                        mock(PersonSessions.class),
                        Clock.systemUTC())
                .makeIfNone();
        when(accounts.existsByDemo(true)).thenReturn(true);
        new FirstAccounts(
                        accounts,
                        encoder,
                        settings(true, ""),
                        mock(PersonSessions.class),
                        Clock.systemUTC())
                .makeIfNone();
        Mockito.verify(accounts, Mockito.never()).save(Mockito.any());
    }

    @Test
    void initialsAreThoseOfTwoNames() {
        assertThat(demoAccount().initials()).isEqualTo("MR");
        assertThat(Role.OPERATOR.edits()).isFalse();
        assertThat(Role.LEAD.edits()).isTrue();
    }

    @Test
    void headIsAllowedWhereGetIs() {
        long job = makeJob("cleat_backing_plate", "Heads", 1);
        for (String user : new String[] {"mira", "tove"}) {
            ApiClient.Answer head = new ApiClient(port, user).send("HEAD", "/api/jobs/" + job, "");
            assertThat(head.status()).as(user).isEqualTo(200);
        }
        assertThat(new ApiClient(port, null).send("HEAD", "/api/jobs/" + job, "").status())
                .isEqualTo(401);
    }

    @Test
    void redirectsDoNotRepeatTheHostOfTheRequest() throws Exception {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            socket.getOutputStream()
                    .write(
                            "GET / HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"
                                    .getBytes(StandardCharsets.US_ASCII));
            String answer =
                    new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 302").doesNotContain("elsewhere.example");
        }
    }

    private static OleanderSettings settings(boolean demo, String firstPassword) {
        return new OleanderSettings(
                demo,
                firstPassword,
                10,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                1500,
                DataSize.ofMegabytes(2),
                Duration.ofDays(1),
                "");
    }
}
