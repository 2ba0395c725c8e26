package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.letter.Faces;
import dev.oleander.drawing.letter.LetterFaces;
import dev.oleander.drawing.picture.Traces;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.Purpose;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Texts and bridges as steps of a drawing. */
class TextCommandsTest {

    private static final String BLOCK = LetterFaces.BLOCK.names().sha256();

    private static final Faces SHOP =
            sha256 ->
                    sha256.equals(BLOCK)
                            ? Optional.of(LetterFaces.BLOCK)
                            : Faces.SHIPPED.find(sha256);

    private final List<DrawStep> steps = new ArrayList<>();

    private TextCommandsTest add(String command, List<String> on, Map<String, String> values) {
        steps.add(new DrawStep("d" + (steps.size() + 1), command, on, values));
        return this;
    }

    private TextCommandsTest text(String text, String... more) {
        Map<String, String> values = new TreeMap<>(Map.of("x", "0", "y", "0", "text", text));
        for (int i = 0; i < more.length; i += 2) {
            values.put(more[i], more[i + 1]);
        }
        return add("text", List.of(), values);
    }

    private Drawn drawn() {
        return new DrawSteps(Map.of("t", 3.0), new Supplies(SHOP, Traces.NONE))
                .apply(Drawing.empty("test"), steps);
    }

    private List<Entity> entities() {
        Drawn drawn = drawn();
        assertThat(drawn.troubles()).isEmpty();
        return drawn.drawing().entities();
    }

    private String trouble() {
        return drawn().troubles().get(0).sentence();
    }

    private static Box box(List<Entity> entities) {
        return Box.around(entities.stream().map(e -> e.chain().box()).toList());
    }

    @Test
    void outlinesAreClosedAndAsHighAsTheirCapitals() {
        List<Entity> letters = text("HO", "font", BLOCK, "height", "35").entities();
        assertThat(letters).hasSize(3).allMatch(e -> e.chain() instanceof Contour);
        assertThat(box(letters).height()).isCloseTo(35, within(0.02));
        assertThat(letters).allMatch(e -> e.style().layer().equals("CUT"));
    }

    @Test
    void everyValueActs() {
        double plain = box(text("HOB", "font", BLOCK, "height", "35").entities()).width();
        steps.clear();
        double wide =
                box(text("HOB", "font", BLOCK, "height", "35", "wide", "1.5").entities()).width();
        assertThat(wide).isCloseTo(1.5 * plain, within(0.05));
        steps.clear();
        double spaced =
                box(text("HOB", "font", BLOCK, "height", "35", "letters", "4").entities()).width();
        assertThat(spaced).isCloseTo(plain + 8, within(0.02));
        steps.clear();
        Box turned = box(text("HOB", "font", BLOCK, "height", "35", "turn", "90").entities());
        assertThat(turned.height()).isCloseTo(plain, within(0.05));
        steps.clear();
        Box centred =
                box(
                        text("HHH", "font", BLOCK, "height", "35", "along", "centre", "ink", "yes")
                                .entities());
        assertThat(centred.centre().x()).isCloseTo(0, within(0.05));
        steps.clear();
        List<Entity> lines =
                text("H\nH", "font", BLOCK, "height", "10", "layer", "SIGN").entities();
        assertThat(box(lines).min().y()).isCloseTo(-16, within(0.01));
        assertThat(lines).allMatch(e -> e.style().layer().equals("SIGN"));
    }

    @Test
    void aTextFollowsAChainThatChanges() {
        Map<String, String> circle = Map.of("x", "0", "y", "0", "diameter", "200");
        Map<String, String> word =
                Map.of(
                        "x",
                        "0",
                        "y",
                        "100",
                        "text",
                        "HOB",
                        "font",
                        BLOCK,
                        "height",
                        "12",
                        "distance",
                        "20",
                        "reversed",
                        "yes",
                        "along",
                        "centre");
        add("circle", List.of(), circle).add("text", List.of("d1"), word);
        List<Entity> letters = entities().stream().filter(e -> e.key().startsWith("d2")).toList();
        double[] reach = reach(letters);
        // gone clockwise, the left of a circle is outside of it
        assertThat(reach[0]).isBetween(119.0, 120.1);
        assertThat(reach[1]).isBetween(131.9, 134.0);
        steps.set(0, steps.get(0).withValues(Map.of("x", "0", "y", "0", "diameter", "300")));
        double[] wider = reach(entities().stream().filter(e -> e.key().startsWith("d2")).toList());
        assertThat(wider[0]).isBetween(169.0, 170.1);
    }

    private static double[] reach(List<Entity> letters) {
        double[] distances =
                letters.stream()
                        .flatMap(e -> e.segments().stream())
                        .mapToDouble(s -> s.start().distance(Point.ORIGIN))
                        .sorted()
                        .toArray();
        return new double[] {distances[0], distances[distances.length - 1]};
    }

    @Test
    void textsInRowsHaveNumbersAndValuesOfATable() {
        List<Entity> tags =
                text(
                                "{n:000}", "count", "40", "columns", "8", "dx", "50", "dy", "-30",
                                "height", "6")
                        .entities();
        Box all = box(tags);
        assertThat(all.width()).isBetween(350.0, 400.0);
        assertThat(all.height()).isBetween(120.0, 130.0);
        steps.clear();
        assertThat(
                        text(
                                        "{no} {berth}",
                                        "count",
                                        "2",
                                        "dx",
                                        "60",
                                        "table",
                                        "no,berth\n17,A\n18,B")
                                .entities())
                .isNotEmpty();
        steps.clear();
        assertThat(text("{no}", "count", "5", "table", "no\n1\n2\n3").trouble())
                .contains("3 rows, 5 copies are asked for");
        steps.clear();
        assertThat(text("{serial}", "table", "no\n1").trouble()).contains("no column \"serial\"");
    }

    /** Strokes of a Q, a 4 or a + meet each other; that is no fault, and they are marked. */
    @Test
    void singleLinesAreMarksThatMayMeet() {
        text("Q4+8A", "height", "10");
        Reading reading = new DrawingReading(ReadOptions.defaults()).read(drawn().drawing());
        assertThat(reading.openFaults()).isEmpty();
        assertThat(reading.features()).isNotEmpty();
        assertThat(reading.features()).allMatch(f -> f.purpose() == Purpose.MARK);
        assertThat(reading.parts()).isEmpty();
    }

    @Test
    void whatCannotBeWrittenIsSaid() {
        assertThat(text("HALT \u0416", "font", BLOCK).trouble()).contains("has no letter");
        steps.clear();
        assertThat(text("H", "font", "0123").trouble()).isEqualTo("The shop has no font 0123.");
        steps.clear();
        assertThat(text("H", "align", "middle").trouble())
                .contains("Lines lie is \"middle\"; known are left, centre, right, justified");
        steps.clear();
        assertThat(text("H", "count", "3000").trouble()).contains("2000 are the limit");
        steps.clear();
        add("rectangle", List.of(), Map.of("x", "0", "y", "0", "width", "9", "height", "9"))
                .add("circle", List.of(), Map.of("x", "50", "y", "0", "diameter", "9"))
                .add("text", List.of("d1", "d2"), Map.of("x", "0", "y", "0", "text", "H"));
        assertThat(trouble()).contains("runs along one chain");
    }

    @Test
    void bridgesHoldIslandsAndFollowTheText() {
        text("BO", "font", BLOCK, "height", "40")
                .add("bridges", List.of("d1*"), Map.of("width", "3"));
        List<Entity> held = entities();
        // two letters whose counters hang on the sheet: none of the contours lies within another
        assertThat(islands(held)).isZero();
        steps.set(
                0,
                steps.get(0)
                        .withValues(
                                Map.of(
                                        "x", "0", "y", "0", "text", "HO", "font", BLOCK, "height",
                                        "40")));
        assertThat(islands(entities())).isZero();
        steps.set(
                0,
                steps.get(0)
                        .withValues(
                                Map.of(
                                        "x", "0", "y", "0", "text", "HH", "font", BLOCK, "height",
                                        "40")));
        assertThat(trouble()).contains("there is no island");
    }

    /** Strips that end on curves of letters on an arc leave nothing beside them. */
    @Test
    void nothingThinnerThanAToolIsLeftBesideBridges() {
        for (String word : List.of("BOB", "OHO", "BHOB")) {
            for (String width : List.of("2", "3", "4")) {
                steps.clear();
                Map<String, String> text =
                        Map.of(
                                "x",
                                "200",
                                "y",
                                "390",
                                "text",
                                word,
                                "font",
                                BLOCK,
                                "height",
                                "60",
                                "along",
                                "centre",
                                "distance",
                                "-90",
                                "reversed",
                                "yes");
                add("circle", List.of(), Map.of("x", "200", "y", "200", "diameter", "380"))
                        .add("text", List.of("d1"), text)
                        .add("bridges", List.of("d2*"), Map.of("width", width));
                for (Entity entity : entities()) {
                    Contour contour = (Contour) entity.chain();
                    assertThat(2 * contour.area() / contour.length())
                            .as("%s %s at %s", word, width, contour.box().centre())
                            .isGreaterThan(0.5);
                }
            }
        }
    }

    private static long islands(List<Entity> entities) {
        return entities.stream()
                .filter(
                        e ->
                                entities.stream()
                                        .anyMatch(
                                                o ->
                                                        o != e
                                                                && ((Contour) o.chain())
                                                                        .contains(
                                                                                e.segments()
                                                                                        .get(0)
                                                                                        .start())))
                .count();
    }

    @Test
    void whatLettersAreForSaysTheirLayerAndHowDeep() {
        text("H", "font", BLOCK, "use", "mark", "depth", "0.4")
                .text("H", "font", BLOCK, "use", "pocket", "depth", "6")
                .text("H", "font", BLOCK, "use", "on")
                .text("H", "use", "inside")
                .text("H", "use", "pocket", "layer", "SIGN");
        assertThat(entities())
                .extracting(e -> e.style().layer())
                .contains("MARK 0.4", "POCKET 6", "FOLLOW", "CUT", "SIGN")
                .doesNotContain("MARK", "POCKET");
    }

    /** Two pieces of a letter that is kept are one. */
    @Test
    void aLetterThatIsKeptIsOnePiece() {
        int pieces = text("éé", "font", BLOCK, "height", "40").entities().size();
        steps.clear();
        text("éé", "font", BLOCK, "height", "40", "use", "outside", "bar", "2");
        assertThat(entities()).hasSize(pieces - 2);
        steps.clear();
        text("éé", "font", BLOCK, "height", "40", "use", "outside", "bar", "30");
        assertThat(drawn().troubles())
                .singleElement()
                .satisfies(t -> assertThat(t.parameter()).isEqualTo("bar"));
    }

    private Drawn drawn(Stamp job) {
        return new DrawSteps(Map.of("t", 3.0), new Supplies(SHOP, Traces.NONE, job))
                .apply(Drawing.empty("test"), steps);
    }

    private static double width(Drawn drawn) {
        assertThat(drawn.troubles()).isEmpty();
        return box(drawn.drawing().entities()).width();
    }

    @Test
    void aTextSaysWhatItIsMadeFor() {
        Stamp job = new Stamp("231", "B", "cleat", "2026-12-02", Map.of());
        text("{job}{revision} {part} {date}", "font", BLOCK, "height", "10");
        assertThat(Stamp.isUsed(steps)).isTrue();
        assertThat(drawn(job).troubles().get(0).sentence()).contains("no letter");
        steps.clear();
        text("{job}{revision} {part} {date}");
        double said = width(drawn(job));
        steps.clear();
        text("231B cleat 2026-12-02");
        assertThat(said).isCloseTo(width(drawn(job)), within(1e-9));
        assertThat(Stamp.isUsed(steps)).isFalse();
    }

    @Test
    void aCounterGoesOnWhereTheShopIs() {
        Stamp job = new Stamp("231", "B", "cleat", "2026-12-02", Map.of("berths", 41L));
        text("{n:000}", "count", "3", "dx", "30", "step", "2", "counter", "berths");
        text("{n}", "counter", "moorings");
        text("{n}", "counter", "berths", "first", "90");
        assertThat(Stamp.counters(steps)).containsExactly("berths", "moorings");
        List<Drawn.Numbers> numbers = drawn(job).numbers();
        assertThat(numbers)
                .extracting(
                        Drawn.Numbers::step,
                        Drawn.Numbers::counter,
                        Drawn.Numbers::first,
                        Drawn.Numbers::last)
                .containsExactly(
                        tuple("d1", "berths", 41L, 45L),
                        tuple("d2", "moorings", 1L, 1L),
                        tuple("d3", "berths", 90L, 90L));
        assertThat(numbers.get(0).said())
                .containsExactly(
                        new Drawn.Said("041", new Point(0, 0)),
                        new Drawn.Said("043", new Point(30, 0)),
                        new Drawn.Said("045", new Point(60, 0)));
        double said = width(drawn(job));
        steps.clear();
        text("041").text("043", "x", "30").text("045", "x", "60");
        assertThat(width(drawn(job))).isCloseTo(said, within(1e-9));
    }

    @Test
    void whatNoCounterCanCountIsTold() {
        text("{n}", "counter", "berths", "step", "0");
        assertThat(trouble()).isEqualTo("A counter counts up: the step is 0.");
        steps.clear();
        text("{n}", "counter", "berths", "first", "-4");
        assertThat(trouble()).isEqualTo("A counter has no number -4.");
        steps.clear();
        text("{n}", "first", "1.5");
        assertThat(trouble()).isEqualTo("1.5 is no whole number.");
        steps.clear();
        text("{n}", "counter", "x".repeat(61));
        assertThat(trouble()).contains("61 characters", "60 are the limit");
    }

    @Test
    void textsThatShouldDifferAndDoNotAreTold() {
        text("Q-{berth}", "count", "3", "dx", "30", "table", "berth\n1\n2\n1");
        assertThat(drawn().numbers().get(0).doubled())
                .isEqualTo("Texts 1 and 3 of d1 both say \"Q-1\".");
        steps.clear();
        text("{{n}} {job}", "count", "3", "dx", "30");
        assertThat(drawn().numbers().get(0).doubled()).isEmpty();
        steps.clear();
        text("{n}", "count", "3", "dx", "30", "step", "0");
        assertThat(drawn().numbers().get(0).doubled()).contains("both say \"1\"");
    }
}
