package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.proof.ProgramComparison;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Random programs in every format, written and read back; and texts that were made wrong. */
class RoundTripTest {

    private static final Map<String, String> FRAME =
            Map.of(
                    "number", "0001",
                    "job", "Random",
                    "revision", "A",
                    "date", "2026-01-02",
                    "quantity", "1",
                    "material", "steel",
                    "thickness", "6",
                    "stockWidth", "100",
                    "stockHeight", "100");

    private static final List<Dialect> SHIPPED = DialectLibrary.shipped().all();

    /** Habits that any format might have. */
    private static final List<UnaryOperator<String>> HABITS =
            List.of(
                    y -> y,
                    y -> y.replace("arcs: {centre: relative}", "arcs: {by: radius}"),
                    y ->
                            y.replace(
                                    "arcs: {centre: relative}",
                                    "arcs: {by: radius, overHalf: negative, largestSweep: 300}"),
                    y ->
                            y.replace(
                                    "arcs: {centre: relative}",
                                    "arcs: {centre: absolute, largestSweep: 120}"),
                    y -> y.replace("arcs: {", "positions: incremental\narcs: {"),
                    y ->
                            y.replace(
                                    "coordinate: {decimals: 4",
                                    "coordinate: {implied: true, decimals: 3"),
                    y ->
                            y.replace(
                                    "coordinate: {decimals: 4",
                                    "coordinate: {perUnit: 0.0393700787, decimals: 5"));

    @Property(tries = 300)
    void whatIsReadBackIsWhatWasPlanned(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Program program = program(random);
        for (Dialect dialect : SHIPPED) {
            CheckedWriter.Checked checked =
                    new CheckedWriter(dialect).write(program, FRAME, Map.of());
            assertThat(checked.faults()).as(dialect.name()).isEmpty();
        }
        String habit =
                HABITS.get(random.nextInt(HABITS.size())).apply(Descriptions.shipped("teasel"));
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.parse("habit", habit))
                        .write(program, FRAME, Map.of());
        assertThat(checked.faults()).as(habit).isEmpty();
    }

    /** Lines and arcs of all sizes and sweeps, some of them shorter than any step. */
    private static Program program(SplittableRandom random) {
        List<Item> items = new ArrayList<>();
        Point at = Point.ORIGIN;
        items.add(event(EventKind.DATA, Map.of("row", 1.0, "power", 4200.0, "pressure", 380.0)));
        for (int stop = 0; stop < 4; stop++) {
            Point to = new Point(500 * random.nextDouble(), 500 * random.nextDouble());
            items.add(new Item.Rapid(at, to, Origin.FRAME));
            at = to;
            items.add(event(EventKind.HEAD_DOWN, Map.of()));
            items.add(event(EventKind.PIERCE, Map.of("seconds", random.nextInt(200) / 100.0)));
            double feed = 1 + random.nextInt(9000);
            for (int k = 0; k < 8; k++) {
                double size = Math.pow(10, -5 + 7 * random.nextDouble());
                Point end = at.plus(Point.polar(size, 2 * Math.PI * random.nextDouble()));
                Segment segment = random.nextBoolean() ? new Line(at, end) : arc(at, end, random);
                items.add(new Item.Feed(segment, feed, true, Origin.FRAME));
                at = end;
            }
            items.add(event(EventKind.PROCESS_OFF, Map.of()));
            items.add(event(EventKind.HEAD_UP, Map.of()));
        }
        items.add(event(EventKind.END, Map.of()));
        return new Program(items);
    }

    /** Of any sweep up to nearly a whole turn, but with a radius that sheets have. */
    private static Arc arc(Point from, Point to, SplittableRandom random) {
        double chord = from.distance(to);
        double least = Math.min(6, 4 * Math.asin(Math.min(1, chord / 4000)));
        double sweep = least + (6.2 - least) * random.nextDouble();
        double most = 2 * Math.asin(Math.min(1, chord / 2 / 0.05));
        sweep = chord < 0.1 ? Math.min(sweep, Math.max(most, 1e-3)) : sweep;
        return new Arc(from, to, (random.nextBoolean() ? 1 : -1) * Math.tan(sweep / 4));
    }

    private static Item.Event event(EventKind kind, Map<String, Double> args) {
        return new Item.Event(kind, args, Origin.FRAME);
    }

    /** What a writer with a mistake would have made of an arc's block. */
    @Test
    void textsOfAWrongWriterAreFound() {
        for (Dialect dialect : SHIPPED) {
            boolean words = dialect.language() == Dialect.Language.WORDS;
            assertWrong(
                    dialect, "swapped centre", words ? RoundTripTest::swapped : this::swappedWay);
            assertWrong(
                    dialect,
                    "the other way round",
                    l -> words ? l.replaceFirst("G0?3", "G02") : l.replaceFirst("\\+$", "-"));
            assertWrong(
                    dialect,
                    "lost digit",
                    l ->
                            words
                                    ? l.replaceFirst("(X[+-]?\\d+\\.\\d)\\d*", "$1")
                                    : l.replaceFirst("\\d(?=[+-])", ""));
            assertWrong(dialect, "no pierce", l -> isPierce(dialect, l) ? "" : l);
        }
    }

    private static boolean isPierce(Dialect dialect, String line) {
        String word = dialect.events().get("pierce").split(" ")[0];
        return line.equals(word) || line.contains(word + " ");
    }

    private static String swapped(String line) {
        return line.contains(" I")
                ? line.replace(" I", " ?").replace(" J", " I").replace(" ?", " J")
                : line;
    }

    private String swappedWay(String line) {
        return line.replaceFirst("^([+-]\\d*)([+-]\\d*)([+-]\\d*)([+-]\\d*)([+-])$", "$1$2$4$3$5");
    }

    private static void assertWrong(Dialect dialect, String mistake, UnaryOperator<String> wrong) {
        Point a = new Point(10.1234, 20.5678);
        Point b = new Point(15.4321, 27.8765);
        Program program =
                new Program(
                        List.of(
                                event(
                                        EventKind.DATA,
                                        Map.of("row", 1.0, "power", 4200.0, "pressure", 380.0)),
                                new Item.Rapid(Point.ORIGIN, a, Origin.FRAME),
                                event(EventKind.PIERCE, Map.of("seconds", 0.5)),
                                new Item.Feed(new Arc(a, b, 0.3), 2000, true, Origin.FRAME),
                                event(EventKind.PROCESS_OFF, Map.of()),
                                event(EventKind.END, Map.of())));
        Expressible said = Expressible.of(program, dialect);
        List<String> lines = new DialectWriter(dialect).write(program, FRAME, Map.of()).lines();
        List<String> made = lines.stream().map(wrong).toList();
        assertThat(made).as(dialect.name() + ": " + mistake).isNotEqualTo(lines);
        ReadBack back = new DialectReader(dialect).read(String.join("\n", made));
        var result =
                new ProgramComparison(dialect.resolution()).compare(said.program(), back.program());
        boolean found =
                !back.problems().isEmpty() || !result.isEqual(Math.max(1e-3, dialect.resolution()));
        assertThat(found).as(dialect.name() + ": " + mistake).isTrue();
    }
}
