package dev.oleander.winding.feed;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.winding.Cases;
import dev.oleander.winding.eye.EyePath;
import dev.oleander.winding.eye.EyeRule;
import dev.oleander.winding.eye.EyeSet;
import dev.oleander.winding.eye.WindingAxis;
import dev.oleander.winding.eye.YawRule;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.path.Circuit;
import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Speeds and times against figures of other code. */
class FeedTest {

    static AxisLimits limits(WindingForm form) {
        Map<WindingAxis, AxisLimits.Limit> of = new EnumMap<>(WindingAxis.class);
        for (WindingAxis axis : WindingAxis.values()) {
            WindingForm.Limits limits = form.axisLimits().get(axis.name());
            of.put(
                    axis,
                    new AxisLimits.Limit(
                            axis.inside(limits.speed()),
                            axis.inside(limits.acceleration()),
                            axis.inside(limits.jerk())));
        }
        return new AxisLimits(of, form.axisLimits().get("roving").speed());
    }

    private static AxisWay way(Circuit circuit, JsonNode query) {
        return new AxisWay(
                new EyePath(
                        circuit,
                        new EyeSet(
                                EyeSet.axes(query.get("axes").asInt()),
                                new EyeRule.FreeLength(query.get("value").asDouble()),
                                YawRule.FLAT,
                                0,
                                0)));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_two_openings",
                "buoy_equal_stress",
                "sphere_great_circle"
            })
    void speedsAloneGiveTheLeastTime(String name) {
        JsonNode truth = Cases.truth(name);
        AxisLimits limits = limits(Cases.form(name));
        Circuit circuit = Cases.circuit(name);
        int checked = 0;
        for (JsonNode machine : truth.get("machine")) {
            for (JsonNode at : machine.get("points")) {
                if (at.has("speedLimit")) {
                    double limit =
                            way(circuit, machine.get("query"))
                                    .speedLimit(at.get("l").asDouble(), limits);
                    Cases.assertIs("speed at " + at.get("l"), limit, at.get("speedLimit"));
                    checked++;
                }
            }
        }
        assertThat(checked).isGreaterThan(5);
        JsonNode only = truth.get("speedOnly");

        double seconds = Speeds.seconds(way(circuit, only.get("query")), limits);

        Cases.assertIs("seconds", seconds, only.get("circuitSeconds"));
    }

    @Test
    void accelerationsAndJerkMakeItSlower() {
        JsonNode truth = Cases.truth("sphere_great_circle");
        AxisLimits limits = limits(Cases.form("sphere_great_circle"));
        AxisWay way =
                way(Cases.circuit("sphere_great_circle"), truth.get("timeOptimal").get("query"));
        double[] even = Quickest.even(way.path().path().length(), 2000);

        double quick = Quickest.seconds(even, new Quickest(way, limits, even).squares());

        Cases.assertIs("accelerated", quick, truth.get("timeOptimal").get("circuitSeconds"));
        double[] graded = Smooth.graded(way.path().path().length(), 600);
        double[] squares = new Quickest(way, limits, graded).squares();

        double smooth = Quickest.seconds(graded, new Smooth(way, limits, graded).squares(squares));

        Cases.assertIs("with jerk", smooth, truth.get("timeJerk").get("circuitSeconds"));
    }
}
