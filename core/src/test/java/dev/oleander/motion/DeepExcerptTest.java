package dev.oleander.motion;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Parts of programs with heights: the tool never goes sideways below where it travels. */
class DeepExcerptTest {

    private static final double SAFE = 8;

    /** Two slots, each plunged into, milled and left upwards; the second with the work turned. */
    private static Program slots() {
        List<Item> items = new ArrayList<>();
        Point home = Point.ORIGIN;
        slot(items, "c1.1", home, new Point(20, 0), Pose.FLAT, new Pose(SAFE, 0));
        slot(items, "c2.1", new Point(50, 0), new Point(20, 40), Pose.at(SAFE), new Pose(SAFE, 90));
        return new Program(items);
    }

    private static void slot(
            List<Item> items, String stop, Point from, Point begin, Pose before, Pose above) {
        Origin origin = new Origin(stop, 1, 0);
        Pose below = new Pose(-3, above.turn());
        Point end = begin.plus(new Point(30, 0));
        items.add(new Item.Rapid(from, from, new Rise(before, above), origin));
        items.add(new Item.Rapid(from, begin, Rise.level(above), origin));
        items.add(new Item.Plunge(begin, new Rise(above, below), 300, true, origin));
        items.add(new Item.Feed(new Line(begin, end), Rise.level(below), 900, true, origin));
        items.add(new Item.Rapid(end, end, new Rise(below, above), origin));
    }

    @Test
    void theWholeIsTheSameButForItsEnd() {
        Program whole = slots();
        Excerpt all = Excerpt.of(whole, stop -> true, false);
        List<Item> without = all.program().items().subList(0, all.program().size() - 1);
        assertThat(without.stream().filter(i -> !i.rise().isLevel() || moves(i)))
                .containsExactlyElementsOf(
                        whole.items().stream()
                                .filter(i -> !i.rise().isLevel() || moves(i))
                                .toList());
    }

    private static boolean moves(Item item) {
        return !(item instanceof Item.Rapid r) || !r.from().equals(r.to());
    }

    @Test
    void aSlotAloneIsEnteredFromAbove() {
        Excerpt second = Excerpt.of(slots(), Set.of("c2.1")::contains, true);
        Pose pose = Pose.FLAT;
        Point at = Point.ORIGIN;
        for (Item item : second.program().items()) {
            if (item instanceof Item.Event) {
                continue;
            }
            assertThat(item.rise().from()).as("begins where the one before ended").isEqualTo(pose);
            if (item instanceof Item.Rapid rapid) {
                assertThat(rapid.from()).isEqualTo(at);
                if (!rapid.from().equals(rapid.to())) {
                    assertThat(rapid.rise().from().z()).isEqualTo(SAFE);
                    assertThat(rapid.rise().to().z()).isEqualTo(SAFE);
                }
                at = rapid.to();
            } else {
                at = ((Item.AtFeed) item).end();
            }
            pose = item.rise().to();
        }
        assertThat(at).isEqualTo(Point.ORIGIN);
        assertThat(pose).isEqualTo(new Pose(SAFE, 90));
    }

    @Test
    void heightAndTurnAreKnownAtEveryMoment() {
        Program program = new Program(slots().items().subList(0, 5));
        Profile steady = new Profile(10, 10, 10, 10, 1);
        Timeline timeline =
                Timeline.of(
                        List.of(
                                new TimeModel.Timed(
                                        program.items(),
                                        new Profile[] {steady, steady, steady, steady, steady},
                                        new Seconds[] {one(), one(), one(), one(), one()})));
        assertThat(timeline.poseAt(0.5)).isEqualTo(Pose.at(SAFE / 2));
        assertThat(timeline.poseAt(1.5)).isEqualTo(Pose.at(SAFE));
        assertThat(timeline.poseAt(3.5)).isEqualTo(Pose.at(-3));
        assertThat(timeline.positionAt(2.5)).isEqualTo(new Point(20, 0));
    }

    private static Seconds one() {
        return new Seconds(1, 0, 0, 0);
    }

    @Test
    void itemsOfAnotherStopAreTheSameElse() {
        for (Item item : slots().items()) {
            Item other = item.of(Origin.FRAME);
            assertThat(other.origin()).isEqualTo(Origin.FRAME);
            assertThat(other.rise()).isEqualTo(item.rise());
            assertThat(other.of(item.origin())).isEqualTo(item);
        }
        Item event = new Item.Event(EventKind.COMMENT, Map.of(), "a", Origin.FRAME);
        assertThat(event.of(new Origin("c1.1", 1, 0)).of(Origin.FRAME)).isEqualTo(event);
    }
}
