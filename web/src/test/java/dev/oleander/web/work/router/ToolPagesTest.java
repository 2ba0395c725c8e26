package dev.oleander.web.work.router;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.book.Books;
import dev.oleander.work.router.RouterRun;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The tools of a router on pages: found, changed with a note, copied, out and in as a file. */
class ToolPagesTest extends WebTest {

    private static final String TOOLS = "/machines/hazel/tools";
    private static final Pattern FIELD = Pattern.compile("name=\"(\\w+)\" value=\"([^\"]*)\"");

    @Autowired private Books books;
    private PageClient lead;

    @BeforeEach
    void signIn() {
        lead = new PageClient(port).signedIn("anselm");
    }

    @AfterEach
    void asShipped() {
        owner().execute("alter table book_change disable trigger user");
        owner().update("delete from book_change");
        owner().execute("alter table book_change enable trigger user");
    }

    /** The values of a form as it is shown, one of them changed. */
    private Map<String, String> form(String path, String word, String text) {
        Map<String, String> values = new TreeMap<>();
        Matcher field = FIELD.matcher(lead.get(path).body());
        while (field.find()) {
            values.put(field.group(1), field.group(2));
        }
        values.put(word, text);
        values.put("note", "new order");
        return values;
    }

    @Test
    void bothTablesOfTheMachineAreShown() {
        String book = lead.get("/machines/hazel").body();
        assertThat(book).contains("Cutting speed", "birch plywood", "/machines/hazel/tools");
        String tools = lead.get(TOOLS).body();
        assertThat(tools).contains("Flute length mm", "carver 60", "dowel eight", "21 rows");
        assertThat(lead.get(TOOLS + "?find=saw").body()).contains("1 row", "groove saw");
        assertThat(lead.get("/machines/hazel/spoons").statusCode()).isEqualTo(404);
        assertThat(lead.get("/machines/teasel/tools").statusCode()).isEqualTo(404);
    }

    @Test
    void aToolIsChangedWithANoteAndPlansFollow() {
        long job = new RouterCalls(port).make("hatch_boards", "birch plywood", 18, 1);
        String path = TOOLS + "/rows/1";
        HttpResponse<String> saved = lead.post(path, form(path, "passDepth", "0.5"));
        assertThat(saved.statusCode()).as(saved.body()).isEqualTo(302);
        assertThat(lead.get(TOOLS).body()).contains("new order", "passDepth 1.0 to 0.5");
        RouterRun run = jobs.view(job).result().own(RouterRun.class).orElseThrow();
        assertThat(run.plan().stops())
                .filteredOn(s -> s.tool().orElseThrow().number() == 1)
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.levels()).hasSizeGreaterThanOrEqualTo(4));
        HttpResponse<String> refused = lead.post(path, form(path, "kind", "spoon"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("spoon", "known are");
    }

    @Test
    void aToolIsCopiedTakenOutAndBroughtInAsAFile() {
        String path = TOOLS + "/rows/3";
        HttpResponse<String> twice = lead.post(path, form(path + "?copy=true", "number", "4"));
        assertThat(twice.statusCode()).isEqualTo(422);
        assertThat(twice.body()).contains("has tool 4 already");
        Map<String, String> copy = form(path + "?copy=true", "number", "30");
        assertThat(lead.post(path, copy).statusCode()).isEqualTo(302);
        assertThat(lead.get(TOOLS).body()).contains("22 rows");
        String csv = lead.get(TOOLS + "/cut-book.csv").body();
        assertThat(csv).startsWith("number,name,kind").contains("\n30,six,straight,6");
        assertThat(lead.post(TOOLS + "/rows/30/delete", Map.of()).statusCode()).isEqualTo(302);
        assertThat(lead.get(TOOLS).body()).contains("21 rows", "taken away");
        assertThat(books.version()).isPositive();
        PageClient tove = new PageClient(port).signedIn("tove");
        assertThat(tove.post(path, copy).statusCode()).isEqualTo(403);
    }

    @Test
    void positionsStandInATableOfTheirOwn() {
        String positions = lead.get("/machines/hazel/stations").body();
        assertThat(positions).contains("27 rows", "bank", "/machines/hazel/tools");
        String path = "/machines/hazel/stations/rows/3";
        HttpResponse<String> saved = lead.post(path, form(path, "used", "84.5"));
        assertThat(saved.statusCode()).as(saved.body()).isEqualTo(302);
        assertThat(lead.get("/machines/hazel/stations").body()).contains("84.5", "new order");
        HttpResponse<String> refused = lead.post(path, form(path, "unit", "pantry"));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("known are main, bank, side, saw");
    }
}
