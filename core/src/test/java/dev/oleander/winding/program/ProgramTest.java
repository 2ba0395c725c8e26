package dev.oleander.winding.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.winding.Cases;
import dev.oleander.winding.eye.EyePath;
import dev.oleander.winding.eye.EyeRule;
import dev.oleander.winding.eye.EyeSet;
import dev.oleander.winding.eye.YawRule;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.path.PathPoint;
import dev.oleander.winding.surface.Meridian;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the axes lay is what was planned. */
class ProgramTest {

    private static EyePath eye(String name, int axes, EyeRule rule) {
        Circuit circuit = Cases.circuit(name);
        return new EyePath(circuit, new EyeSet(EyeSet.axes(axes), rule, YawRule.FLAT, 0.5, 25));
    }

    @ParameterizedTest
    @CsvSource({
        "float_ellipsoid, 3",
        "float_two_openings, 4",
        "sphere_great_circle, 6",
        "buoy_equal_stress, 5",
        "tube_turnarounds, 3"
    })
    void finePointsLayThePath(String name, int axes) {
        Meridian meridian = Cases.meridian(name);
        EyePath eye = eye(name, axes, new EyeRule.FreeLength(80));
        List<AxisRow> rows = new ArrayList<>();
        int steps = 4000;
        for (int i = 0; i <= steps; i++) {
            rows.add(AxisRow.of(eye.at(eye.path().length() * i / steps)));
        }

        List<ForwardSolution.Laid> laid = new ForwardSolution(meridian).lay(eye.path().at(0), rows);

        for (int i = 0; i <= steps; i += 50) {
            PathPoint planned = eye.path().at(rows.get(i).l());
            assertThat(laid.get(i).m()).as("m at %s", i).isCloseTo(planned.m(), within(2e-3));
            assertThat(laid.get(i).phi() * planned.surface().r())
                    .as("phi at %s", i)
                    .isCloseTo(planned.phi() * planned.surface().r(), within(4e-3));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"float_ellipsoid", "float_two_openings", "tube_turnarounds"})
    void fewPointsStayWithinTheTolerance(String name) {
        Meridian meridian = Cases.meridian(name);
        EyePath eye = eye(name, 3, new EyeRule.FreeLength(80));

        AxisProgram program = AxisProgram.of(meridian, eye, 0.05);

        assertThat(program.rows().size()).isBetween(20, 2000);
        assertThat(program.greatestDeviation()).isLessThanOrEqualTo(0.05);
        assertThat(program.rows().get(program.rows().size() - 1).l())
                .isCloseTo(eye.path().length(), within(1e-9));
    }
}
