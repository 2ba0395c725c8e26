package dev.oleander.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ProgramComparisonTest {

    private final ProgramComparison comparison = new ProgramComparison(1e-4);

    private static Program program(Item... items) {
        return new Program(List.of(items));
    }

    private static Item.Feed feed(Segment segment, double feed) {
        return new Item.Feed(segment, feed, true, Origin.FRAME);
    }

    private static Item.Event event(EventKind kind, Map<String, Double> args) {
        return new Item.Event(kind, args, Origin.FRAME);
    }

    private static Line line(double x0, double y0, double x1, double y1) {
        return new Line(new Point(x0, y0), new Point(x1, y1));
    }

    @Test
    void theSameIsTheSame() {
        Program p = program(feed(line(0, 0, 5, 5), 100), event(EventKind.END, Map.of()));
        ProgramComparison.Result result = comparison.compare(p, p);
        assertThat(result.isEqual(0)).isTrue();
        assertThat(result.deviation()).isZero();
    }

    @Test
    void theGreatestDistanceOfEqualMovesIsMeasured() {
        Program planned = program(feed(line(0, 0, 10, 0), 100), feed(line(10, 0, 10, 5), 100));
        Program read = program(feed(line(0, 0, 10, 0.02), 100), feed(line(10, 0.02, 10, 5), 100));
        assertThat(comparison.compare(planned, read).deviation()).isCloseTo(0.02, within(1e-12));
        assertThat(comparison.compare(planned, read).isEqual(0.01)).isFalse();
        assertThat(comparison.compare(planned, read).isEqual(0.03)).isTrue();
    }

    @Test
    void anArcTheOtherWayRoundDeviates() {
        Program planned = program(feed(new Arc(new Point(10, 0), new Point(-10, 0), 1), 100));
        Program read = program(feed(new Arc(new Point(10, 0), new Point(-10, 0), -1), 100));
        assertThat(comparison.compare(planned, read).deviation()).isCloseTo(20, within(1e-9));
    }

    @Test
    void otherKindsFeedsAndProcessAreDifferences() {
        Program planned = program(feed(line(0, 0, 10, 0), 100));
        assertDifference(
                planned,
                program(new Item.Rapid(new Point(0, 0), new Point(10, 0), Origin.FRAME)),
                "planned feed, read rapid");
        assertDifference(
                planned,
                program(feed(new Arc(new Point(0, 0), new Point(10, 0), 0.1), 100)),
                "planned Line, read Arc");
        assertDifference(planned, program(feed(line(0, 0, 10, 0), 101)), "feed planned 100");
        assertDifference(
                planned,
                program(new Item.Feed(line(0, 0, 10, 0), 100, false, Origin.FRAME)),
                "process planned on, read off");
        assertDifference(planned, program(), "The plan has 1 items, the text 0");
    }

    @Test
    void eventsAreComparedWithTheirNumbers() {
        Program planned = program(event(EventKind.PIERCE, Map.of("seconds", 0.6)));
        assertDifference(
                planned,
                program(event(EventKind.MARK_ON, Map.of())),
                "planned pierce, read markOn");
        assertDifference(
                planned, program(event(EventKind.PIERCE, Map.of())), "seconds planned 0.6");
        Program rounded = program(event(EventKind.PIERCE, Map.of("seconds", 0.604)));
        assertThat(comparison.compare(planned, rounded).differences()).isEmpty();
    }

    private void assertDifference(Program planned, Program read, String sentence) {
        assertThat(comparison.compare(planned, read).differences())
                .isNotEmpty()
                .first()
                .asString()
                .contains(sentence);
    }

    /**
     * A block that is missing, or one too many, makes one difference, not one for all that follow.
     */
    @Test
    void whatFollowsAMissingBlockIsComparedAgain() {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            items.add(feed(line(i, 0, i + 1, 0), 100));
            if (i % 5 == 0) {
                items.add(event(EventKind.DWELL, Map.of("seconds", 0.1 * i)));
            }
        }
        for (int gone : List.of(0, 6, 7, 17, items.size() - 1)) {
            List<Item> less = new ArrayList<>(items);
            less.remove(gone);
            var missing = comparison.compare(new Program(items), new Program(less));
            assertThat(missing.differences())
                    .hasSize(2)
                    .last()
                    .asString()
                    .startsWith("Item %d: 1 item is missing".formatted(gone + 1));
            assertThat(missing.deviation()).isZero();
            var more = comparison.compare(new Program(less), new Program(items));
            assertThat(more.differences())
                    .hasSize(2)
                    .last()
                    .asString()
                    .contains("the text has 1 item more");
            assertThat(more.deviation()).isZero();
        }
    }

    @Test
    void movesTooShortToBeWrittenMayBeMissing() {
        Program planned =
                program(
                        feed(line(0, 0, 10, 0), 100),
                        feed(line(10, 0, 10.00002, 0), 100),
                        feed(line(10.00002, 0, 20, 0), 100));
        Program read = program(feed(line(0, 0, 10, 0), 100), feed(line(10, 0, 20, 0), 100));
        assertThat(comparison.compare(planned, read).differences()).isEmpty();
    }

    @Test
    void atMostTwentyDifferencesAreTold() {
        List<Item> planned = new ArrayList<>();
        List<Item> read = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            planned.add(feed(line(i, 0, i + 1, 0), 100));
            read.add(feed(line(i, 0, i + 1, 0), 200));
        }
        assertThat(comparison.compare(new Program(planned), new Program(read)).differences())
                .hasSize(20);
    }
}
