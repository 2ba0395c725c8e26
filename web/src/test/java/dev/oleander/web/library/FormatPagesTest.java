package dev.oleander.web.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.dialect.DialectLibrary;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.format.FormatRefusedException;
import dev.oleander.web.format.Formats;
import dev.oleander.web.job.document.OrderValues;
import dev.oleander.web.release.Previews;
import dev.oleander.web.release.ReleaseService;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Formats that the shop changes: what may be saved, what follows, what is kept. */
class FormatPagesTest extends WebTest {

    @Autowired private Formats formats;
    @Autowired private ReleaseService releases;
    @Autowired private Previews previews;

    private PageClient pages;

    @BeforeEach
    void signIn() {
        pages = new PageClient(port).signedIn("anselm");
    }

    @AfterEach
    void asItShipped() {
        owner().execute("alter table format_version disable trigger user");
        owner().update("delete from format_version");
        owner().execute("alter table format_version enable trigger user");
    }

    private static String teasel() {
        return DialectLibrary.description("teasel");
    }

    private Map<String, String> form(String description, int from, String note) {
        Map<String, String> form = new HashMap<>();
        form.put("description", description);
        form.put("from", String.valueOf(from));
        form.put("note", note);
        return form;
    }

    @Test
    void aSavedChangeHoldsForEveryJobFromThenOn() {
        long job = makeJob("cleat_backing_plate", "Format", 1);
        jobs.edit(job, "unit", b -> OrderValues.UNIT.put(b.document(), "mm"), person("mira"));
        assertThat(previews.of(jobs.view(job)).checked().written().lines())
                .anyMatch(l -> l.endsWith(" M25"));
        String changed = teasel().replace("\"M25\"", "\"M95\"");
        HttpResponse<String> saved =
                pages.post("/formats/teasel", form(changed, 1, "new controller"));
        assertThat(saved.statusCode()).isEqualTo(302);
        assertThat(pages.get("/formats/teasel").body())
                .contains("version 2, new controller", "what it changed");
        var preview = previews.of(jobs.view(job));
        assertThat(preview.checked().written().lines())
                .anyMatch(l -> l.endsWith(" M95"))
                .noneMatch(l -> l.endsWith(" M25"));
        assertThat(preview.checked().isTrue()).isTrue();
        assertThat(releases.release(job, person("mira")).dialectVersion()).isEqualTo(2);
        String changes = pages.get("/formats/teasel/changes?version=2").body();
        assertThat(changes).contains("M95", "M25", "version: 2");
    }

    @Test
    void whatCannotBeUsedIsNotSavedAndNothingTypedIsLost() {
        String broken = teasel().replace("\"M25\"", "\"M24\"");
        HttpResponse<String> refused = pages.post("/formats/teasel", form(broken, 1, "oops"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Sample a plate with a hole", "oops", "M24");
        HttpResponse<String> mistake =
                pages.post(
                        "/formats/teasel",
                        form(teasel().replace("rapid: G0", "rapid: GO"), 1, "oops"));
        assertThat(mistake.statusCode()).isEqualTo(422);
        assertThat(mistake.body()).contains("teasel, line 15: motion.rapid must be a letter");
        assertThat(pages.post("/formats/teasel", form(teasel() + "# x\n", 1, "")).body())
                .contains("Say why");
        assertThat(pages.post("/formats/teasel", form(teasel(), 1, "same")).body())
                .contains("Nothing differs from version 1.");
        assertThat(formats.version()).isZero();
    }

    @Test
    void whoWasSlowerIsTold() {
        formats.save("teasel", 1, teasel() + "# one\n", "one", person("mira"));
        assertThatThrownBy(
                        () ->
                                formats.save(
                                        "teasel", 1, teasel() + "# two\n", "two", person("anselm")))
                .isInstanceOf(FormatRefusedException.class)
                .hasMessageContaining("Version 2 was saved by Mira")
                .hasMessageContaining("made from version 1");
    }

    @Test
    void theCheckTellsMistakesAndShowsAJobsText() {
        long job = makeJob("cleat_backing_plate", "Preview", 1);
        Map<String, String> form = new HashMap<>();
        form.put("description", teasel().replace("M23 P{{seconds}}", "M73 P{{seconds}}"));
        form.put("job", String.valueOf(job));
        String check = pages.post("/formats/teasel/check", form).body();
        assertThat(check)
                .contains("The text changes", "Read back, it is the plan.", "M73 P0.6", "M23 P0.6");
        form.put("description", teasel());
        assertThat(pages.post("/formats/teasel/check", form).body())
                .doesNotContain("The text changes")
                .contains("a plate with a hole", "N10 T1");
        form.put("description", teasel().replace("numbering:", "nombering:"));
        assertThat(pages.post("/formats/teasel/check", form).body())
                .contains("nombering is not a field", "The description has to be right first.");
        form.put("description", "x".repeat(70_000));
        assertThat(pages.post("/formats/teasel/check", form).body()).contains("the limit is 60000");
    }

    @Test
    void aFormatOfTheShopsOwnIsMadeFromAnotherOne() {
        Map<String, String> form = new HashMap<>(Map.of("name", "teasel-old", "from", "teasel"));
        assertThat(pages.post("/formats", form).statusCode()).isEqualTo(302);
        assertThat(pages.get("/formats/teasel-old").body()).contains("Format teasel-old");
        assertThat(formats.find("teasel-old")).isPresent();
        assertThat(formats.latest("teasel-old").orElseThrow().version()).isEqualTo(1);
        HttpResponse<String> again = pages.post("/formats", form);
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("There is a format &quot;teasel-old&quot; already.");
        form.put("name", "No Name");
        assertThat(pages.post("/formats", form).body()).contains("is no name");
        assertThat(pages.get("/programs").body()).contains("teasel-old");
        assertThatThrownBy(
                        () ->
                                formats.save(
                                        "teasel-old",
                                        1,
                                        teasel().replace("name: teasel", "name: other"),
                                        "x",
                                        person("mira")))
                .hasMessageContaining("The name must stay");
    }

    @Test
    void unknownOnesAreNotFoundAndOperatorsOnlyLook() {
        assertThat(pages.get("/formats/nothing").statusCode()).isEqualTo(404);
        assertThat(pages.get("/formats/teasel?version=9").statusCode()).isEqualTo(404);
        assertThat(pages.get("/formats/teasel/changes?version=1").statusCode()).isEqualTo(404);
        PageClient operator = new PageClient(port).signedIn("tove");
        assertThat(operator.get("/formats/teasel").body())
                .contains("readonly")
                .doesNotContain("Save version");
        assertThat(operator.post("/formats/teasel", form(teasel() + "# x\n", 1, "no")).statusCode())
                .isEqualTo(403);
        assertThat(pages.get("/formats/iso3592/description.yaml").body()).contains("FEDRAT");
    }
}
