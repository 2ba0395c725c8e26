package dev.oleander.work.router.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Leg;
import dev.oleander.work.router.way.Leg.Pace;
import java.util.List;
import java.util.function.DoubleBinaryOperator;
import org.junit.jupiter.api.Test;

/** Volumes and depths of tools that are not flat, against closed forms. */
class VolumeTest {

    private static final DoubleBinaryOperator FLAT = (from, to) -> to - from;

    private static final Region STOCK =
            new Region(
                    Contour.rectangle(Box.of(new Point(-50, -50), new Point(150, 50))), List.of());

    private static double volume(Tool.Form form, Leg... legs) {
        return Volume.of(new Cutting("s", form, List.of(legs)), STOCK, p -> 0, 20, FLAT);
    }

    private static Leg along(double fromZ, double toZ) {
        return Leg.along(new Line(Point.ORIGIN, new Point(100, 0)), fromZ, toZ, Pace.CUT);
    }

    /** Of half a ball in a groove: section of a circle along the way, and one cap at both ends. */
    @Test
    void aGrooveOfABall() {
        double r = 4;
        double d = 3;
        double section = r * r * Math.acos((r - d) / r) - (r - d) * Math.sqrt(2 * r * d - d * d);
        double cap = Math.PI * d * d * (r - d / 3);
        double volume = volume(Tool.Form.of(ToolKind.BALL, 2 * r), along(-d, -d));
        assertThat(volume).isCloseTo(100 * section + cap, within(1e-3 * volume));
    }

    /** Of a cone: a triangle along the way, and one cone at both ends. */
    @Test
    void aGrooveOfACone() {
        Tool.Form cone = new Tool.Form(ToolKind.POINTED, 20, 0, 60, 0, 0);
        double d = 5;
        double half = d * Math.tan(Math.toRadians(30));
        double expected = 100 * d * half + Math.PI * half * half * d / 3;
        double volume = volume(cone, along(-d, -d));
        assertThat(volume).isCloseTo(expected, within(1e-3 * expected));
    }

    /** A cone that climbs leaves at a place beside its way what the steepest circle does. */
    @Test
    void aClimbingConeIsLowestWhereItsFlankIsAsSteep() {
        Tool.Form cone = new Tool.Form(ToolKind.POINTED, 30, 2, 90, 0, 0);
        Cutting cutting = new Cutting("s", cone, List.of(along(-10, 0)));
        Depths depths = new Depths(List.of(cutting));
        for (double x = 5; x < 95; x += 7) {
            for (double y = -6; y <= 6; y += 1.5) {
                double lowest = 0;
                for (int i = 0; i <= 20_000; i++) {
                    double t = i / 20_000.0;
                    double away = Math.hypot(x - 100 * t, y);
                    if (away <= 15) {
                        double z = -10 + 10 * t + Math.max(0, away - 1);
                        lowest = Math.min(lowest, z);
                    }
                }
                assertThat(depths.at(new Point(x, y)).depth())
                        .as("%s, %s", x, y)
                        .isCloseTo(-lowest, within(1e-5));
            }
        }
    }

    @Test
    void whatLiesBeyondTheStockOrAboveItsSurfaceDoesNotCount() {
        Tool.Form ball = Tool.Form.of(ToolKind.BALL, 8);
        Leg outside = Leg.along(new Line(new Point(200, 0), new Point(300, 0)), -3, -3, Pace.CUT);
        assertThat(volume(ball, outside)).isZero();
        Cutting groove = new Cutting("s", ball, List.of(along(-3, -3)));
        double whole = Volume.of(groove, STOCK, p -> 0, 20, FLAT);
        double lower = Volume.of(groove, STOCK, p -> 1, 20, FLAT);
        assertThat(lower).isBetween(0.3 * whole, 0.8 * whole);
        assertThat(Volume.of(groove, STOCK, p -> 3, 20, FLAT)).isLessThan(1e-6);
    }
}
