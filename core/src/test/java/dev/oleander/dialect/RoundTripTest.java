package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Random programs in every format, written and read back; and texts that were made wrong. */
class RoundTripTest {

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
                    new CheckedWriter(dialect).write(program, Samples.FRAME, Map.of());
            assertThat(checked.faults()).as(dialect.name()).isEmpty();
        }
        String habit =
                HABITS.get(random.nextInt(HABITS.size())).apply(Descriptions.shipped("teasel"));
        CheckedWriter.Checked checked =
                new CheckedWriter(DialectLibrary.parse("habit", habit))
                        .write(program, Samples.FRAME, Map.of());
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
            items.add(
                    event(
                            EventKind.PIERCE,
                            Map.of("kind", 1.0, "seconds", random.nextInt(200) / 100.0)));
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

    /** Wires that lean: random ways of both guides, with moves in one plane between. */
    @Property(tries = 200)
    void whatBothGuidesDoIsReadBack(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Item> items = new ArrayList<>();
        items.add(event(EventKind.PIERCE, Map.of("kind", 1.0, "seconds", 0.5)));
        Point at = Point.ORIGIN;
        Point lean = Point.ORIGIN;
        for (int k = 0; k < 40; k++) {
            double size = Math.pow(10, -5 + 7 * random.nextDouble());
            Point to = random.nextInt(4) == 0 ? at : near(at, size, random);
            Point leanTo = random.nextInt(3) == 0 ? lean : near(Point.ORIGIN, 5, random);
            if (random.nextInt(4) == 0 && !to.equals(at)) {
                items.add(new Item.Feed(new Line(at, to), 2.5, true, Origin.FRAME));
            } else if (!to.equals(at) || !leanTo.equals(lean)) {
                Item.Way lower = new Item.Way(at, to);
                Item.Way upper = new Item.Way(at.plus(lean), to.plus(leanTo));
                items.add(new Item.TwoPlane(lower, upper, 2.5, true, Origin.FRAME));
                lean = leanTo;
            }
            at = to;
        }
        items.add(event(EventKind.PROCESS_OFF, Map.of()));
        Program program = new Program(items);
        for (Dialect dialect : SHIPPED) {
            if (dialect.motion().twoPlanes()) {
                var checked = new CheckedWriter(dialect).write(program, Samples.FRAME, Map.of());
                assertThat(checked.faults()).as(dialect.name()).isEmpty();
            } else {
                assertThatThrownBy(
                                () ->
                                        new DialectWriter(dialect)
                                                .write(program, Samples.FRAME, Map.of()))
                        .hasMessageContaining("cannot say moves in two planes");
            }
        }
    }

    private static Point near(Point at, double size, SplittableRandom random) {
        return at.plus(Point.polar(size, 2 * Math.PI * random.nextDouble()));
    }

    /** All that machines of any kind do besides moving, as far as a format has words for it. */
    @Test
    void everyEventIsReadBack() {
        Map<String, Double> args = new HashMap<>();
        for (String name :
                List.of(
                        "row",
                        "power",
                        "gas",
                        "tool",
                        "drills",
                        "speed",
                        "condition",
                        "register",
                        "tries",
                        "pressure")) {
            args.put(name, 3.0);
        }
        args.put("kind", 1.0);
        args.put("corner", 2.0);
        for (String name : List.of("seconds", "height", "angle", "plane", "turn")) {
            args.put(name, 2.5);
        }
        for (Dialect dialect : SHIPPED) {
            List<Item> items = new ArrayList<>();
            for (EventKind kind : EventKind.values()) {
                boolean table = dialect.language() == Dialect.Language.TABLE;
                if (table || dialect.events().containsKey(kind.word())) {
                    items.add(new Item.Event(kind, args, "look", Origin.FRAME));
                }
            }
            var checked =
                    new CheckedWriter(dialect).write(new Program(items), Samples.FRAME, Map.of());
            assertThat(checked.faults()).as(dialect.name()).isEmpty();
            assertThat(items).as(dialect.name()).hasSizeGreaterThan(12);
        }
    }

    /** What a writer with a mistake would have made of an arc's block. */
    @Test
    void textsOfAWrongWriterAreFound() {
        for (Dialect dialect : SHIPPED) {
            assertWrong(dialect, "swapped centre", swapped(dialect));
            assertWrong(dialect, "the other way round", turned(dialect));
            assertWrong(dialect, "lost digit", l -> l.replaceFirst(lastDigit(dialect), "$1"));
            assertWrong(dialect, "no pierce", l -> isPierce(dialect, l) ? "" : l);
        }
    }

    private static boolean isPierce(Dialect dialect, String line) {
        if (dialect.language() == Dialect.Language.TABLE) {
            return line.startsWith("pierce");
        }
        String word = dialect.events().get("pierce").split(" ?\\w?\\{")[0];
        return line.equals(word) || line.contains(word + " ") || line.startsWith(word + " ");
    }

    private static UnaryOperator<String> swapped(Dialect dialect) {
        return switch (dialect.language()) {
            case WORDS ->
                    dialect.arcs().by() == Dialect.By.RADIUS
                            ? l -> l.replaceFirst("R(\\d)", "R1$1")
                            : l -> l.replaceFirst("I(\\S+) J(\\S+)", "I$2 J$1");
            case CODES ->
                    l ->
                            l.replaceFirst(
                                    "^([+-]\\d*)([+-]\\d*)([+-]\\d*)([+-]\\d*)([+-])$",
                                    "$1$2$4$3$5");
            case STATEMENTS -> l -> l.replaceFirst("CIRCLE / (\\S+), (\\S+),", "CIRCLE / $2, $1,");
            case TABLE -> l -> l.replaceFirst("^(left,.*,,,)([^,]+),([^,]+)", "$1$3,$2");
        };
    }

    private static UnaryOperator<String> turned(Dialect dialect) {
        return switch (dialect.language()) {
            case WORDS -> l -> l.replaceFirst("G0?3", "G02");
            case CODES -> l -> l.replaceFirst("\\+$", "-");
            case STATEMENTS -> l -> l.replaceFirst("0, 0, 0, 1,", "0, 0, 0, -1,");
            case TABLE -> l -> l.replaceFirst("^left", "right");
        };
    }

    /** The digits of a place that still stand when one is lost. */
    private static String lastDigit(Dialect dialect) {
        return switch (dialect.language()) {
            case WORDS ->
                    dialect.words().coordinate().implied()
                            ? "(X\\d+)\\d"
                            : "(X[+-]?\\d+\\.\\d)\\d*";
            case CODES -> "()\\d(?=[+-])";
            case STATEMENTS -> "(GOTO / \\d+\\.\\d)\\d*";
            case TABLE -> "(left,\\d+\\.\\d)\\d*";
        };
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
                                event(EventKind.PIERCE, Map.of("kind", 1.0, "seconds", 0.5)),
                                new Item.Feed(new Arc(a, b, 0.3), 2000, true, Origin.FRAME),
                                event(EventKind.PROCESS_OFF, Map.of()),
                                event(EventKind.END, Map.of())));
        Expressible said = Expressible.of(program, dialect);
        List<String> lines =
                new DialectWriter(dialect).write(program, Samples.FRAME, Map.of()).lines();
        List<String> made = lines.stream().map(wrong).toList();
        assertThat(made).as(dialect.name() + ": " + mistake).isNotEqualTo(lines);
        ReadBack back = new DialectReader(dialect).read(String.join("\n", made));
        var result =
                new ProgramComparison(dialect.resolution()).compare(said.program(), back.program());
        boolean found =
                !back.problems().isEmpty() || !result.isEqual(Math.max(1e-3, dialect.resolution()));
        assertThat(found).as(dialect.name() + ": " + mistake).isTrue();
    }

    /** What a transfer or an editor makes of a program: it is told where, and never thrown. */
    @Property(tries = 300)
    void brokenTextsAreToldNotThrown(@ForAll long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Dialect dialect = SHIPPED.get(random.nextInt(SHIPPED.size()));
        StringBuilder text =
                new StringBuilder(
                        new DialectWriter(dialect)
                                .write(program(random), Samples.FRAME, Map.of())
                                .text());
        for (int k = 0; k < 3; k++) {
            int at = random.nextInt(text.length());
            int to = Math.min(text.length(), at + random.nextInt(30));
            switch (random.nextInt(3)) {
                case 0 -> text.delete(at, to);
                case 1 -> text.insert(at, ",;=/.+-NXGMI\n ".charAt(random.nextInt(14)));
                default -> text.replace(at, to, "NaN");
            }
        }
        ReadBack back = new DialectReader(dialect).read(text.toString());
        assertThat(back.lineOfItem()).hasSize(back.program().items().size());
        back.problems().forEach(p -> assertThat(p.sentence()).isNotBlank());
    }

    @Test
    void aRowOfTheTableMayEndBeforeItsLastColumns() {
        Dialect table =
                SHIPPED.stream()
                        .filter(d -> d.language() == Dialect.Language.TABLE)
                        .findFirst()
                        .orElseThrow();
        ReadBack back = new DialectReader(table).read("rapid,1,2\nline,NaN,2\nleft,3,4\nend\n");
        assertThat(back.program().items()).hasSize(2);
        assertThat(back.problems()).hasSize(2);
    }
}
