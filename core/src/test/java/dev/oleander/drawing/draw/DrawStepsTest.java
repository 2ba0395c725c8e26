package dev.oleander.drawing.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.drawing.Entity;
import dev.oleander.drawing.read.DrawingReading;
import dev.oleander.drawing.read.ReadOptions;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class DrawStepsTest {

    /** Steps in a row, numbered from d1. */
    private static final class Steps {
        private final List<DrawStep> steps = new ArrayList<>();

        /** Values as x=1 y=2. */
        Steps add(String command, List<String> on, String values) {
            Map<String, String> map = new java.util.HashMap<>();
            for (String pair : values.isBlank() ? new String[0] : values.split(" ")) {
                map.put(pair.split("=", 2)[0], pair.split("=", 2)[1]);
            }
            steps.add(new DrawStep("d" + (steps.size() + 1), command, on, map));
            return this;
        }

        Steps draw(String command, String values) {
            return add(command, List.of(), values);
        }

        Drawn apply() {
            return new DrawSteps(Map.of("t", 6.0)).apply(Drawing.empty("test"), steps);
        }

        /** The drawing, of steps that can all be done. */
        Map<String, Entity> entities() {
            Drawn drawn = apply();
            assertThat(drawn.troubles()).isEmpty();
            Map<String, Entity> byKey = new java.util.LinkedHashMap<>();
            drawn.drawing().entities().forEach(e -> byKey.put(e.key(), e));
            return byKey;
        }

        Reading reading() {
            return new DrawingReading(ReadOptions.defaults()).read(apply().drawing());
        }

        String trouble() {
            List<Drawn.Trouble> troubles = apply().troubles();
            assertThat(troubles).hasSize(1);
            return troubles.get(0).sentence();
        }
    }

    private static Point p(double x, double y) {
        return new Point(x, y);
    }

    private static void assertAt(Point found, double x, double y) {
        assertThat(found.distance(p(x, y))).as("%s, not (%s, %s)", found, x, y).isLessThan(1e-9);
    }

    @Test
    void threeWaysToDrawAnArc() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("arc", "x1=10 y1=0 x2=0 y2=10 x3=-10 y3=0")
                        .draw("arc-centre", "x=0 y=0 radius=10 from=0 sweep=180")
                        .draw("arc-radius", "x1=10 y1=0 x2=0 y2=10 radius=10")
                        .draw("arc-radius", "x1=10 y1=0 x2=0 y2=10 radius=10 large=yes")
                        .entities();
        Arc first = (Arc) drawn.get("d1").segments().get(0);
        Arc second = (Arc) drawn.get("d2").segments().get(0);
        assertAt(first.centre(), 0, 0);
        assertThat(first.bulge()).isCloseTo(second.bulge(), within(1e-12));
        Arc quarter = (Arc) drawn.get("d3").segments().get(0);
        assertAt(quarter.centre(), 0, 0);
        assertThat(quarter.sweep()).isCloseTo(Math.PI / 2, within(1e-12));
        Arc rest = (Arc) drawn.get("d4").segments().get(0);
        assertThat(rest.sweep()).isCloseTo(3 * Math.PI / 2, within(1e-9));
        assertThat(rest.radius()).isCloseTo(10, within(1e-9));
    }

    @Test
    void formulasKnowUnitsTheJobAndEarlierValues() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("rectangle", "x=0 y=0 width=1/2in+0.4 height=2*width radius=t/2")
                        .entities();
        Contour plate = (Contour) drawn.get("d1").chain();
        assertThat(plate.box().width()).isCloseTo(13.1, within(1e-9));
        assertThat(plate.box().height()).isCloseTo(26.2, within(1e-9));
        assertThat(plate.area()).isCloseTo(13.1 * 26.2 - (4 - Math.PI) * 9, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "rectangle, x=0 y=0 width=80 height=40 radius=5, 3178.5398163397",
        "rectangle, x=0 y=0 width=-80 height=40, 3200",
        "rectangle, x=0 y=0 width=80 height=40 radius=20, 2856.6370614359",
        "circle, x=5 y=5 diameter=20, 314.1592653590",
        "slot, x=0 y=0 length=40 width=10 turn=30, 378.5398163397",
        "polygon, x=0 y=0 sides=6 flats=10, 86.6025403784"
    })
    void figuresHaveTheirArea(String command, String values, double area) {
        Entity figure = new Steps().draw(command, values).entities().get("d1");
        assertThat(((Contour) figure.chain()).area()).isCloseTo(area, within(1e-6));
    }

    @Test
    void partsAreReadAsWhatTheyAre() {
        Reading ring =
                new Steps().draw("ring", "x=0 y=0 outer=160 inner=90 holes=8 hole=9").reading();
        assertThat(ring.parts()).hasSize(1);
        assertThat(ring.holes()).hasSize(2);
        assertThat(ring.holes().get(0).count()).isEqualTo(8);
        Reading strip = new Steps().draw("strip", "x=0 y=0 slots=4").reading();
        assertThat(strip.forms()).hasSize(1);
        assertThat(strip.forms().get(0).form().label()).isEqualTo("Slot 24 × 9");
        assertThat(strip.forms().get(0).count()).isEqualTo(4);
        Reading oval = new Steps().draw("ovalFlange", "x=0 y=0").reading();
        // hull of circles of 70 and 24 mm, 52 mm apart, less a bore of 42 and two holes of 11
        assertThat(oval.parts().get(0).region().area()).isCloseTo(4251.312571675, within(1e-6));
        assertThat(oval.features()).hasSize(4);
        Reading square = new Steps().draw("squareFlange", "x=0 y=0 first=22.5").reading();
        assertThat(square.parts().get(0).region().area()).isCloseTo(10940.017944005, within(1e-6));
        assertThat(square.features()).hasSize(10);
        Reading segment =
                new Steps().draw("ringSegment", "x=0 y=0 sweep=90 holes=0 turn=30").reading();
        assertThat(segment.parts().get(0).region().area())
                .isCloseTo(Math.PI / 4 * (100 * 100 - 60 * 60), within(1e-6));
        Reading frame = new Steps().draw("frame", "x=0 y=0 radius=0").reading();
        assertThat(frame.parts().get(0).region().area())
                .isCloseTo(200 * 120 - 160 * 80, within(1e-9));
        assertThat(new Steps().draw("ovalFlange", "x=0 y=0 bore=80").trouble())
                .contains("A bore of 80");
        assertThat(new Steps().draw("ringSegment", "x=0 y=0 holes=40").trouble())
                .contains("cut into each other");
        Reading toothed = new Steps().draw("toothed", "x=0 y=0 teeth=12").reading();
        assertThat(toothed.features().get(0).lines()).isEqualTo(48);
        assertThat(toothed.openFaults()).isEmpty();
    }

    /** Every command, with no values at all, is done or says what is missing. */
    @ParameterizedTest
    @MethodSource("commands")
    void everyCommandSaysWhatItNeeds(Command command) {
        List<String> on = command.targets() == Command.Targets.NONE ? List.of() : List.of("d1");
        Steps steps = new Steps().draw("rectangle", "x=0 y=0 width=50 height=30");
        Drawn drawn = steps.add(command.word(), on, "").apply();
        boolean needs =
                command.parameters().stream().anyMatch(q -> q.otherwise().isEmpty() && !q.isText());
        if (needs) {
            assertThat(drawn.troubles()).hasSize(1);
            assertThat(drawn.troubles().get(0).sentence()).contains("number is missing");
        }
        assertThat(drawn.troubles()).allMatch(t -> t.sentence().endsWith("."));
    }

    static List<Command> commands() {
        return Commands.list();
    }

    @Test
    void trimmingTakesAwayTheStretchAtThePlace() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("line", "x1=0 y1=0 x2=100 y2=0")
                        .draw("line", "x1=30 y1=-10 x2=30 y2=10")
                        .draw("line", "x1=60 y1=-10 x2=60 y2=10")
                        .add("trim", List.of("d1"), "x=45 y=1")
                        .entities();
        assertAt(drawn.get("d1").chain().end(), 30, 0);
        assertAt(drawn.get("d4").chain().start(), 60, 0);
        assertAt(drawn.get("d4").chain().end(), 100, 0);
    }

    @Test
    void aCircleIsTrimmedBetweenTwoCrossings() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("circle", "x=0 y=0 diameter=20")
                        .draw("line", "x1=-20 y1=0 x2=20 y2=0")
                        .add("trim", List.of("d1"), "x=0 y=10")
                        .entities();
        assertThat(drawn.get("d1").chain().length()).isCloseTo(10 * Math.PI, within(1e-9));
        assertThat(drawn.get("d1").chain().box().max().y()).isCloseTo(0, within(1e-9));
    }

    @Test
    void outlinesThatCrossBecomeAllTheirFaces() {
        Steps crossing =
                new Steps()
                        .draw("rectangle", "x=0 y=0 width=10 height=10")
                        .draw("rectangle", "x=5 y=5 width=10 height=10");
        Reading undecided = crossing.reading();
        assertThat(undecided.openFaults())
                .hasSize(2)
                .allMatch(f -> f.features().equals(List.of("cd1", "cd2")));
        Reading divided = crossing.add("divide", List.of("d1", "d2"), "").reading();
        assertThat(divided.parts().stream().mapToDouble(p -> p.region().area()).sorted())
                .usingElementComparator(Comparator.comparingDouble(a -> Math.rint(a * 1e9)))
                .containsExactly(25.0, 75.0, 75.0);
        assertThat(
                        new Steps()
                                .draw("circle", "x=0 y=0 diameter=4")
                                .draw("circle", "x=9 y=0 diameter=4")
                                .add("divide", List.of("d1", "d2"), "")
                                .trouble())
                .contains("None of these lines crosses");
    }

    @Test
    void aLineIsExtendedToTheNextOne() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("line", "x1=0 y1=0 x2=10 y2=0")
                        .draw("line", "x1=80 y1=-5 x2=80 y2=5")
                        .draw("circle", "x=50 y=0 diameter=20")
                        .add("extend", List.of("d1"), "x=9 y=1")
                        .entities();
        assertAt(drawn.get("d1").chain().end(), 40, 0);
    }

    @Test
    void twoLinesAreRoundedTogether() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("line", "x1=0 y1=0 x2=45 y2=0")
                        .draw("line", "x1=50 y1=5 x2=50 y2=40")
                        .add("fillet", List.of("d1", "d2"), "x=50 y=0 radius=10")
                        .entities();
        assertThat(drawn).containsOnlyKeys("d1");
        assertThat(drawn.get("d1").segments()).hasSize(3);
        assertAt(((Arc) drawn.get("d1").segments().get(1)).centre(), 40, 10);
        assertAt(drawn.get("d1").chain().end(), 50, 40);
    }

    @Test
    void cornersOfAnOutlineAreRoundedAndBevelled() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("rectangle", "x=0 y=0 width=50 height=30")
                        .add("fillet", List.of("d1"), "x=49 y=1 radius=5")
                        .add("chamfer", List.of("d1"), "x=1 y=29 length=4")
                        .entities();
        double area = 1500 - (1 - Math.PI / 4) * 25 - 8;
        assertThat(((Contour) drawn.get("d1").chain()).area()).isCloseTo(area, within(1e-9));
    }

    @Test
    void linesAreBroughtToACornerAndJoined() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("line", "x1=0 y1=0 x2=60 y2=0")
                        .draw("line", "x1=50 y1=10 x2=50 y2=40")
                        .draw("line", "x1=50 y1=40 x2=0 y2=0")
                        .add("meet", List.of("d1", "d2"), "x=50 y=0")
                        .add("join", List.of("d1", "d3"), "")
                        .entities();
        assertThat(drawn).containsOnlyKeys("d1");
        assertThat(((Contour) drawn.get("d1").chain()).area()).isCloseTo(1000, within(1e-9));
    }

    @Test
    void parallelsOfOutlinesAndLines() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("rectangle", "x=0 y=0 width=50 height=30")
                        .add("offset", List.of("d1"), "distance=-5")
                        .draw("line", "x1=0 y1=100 x2=50 y2=100")
                        .draw("line", "x1=50 y1=100 x2=50 y2=150")
                        .add("join", List.of("d3", "d4"), "")
                        .add("offset", List.of("d3"), "distance=10")
                        .entities();
        assertThat(((Contour) drawn.get("d2").chain()).area()).isCloseTo(800, within(1e-9));
        assertAt(drawn.get("d6").chain().start(), 0, 110);
        assertAt(drawn.get("d6").segments().get(0).end(), 40, 110);
        assertAt(drawn.get("d6").chain().end(), 40, 150);
    }

    @Test
    void patternsFollowTheirOriginalAndTheirCounts() {
        Steps steps =
                new Steps()
                        .draw("circle", "x=0 y=0 diameter=8")
                        .add("rows", List.of("d1"), "columns=3 rows=2 dx=20 dy=15");
        Map<String, Entity> drawn = steps.entities();
        assertThat(drawn).hasSize(6).containsKeys("d1", "d2", "d2-2", "d2-5");
        assertAt(drawn.get("d2-5").chain().box().centre(), 40, 15);
        Map<String, Entity> round =
                new Steps()
                        .draw("circle", "x=30 y=0 diameter=8")
                        .add("round", List.of("d1"), "x=0 y=0 count=6")
                        .entities();
        assertThat(round).hasSize(6);
        assertAt(round.get("d2").chain().box().centre(), 15, 30 * Math.sin(Math.PI / 3));
    }

    @Test
    void shapesCanGrowUnderWhatWorksOnAllOfThem() {
        for (int holes : new int[] {4, 7}) {
            Map<String, Entity> drawn =
                    new Steps()
                            .draw("ring", "x=0 y=0 holes=" + holes)
                            .add("move", List.of("d1*"), "dx=200")
                            .entities();
            assertThat(drawn).hasSize(2 + holes);
            assertThat(drawn.values())
                    .allMatch(e -> e.chain().box().centre().x() > 100, "moved along");
        }
    }

    @Test
    void movesKeepOrCopy() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("line", "x1=1 y1=2 x2=3 y2=2")
                        .add("copy", List.of("d1"), "dx=10")
                        .add("mirror", List.of("d1"), "x1=0 y1=0 x2=0 y2=5 keep=yes")
                        .add("rotate", List.of("d1"), "x=0 y=0 turn=90")
                        .add("scale", List.of("d2"), "x=11 y=2 factor=3")
                        .entities();
        assertAt(drawn.get("d1").chain().start(), -2, 1);
        assertAt(drawn.get("d2").chain().end(), 17, 2);
        assertAt(drawn.get("d3").chain().start(), -1, 2);
    }

    @Test
    void fittedIntoTheSheetItTurnsWhenItMust() {
        Map<String, Entity> drawn =
                new Steps()
                        .draw("rectangle", "x=-500 y=70 width=80 height=200")
                        .add("fit", List.of("d1"), "width=300 height=100 margin=5")
                        .entities();
        assertAt(drawn.get("d1").chain().box().min(), 5, 5);
        assertAt(drawn.get("d1").chain().box().max(), 205, 85);
    }

    @Test
    void textIsWrittenInSingleLines() {
        Drawn drawn = new Steps().draw("text", "x=10 y=20 text=SANDLING-7 height=12").apply();
        assertThat(drawn.troubles()).isEmpty();
        assertThat(drawn.drawing().entities()).hasSizeGreaterThan(10);
        assertThat(
                        drawn.drawing().entities().stream()
                                .mapToDouble(e -> e.chain().box().max().y())
                                .max())
                .hasValue(32);
        assertThat(new Steps().draw("text", "x=0 y=0 text=é").trouble())
                .contains("Marking has no letter \"é\" (U+00E9)");
    }

    @Test
    void guidesDimensionsGroupsAndLayersAreKept() {
        Drawn drawn =
                new Steps()
                        .draw("guide", "x=5 y=5 angle=45")
                        .draw("dimension", "x1=0 y1=0 x2=30 y2=40 away=5")
                        .draw("circle", "x=0 y=0 diameter=5")
                        .draw("point", "x=9 y=8")
                        .add("group", List.of("d3"), "name=bolts")
                        .add("layer", List.of("d3"), "name=MARK")
                        .apply();
        assertThat(drawn.troubles()).isEmpty();
        assertThat(drawn.guides()).hasSize(1);
        assertThat(drawn.dimensions()).hasSize(1);
        assertThat(drawn.groups()).containsEntry("bolts", List.of("d3"));
        assertThat(drawn.drawing().entities().get(0).layer()).isEqualTo("MARK");
        assertThat(drawn.drawing().points()).containsExactly(p(9, 8));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "circle | x=0 y=0 diameter=-3 | The diameter is -3; it must be more than 0.",
                "ring | x=0 y=0 inner=200 | The inner diameter is 200 mm; it must be less than the outer one, 160 mm.",
                "rectangle | x=0 y=0 width=20 height=10 radius=6 | The corner radius is 6 mm; half of the shorter side, 5 mm, is the limit.",
                "slot | x=0 y=0 length=5 width=9 | The slot is 5 mm long and 9 mm wide; it must be longer than wide.",
                "polygon | x=0 y=0 sides=2.5 flats=9 | The number of sides is 2.5; it must be a whole number from 3 to 10000.",
                "line | x1=0 y1=0 x2=0 y2=0 | The line would have no length: both ends are at (0.000, 0.000).",
                "arc-radius | x1=0 y1=0 x2=10 y2=0 radius=3 | The radius is 3 mm; the ends are 10 mm apart, so it must be at least half of that.",
                "circle | x=1e9 y=0 diameter=3 | Centre x is 1000000000; the limit is 1000000.",
                "wheel | x=1 | There is no drawing command \"wheel\"."
            })
    void whatCannotBeDrawnIsToldWithValueAndLimit(String command, String values, String sentence) {
        assertThat(new Steps().draw(command, values).trouble()).isEqualTo(sentence);
    }

    @Test
    void aStepWhoseTargetIsGoneIsToldAndTheRestIsDone() {
        Drawn drawn =
                new Steps()
                        .draw("circle", "x=0 y=0 diameter=5")
                        .add("delete", List.of("d1"), "")
                        .add("move", List.of("d1"), "dx=5")
                        .draw("circle", "x=0 y=0 diameter=7")
                        .apply();
        assertThat(drawn.troubles()).extracting(Drawn.Trouble::step).containsExactly("d3");
        assertThat(drawn.drawing().entities()).hasSize(1);
    }
}
