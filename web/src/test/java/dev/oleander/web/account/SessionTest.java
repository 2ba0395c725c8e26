package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockHttpSession;

/** A session begins when somebody has signed in, and holds no secret. */
class SessionTest extends WebTest {

    @Autowired private JdbcTemplate sql;

    private int sessions() {
        return sql.queryForObject("select count(*) from spring_session", Integer.class);
    }

    @Test
    void nobodyWhoHasNotSignedInHasASession() {
        int before = sessions();
        PageClient pages = new PageClient(port);
        pages.get("/");
        pages.get("/jobs/1/cuts?stop=c1.1");
        pages.get("/sign-in");
        pages.postWithoutToken("/jobs", Map.of("a", "b".repeat(10_000)));
        pages.postWithoutToken("/sign-in", Map.of("username", "mira", "password", "x"));
        pages.signIn("nobody", "nothing-of-it-is-kept");
        assertThat(sessions()).isEqualTo(before);
    }

    @Test
    void aSessionHoldsNeitherPasswordNorHash() {
        PageClient pages = new PageClient(port);
        pages.signIn("mira", "a wrong one that is typed");
        pages.signedIn("mira");
        List<byte[]> all =
                sql.queryForList(
                        "select attribute_bytes from spring_session_attributes", byte[].class);
        assertThat(all).isNotEmpty();
        for (byte[] bytes : all) {
            assertThat(new String(bytes, StandardCharsets.ISO_8859_1))
                    .doesNotContain("slipway", "wrong one", "$2a$");
        }
    }

    @Test
    void signingInGivesAnotherSession() {
        PageClient pages = new PageClient(port).signedIn("mira");
        String first = pages.cookie("oleander");
        pages.signedIn("mira");
        assertThat(pages.cookie("oleander")).isNotEqualTo(first);
    }

    @Test
    void oneIsLedWhereOneWantedToGoAndNowhereElse() {
        for (String[] way :
                new String[][] {
                    {"/jobs/1/cuts?stop=c1.1", "/jobs/1/cuts?stop=c1.1"},
                    {"//elsewhere.example/x", "/"},
                    {"/\\elsewhere.example", "/"},
                    {"https://elsewhere.example", "/"},
                    {"/a\r\nSet-Cookie: x=y", "/"},
                    {"", "/"}
                }) {
            assertThat(LocalPath.checked(way[0])).isEqualTo(way[1]);
        }
        PageClient pages = new PageClient(port);
        assertThat(
                        pages.signIn("mira", "slipway-mira", "/recipes")
                                .headers()
                                .firstValue("Location"))
                .contains("/recipes");
        assertThat(
                        new PageClient(port)
                                .signIn("mira", "slipway-mira", "//elsewhere.example")
                                .headers()
                                .firstValue("Location"))
                .contains("/");
    }

    @Test
    void aSessionEndsSomeTimeAfterItBegan() throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/");
        MockHttpSession session = new MockHttpSession();
        request.setSession(session);
        Clock later = Clock.offset(Clock.systemUTC(), Duration.ofHours(17));
        new SessionLimits(Duration.ofHours(18), later)
                .doFilter(request, new MockHttpServletResponse(), new MockFilterChain());
        assertThat(session.isInvalid()).isFalse();
        new SessionLimits(Duration.ofHours(16), later)
                .doFilter(request, new MockHttpServletResponse(), new MockFilterChain());
        assertThat(session.isInvalid()).isTrue();
    }

    @Test
    void whenASessionWasUsedIsWrittenFromTimeToTime() {
        PageClient pages = new PageClient(port).signedIn("mira");
        pages.get("/");
        long[] first = newest();
        pages.get("/");
        assertThat(newest()).containsExactly(first);
        sql.update(
                "update spring_session set last_access_time = last_access_time - 40000,"
                        + " expiry_time = expiry_time - 40000 where creation_time = ?",
                first[2]);
        pages.get("/");
        long[] later = newest();
        assertThat(later[0]).isGreaterThanOrEqualTo(first[0]);
        assertThat(later[1] - later[0]).as("4 h").isEqualTo(Duration.ofHours(4).toMillis());
        sql.update(
                "update spring_session set last_access_time = 0 where creation_time = ?", first[2]);
        assertThat(pages.get("/").headers().firstValue("Location").orElse("")).contains("/sign-in");
    }

    /** Of the session that began last: when it was used, expires, began; ms. */
    private long[] newest() {
        return sql.queryForObject(
                "select last_access_time, expiry_time, creation_time from spring_session"
                        + " order by creation_time desc limit 1",
                (row, n) -> new long[] {row.getLong(1), row.getLong(2), row.getLong(3)});
    }

    @Test
    void cookiesAreForTlsOnlyBehindTls() {
        PageClient plain = new PageClient(port);
        assertThat(plain.signInAs("mira").headers().allValues("Set-Cookie"))
                .anyMatch(c -> c.startsWith("oleander=") && !c.contains("Secure"))
                .allMatch(c -> c.contains("HttpOnly"));
        PageClient tls = new PageClient(port).with("X-Forwarded-Proto", "https");
        assertThat(tls.get("/sign-in").headers().allValues("Set-Cookie"))
                .anyMatch(c -> c.startsWith("oleander-form=") && c.contains("Secure"));
    }

    @Test
    void whoGuessesHasToWait() {
        PageClient pages = new PageClient(port).with("X-Forwarded-For", "203.0.113.9");
        for (int i = 0; i < 5; i++) {
            assertThat(pages.signIn("tove", "guess " + i).headers().firstValue("Location").get())
                    .startsWith("/sign-in?refused");
        }
        String waits = pages.signIn("tove", "slipway-tove").headers().firstValue("Location").get();
        assertThat(waits).startsWith("/sign-in?wait=");
        assertThat(pages.get(waits).body()).contains("Too many wrong passwords. Try again in ");
        assertThat(new PageClient(port).signInAs("tove").headers().firstValue("Location"))
                .contains("/");
        String trail = new PageClient(port).signedIn("anselm").get("/trail?kind=sign+in").body();
        assertThat(trail).contains("Wrong password for &quot;tove&quot;", "203.0.113.9");
        ApiClient api = new ApiClient(port, "nobody-at-all", "x");
        for (int i = 0; i < 5; i++) {
            assertThat(api.get("/api/jobs").status()).isEqualTo(401);
        }
        ApiClient.Answer many = api.get("/api/jobs");
        assertThat(many.status()).isEqualTo(429);
        assertThat(many.header("Retry-After")).isNotEmpty();
    }
}
