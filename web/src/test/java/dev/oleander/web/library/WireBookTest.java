package dev.oleander.web.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.book.BookField;
import dev.oleander.book.RowText;
import dev.oleander.machine.Machine;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.web.WebTest;
import dev.oleander.web.account.PageClient;
import dev.oleander.web.book.Books;
import dev.oleander.web.book.Change;
import dev.oleander.web.book.Shelf;
import dev.oleander.web.job.Wires;
import dev.oleander.work.wire.book.WireBook;
import dev.oleander.work.wire.book.WireRow;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The wire's cut book that the shop changes, and jobs that follow. */
class WireBookTest extends WebTest {

    @Autowired private Books books;
    @Autowired private MachineLibrary machines;

    private PageClient pages;
    private Machine bracken;

    @BeforeEach
    void signIn() {
        pages = new PageClient(port).signedIn("anselm");
        bracken = machines.find("bracken").orElseThrow();
    }

    @AfterEach
    void asItShipped() {
        owner().execute("alter table book_change disable trigger user");
        owner().update("delete from book_change");
        owner().execute("alter table book_change enable trigger user");
    }

    private WireBook book() {
        return (WireBook) books.of(bracken);
    }

    private WireRow good() {
        return book().find("brass 0.25", "tool steel", 40, "good");
    }

    private Map<String, String> form(WireRow row) {
        RowText text = book().form().write(row);
        Map<String, String> form = new HashMap<>(text.values());
        for (int pass = 1; pass <= text.lines().size(); pass++) {
            String number = "." + pass;
            text.lines().get(pass - 1).forEach((word, value) -> form.put(word + number, value));
        }
        form.put("copy", "false");
        form.put("note", "");
        return form;
    }

    private List<String> passWords() {
        return book().form().lines().orElseThrow().fields().stream().map(BookField::word).toList();
    }

    private HttpResponse<String> send(WireRow row, Map<String, String> form) {
        return pages.post("/machines/bracken/rows/" + row.id(), form);
    }

    @Test
    void aChangedPassHoldsForJobsAndIsWrittenDown() {
        long job = makeWireJob("shim_punch_die", "Changed data", 40);
        double before = offset(job);
        Map<String, String> form = form(good());
        form.put("gap.1", "0,05");
        form.put("note", "new generator");
        assertThat(send(good(), form).statusCode()).isEqualTo(302);
        assertThat(offset(job)).isEqualTo(before + 0.01, within(1e-9));
        Change change = books.history(bracken).get(0);
        assertThat(change.what()).containsExactly("passes 1 gap 0.04 to 0.05");
        assertThat(change.note()).isEqualTo("new generator");
        String page = pages.get("/machines/bracken").body();
        assertThat(page).contains("1 change", "passes 1 gap 0.04 to 0.05", "new generator");
    }

    private double offset(long job) {
        return Wires.plan(jobs.view(job).result()).orElseThrow().registers().values().stream()
                .mapToDouble(d -> d)
                .max()
                .orElseThrow();
    }

    @Test
    void passesAreAddedAndLeftOut() {
        int passes = good().passes().size();
        Map<String, String> form = form(good());
        for (String word : passWords()) {
            form.put(word + "." + (passes + 1), form.get(word + "." + passes));
        }
        send(good(), form);
        assertThat(good().passes()).hasSize(passes + 1);
        assertThat(books.history(bracken).get(0).what())
                .containsExactly("passes %d new".formatted(passes + 1));
        Map<String, String> less = form(good());
        passWords().forEach(word -> less.put(word + ".2", " "));
        send(good(), less);
        assertThat(good().passes()).hasSize(passes);
    }

    @Test
    void whatIsWrongIsSaidAndNothingIsLost() {
        Map<String, String> form = form(good());
        form.put("rate.2", "fast");
        form.put("note", "kept");
        HttpResponse<String> refused = send(good(), form);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body())
                .contains(
                        "Pass 2: Rate: &quot;fast&quot; is no number.",
                        "value=\"fast\"",
                        "value=\"kept\"");
        assertThat(books.history(bracken)).isEmpty();
        assertThat(pages.get("/machines/bracken/rows/none").statusCode()).isEqualTo(404);
        assertThat(pages.get("/machines/teasel/rows/none").statusCode()).isEqualTo(404);
    }

    @Test
    void aRowIsCopiedToANewHeightAndTakenAway() {
        Map<String, String> form = form(good());
        form.put("copy", "true");
        form.put("height", "55");
        assertThat(pages.get("/machines/bracken/rows/%s?copy=true".formatted(good().id())).body())
                .contains("A new row like " + good().id());
        send(good(), form);
        WireRow made = book().find("brass 0.25", "tool steel", 55, "good");
        assertThat(made.interpolated()).isFalse();
        pages.post("/machines/bracken/rows/%s/delete".formatted(made.id()), Map.of());
        assertThat(book().find("brass 0.25", "tool steel", 55, "good").interpolated()).isTrue();
        assertThat(books.history(bracken))
                .extracting(Change::what)
                .contains(List.of("taken away"), List.of("new"));
        assertThat(send(good(), Map.of("copy", "true")).body())
                .contains("A row has from 1 to 9 passes");
    }

    @Test
    void theBookGoesOutAsAFileAndComesBack() {
        HttpResponse<String> out = pages.get("/machines/bracken/cut-book.csv");
        assertThat(out.headers().firstValue("Content-Disposition").orElse(""))
                .contains("cut-book-bracken.csv");
        books.load(Shelf.of(bracken), out.body(), "same", person("anselm"));
        assertThat(books.history(bracken)).as("nothing changed").isEmpty();
        String faster =
                out.body().replaceFirst("(good,1,[^,]*,[^,]*,[^,]*,[^,]*),[^,]*,", "$1,99,");
        books.load(Shelf.of(bracken), faster, "from shop.csv", person("anselm"));
        assertThat(books.history(bracken)).hasSize(1);
        assertThat(books.history(bracken).get(0).what().get(0))
                .startsWith("passes 1 rate")
                .endsWith("to 99.0");
    }

    @Test
    void operatorsMayLookOnly() {
        PageClient tove = new PageClient(port).signedIn("tove");
        assertThat(tove.get("/machines/bracken").body()).doesNotContain("Change</a>", "Bring in");
        assertThat(tove.post("/machines/bracken/rows/" + good().id(), form(good())).statusCode())
                .isEqualTo(403);
    }
}
