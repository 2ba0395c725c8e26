package dev.oleander.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.DialectWriter;
import dev.oleander.dialect.FileNames;
import dev.oleander.dialect.ReadBack;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.plan.Run;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.proof.ExcerptCheck;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.motion.ProgramCompiler;
import dev.oleander.work.sheet.plan.SheetPlanner;
import dev.oleander.work.wire.choice.CopyChoice;
import dev.oleander.work.wire.choice.TaperChoice;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireChoices;
import dev.oleander.work.wire.motion.WireMotion;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSamples;
import dev.oleander.work.wire.proof.WireReplay;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class ExcerptTest {

    private static final Reading CLEAT = Samples.reading("cleat_backing_plate");
    private static final Program WHOLE = program();

    private static Program program() {
        StopEvent turn = new StopEvent(StopEvent.Kind.STOP, true, 30, "Turn");
        Run run =
                Samples.plan(
                        CLEAT,
                        new SheetPlanner.Order("mild steel", 6, 6),
                        PlanChoices.defaults()
                                .withRun(RunChoices.USUAL.withEvents("c13", List.of(turn))),
                        SheetChoices.defaults());
        return new ProgramCompiler().compile(run);
    }

    /** What machines need, whatever was left out. */
    @Property(tries = 200)
    void anyStopsMakeASafeProgram(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Set<String> chosen = new HashSet<>();
        for (String stop : Excerpt.stops(WHOLE)) {
            if (random.nextInt(3) == 0) {
                chosen.add(stop);
            }
        }
        if (chosen.isEmpty()) {
            return;
        }
        Program part = Excerpt.of(WHOLE, chosen::contains, random.nextBoolean()).program();
        assertThat(new HashSet<>(Excerpt.stops(part))).isEqualTo(chosen);
        assertSafe(part);
        assertThat(works(part)).isEqualTo(works(WHOLE, chosen));
        var checked = new CheckedWriter(Samples.DIALECT).write(part, Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
    }

    /** It hangs together, chooses data first, and works only with the head down. */
    private static void assertSafe(Program program) {
        Point at = Point.ORIGIN;
        boolean down = false;
        boolean data = false;
        boolean on = false;
        for (Item item : program.items()) {
            if (item instanceof Item.Rapid rapid) {
                assertThat(rapid.from()).isEqualTo(at);
                assertThat(on).isFalse();
                at = rapid.to();
            } else if (item instanceof Item.Feed feed) {
                assertThat(feed.segment().start().distance(at)).isLessThan(1e-9);
                assertThat(down).isTrue();
                assertThat(feed.on()).isEqualTo(on);
                at = feed.end();
            } else if (item instanceof Item.Event event) {
                assertThat(event.kind() == EventKind.HEAD_DOWN && down).isFalse();
                assertThat(event.kind() == EventKind.HEAD_UP && !down).isFalse();
                down = MotionItem.isDown(event, down);
                data |= event.kind() == EventKind.DATA;
                on = event.kind().isOn() || (on && !event.kind().isOff());
                assertThat(on && !(data && down)).isFalse();
            }
        }
        assertThat(down).isFalse();
        Item last = program.items().get(program.size() - 1);
        assertThat(((Item.Event) last).kind()).isEqualTo(EventKind.END);
    }

    private static List<Item> works(Program program) {
        return works(program, new HashSet<>(Excerpt.stops(program)));
    }

    /** All cuts of some stops in their order. */
    private static List<Item> works(Program program, Set<String> stops) {
        return program.items().stream()
                .filter(i -> i instanceof Item.AtFeed && stops.contains(i.origin().stop()))
                .toList();
    }

    @Test
    void theWholeProgramIsAnExcerptOfItself() {
        Excerpt all = Excerpt.of(WHOLE, stop -> true, false);
        assertThat(all.program()).isEqualTo(WHOLE);
        assertThat(all.itemOf().get(5)).isEqualTo(5);
    }

    @Test
    void goingOnFromAStopChoosesItsDataAndComesToItWithTheHeadUp() {
        List<String> stops = Excerpt.stops(WHOLE);
        Set<String> rest = new HashSet<>(stops.subList(7, stops.size()));
        Program part = Excerpt.of(WHOLE, rest::contains, false).program();
        assertThat(part.items().get(0))
                .isInstanceOfSatisfying(
                        Item.Event.class, e -> assertThat(e.kind()).isEqualTo(EventKind.DATA));
        Item.Rapid first =
                (Item.Rapid)
                        part.items().stream()
                                .filter(Item.Rapid.class::isInstance)
                                .findFirst()
                                .orElseThrow();
        assertThat(first.from()).isEqualTo(Point.ORIGIN);
        assertThatThrownBy(() -> Excerpt.of(WHOLE, stop -> false, false))
                .hasMessageContaining("no stop");
    }

    // ---- what a machine keeps as it was told

    private static final Dialect BRACKEN = DialectLibrary.shipped().find("bracken").orElseThrow();

    /** Four openings, each at four angles of a rotary axis; two of them lean. */
    private static WirePlan turned() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 200, 100)
                        .circle(30, 30, 8)
                        .circle(90, 30, 6)
                        .rectangle(120, 20, 30, 20)
                        .reading();
        WireChoice leans = WireChoice.NOTHING.withTaper(TaperChoice.NOTHING.withAngle(Typed.of(1)));
        CopyChoice round = new CopyChoice(Typed.of(4), Typed.of(90), Point.ORIGIN, true);
        return WireSamples.plan(
                reading, 20, WireChoices.NOTHING.withRound(round).withStop("c2", leans));
    }

    @Property(tries = 60)
    void anyStopsRoundARotaryAxisAreCutAtTheirAngles(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        WirePlan plan = turned();
        WireMotion motion = WireMotion.of(plan);
        Set<String> chosen = some(motion.posted(), random);
        SplitWriter.Texts texts =
                new SplitWriter(BRACKEN)
                        .write(motion.posted(), chosen::contains, Samples.FRAME, Map.of());
        assertThat(texts.checked().faults()).isEmpty();
        WireReplay.Result replay = replayed(plan, motion, chosen, texts.checked().written().text());
        assertThat(replay.faults()).isEmpty();
        assertThat(replay.deviation()).isLessThan(1e-3);
    }

    private static Set<String> some(Program program, SplittableRandom random) {
        List<String> stops = Excerpt.stops(program);
        Set<String> chosen = new HashSet<>(Set.of(stops.get(random.nextInt(stops.size()))));
        stops.stream().filter(s -> random.nextInt(3) == 0).forEach(chosen::add);
        return chosen;
    }

    private static WireReplay.Result replayed(
            WirePlan plan, WireMotion motion, Set<String> chosen, String text) {
        Program read = new DialectReader(BRACKEN).read(text).program();
        return WireReplay.compare(
                motion.wire(), chosen::contains, read, plan.registers(), plan.task().height());
    }

    @Test
    void whoLeavesTheAngleOutIsFoundByBothJudges() {
        WirePlan plan = turned();
        WireMotion motion = WireMotion.of(plan);
        String turned =
                motion.posted().items().stream()
                        .filter(i -> i instanceof Item.Event e && isTurn(e))
                        .filter(i -> ((Item.Event) i).args().get("turn") == 180)
                        .findFirst()
                        .orElseThrow()
                        .origin()
                        .stop();
        Set<String> last = Set.of(turned);
        Program part = Excerpt.of(motion.posted(), last::contains, false).program();
        Program without =
                new Program(
                        part.items().stream()
                                .filter(i -> !(i instanceof Item.Event e && isTurn(e)))
                                .toList());
        assertThat(ExcerptCheck.faults(motion.posted(), last::contains, without))
                .anyMatch(f -> f.contains("is worked with no index"))
                .anyMatch(f -> f.contains("how the rotary axis stands"));
        String text = new DialectWriter(BRACKEN).write(without, Samples.FRAME, Map.of()).text();
        assertThat(replayed(plan, motion, last, text).faults())
                .singleElement()
                .asString()
                .contains("The work is turned to 0°");
    }

    private static boolean isTurn(Item.Event event) {
        return event.kind() == EventKind.INDEX;
    }

    @Test
    void whoBeginsAgainAtTheZeroOfTheAxisTurnsItThere() {
        Program whole = WireMotion.of(turned()).posted();
        String second = Excerpt.stops(whole).get(1);
        Program part = Excerpt.of(whole, second::equals, false).program();
        assertThat(part.items().get(0))
                .isInstanceOfSatisfying(
                        Item.Event.class,
                        e -> {
                            assertThat(e.kind()).isEqualTo(EventKind.INDEX);
                            assertThat(e.args()).containsEntry("turn", 0.0);
                        });
    }

    /** Every modal group, changed between and in the stops at random. */
    @Property(tries = 500)
    void allThatWasToldIsToldAgain(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        for (int stop = 1; stop <= 8; stop++) {
            Origin origin = new Origin("c%d.1".formatted(stop), 0, -1);
            Point to = new Point(10 * stop, random.nextInt(3));
            modal(items, random, origin);
            items.add(new Item.Rapid(at, to, origin));
            modal(items, random, origin);
            items.add(new Item.Event(EventKind.PROCESS_ON, Map.of(), origin));
            for (int k = 0; k < 3; k++) {
                Point next = to.plus(new Point(0, 1 + k));
                modal(items, random, origin);
                items.add(new Item.Feed(new Line(to, next), 100, true, origin));
                to = next;
            }
            items.add(new Item.Event(EventKind.PROCESS_OFF, Map.of(), origin));
            modal(items, random, origin);
            at = to;
        }
        Program whole = new Program(items);
        Set<String> chosen = some(whole, random);
        Program part = Excerpt.of(whole, chosen::contains, false).program();
        assertThat(ExcerptCheck.faults(whole, chosen::contains, part)).isEmpty();
        if (chosen.size() == 8) {
            assertThat(part.items().subList(0, items.size())).isEqualTo(items);
        }
    }

    private static void modal(List<Item> items, SplittableRandom random, Origin origin) {
        List<EventKind> kinds =
                Arrays.stream(EventKind.values()).filter(k -> k.group().isPresent()).toList();
        while (random.nextInt(3) == 0) {
            EventKind kind = kinds.get(random.nextInt(kinds.size()));
            double value = random.nextInt(3);
            Map<String, Double> args = Map.of("turn", 90 * value, "row", value, "seconds", 1.0);
            items.add(new Item.Event(kind, args, origin));
        }
    }

    // ---- parted by the limits of a format

    private static Dialect limited(String limits, String more) {
        String yaml = DialectLibrary.description("teasel") + "limits: " + limits + "\n" + more;
        return DialectLibrary.parse("limited", yaml);
    }

    @Test
    void aProgramThatIsTooLongIsPartedBetweenStops() {
        for (String more : List.of("", "positions: incremental\n")) {
            Dialect dialect = limited("{blocks: 120, bytes: 2500}", more);
            SplitWriter.Texts texts =
                    new SplitWriter(dialect).write(WHOLE, Samples.FRAME, Map.of());
            assertThat(texts.checked().faults()).isEmpty();
            assertThat(texts.lines()).hasSizeGreaterThan(2);
            List<Item> worked = new ArrayList<>();
            int at = 0;
            for (int count : texts.lines()) {
                List<String> lines = texts.checked().written().lines().subList(at, at + count);
                assertThat(count).isLessThanOrEqualTo(120);
                assertThat(String.join("\n", lines)).hasSizeLessThan(2500);
                ReadBack back = new DialectReader(dialect).read(String.join("\n", lines));
                assertThat(back.problems()).isEmpty();
                assertSafe(back.program());
                at += count;
            }
            Set<Integer> written = new HashSet<>(texts.checked().written().itemOfLine());
            for (int i = 0; i < WHOLE.size(); i++) {
                if (WHOLE.items().get(i) instanceof Item.AtFeed feed && feed.length() > 0.01) {
                    assertThat(written).as("item %d", i).contains(i);
                }
            }
        }
    }

    /** Remarks of stops are no header: they neither fill the files nor make a stop too long. */
    @Test
    void filesAreFilled() {
        Set<String> stops = Set.copyOf(Excerpt.stops(WHOLE));
        int most = stops.size() + 12;
        Dialect dialect = limited("{blocks: %d}".formatted(most), "");
        List<Integer> lines =
                new SplitWriter(dialect).write(WHOLE, Samples.FRAME, Map.of()).lines();
        for (int count : lines.subList(0, lines.size() - 1)) {
            assertThat(count).isBetween(most / 2, most);
        }
    }

    @Test
    void aShortProgramStaysWhole() {
        Dialect dialect = limited("{blocks: 100000}", "");
        SplitWriter.Texts texts = new SplitWriter(dialect).write(WHOLE, Samples.FRAME, Map.of());
        assertThat(texts.lines()).containsExactly(texts.checked().written().lines().size());
    }

    @Test
    void aStopThatIsTooLongIsToldWithItsSize() {
        SplitWriter writer = new SplitWriter(limited("{blocks: 22}", ""));
        assertThatThrownBy(() -> writer.write(WHOLE, Samples.FRAME, Map.of()))
                .hasMessageContaining("alone has")
                .hasMessageContaining("22 blocks");
    }

    @Test
    void filesAreNamedAfterThePatternOfTheirFormat() {
        Map<String, String> frame = new HashMap<>(Samples.FRAME);
        frame.put("id", "12");
        frame.put("job", "Chain-stopper pawls, Ø 9");
        assertThat(FileNames.of(Samples.DIALECT, frame)).isEqualTo("12-chain-stopper-pawls-9-A.nc");
        frame.put("part", "2");
        frame.put("parts", "3");
        assertThat(FileNames.of(Samples.DIALECT, frame))
                .isEqualTo("12-chain-stopper-pawls-9-A-2.nc");
        String own = "file:\n  name: \"P{{number}}{{revision}}_{{part}}\"";
        Dialect named =
                DialectLibrary.parse(
                        "x", DialectLibrary.description("teasel").replace("file:", own));
        assertThat(FileNames.of(named, frame)).isEqualTo("P0001A_2.nc");
    }
}
