package dev.oleander.work.router.deed;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.ImportOptions;
import dev.oleander.drawing.Label;
import dev.oleander.drawing.file.DrawingFiles;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.plan.Recipe;
import dev.oleander.plan.Recipe.Rule;
import dev.oleander.quantity.LengthUnit;
import dev.oleander.value.Source;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.tool.Tool;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** What is done to the features of a drawing, and where each value comes from. */
class DeedsTest {

    private static final List<Tool> TOOLS =
            ((RouterBook)
                            MachineLibrary.shipped()
                                    .book(MachineLibrary.shipped().find("Hazel").orElseThrow()))
                    .tools();
    private static final Box STOCK = Box.of(Point.ORIGIN, new Point(600, 400));

    private static List<Deed> of(Reading reading, RouterChoices choices) {
        return Deeds.of(reading, choices, 18, STOCK, TOOLS);
    }

    private static Wish wish(String json) {
        return JsonMapper.shared().readValue(json, Wish.class);
    }

    private static String id(Reading reading, String layer) {
        return reading.features().stream()
                .filter(f -> f.layer().equals(layer))
                .map(Feature::id)
                .findFirst()
                .orElseThrow();
    }

    private static Deed deed(List<Deed> deeds, String feature) {
        return deeds.stream().filter(d -> d.features().contains(feature)).findFirst().orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "POCKET_6, pocket, 6",
        "RECESS 4.5mm, pocket, 4.5",
        "INNER, contour, through",
        "REBATE-3, pocket, 3",
        "SLOT_5, slot, 5",
        "POCKET_40, pocket, through",
        "FOLLOW 2, follow, 2"
    })
    void aLayerSaysADeedAndADepth(String layer, String kind, String depth) {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 500, 300)
                        .on(layer)
                        .rectangle(100, 100, 80, 60)
                        .reading();
        Deed deed = deed(of(reading, RouterChoices.NOTHING), id(reading, layer));
        assertThat(deed.kind()).isEqualTo(kind);
        assertThat(deed.values().get(WishValues.DEPTH)).contains(depth);
        assertThat(deed.refusal()).isEmpty();
        assertThat(deed.wished()).isFalse();
        assertThat(deed.deed()).isEmpty();
    }

    @Test
    void aCarvingHasAFloorAndMarksAreShallow() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 500, 300)
                        .on("ENGRAVE_4")
                        .rectangle(100, 100, 80, 60)
                        .on("LINES")
                        .line(10, 10, 90, 10)
                        .reading();
        List<Deed> deeds = of(reading, RouterChoices.NOTHING);
        Operation carve = deed(deeds, id(reading, "ENGRAVE_4")).operation().orElseThrow();
        assertThat(((Carve) carve.what()).floor()).contains(4.0);
        Operation line = deed(deeds, id(reading, "LINES")).operation().orElseThrow();
        assertThat(((Follow) line.what()).depths().get(0).isThrough()).isTrue();
    }

    @Test
    void smallOutlinesHaveTabsAndIslandsInPocketsStay() {
        Reading reading =
                new Drawn()
                        .on("BODY")
                        .rectangle(0, 0, 150, 120)
                        .on("POCKET_6")
                        .rectangle(20, 20, 100, 80)
                        .on("BOSS")
                        .rectangle(50, 50, 30, 20)
                        .on("LARGE")
                        .rectangle(200, 0, 380, 300)
                        .reading();
        List<Deed> deeds = of(reading, RouterChoices.NOTHING);
        Round small = (Round) deed(deeds, id(reading, "BODY")).operation().orElseThrow().what();
        assertThat(small.tabs().orElseThrow().count()).contains(3);
        Round large = (Round) deed(deeds, id(reading, "LARGE")).operation().orElseThrow().what();
        assertThat(large.tabs()).isEmpty();
        String boss = id(reading, "BOSS");
        assertThat(deeds).noneMatch(d -> d.features().contains(boss));
    }

    @Test
    void holesGoToTheDrillThatIsThereOrAreBored() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 500, 300)
                        .on("DOWEL")
                        .circle(50, 50, 2.5)
                        .on("BOLT")
                        .circle(90, 50, 7)
                        .on("PORT")
                        .circle(250, 150, 60)
                        .reading();
        List<Deed> deeds = of(reading, RouterChoices.NOTHING);
        assertThat(deed(deeds, id(reading, "DOWEL")).kind()).isEqualTo("drill");
        assertThat(deed(deeds, id(reading, "BOLT")).kind()).isEqualTo("bore");
        assertThat(deed(deeds, id(reading, "PORT")).kind()).isEqualTo("contour");
    }

    @Test
    void theNearestWordHoldsAndSaysSo() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 500, 300)
                        .on("A")
                        .rectangle(50, 50, 80, 60)
                        .on("B")
                        .rectangle(250, 50, 80, 60)
                        .reading();
        String a = id(reading, "A");
        String b = id(reading, "B");
        Recipe<RouterChoice> recipe =
                new Recipe<>(
                        "gentle",
                        new Rule("pocket", null, null),
                        RouterChoice.NOTHING.with("stepDown", "D/3").with("stepOver", "0.3"));
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(
                                List.of(
                                        wish(
                                                """
                                                {"id": "recess", "on": {"contours": ["%s", "%s"]},
                                                 "kind": "pocket", "tool": 3, "depth": "T/3",
                                                 "stepOver": 0.4}"""
                                                        .formatted(a, b))),
                                true)
                        .withRecipes(List.of(recipe))
                        .withAll(RouterChoice.NOTHING.with("allowance", "0.2"))
                        .withStop(b + "-recess", RouterChoice.NOTHING.with("depth", "9"));
        List<Deed> deeds = of(reading, choices);
        assertThat(deeds).extracting(Deed::id).containsExactly("recess", "recess~2");
        assertThat(deeds).extracting(Deed::deed).containsOnly("recess");
        Clear first = (Clear) deed(deeds, a).operation().orElseThrow().what();
        assertThat(first.depth().mm()).contains(6.0);
        assertThat(first.over()).contains(0.4);
        assertThat(first.steps().down()).as("a third of 6 mm").contains(2.0);
        assertThat(first.allowance()).isEqualTo(0.2);
        assertThat(deed(deeds, a).sourcesOf(a))
                .containsEntry("depth", Source.JOB)
                .containsEntry("stepDown", Source.RECIPE)
                .containsEntry("stepOver", Source.JOB)
                .containsEntry("allowance", Source.JOB);
        Clear second = (Clear) deed(deeds, b).operation().orElseThrow().what();
        assertThat(second.depth().mm()).contains(9.0);
        assertThat(deed(deeds, b).sourcesOf(b)).containsEntry("depth", Source.HERE);
    }

    @Test
    void aRestIsAsDeepAsWhatHasLeftIt() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 500, 300)
                        .on("POCKET_7")
                        .rectangle(50, 50, 80, 60)
                        .reading();
        String pocket = id(reading, "POCKET_7");
        Wish rest =
                wish(
                        """
                        {"id": "corners", "on": {"contours": ["%s"]}, "kind": "rest",
                         "restOf": "pocket"}"""
                                .formatted(pocket));
        List<Deed> deeds = of(reading, RouterChoices.NOTHING.withOperations(List.of(rest), false));
        Deed corners = deeds.stream().filter(Deed::wished).findFirst().orElseThrow();
        assertThat(((Clear) corners.operation().orElseThrow().what()).depth().mm()).contains(7.0);
        assertThat(deeds)
                .as("the pocket is still cleared")
                .anyMatch(d -> d.kind().equals("pocket"));
    }

    @Test
    void whatCannotBeReadIsARefusalAndNothingElseIsLost() {
        Reading reading =
                new Drawn().rectangle(0, 0, 500, 300).on("A").circle(90, 90, 30).reading();
        String a = id(reading, "A");
        RouterChoices choices =
                RouterChoices.NOTHING.withStop(a, RouterChoice.NOTHING.with("depth", "T+"));
        List<Deed> deeds = of(reading, choices);
        assertThat(deed(deeds, a).refusal().orElseThrow()).contains("T+");
        assertThat(deeds).filteredOn(d -> d.refusal().isEmpty()).isNotEmpty();
        RouterChoices leave =
                RouterChoices.NOTHING.withStop(a, RouterChoice.NOTHING.with("work", "leave"));
        assertThat(of(reading, leave)).noneMatch(d -> d.features().contains(a));
    }

    /** In a contour, beside a line; what it says more than the stock is thick is no depth. */
    @Test
    void textsSayDepths() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 300, 200)
                        .rectangle(20, 20, 60, 40)
                        .rectangle(120, 20, 60, 40)
                        .rectangle(220, 20, 60, 40)
                        .line(20, 120, 150, 120)
                        .label("8 mm", 30, 30)
                        .label("DEPTH 5,5", 140, 40)
                        .label("44", 240, 40)
                        .label("T=3", 60, 123)
                        .label("8 off", 160, 160)
                        .reading();
        Map<String, List<String>> depths = new TreeMap<>();
        for (Deed deed : of(reading, RouterChoices.NOTHING)) {
            depths.computeIfAbsent(deed.kind(), k -> new ArrayList<>())
                    .add(deed.values().get(WishValues.DEPTH).orElse(""));
        }
        assertThat(depths.get("pocket")).containsExactlyInAnyOrder("8", "5.5", "through");
        assertThat(depths.get("follow")).containsExactly("3");
        assertThat(depths.get("contour")).containsExactly("through");
    }

    @Test
    void textsOfAFileAreKeptWithoutWhatSetsThem() {
        String dxf =
                """
                  0
                SECTION
                  2
                ENTITIES
                  0
                CIRCLE
                  8
                A
                 10
                5
                 20
                5
                 40
                20
                  0
                MTEXT
                  8
                NOTES
                 10
                2
                 20
                4
                  1
                {\\fArial|b0;8 mm\\Pdeep}
                  0
                ENDSEC
                  0
                EOF
                """;
        ImportOptions options = ImportOptions.defaults().withUnit(LengthUnit.CENTIMETRE);
        Drawing drawing =
                new DrawingFiles(options).read("a.dxf", dxf.getBytes(StandardCharsets.US_ASCII));
        assertThat(drawing.labels()).containsExactly(new Label("8 mm deep", new Point(20, 40)));
    }
}
