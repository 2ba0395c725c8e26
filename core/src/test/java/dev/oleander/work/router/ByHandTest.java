package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.motion.Excerpt;
import dev.oleander.motion.Program;
import dev.oleander.plan.stop.CutPath;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.value.ValueException;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.choice.Block;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** Where somebody puts a tab, begins a contour, or allows a tool to be deeper than its flutes. */
class ByHandTest {

    private static final Drawn BOARD = new Drawn().rectangle(0, 0, 300, 200);

    private static final FlatTool LONG =
            JsonMapper.shared()
                    .readValue(
                            """
                            {"number": 31, "kind": "straight", "diameter": 6, "fluteLength": 25,
                             "shankDiameter": 6, "stickOut": 36}
                            """,
                            FlatTool.class);

    private static RouterChoice set(RouterChoice choice, String word, String text) {
        Entry entry = new Entry(text, Map.of());
        return Value.find(RouterStopValues.ALL, word).orElseThrow().put(choice, entry);
    }

    private static RouterRun run(RouterChoice outline, double thickness) {
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withBlock(new Block(400.0, 300.0, null, null, null))
                        .withTools(List.of(LONG))
                        .withStop("c1", outline);
        return RouterJobs.run(
                RouterJobs.task(BOARD.reading(), choices, "birch plywood", thickness, 1));
    }

    @Test
    void tabsArePutMovedAndTakenAway() {
        RouterChoice two = set(set(RouterChoice.NOTHING, "tabs.add", "40"), "tabs.add", "90.5");
        assertThat(two.get(WishValues.TAB_AT)).contains("40 90.5");
        assertThat(set(two, "tabs.remove", "41").get(WishValues.TAB_AT)).contains("90.5");
        RouterChoice moved = set(set(two, "tabs.count", "4"), "tabs.put", "10; 20");
        assertThat(moved.values())
                .containsEntry("tabs.at", "10 20")
                .containsEntry("tabs.count", "0");
        assertThat(set(moved, "tabs.put", "none").values()).containsOnlyKeys("tabs.count");
        assertThat(set(moved, "tabs.put", "").isNothing()).isTrue();
        assertThat(moved.asRecipe().values()).containsOnlyKeys("tabs.count");
        assertThat(moved.ofPlace().values()).containsOnlyKeys("tabs.at");
        assertThatThrownBy(() -> set(two, "tabs.add", "-3")).isInstanceOf(RuntimeException.class);
        assertThatThrownBy(() -> set(two, "beyondFlutes", "perhaps"))
                .isInstanceOf(ValueException.class);
    }

    @Test
    void anOutlineIsHeldAndBegunWhereSomebodySays() {
        RouterChoice byHand = RouterChoice.NOTHING.with("start", "410").with("tabs.at", "100 560");
        RouterRun run = run(byHand.with("tabs.count", "0"), 12);
        RouterStop stop = run.plan().done().get(0);
        assertThat(stop.figures().tabs()).isEqualTo(2);
        Contour drawn = run.plan().task().reading().features().get(0).contour();
        Point begun = stop.legs().get(0).to();
        double off = stop.tool().orElseThrow().diameter() / 2;
        assertThat(drawn.nearest(begun).point().distance(drawn.stationAt(410).point()))
                .isCloseTo(0, within(1e-6));
        assertThat(drawn.nearest(begun).point().distance(begun)).isCloseTo(off, within(1e-6));
        Stop shown = run.run().stops().get(0);
        CutPath path = shown.path().orElseThrow();
        assertThat(path.main().get(0).start().distance(begun)).isCloseTo(0, within(1e-6));
        assertThat(path.main().get(path.main().size() - 1).end().distance(begun))
                .isCloseTo(0, within(1e-6));
        assertThat(shown.tabs()).hasSize(2);
        assertThat(run(byHand.with("tabs.count", "3"), 12).plan().done().get(0).figures().tabs())
                .isEqualTo(5);
    }

    private static List<String> tears(RouterChoice outline, String word, String value) {
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withBlock(new Block(400.0, 300.0, null, null, null))
                        .withStop("c1", outline.with("tabs.count", "0"));
        RouterChoices said =
                Value.find(RouterJobValues.ALL, word)
                        .orElseThrow()
                        .put(choices, new Entry(value, Map.of()));
        RouterRun run =
                RouterJobs.run(RouterJobs.task(BOARD.reading(), said, "birch plywood", 12, 1));
        return Prover.withAllRules().prove(run.proofInput(), Map.of()).findings().stream()
                .filter(f -> f.rule().equals("tear"))
                .map(Finding::sentence)
                .toList();
    }

    /**
     * The outline is 300 long in X and begun in the middle of that, or at 410 mm on a short side.
     */
    @Test
    void aWayThatEndsAcrossTheGrainIsTold() {
        RouterChoice side = RouterChoice.NOTHING.with("start", "480");
        assertThat(tears(RouterChoice.NOTHING, "grain", "x")).isEmpty();
        assertThat(tears(RouterChoice.NOTHING, "grain", "none")).isEmpty();
        assertThat(tears(RouterChoice.NOTHING, "grain", "y"))
                .singleElement()
                .asString()
                .contains("leaves the wood across the grain");
        assertThat(tears(side, "grain", "y")).isEmpty();
        assertThat(tears(side, "grain", "x")).hasSize(1);
        assertThatThrownBy(() -> tears(side, "grain", "z")).isInstanceOf(ValueException.class);
    }

    @Test
    void conventionalCutsAreToldWhereTheTopIsSeen() {
        RouterChoice conventional = RouterChoice.NOTHING.with("way", "conventional");
        assertThat(tears(conventional, "shown", "none")).isEmpty();
        assertThat(tears(RouterChoice.NOTHING, "shown", "top")).isEmpty();
        assertThat(tears(conventional, "shown", "top"))
                .singleElement()
                .asString()
                .contains("cut conventionally");
    }

    @Test
    void aToolIsDeeperThanItsFlutesWhereItIsAllowed() {
        RouterChoice thin = RouterChoice.NOTHING.with(WishValues.TOOL, "31");
        RouterRun refused = run(thin, 28);
        assertThat(refused.run().refused().get(0).refusal().orElseThrow().sentence())
                .contains("of flutes")
                .contains("allow it for this stop");
        RouterRun allowed = run(thin.with(WishValues.BEYOND_FLUTES, "yes"), 28);
        assertThat(allowed.run().refused().stream().map(s -> s.refusal().orElseThrow().sentence()))
                .isEmpty();
        assertThat(allowed.faults()).extracting("rule").containsOnly("flutes");
        assertThat(Prover.withAllRules().prove(allowed.proofInput(), Map.of()).findings())
                .filteredOn(f -> f.rule().equals("flutes"))
                .extracting(Finding::severity)
                .containsOnly(Severity.LOOK);
    }

    private static Wish wish(String json) {
        return JsonMapper.shared().readValue(json, Wish.class);
    }

    /** Below a floor that is not cut yet, the tool would come down into the stock. */
    @Test
    void aTrialBelowAFloorThatIsNotThereIsToldOff() {
        List<Wish> wishes =
                List.of(
                        wish(
                                """
                                {"id": "tray", "kind": "pocket", "depth": "6",
                                 "on": {"contours": ["c2"]}, "islands": {"layer": "none"}}
                                """),
                        wish(
                                """
                                {"id": "well", "kind": "pocket", "depth": "3",
                                 "on": {"contours": ["c3"]}, "from": {"floorOf": "tray"}}
                                """));
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(wishes, true)
                        .withBlock(new Block(400.0, 300.0, null, null, null));
        Drawn tray =
                new Drawn()
                        .rectangle(0, 0, 300, 200)
                        .rectangle(40, 40, 200, 120)
                        .rectangle(80, 70, 100, 60);
        RouterRun run =
                RouterJobs.run(RouterJobs.task(tray.reading(), choices, "birch plywood", 18, 1));
        assertThat(run.run().refused()).isEmpty();
        String well = run.plan().done().get(1).id();
        Program whole = run.program();
        Excerpt alone = Excerpt.of(whole, well::equals, true);
        assertThat(run.recheck(alone.program(), Optional.of(Set.of(well))).faults())
                .singleElement()
                .asString()
                .startsWith("Stop 2 (well")
                .contains("goes where Stop 1 (tray")
                .endsWith("Take both.");
        Set<String> both = Set.of(well, run.plan().done().get(0).id());
        Excerpt together = Excerpt.of(whole, both::contains, true);
        assertThat(run.recheck(together.program(), Optional.of(both)).faults()).isEmpty();
    }

    private static RouterRun bowl(String more) {
        Wish bowl =
                wish(
                        """
                        {"id": "bowl", "kind": "pocket", "depth": "4", "on": {"contours": ["c2"]}%s}
                        """
                                .formatted(more));
        RouterChoices choices =
                RouterChoices.NOTHING
                        .withOperations(List.of(bowl), true)
                        .withBlock(new Block(400.0, 300.0, null, null, null));
        Drawn board = new Drawn().rectangle(0, 0, 300, 200).rectangle(60, 50, 90, 60);
        return RouterJobs.run(RouterJobs.task(board.reading(), choices, "birch plywood", 18, 1));
    }

    /** Rounds of a ball of 6 mm lie 2 sqrt(c (6 - c)) apart, so ridges are c high. */
    @ParameterizedTest
    @ValueSource(doubles = {0.02, 0.1, 0.4})
    void aBallLeavesCrestsAsHighAsTheyAreWished(double crest) {
        RouterRun run = bowl(", \"tool\": 6, \"crest\": \"%s\"".formatted(crest));
        assertThat(run.run().refused()).isEmpty();
        assertThat(run.faults()).isEmpty();
        double least = Double.POSITIVE_INFINITY;
        Random random = new Random(1);
        for (int i = 0; i < 6000; i++) {
            Point at = new Point(random.nextDouble(63, 147), random.nextDouble(53, 107));
            least = Math.min(least, run.depths().at(at).depth());
        }
        assertThat(least).isBetween(4 - 1.05 * crest, 4 - 0.6 * crest);
        RouterStop stop = run.plan().done().get(0);
        double over = run.plan().clearing(stop).orElseThrow().over(stop.tool().orElseThrow(), 0.45);
        assertThat(over).isCloseTo(2 * Math.sqrt(crest * (6 - crest)) / 6, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                ", \"tool\": 3, \"crest\": \"0.1\"|only a ball leaves crests",
                ", \"tool\": 6, \"crest\": \"2\"|up to a quarter of its diameter",
                ", \"tool\": 6, \"crest\": \"0\"|above 0",
            })
    void crestsThatCannotBeAreToldOff(String more, String sentence) {
        assertThat(bowl(more).plan().stops().get(0).refusal().orElseThrow()).contains(sentence);
    }

    @Test
    void aBallIsTakenOnlyWhereItIsNamed() {
        RouterRun run = bowl("");
        assertThat(run.plan().done().get(0).tool().orElseThrow().kind().isFlat()).isTrue();
        assertThat(bowl(", \"tool\": 6").run().refused()).isEmpty();
    }
}
