package dev.oleander.work.router;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Transform;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.plan.stop.Stop;
import dev.oleander.progress.Progress;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Prover;
import dev.oleander.proof.Severity;
import dev.oleander.value.Entry;
import dev.oleander.value.Value;
import dev.oleander.work.Spacing;
import dev.oleander.work.Task;
import dev.oleander.work.Together;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.RouterChoices;
import dev.oleander.work.router.choice.RouterOrders;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Wish;
import dev.oleander.work.router.plan.RouterStop;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Parts of several jobs on one board, each worked as its own job says. */
class RouterNestTest {

    private static final Task.Order ORDER = new Task.Order("birch plywood", 18, 1, 700);

    /** A wide frame, and a little shelf that fits into its opening. */
    private static final Reading FRAME =
            new Drawn()
                    .rectangle(0, 0, 500, 400)
                    .rectangle(100, 80, 300, 240)
                    .on("HOLE")
                    .circle(50, 50, 4)
                    .reading();

    private static final Reading SHELF =
            new Drawn().rectangle(0, 0, 200, 120).on("HOLE").circle(40, 60, 4).reading();

    private static Wish wish(String id, String layer, RouterChoice values) {
        return WishValues.with(WishValues.empty(id), id, new Wish.Place(layer, null, null), values);
    }

    private static RouterChoice does(String kind, String depth) {
        return RouterChoice.NOTHING.with(WishValues.WORK, kind).with(WishValues.DEPTH, depth);
    }

    /** Holes of a depth, and all contours cut with mill 3. */
    private static RouterChoices choices(String holes) {
        RouterChoice round = does("contour", "through").with(WishValues.TOOL, "3");
        return RouterChoices.NOTHING.withOperations(
                List.of(wish("holes", "HOLE", does("bore", holes)), wish("cut", "CUT", round)),
                true);
    }

    private static final List<Placement> LAID =
            List.of(
                    at(1, Transform.translation(new Point(20, 20)), "a"),
                    at(2, Transform.translation(new Point(170, 160)), "b"),
                    at(
                            3,
                            Transform.rotation(Math.PI / 2)
                                    .then(Transform.translation(new Point(700, 20))),
                            "b"));

    private static Placement at(int copy, Transform place, String source) {
        return new Placement(copy, place, new PartRef(source, "p1"));
    }

    private static Task<RouterChoices> nest(RouterChoices frame, RouterChoices shelf) {
        return nest(frame, shelf, RouterChoices.NOTHING);
    }

    private static Task<RouterChoices> nest(
            RouterChoices frame, RouterChoices shelf, RouterChoices own) {
        SheetLayout layout =
                new SheetLayout(
                        Box.of(Point.ORIGIN, new Point(1000, 500)),
                        LAID,
                        3,
                        0,
                        0,
                        14,
                        14,
                        List.of());
        Together.Joined<RouterChoices> joined =
                Together.joined(
                        ORDER, List.of(source("a", FRAME, frame), source("b", SHELF, shelf)));
        return Together.task(
                RouterJobs.HAZEL,
                RouterJobs.LIBRARY.book(RouterJobs.HAZEL),
                ORDER,
                layout,
                joined,
                own);
    }

    private static Together.Source<RouterChoices> source(
            String name, Reading reading, RouterChoices choices) {
        return new Together.Source<>(name, reading, "birch plywood", 18, 2, choices);
    }

    @Test
    void eachPartIsWorkedAsItsOwnJobSays() {
        RouterRun run = RouterJobs.run(nest(choices("7"), choices("11")));
        RouterJobs.requireSound(run);
        assertThat(run.plan().done())
                .filteredOn(s -> s.operation().endsWith("holes"))
                .hasSize(3)
                .allSatisfy(
                        s -> {
                            boolean frame = FeatureKey.sourceOf(s.features().get(0)).equals("a");
                            assertThat(s.levels().get(s.levels().size() - 1))
                                    .isEqualTo(frame ? 7 : 11);
                        });
        assertThat(run.run().stops()).extracting(Stop::id).doesNotHaveDuplicates();
        assertThat(
                        Prover.withAllRules()
                                .prove(run.proofInput(), Map.of(), Progress.NONE)
                                .findings())
                .filteredOn(f -> f.severity() == Severity.MUST_FIX)
                .isEmpty();
    }

    @Test
    void whatIsDecidedInAJobHoldsForItsPartsAlone() {
        String hole =
                FRAME.features().stream()
                        .filter(f -> f.layer().equals("HOLE"))
                        .findFirst()
                        .orElseThrow()
                        .id();
        RouterChoices frame =
                choices("7")
                        .withStop(
                                FeatureKey.of(hole).visit("holes").text(),
                                RouterChoice.NOTHING.with(WishValues.DEPTH, "9"));
        RouterRun run = RouterJobs.run(nest(frame, choices("7")));
        assertThat(run.plan().done())
                .filteredOn(s -> s.operation().contains("holes"))
                .extracting(s -> s.copy() + " " + s.levels().get(s.levels().size() - 1))
                .containsExactlyInAnyOrder("1 9.0", "2 7.0", "3 7.0");
    }

    @Test
    void whatLiesInAnOpeningComesFirstAndSmallPartsBeforeLargeOnes() {
        RouterRun run = RouterJobs.run(nest(choices("7"), choices("7")));
        List<String> cuts =
                run.plan().stops().stream()
                        .filter(s -> s.operation().endsWith("cut"))
                        .map(s -> s.copy() + " " + isOutline(s))
                        .toList();
        assertThat(cuts).hasSize(4);
        assertThat(cuts.indexOf("2 true")).isLessThan(cuts.indexOf("1 false"));
        assertThat(cuts.indexOf("3 true")).isLessThan(cuts.indexOf("1 true"));
        assertThat(cuts.get(3)).isEqualTo("1 true");
    }

    private static boolean isOutline(RouterStop stop) {
        String local = FeatureKey.localOf(stop.features().get(0));
        Reading of = stop.copy() == 1 ? FRAME : SHELF;
        return of.byId().get(local).parent().isEmpty();
    }

    @Test
    void whatCannotBeDoneOnABoardWithOthersIsTold() {
        RouterChoices faced =
                RouterChoices.NOTHING.withOperations(
                        List.of(wish("top", null, does("face", "1"))), true);
        RouterRun run = RouterJobs.run(nest(choices("7"), faced));
        assertThat(run.run().refused())
                .extracting(s -> s.refusalSentence().orElseThrow())
                .anyMatch(s -> s.contains("the top of a whole sheet is faced"))
                .anyMatch(s -> s.contains("nothing cuts round this part"));
    }

    @Test
    void aNumberMeansOneToolOnly() {
        FlatTool wider =
                new FlatTool(
                        3,
                        "Wider",
                        "straight",
                        13.0,
                        null,
                        null,
                        null,
                        2,
                        30.0,
                        13.0,
                        40.0,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null,
                        null);
        assertThatThrownBy(
                        () ->
                                RouterJobs.run(
                                        nest(choices("7"), choices("7").withTools(List.of(wider)))))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("one number can mean one tool only");
    }

    @Test
    void partsKeepOneWayOfTheWidestMillFromEachOther() {
        Optional<Spacing> usual = RouterMilling.ROUTER.spacing(nest(choices("7"), choices("7")));
        double mill =
                RouterJobs.run(nest(choices("7"), choices("7")))
                        .plan()
                        .task()
                        .tool(3)
                        .orElseThrow()
                        .diameter();
        assertThat(usual.orElseThrow().gap()).isEqualTo(mill + 2);
        assertThat(usual.orElseThrow().least()).isEqualTo(mill + 2);
    }

    /** The way round a neighbour must not take the wood that a tab hangs on. */
    @Test
    void whereOneHasTabsTwoWaysLieBetweenParts() {
        RouterChoices tabbed =
                RouterChoices.NOTHING.withOperations(
                        List.of(
                                wish(
                                        "cut",
                                        "CUT",
                                        does("contour", "through")
                                                .with(WishValues.TOOL, "3")
                                                .with(WishValues.TAB_COUNT, "3"))),
                        true);
        Task<RouterChoices> task = nest(choices("7"), tabbed);
        double one = RouterMilling.ROUTER.spacing(task).orElseThrow().gap();
        double with = RouterMilling.ROUTER.room(task, part(task, "b"));
        assertThat(RouterMilling.ROUTER.room(task, part(task, "a"))).isZero();
        assertThat((with + one) / 2).isCloseTo(2 * (one - 2) + 2, within(1e-9));
    }

    /** What is only hollowed is no room for others. */
    @Test
    void openingsThatAreCutOutAreRoomForOthers() {
        Task<RouterChoices> task = nest(choices("7"), choices("7"));
        assertThat(RouterMilling.ROUTER.solid(task, part(task, "a")).openings())
                .extracting(c -> c.box().width())
                .containsExactly(300.0);
        assertThat(part(task, "a").region().openings()).hasSize(2);
        assertThat(RouterMilling.ROUTER.solid(task, part(task, "b")).openings()).isEmpty();
    }

    private static Part part(Task<RouterChoices> task, String source) {
        return task.reading().parts().stream()
                .filter(p -> FeatureKey.sourceOf(p.id()).equals(source))
                .findFirst()
                .orElseThrow();
    }

    /** Also where parts are cut one after the other. */
    @Test
    void whatLiesInAnOpeningComesFirstCopyByCopyToo() {
        RouterChoices own =
                RouterChoices.NOTHING.withRun(
                        RunChoices.USUAL.by(RouterOrders.COPY_BY_COPY.word()));
        RouterRun run = RouterJobs.run(nest(choices("7"), choices("7"), own));
        List<String> cuts =
                run.plan().stops().stream()
                        .filter(s -> s.operation().endsWith("cut"))
                        .map(s -> s.copy() + " " + isOutline(s))
                        .toList();
        assertThat(cuts.indexOf("2 true")).isLessThan(cuts.indexOf("1 false"));
    }

    /** What is told of a part takes no name that somebody has given. */
    @Test
    void aPartThatIsNotCutOutTakesNothingFromWhatIsCalledOutline() {
        RouterChoice round = does("contour", "through").with(WishValues.TOOL, "3");
        RouterChoices outline =
                RouterChoices.NOTHING.withOperations(
                        List.of(wish("outline", "HOLE", round.with(WishValues.SIDE, "inside"))),
                        true);
        RouterRun run = RouterJobs.run(nest(choices("7"), outline));
        assertThat(run.run().refused())
                .extracting(s -> s.refusalSentence().orElseThrow())
                .anyMatch(s -> s.contains("nothing cuts round this part"));
        assertThat(run.plan().done()).anyMatch(s -> s.operation().equals("b:outline"));
        assertThat(run.plan().done())
                .allSatisfy(s -> assertThat(run.plan().deed(s).refusal()).isEmpty());
    }

    /** The second copy of the shelf is turned by a quarter, and the grain of its wood with it. */
    @Test
    void theTopIsJudgedAsTheJobOfEachPartSays() {
        RouterChoice conventional =
                does("contour", "through").with(WishValues.TOOL, "3").with("way", "conventional");
        RouterChoices plain =
                RouterChoices.NOTHING.withOperations(
                        List.of(wish("cut", "CUT", conventional)), true);
        assertThat(tears(plain, plain)).isEmpty();
        assertThat(tears(plain, said(plain, "shown", "top")))
                .singleElement()
                .satisfies(
                        f ->
                                assertThat(f.alike())
                                        .hasSize(2)
                                        .allMatch(stop -> stop.startsWith("b")));
        // both copies are cut alike, so that both end along the grain or both across it
        int along = ends(said(plain, "grain", "x"));
        int across = ends(said(plain, "grain", "y"));
        assertThat(List.of(along, across)).containsExactlyInAnyOrder(0, 2);
    }

    private static int ends(RouterChoices shelf) {
        return tears(choices("7"), shelf).stream().mapToInt(f -> f.alike().size()).sum();
    }

    private static RouterChoices said(RouterChoices choices, String word, String value) {
        return Value.find(RouterJobValues.ALL, word)
                .orElseThrow()
                .put(choices, new Entry(value, Map.of()));
    }

    private static List<Finding> tears(RouterChoices frame, RouterChoices shelf) {
        RouterRun run = RouterJobs.run(nest(frame, shelf));
        return Prover.withAllRules().prove(run.proofInput(), Map.of()).findings().stream()
                .filter(f -> f.rule().equals("tear"))
                .toList();
    }
}
