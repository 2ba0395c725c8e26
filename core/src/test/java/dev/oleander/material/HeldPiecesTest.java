package dev.oleander.material;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.LongRun;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.motion.Item;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.proof.Finding;
import dev.oleander.proof.Proof;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Typed;
import dev.oleander.work.sheet.choice.PlanChoices;
import dev.oleander.work.sheet.choice.StopChoice;
import dev.oleander.work.sheet.choice.TabChoice;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.plan.SheetPlanner;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.ShrinkingMode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** What tabs hold, against a picture of the sheet that is flooded from its edge. */
class HeldPiecesTest {

    private static final double CELL = 0.05;

    private static Run plan(Reading reading, int quantity, TabChoice tabs, SheetChoices sheet) {
        PlanChoices choices =
                PlanChoices.defaults()
                        .withStop(
                                reading.parts().get(0).outline(),
                                StopChoice.NOTHING.withTabs(tabs));
        return Samples.plan(
                reading, new SheetPlanner.Order("mild steel", 6, quantity), choices, sheet);
    }

    private static SheetChoices sheet(double width, double height, double gap, int columns) {
        return SheetChoices.defaults()
                .withStock(new SheetChoices.Stock(false, Typed.of(width), Typed.of(height), null))
                .withGrid(
                        new SheetChoices.Grid(
                                Typed.of(0), null, Typed.of(columns), Typed.of(gap), null, false));
    }

    @Test
    void tabsThatFaceANeighboursKerfHoldNothing() {
        Reading reading = new Drawn().rectangle(0, 0, 20, 12).reading();
        TabChoice longSides = new TabChoice(null, null, null, List.of(Typed.of(10)));
        Run near = plan(reading, 12, longSides, sheet(150, 100, 0.31, 4));
        Timeline timeline = Samples.time(near);
        List<FreePiece> pieces = MaterialState.of(reading, near, timeline).pieces();
        // some leads have no room so near to a neighbour
        assertThat(pieces).hasSizeBetween(8, 12);
        long loose = pieces.stream().filter(FreePiece::isLoose).count();
        assertThat(loose).isPositive().isLessThan(pieces.size());
        Proof proof = Samples.prove(reading, near);
        assertThat(of(proof, "tabs"))
                .singleElement()
                .satisfies(f -> assertThat(f.severity()).isEqualTo(Severity.LOOK))
                .satisfies(f -> assertThat(f.value()).isEqualTo(loose))
                .satisfies(f -> assertThat(f.sentence()).contains("hold nothing"));
        // a sheet that is planned knows it too: nothing travels low across what is loose
        assertThat(of(proof, "free")).isEmpty();
        Run far = plan(reading, 12, longSides, sheet(200, 150, 6, 4));
        assertThat(of(Samples.prove(reading, far), "tabs")).isEmpty();
    }

    private static List<Finding> of(Proof proof, String rule) {
        return proof.findings().stream().filter(f -> f.rule().equals(rule)).toList();
    }

    @Test
    void aPartHeldByTabsInAPieceThatFallsFallsWithIt() {
        Reading reading =
                new Drawn()
                        .rectangle(0, 0, 300, 200)
                        .rectangle(50, 50, 200, 100)
                        .rectangle(90, 80, 120, 40)
                        .reading();
        String island =
                reading.parts().stream()
                        .filter(p -> Math.abs(p.region().area() - 120 * 40) < 1)
                        .findFirst()
                        .orElseThrow()
                        .outline();
        PlanChoices choices =
                PlanChoices.defaults()
                        .withStop(
                                island,
                                StopChoice.NOTHING.withTabs(
                                        new TabChoice(Typed.of(2), null, null, List.of())));
        Run run =
                Samples.plan(
                        reading,
                        new SheetPlanner.Order("mild steel", 6, 1),
                        choices,
                        SheetChoices.defaults());
        List<FreePiece> pieces = MaterialState.of(reading, run, Samples.time(run)).pieces();
        FreePiece part = only(pieces, island);
        FreePiece waste = pieces.stream().filter(p -> !p.kept()).findFirst().orElseThrow();
        assertThat(part.isLoose()).isTrue();
        assertThat(part.item()).isEqualTo(waste.item());
    }

    private static FreePiece only(List<FreePiece> pieces, String feature) {
        return pieces.stream()
                .filter(p -> p.stop().feature().equals(feature))
                .findFirst()
                .orElseThrow();
    }

    @Property(tries = 15, shrinking = ShrinkingMode.OFF)
    void whatIsHeldHangsTogetherWithTheSheet(@ForAll long seed) {
        assertThat(broken(seed)).isEmpty();
    }

    /** {@code -Doleander.long=2000} looks at so many sheets, on all processors. */
    @Test
    @EnabledIfSystemProperty(named = LongRun.SWITCH, matches = "\\d+")
    void manySheets() {
        LongRun.of(HeldPiecesTest::broken);
    }

    private static List<String> broken(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double width = 6 + 10 * random.nextDouble();
        double height = 6 + 6 * random.nextDouble();
        Reading reading = new Drawn().rectangle(0, 0, width, height).reading();
        int tabs = 1 + random.nextInt(3);
        List<Typed> at = new ArrayList<>();
        for (int i = 0; i < tabs; i++) {
            at.add(Typed.of(2 * (width + height) * random.nextDouble()));
        }
        double gap = 0.28 + 0.5 * random.nextDouble();
        int columns = 2 + random.nextInt(2);
        SheetChoices sheet =
                sheet(columns * (width + gap) + 24, 2 * (height + gap) + 24, gap, columns);
        Run run = plan(reading, 2 * columns, new TabChoice(null, null, null, at), sheet);
        Timeline timeline = Samples.time(run);
        double half = SheetCut.of(run.stops().get(0)).row().orElseThrow().kerf() / 2;
        Picture careful = new Picture(run, timeline, half + 0.025 + CELL);
        Picture bold = new Picture(run, timeline, half - CELL);
        List<String> broken = new ArrayList<>();
        for (FreePiece piece : MaterialState.of(reading, run, timeline).pieces()) {
            boolean held = piece.rest() == Rest.HELD;
            if (careful.reaches(piece.region().centroid()) && !held) {
                broken.add(piece.stop().id() + " is held, and said to be loose");
            }
            if (!bold.reaches(piece.region().centroid()) && held) {
                broken.add(piece.stop().id() + " is loose, and said to be held");
            }
        }
        return broken;
    }

    /** The sheet in cells; those a kerf takes are gone, and the rest is flooded from the edge. */
    private static final class Picture {
        private final int wide;
        private final int high;
        private final boolean[] gone;
        private final boolean[] reached;
        private final Point corner;

        Picture(Run run, Timeline timeline, double radius) {
            Box stock = run.layout().stock();
            this.corner = stock.min();
            this.wide = (int) Math.ceil(stock.width() / CELL);
            this.high = (int) Math.ceil(stock.height() / CELL);
            this.gone = new boolean[wide * high];
            this.reached = new boolean[wide * high];
            for (Item item : timeline.program().items()) {
                if (item instanceof Item.Feed feed && feed.on()) {
                    take(feed.segment(), radius);
                }
            }
            flood();
        }

        private Point centre(int x, int y) {
            return corner.plus(new Point((x + 0.5) * CELL, (y + 0.5) * CELL));
        }

        private void take(Segment segment, double radius) {
            Box box = segment.box().grown(radius);
            int x0 = Math.max(0, (int) ((box.min().x() - corner.x()) / CELL) - 1);
            int y0 = Math.max(0, (int) ((box.min().y() - corner.y()) / CELL) - 1);
            int x1 = Math.min(wide - 1, (int) ((box.max().x() - corner.x()) / CELL) + 1);
            int y1 = Math.min(high - 1, (int) ((box.max().y() - corner.y()) / CELL) + 1);
            for (int y = y0; y <= y1; y++) {
                for (int x = x0; x <= x1; x++) {
                    if (segment.distance(centre(x, y)) <= radius) {
                        gone[y * wide + x] = true;
                    }
                }
            }
        }

        private void flood() {
            ArrayDeque<Integer> waiting = new ArrayDeque<>();
            for (int x = 0; x < wide; x++) {
                reach(x, 0, waiting);
                reach(x, high - 1, waiting);
            }
            for (int y = 0; y < high; y++) {
                reach(0, y, waiting);
                reach(wide - 1, y, waiting);
            }
            while (!waiting.isEmpty()) {
                int cell = waiting.poll();
                int x = cell % wide;
                int y = cell / wide;
                reach(x - 1, y, waiting);
                reach(x + 1, y, waiting);
                reach(x, y - 1, waiting);
                reach(x, y + 1, waiting);
            }
        }

        private void reach(int x, int y, ArrayDeque<Integer> waiting) {
            boolean inside = x >= 0 && y >= 0 && x < wide && y < high;
            if (inside && !gone[y * wide + x] && !reached[y * wide + x]) {
                reached[y * wide + x] = true;
                waiting.add(y * wide + x);
            }
        }

        boolean reaches(Point p) {
            int x = (int) ((p.x() - corner.x()) / CELL);
            int y = (int) ((p.y() - corner.y()) / CELL);
            return reached[y * wide + x];
        }
    }
}
