package dev.oleander.work.router.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.Leg.Pace;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each cell is as deep as the exact depth at its middle, whichever way a moment is reached. */
class HeightFieldTest {

    private static final Box WINDOW = Box.of(new Point(-10, -20), new Point(50, 20));
    private static final int COLUMNS = 60;
    private static final int ROWS = 40;

    private static List<Leg> legs(Random random) {
        List<Leg> legs = new ArrayList<>();
        Point at = Point.ORIGIN;
        double z = -1;
        for (int i = 0; i < 60; i++) {
            Point to = new Point(random.nextDouble(-15, 55), random.nextDouble(-25, 25));
            double down = -random.nextDouble(0.5, 6);
            boolean arc = i % 3 == 0;
            legs.add(
                    Leg.along(
                            arc ? new Arc(at, to, random.nextDouble(-0.8, 0.8)) : new Line(at, to),
                            z,
                            down,
                            Pace.CUT));
            at = to;
            z = down;
        }
        return legs;
    }

    @ParameterizedTest
    @EnumSource(
            value = ToolKind.class,
            names = {"STRAIGHT", "BALL", "POINTED"})
    void everyCellIsAsDeepAsItsMiddle(ToolKind kind) {
        Tool.Form form = form(kind);
        List<Leg> legs = legs(new Random(7));
        Depths depths = new Depths(List.of(new Cutting("one", form, legs)));
        HeightField field = new HeightField(depths, WINDOW, COLUMNS, ROWS);
        for (int made : new int[] {60, 3, 41, 40, 0, 17, 59}) {
            float[] found = field.at(made, 0);
            for (int row = 0; row < ROWS; row++) {
                for (int column = 0; column < COLUMNS; column++) {
                    Point middle = new Point(-10 + column + 0.5, 20 - row - 0.5);
                    assertThat((double) found[row * COLUMNS + column])
                            .as("%s %s", made, middle)
                            .isCloseTo(depths.at(middle, made).depth(), within(1e-5));
                }
            }
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = ToolKind.class,
            names = {"STRAIGHT", "BALL"})
    void aMoveUnderWayIsCutAsFarAsTheToolIs(ToolKind kind) {
        List<Leg> legs = legs(new Random(3));
        for (int leg : new int[] {1, 2, 3}) {
            List<Leg> part = new ArrayList<>(legs.subList(0, leg));
            Leg whole = legs.get(leg);
            double z = whole.fromZ() + 0.4 * (whole.toZ() - whole.fromZ());
            part.add(
                    Leg.along(
                            whole.segment().orElseThrow().between(0, 0.4),
                            whole.fromZ(),
                            z,
                            Pace.CUT));
            float[] found = field(kind, legs).at(leg, 0.4);
            float[] expected = field(kind, part).at(leg + 1, 0);
            for (int i = 0; i < found.length; i++) {
                assertThat(found[i]).isCloseTo(expected[i], within(1e-3f));
            }
        }
    }

    private static HeightField field(ToolKind kind, List<Leg> legs) {
        Depths depths = new Depths(List.of(new Cutting("one", form(kind), legs)));
        return new HeightField(depths, WINDOW, COLUMNS, ROWS);
    }

    private static Tool.Form form(ToolKind kind) {
        return kind == ToolKind.POINTED
                ? new Tool.Form(kind, 20, 0.5, 60, 0, 0)
                : new Tool.Form(kind, 8, 0, 0, 0, 0);
    }
}
