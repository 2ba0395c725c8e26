package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.motion.DepthPrograms;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Pose;
import dev.oleander.motion.Program;
import dev.oleander.motion.Rise;
import dev.oleander.proof.ProgramComparison;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Heights and the turn of a rotary axis in texts: what is written is read back as the same. */
class DepthTextTest {

    private static final String DEPTH = "modal: false, depth: true, rotary: true";

    private static String shipped(String name) {
        String file = "/dev/oleander/dialect/%s.yaml".formatted(name);
        try (InputStream in = DepthTextTest.class.getResourceAsStream(file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new AssertionError(unreadable);
        }
    }

    /** Words by radius, the motion word in every block. */
    private static String words() {
        return DialectLibrary.description("hazel");
    }

    private static String fromWhereItIs() {
        return words().replace("G21 G90 G17", "G21 G91 G17") + "\npositions: incremental\n";
    }

    private static Dialect dialect(String yaml) {
        return DialectLibrary.parse("depth", yaml);
    }

    private static Program program(long seed, boolean turns) {
        List<Item> items = new ArrayList<>();
        for (Item item : DepthPrograms.random(new SplittableRandom(seed), 40, false)) {
            items.add(turns || item instanceof Item.Event ? item : still(item));
        }
        return new Program(items);
    }

    /** Without the turn; a plunge that only turns goes down instead. */
    private static Item still(Item item) {
        Pose from = Pose.at(item.rise().from().z());
        Pose to = Pose.at(item.rise().to().z());
        Rise rise = from.equals(to) && from.equals(Pose.FLAT) ? Rise.FLAT : new Rise(from, to);
        if (item instanceof Item.Rapid r) {
            return new Item.Rapid(r.from(), r.to(), rise, r.origin());
        }
        if (item instanceof Item.Plunge p) {
            return from.equals(to)
                    ? new Item.Event(EventKind.COMMENT, Map.of(), "still", p.origin())
                    : new Item.Plunge(p.at(), rise, p.feed(), p.on(), p.origin());
        }
        Item.Feed f = (Item.Feed) item;
        return new Item.Feed(f.segment(), rise, f.feed(), f.on(), f.origin());
    }

    /** The limit is the writer's own: what a rounded arc may leave its middle by. */
    private static void assertSame(Dialect dialect, Program program) {
        CheckedWriter.Checked checked =
                new CheckedWriter(dialect).write(program, Samples.FRAME, Map.of());
        assertThat(checked.faults()).isEmpty();
        assertThat(checked.deviation()).isPositive().isLessThanOrEqualTo(checked.limit());
    }

    @Property(tries = 3000)
    void wordsSayHeightsAndTurns(@ForAll long seed) {
        assertSame(dialect(words()), program(seed, true));
    }

    @Property(tries = 30)
    void wordsFromWhereTheHeadIsDoToo(@ForAll long seed) {
        assertSame(dialect(fromWhereItIs()), program(seed, true));
    }

    @Property(tries = 30)
    void whereAnArcCannotRiseChordsDo(@ForAll long seed) {
        String yaml = words().replace("rotary: true", "rotary: true, helix: false");
        Dialect dialect = dialect(yaml);
        Program program = program(seed, true);
        assertSame(dialect, program);
        String text =
                new CheckedWriter(dialect).write(program, Samples.FRAME, Map.of()).written().text();
        assertThat(text.lines().filter(l -> l.matches(".*G[23] .*[ZA].*"))).isEmpty();
    }

    @Property(tries = 30)
    void statementsSayHeights(@ForAll long seed) {
        assertSame(dialect(shipped("iso3592")), program(seed, false));
    }

    @Property(tries = 300)
    void plainWordsSayHeightsAndTurns(@ForAll long seed) {
        assertSame(dialect(shipped("iso6983")), program(seed, true));
    }

    @Property(tries = 30)
    void tablesHaveColumnsForBoth(@ForAll long seed) {
        assertSame(dialect(shipped("moves")), program(seed, true));
    }

    /** 150 degrees, with ends that are rounded apart as far as they can be. */
    @Test
    void aRoundedArcKeepsItsHeight() {
        Arc arc =
                new Arc(
                        new Point(0.00049, 0),
                        new Point(20.00051, 0),
                        Math.tan(Math.toRadians(149.9) / 4));
        Point from = new Point(0, 0);
        Point to = new Point(20.001, 0);
        double radius = SaidRadius.of(arc, from, to, 1e-3);
        assertThat(radius).isNotEqualTo(arc.radius());
        assertThat(middle(from, to, radius).distance(arc.middle())).isLessThan(1e-4);
        assertThat(middle(from, to, arc.radius()).distance(arc.middle())).isGreaterThan(1.5e-3);
        // where rounding does not matter the radius is that of the drawing
        assertThat(SaidRadius.of(arc, arc.start(), arc.end(), 1e-3)).isEqualTo(arc.radius());
    }

    /** Of the shorter arc to the left. */
    private static Point middle(Point from, Point to, double radius) {
        double half = from.distance(to) / 2;
        double height = radius - Math.sqrt(radius * radius - half * half);
        return new Arc(from, to, height / half).middle();
    }

    @Test
    void aPlungeThatIsRoundedAwayIsNotMissed() {
        Item.Plunge tiny =
                new Item.Plunge(
                        Point.ORIGIN,
                        new Rise(Pose.at(-1.0001), Pose.at(-1.0002)),
                        300,
                        false,
                        Origin.FRAME);
        Item.Plunge down =
                new Item.Plunge(
                        Point.ORIGIN,
                        new Rise(Pose.FLAT, Pose.at(-1.0001)),
                        300,
                        false,
                        Origin.FRAME);
        assertSame(dialect(words()), new Program(List.of(down, tiny)));
    }

    @Test
    void aHelixIsOneBlock() {
        Item.Feed helix =
                new Item.Feed(
                        new Arc(new Point(10, 0), new Point(0, 10), Math.tan(Math.PI / 8)),
                        new Rise(Pose.at(-1), Pose.at(-3.5)),
                        900,
                        false,
                        Origin.FRAME);
        Program program =
                new Program(
                        List.of(
                                new Item.Rapid(
                                        Point.ORIGIN,
                                        new Point(10, 0),
                                        new Rise(Pose.FLAT, Pose.at(5)),
                                        Origin.FRAME),
                                new Item.Plunge(
                                        new Point(10, 0),
                                        new Rise(Pose.at(5), Pose.at(-1)),
                                        300,
                                        false,
                                        Origin.FRAME),
                                helix));
        Written written =
                new CheckedWriter(dialect(words()))
                        .write(program, Samples.FRAME, Map.of())
                        .written();
        assertThat(written.text())
                .contains(
                        "G0 X10.000 Z5.000",
                        "G1 Z-1.000 F300",
                        "G3 X0.000 Y10.000 Z-3.500 R10.0000 F900");
    }

    @Test
    void aFormatWithoutHeightsSaysSo() {
        Program deep =
                new Program(
                        List.of(
                                new Item.Plunge(
                                        Point.ORIGIN,
                                        new Rise(Pose.FLAT, Pose.at(-2)),
                                        100,
                                        false,
                                        Origin.FRAME)));
        CheckedWriter flat = new CheckedWriter(Samples.DIALECT);
        assertThatThrownBy(() -> flat.write(deep, Samples.FRAME, Map.of()))
                .isInstanceOf(DialectException.class)
                .hasMessageEndingWith("cannot say heights; its head is up or down.");
        Dialect still = dialect(words().replace("rotary: true", "rotary: false"));
        Program turned =
                new Program(
                        List.of(
                                new Item.Plunge(
                                        Point.ORIGIN,
                                        new Rise(Pose.FLAT, new Pose(0, 90)),
                                        100,
                                        false,
                                        Origin.FRAME)));
        assertThatThrownBy(() -> new CheckedWriter(still).write(turned, Samples.FRAME, Map.of()))
                .hasMessageEndingWith("cannot say the turn of a rotary axis.");
    }

    @Test
    void anotherHeightOrTurnIsADifference() {
        ProgramComparison comparison = new ProgramComparison(1e-3);
        Program planned = line(-2, 30);
        assertThat(comparison.compare(planned, line(-2.004, 30)).deviation()).isGreaterThan(3e-3);
        assertThat(comparison.compare(planned, line(-2, 30.5)).differences())
                .singleElement()
                .asString()
                .contains("turn of the rotary axis differs by -0.5°");
    }

    private static Program line(double z, double turn) {
        return new Program(
                List.of(
                        new Item.Feed(
                                new Line(Point.ORIGIN, new Point(10, 0)),
                                new Rise(Pose.FLAT, new Pose(z, turn)),
                                500,
                                false,
                                Origin.FRAME)));
    }
}
