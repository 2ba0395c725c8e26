package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.api.ApiClient;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** People, their passwords, sessions and rights, as the lead and they themselves keep them. */
class AccountsTest extends WebTest {

    private static final Pattern SECRET = Pattern.compile("id=\"secret\">([^<]+)<");
    private static final String OWN = "seven small boats";

    @Autowired private AccountRepository accounts;
    private PageClient anselm;
    private final String name = "p" + UUID.randomUUID().toString().substring(0, 8);

    @BeforeEach
    void lead() {
        anselm = new PageClient(port).signedIn("anselm");
    }

    private static String secret(HttpResponse<String> page) {
        Matcher found = SECRET.matcher(page.body());
        assertThat(found.find()).as(page.body()).isTrue();
        return found.group(1);
    }

    private String make(Role role) {
        HttpResponse<String> made =
                anselm.post(
                        "/accounts",
                        Map.of("username", name, "fullName", "Runa Vik", "role", role.name()));
        assertThat(made.statusCode()).isEqualTo(200);
        assertThat(made.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        return secret(made);
    }

    private long id() {
        return accounts.findByUsername(name).orElseThrow().id();
    }

    /** Signs in with a given password and chooses an own one. */
    private PageClient settled(String given) {
        PageClient pages = new PageClient(port);
        pages.signIn(name, given);
        assertThat(pages.get("/").headers().firstValue("Location")).contains("/account");
        HttpResponse<String> changed =
                pages.post(
                        "/account/password",
                        Map.of("present", given, "password", OWN, "again", OWN));
        assertThat(changed.statusCode()).as(changed.body()).isEqualTo(302);
        pages.takeToken("/");
        return pages;
    }

    @Test
    void somebodyNewChoosesAPasswordBeforeAnythingElse() {
        String given = make(Role.PROGRAMMER);
        assertThat(new ApiClient(port, name, given).get("/api/jobs").status()).isEqualTo(403);
        PageClient pages = settled(given);
        assertThat(pages.get("/").statusCode()).isEqualTo(200);
        assertThat(new ApiClient(port, name, OWN).get("/api/jobs").status()).isEqualTo(200);
        assertThat(new ApiClient(port, name, given).get("/api/jobs").status()).isEqualTo(401);
        assertThat(anselm.get("/trail?text=" + name).body())
                .contains("Account of Runa Vik (%s) made, programmer".formatted(name))
                .doesNotContain(given);
    }

    @Test
    void wrongNewPasswordsAreToldInPlace() {
        PageClient pages = new PageClient(port);
        String given = make(Role.OPERATOR);
        pages.signIn(name, given);
        pages.takeToken("/account");
        for (String[] wrong :
                new String[][] {
                    {"nonsense", OWN, OWN, "present password is not right"},
                    {given, "short", "short", "at least 10 characters; this one has 5"},
                    {given, OWN, OWN + "x", "are not the same"},
                    {given, name + " boats", name + " boats", "does not hold the name"},
                    {given, "aaaaaaaaaaaa", "aaaaaaaaaaaa", "repeats few characters"},
                    {given, "ab".repeat(10) + "cdefghij".repeat(8), null, "at most 72 bytes"},
                    {given, given, given, "is the present one"},
                }) {
            String again = wrong[2] == null ? wrong[1] : wrong[2];
            HttpResponse<String> answer =
                    pages.post(
                            "/account/password",
                            Map.of("present", wrong[0], "password", wrong[1], "again", again));
            assertThat(answer.statusCode()).as(wrong[3]).isEqualTo(422);
            assertThat(answer.body()).contains(wrong[3]);
        }
    }

    @Test
    void anotherRoleEndsTheSessionsAndClosingEndsEverything() {
        PageClient pages = settled(make(Role.PROGRAMMER));
        anselm.post("/accounts/" + id(), Map.of("fullName", "Runa Berg", "role", "OPERATOR"));
        assertThat(pages.get("/").statusCode()).isEqualTo(302);
        PageClient again = new PageClient(port);
        again.signIn(name, OWN);
        assertThat(again.get("/").body()).contains("Runa Berg", "operator");
        String token = token(new ApiClient(port, name, OWN), "read");
        anselm.post("/accounts/%d/close".formatted(id()), Map.of());
        assertThat(again.get("/").statusCode()).isEqualTo(302);
        assertThat(new ApiClient(port, name, OWN).get("/api/jobs").status()).isEqualTo(401);
        assertThat(ApiClient.withToken(port, token).get("/api/jobs").status()).isEqualTo(401);
        anselm.post("/accounts/%d/open".formatted(id()), Map.of());
        assertThat(new ApiClient(port, name, OWN).get("/api/jobs").status()).isEqualTo(200);
    }

    private static String token(ApiClient api, String scope) {
        ApiClient.Answer made =
                api.post("/api/tokens", "{\"name\": \"cell\", \"scope\": \"%s\"}".formatted(scope));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("secret").asString();
    }

    @Test
    void aForgottenPasswordIsGivenAnew() {
        PageClient pages = settled(make(Role.PROGRAMMER));
        HttpResponse<String> given = anselm.post("/accounts/%d/password".formatted(id()), Map.of());
        assertThat(pages.get("/").statusCode()).isEqualTo(302);
        assertThat(new ApiClient(port, name, OWN).get("/api/jobs").status()).isEqualTo(401);
        PageClient back = new PageClient(port);
        back.signIn(name, secret(given));
        assertThat(back.get("/").headers().firstValue("Location")).contains("/account");
    }

    @Test
    void whatCannotBeIsToldAtItsPlace() {
        make(Role.PROGRAMMER);
        Map<String, String> taken =
                Map.of("username", name, "fullName", "Other", "role", "OPERATOR");
        assertThat(anselm.post("/accounts", taken).body()).contains("is taken");
        for (String bad : new String[] {"M", "1up", "a b", "x".repeat(41), "ÄÖ"}) {
            HttpResponse<String> refused =
                    anselm.post(
                            "/accounts",
                            Map.of("username", bad, "fullName", "Other", "role", "OPERATOR"));
            assertThat(refused.statusCode()).isEqualTo(422);
            assertThat(refused.body()).contains("2 to 40 small letters");
        }
        assertThat(anselm.post("/accounts/" + id(), Map.of("fullName", " ", "role", "LEAD")).body())
                .contains("1 to 80 characters");
        assertThat(anselm.post("/accounts/999999/close", Map.of()).statusCode()).isEqualTo(404);
        assertThat(
                        anselm.post("/accounts/" + id(), Map.of("fullName", "A", "role", "KING"))
                                .statusCode())
                .isEqualTo(400);
        long mira = person("mira").id();
        assertThat(anselm.post("/accounts/%d/password".formatted(mira), Map.of()).body())
                .contains("The accounts of the demo stay as they are");
    }

    @Test
    void onlyTheLeadKeepsPeopleDataAndFormats() {
        PageClient mira = new PageClient(port).signedIn("mira");
        for (String path : new String[] {"/accounts", "/trail", "/trail/trail.csv", "/seals"}) {
            assertThat(mira.get(path).statusCode()).as(path).isEqualTo(403);
            assertThat(anselm.get(path).statusCode()).as(path).isEqualTo(200);
        }
        for (String path :
                new String[] {
                    "/accounts",
                    "/machines/teasel/rows/ms-6-standard",
                    "/formats",
                    "/formats/teasel"
                }) {
            assertThat(mira.post(path, Map.of()).statusCode()).as(path).isEqualTo(403);
        }
        assertThat(mira.get("/machines/teasel").body()).doesNotContain(">Change</a>");
        assertThat(anselm.get("/machines/teasel").body()).contains(">Change</a>");
    }

    @Test
    void aTokenMayWhatItsScopeSaysUntilItIsRevoked() {
        ApiClient mira = new ApiClient(port, "mira");
        ApiClient reads = ApiClient.withToken(port, token(mira, "read"));
        assertThat(reads.get("/api/jobs").status()).isEqualTo(200);
        assertThat(reads.post("/api/jobs/1/plan", "{}").status()).isEqualTo(403);
        ApiClient works = ApiClient.withToken(port, token(mira, "work"));
        long job = makeJob("cleat_backing_plate", "By token", 1);
        assertThat(works.post("/api/jobs/%d/plan".formatted(job), "{}").status()).isEqualTo(200);
        long id = mira.get("/api/tokens").json().get(0).get("id").asLong();
        assertThat(mira.get("/api/tokens").text()).contains("lastUse").doesNotContain("oleander_");
        assertThat(new ApiClient(port, "tove").send("DELETE", "/api/tokens/" + id, "").status())
                .isEqualTo(404);
        assertThat(mira.send("DELETE", "/api/tokens/" + id, "").status()).isEqualTo(204);
        assertThat(works.get("/api/jobs").status()).isEqualTo(401);
        assertThat(ApiClient.withToken(port, "oleander_x").get("/api/jobs").text())
                .contains("unknown, revoked or past its end");
        for (String bad :
                new String[] {
                    "{\"name\": \"\", \"scope\": \"read\"}",
                    "{\"name\": \"a\", \"scope\": \"rule\"}",
                    "{\"name\": \"a\", \"scope\": \"read\", \"days\": 0}",
                    "{}"
                }) {
            assertThat(mira.post("/api/tokens", bad).status()).as(bad).isEqualTo(422);
        }
    }

    @Test
    void sessionsAreSeenAndEnded() {
        PageClient one = settled(make(Role.OPERATOR));
        PageClient two = new PageClient(port);
        two.signIn(name, OWN);
        String page = one.get("/account").body();
        assertThat(page).contains("127.0.0.1, ", "this one", "End all others");
        one.post("/account/sessions/end", Map.of());
        assertThat(two.get("/").statusCode()).isEqualTo(302);
        assertThat(one.get("/").statusCode()).isEqualTo(200);
    }
}
