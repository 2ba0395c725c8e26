package dev.oleander.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.web.WebTest;
import dev.oleander.web.job.document.JobNames;
import dev.oleander.web.job.store.Stage;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

class BoardTest extends WebTest {

    @Autowired private BoardService board;

    private List<String> names(String text, String stage) {
        return board.search(new BoardQuery(text, "", stage, 1)).tickets().stream()
                .map(Ticket::name)
                .toList();
    }

    @Test
    void theDemoHasJobsInDifferentStages() {
        for (Stage stage : List.of(Stage.SHAPE, Stage.CUTS, Stage.PROOF, Stage.RELEASE)) {
            assertThat(names("", stage.word())).as("jobs in %s", stage).isNotEmpty();
        }
        assertThat(names("porthole", "")).contains("Porthole trim rings");
    }

    @Test
    void searchTakesWildcardsAsTheyAreTyped() {
        makeJob("cleat_backing_plate", "Rail 50% scrap_A", 1);
        makeJob("cleat_backing_plate", "Rail 50 of scrapXA", 1);
        assertThat(names("50%", "")).containsExactly("Rail 50% scrap_A");
        assertThat(names("scrap_a", "")).containsExactly("Rail 50% scrap_A");
        assertThat(names("RAIL 50", "")).hasSize(2);
        assertThat(names("no such job!", "")).isEmpty();
    }

    @Test
    void pagesHaveAddressesThatKeepTheSearch() {
        for (int i = 0; i < 14; i++) {
            makeJob("cleat_backing_plate", "Paged & more " + i, 1);
        }
        BoardService.Board first = board.search(new BoardQuery("paged &", "teasel", "", 1));
        BoardService.Board second = board.search(new BoardQuery("paged &", "teasel", "", 2));
        assertThat(first.tickets()).hasSize(12);
        assertThat(second.tickets()).hasSize(2);
        assertThat(first.tickets().get(0).name()).isEqualTo("Paged & more 13");
        assertThat(new BoardQuery("paged &", "teasel", "", 1).addressOf(2))
                .isEqualTo("/?text=paged%20%26&machine=teasel&stage=&page=2");
        assertThat(new BoardQuery(null, null, null, -4).page()).isEqualTo(1);
    }

    @Test
    void ticketsShowTheTruePart() {
        long id = makeJob("cleat_backing_plate", "Pictured", 1);
        Ticket ticket = board.search(new BoardQuery("pictured", "", "", 1)).tickets().get(0);
        assertThat(ticket.id()).isEqualTo(id);
        assertThat(ticket.picture()).startsWith("<svg").contains("aria-label=\"184 by 92 mm\"");
        // four corners, six holes and both ends of a slot keep their arcs
        assertThat(ticket.picture().split("A\\d").length - 1).isGreaterThanOrEqualTo(18);
        assertThat(ticket.order()).isEqualTo("1 off · mild steel 6 mm");
    }

    @Test
    void namesComeFromFiles() {
        assertThat(JobNames.ofFile("cleat_backing_plate.dxf")).isEqualTo("Cleat backing plate");
        assertThat(JobNames.ofFile("C:\\drawings\\a b.DXF")).isEqualTo("A b");
        assertThat(JobNames.ofFile(".dxf")).isEqualTo("Drawing");
    }
}
