package dev.oleander.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.dialect.CheckedWriter;
import dev.oleander.dialect.Dialect;
import dev.oleander.dialect.DialectLibrary;
import dev.oleander.dialect.DialectReader;
import dev.oleander.dialect.FileNames;
import dev.oleander.dialect.ReadBack;
import dev.oleander.dialect.SplitWriter;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Point;
import dev.oleander.plan.PlanChoices;
import dev.oleander.plan.Run;
import dev.oleander.plan.SheetChoices;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.sheet.SheetPlanner;
import java.util.ArrayList;
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
                        PlanChoices.defaults().withEvents("c13", List.of(turn)),
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
