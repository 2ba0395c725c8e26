package dev.oleander.dialect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.oleander.Samples;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.motion.EventKind;
import dev.oleander.motion.Item;
import dev.oleander.motion.Origin;
import dev.oleander.motion.Program;
import dev.oleander.proof.ProgramComparison;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DialectTest {

    private static final Origin STOP = new Origin("c1.1", 1, 0);

    /** A slot's end, with the feed changing once. */
    private static final Program PROGRAM =
            new Program(
                    List.of(
                            new Item.Event(
                                    EventKind.DATA,
                                    Map.of("row", 1.0, "power", 4200.0, "pressure", 0.65),
                                    STOP),
                            new Item.Rapid(Point.ORIGIN, new Point(10, 20), STOP),
                            new Item.Event(EventKind.HEAD_DOWN, Map.of(), STOP),
                            new Item.Event(
                                    EventKind.PIERCE, Map.of("kind", 1.0, "seconds", 0.6), STOP),
                            feed(new Line(new Point(10, 20), new Point(30, 20)), 2700),
                            feed(new Arc(new Point(30, 20), new Point(30, 26), 1), 2700),
                            feed(new Line(new Point(30, 26), new Point(10, 26.00004)), 1350),
                            new Item.Event(EventKind.PROCESS_OFF, Map.of(), STOP),
                            new Item.Event(EventKind.HEAD_UP, Map.of(), STOP),
                            new Item.Event(EventKind.END, Map.of(), Origin.FRAME)));

    private static Item.Feed feed(dev.oleander.geometry.Segment segment, double feed) {
        return new Item.Feed(segment, feed, true, STOP);
    }

    private static Written write() {
        return new DialectWriter(Samples.DIALECT)
                .write(PROGRAM, Samples.FRAME, Map.of("c1.1", "1 Slot Ø 6"));
    }

    @Test
    void writesTheWordsOfTheDescription() {
        assertThat(write().lines())
                .containsExactly(
                        "%",
                        "O0001",
                        "(Test, revision A, 2026-01-02)",
                        "(1 off, mild steel 6 mm, stock 1500 x 1000 mm)",
                        "G21 G90 G40 G17",
                        "(1 Slot D 6)",
                        "N10 T1 S4200 Q0.65",
                        "N20 G0 X10 Y20",
                        "N30 M21",
                        "N40 M23 P0.6 K1",
                        "N50 G1 X30 F2700",
                        "N60 G3 Y26 I0 J3",
                        "N70 G1 X10 F1350",
                        "N80 M25",
                        "N90 M22",
                        "N100 M30",
                        "%");
    }

    @Test
    void everyNumberedLineKnowsItsItem() {
        Written written = write();
        for (int i = 0; i < written.lines().size(); i++) {
            boolean numbered = written.lines().get(i).startsWith("N");
            assertThat(written.itemOfLine().get(i) >= 0).isEqualTo(numbered);
        }
        assertThat(written.itemOfLine().get(11)).isEqualTo(5);
    }

    @Test
    void theTextReadBackIsThePlan() {
        ReadBack back = new DialectReader(Samples.DIALECT).read(write().text());
        assertThat(back.problems()).isEmpty();
        ProgramComparison.Result result =
                new ProgramComparison(Samples.DIALECT.resolution())
                        .compare(PROGRAM, back.program());
        assertThat(result.differences()).isEmpty();
        assertThat(result.deviation()).isBetween(1e-5, 1e-4);
    }

    @Test
    void aWrongFigureInTheTextIsFound() {
        assertDifference("X30 F2700", "X30.01 F2700", 0.01);
        assertThat(compare("G3 Y26 I0 J3", "G2 Y26 I0 J3").deviation()).isGreaterThan(1);
        assertThat(compare("M23 P0.6", "M23 P0.9").differences())
                .singleElement()
                .asString()
                .contains("seconds");
        assertThat(compare("F1350", "F1450").differences()).isNotEmpty();
        assertThat(compare("N80 M25\n", "").differences()).isNotEmpty();
    }

    private static void assertDifference(String from, String to, double deviation) {
        ProgramComparison.Result result = compare(from, to);
        assertThat(result.deviation()).isGreaterThanOrEqualTo(deviation - 1e-9);
        assertThat(result.isEqual(1e-3)).isFalse();
    }

    private static ProgramComparison.Result compare(String from, String to) {
        String text = write().text();
        assertThat(text).contains(from);
        ReadBack back = new DialectReader(Samples.DIALECT).read(text.replace(from, to));
        return new ProgramComparison(Samples.DIALECT.resolution()).compare(PROGRAM, back.program());
    }

    @Test
    void whatIsNotUnderstoodHasLineAndColumn() {
        ReadBack back =
                new DialectReader(Samples.DIALECT)
                        .read("%\nN10 G1 X5 F100\nN20 G77 X6\nN30 X? Y1\n");
        assertThat(back.problems()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(back.problems().get(0).line()).isEqualTo(3);
        assertThat(back.problems().get(0).column()).isEqualTo(5);
        assertThat(back.problems().get(1).line()).isEqualTo(4);
    }

    @Test
    void aDescriptionWithMistakesNamesThem() {
        String yaml = Descriptions.shipped("teasel");
        assertThatThrownBy(() -> DialectLibrary.parse("x.yaml", yaml.replace("pierce:", "pirce:")))
                .isInstanceOf(DialectException.class)
                .hasMessageContaining("events.pierce");
        assertThatThrownBy(
                        () ->
                                DialectLibrary.parse(
                                        "x.yaml", yaml.replace("{{power}}", "{{pover}}")))
                .hasMessageContaining("events.data");
        assertThatThrownBy(
                        () ->
                                DialectLibrary.parse(
                                        "x.yaml", yaml.replace("decimals: 4", "decimals: x")))
                .hasMessageContaining("line");
    }
}
