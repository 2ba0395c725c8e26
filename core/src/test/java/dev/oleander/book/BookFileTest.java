package dev.oleander.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows with lines of their own, as no kind has them: what books of all kinds have in common. */
class BookFileTest {

    private record Coat(String paint, double grams) {}

    private record Finish(String id, String material, double thickness, List<Coat> coats)
            implements BookRow {

        @Override
        public String label() {
            return material + " " + thickness;
        }
    }

    private static final BookField<Finish> MATERIAL =
            BookField.text("material", "Material", Finish::material);
    private static final BookField<Finish> THICKNESS =
            BookField.above0("thickness", "Thickness", "mm", 50, Finish::thickness);
    private static final BookField<Coat> PAINT = BookField.text("paint", "Paint", Coat::paint);
    private static final BookField<Coat> GRAMS =
            BookField.<Coat>from0("grams", "Grams", "g/m2", 500, Coat::grams).whole();

    private static final BookForm<Finish> FORM =
            BookForm.of(
                            Finish.class,
                            List.of(MATERIAL, THICKNESS),
                            List.of(MATERIAL, THICKNESS),
                            given ->
                                    new Finish(
                                            given.id(),
                                            given.text(MATERIAL),
                                            given.number(THICKNESS),
                                            given.lines(
                                                    coat ->
                                                            new Coat(
                                                                    coat.text(PAINT),
                                                                    coat.number(GRAMS)))))
                    .withLines(
                            new BookForm.Lines<>(
                                    "coat",
                                    "Coat",
                                    "coats",
                                    3,
                                    "",
                                    List.of(PAINT, GRAMS),
                                    Finish::coats));

    private static final Finish DECK =
            new Finish(
                    "plywood-18",
                    "plywood",
                    18,
                    List.of(new Coat("primer", 120), new Coat("varnish", 80)));

    private final BookFile<Finish> file = new BookFile<>(FORM);

    @Test
    void aRowIsALineForEachOfItsLines() {
        String csv = file.write(List.of(DECK));
        assertThat(csv)
                .isEqualTo(
                        "material,thickness,coat,paint,grams\nplywood,18,1,primer,120\nplywood,18,2,varnish,80\n");
        assertThat(file.read(csv)).containsExactly(DECK);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "plywood,18,2,primer,120 | Line 2: coat 2 does not follow coat 0",
                "plywood,18,x,primer,120 | Line 2: the coat \"x\" is no number",
                "plywood,18,1,primer,120.5 | Line 2 on: Coat 1: Grams is 120.5; it must be a whole number",
                "plywood,18,1,,120 | Line 2 on: Coat 1: Paint is missing",
                ",18,1,primer,120 | Line 2 on: Material is missing",
                "plywood,99,1,primer,120 | Thickness is 99; it must be more than 0 and at most 50 mm",
            })
    void whatIsWrongIsToldWithItsLine(String line, String sentence) {
        assertThatThrownBy(() -> file.read("material,thickness,coat,paint,grams\n" + line + "\n"))
                .isInstanceOf(CutDataException.class)
                .hasMessageContaining(sentence);
    }

    @Test
    void aRowHasNoMoreLinesThanItMay() {
        Map<String, String> coat = Map.of("paint", "primer", "grams", "1");
        RowText text =
                new RowText(
                        Map.of("material", "oak", "thickness", "3"),
                        List.of(coat, coat, coat, coat));
        assertThatThrownBy(() -> FORM.read("", text))
                .hasMessage("A row has from 1 to 3 coats; this one has 4.");
    }

    @Test
    void anIdIsMadeOfWhatTellsRowsApart() {
        assertThat(FORM.named(DECK, "").id()).isEqualTo("plywood-18");
        assertThat(FORM.named(DECK, "own").id()).isEqualTo("own");
    }
}
