package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.book.BookFile;
import dev.oleander.book.CutDataException;
import dev.oleander.book.RowText;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.ToolTable;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Tools as a table beside the data of a router. */
class ToolTableTest {

    private static final RouterBook BOOK = (RouterBook) RouterJobs.LIBRARY.book(RouterJobs.HAZEL);

    private static ToolTable table() {
        return (ToolTable) BOOK.beside().get("tools");
    }

    private static RowText with(int number, String word, String text) {
        FlatTool tool =
                table().rows().stream().filter(t -> t.number() == number).findFirst().orElseThrow();
        Map<String, String> values = new TreeMap<>(table().form().write(tool).values());
        values.put(word, text);
        return new RowText(values);
    }

    @Test
    void aToolIsChangedThroughTheBook() {
        FlatTool longer = table().form().read("3", with(3, "fluteLength", "30"));
        RouterBook changed =
                BOOK.changed("tools:3", Optional.of(JsonMapper.shared().valueToTree(longer)));
        assertThat(changed.tools()).hasSameSizeAs(BOOK.tools());
        assertThat(changed.tools())
                .filteredOn(t -> t.number() == 3)
                .allSatisfy(t -> assertThat(t.edges().length()).isEqualTo(30));
        assertThat(changed.rows()).isEqualTo(BOOK.rows());
        RouterBook without = changed.changed("tools:3", Optional.empty());
        assertThat(without.tools()).hasSize(BOOK.tools().size() - 1);
    }

    @Test
    void whatIsNoToolIsRefusedWithItsValue() {
        refused(3, "kind", "spoon", "spoon");
        refused(3, "number", "4", "keeps its number");
        refused(7, "angle", "180", "180");
        refused(3, "diameter", "0", "more than 0");
        refused(3, "hand", "middle", "right or left");
    }

    private static void refused(int number, String word, String text, String sentence) {
        assertThatThrownBy(
                        () -> table().form().read(String.valueOf(number), with(number, word, text)))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void allOfItGoesOutAndInAsCsv() {
        BookFile<FlatTool> file = new BookFile<>(table().form());
        String csv = file.write(table().rows());
        assertThat(csv).startsWith("number,name,kind,diameter");
        List<FlatTool> again = file.read(csv);
        assertThat(again).containsExactlyInAnyOrderElementsOf(table().rows());
    }
}
