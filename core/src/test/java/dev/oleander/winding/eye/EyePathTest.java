package dev.oleander.winding.eye;

import static org.assertj.core.api.Assertions.assertThat;

import dev.oleander.winding.Cases;
import dev.oleander.winding.path.Circuit;
import dev.oleander.winding.surface.Meridian;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Axes of many machines along many paths, against figures of other code. */
class EyePathTest {

    static EyeSet set(Meridian meridian, JsonNode query) {
        double value = query.get("value").asDouble();
        EyeRule rule =
                switch (query.get("eye").asString()) {
                    case "radius" -> new EyeRule.Radius(value, meridian.greatestRadius());
                    case "clearance" -> new EyeRule.Clearance(meridian, value);
                    default -> new EyeRule.FreeLength(value);
                };
        return new EyeSet(
                EyeSet.axes(query.get("axes").asInt()),
                rule,
                YawRule.of(query.path("yaw").asString("flat")).orElseThrow(),
                query.path("heightShare").asDouble(0),
                query.path("heightMost").asDouble(0));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "float_ellipsoid",
                "float_two_openings",
                "float_half_profile",
                "sphere_great_circle",
                "buoy_equal_stress",
                "tube_turnarounds",
                "cone_pins"
            })
    void axesStandWhereTheyShould(String name) {
        Meridian meridian = Cases.meridian(name);
        Circuit circuit = Cases.circuit(name);
        List<String> off = new ArrayList<>();
        int checked = 0;
        for (JsonNode machine : Cases.truth(name).get("machine")) {
            EyePath path = new EyePath(circuit, set(meridian, machine.get("query")));
            for (JsonNode at : machine.get("points")) {
                EyePoint p = path.at(at.get("l").asDouble());
                String where = machine.get("query") + " at " + at.get("l");
                for (WindingAxis axis : WindingAxis.values()) {
                    if (at.has(axis.name())) {
                        checked++;
                        check(off, where + axis, axis.outside(p.of(axis)), at.get(axis.name()));
                    }
                }
                check(off, where + " free", p.free(), at.get("free"));
                if (at.has("twist")) {
                    check(off, where + " twist", Math.toDegrees(p.twist()), at.get("twist"));
                }
            }
        }
        assertThat(checked).isGreaterThan(50);
        assertThat(off).isEmpty();
    }

    private static void check(List<String> off, String what, double value, JsonNode truth) {
        double by = Math.IEEEremainder(value - truth.get("value").asDouble(), 360);
        boolean near =
                what.endsWith("B") || what.endsWith("C")
                        ? Math.abs(by) <= truth.get("tol").asDouble()
                        : Math.abs(value - truth.get("value").asDouble())
                                <= truth.get("tol").asDouble();
        if (!near) {
            off.add(what + ": " + value + " for " + truth.get("value"));
        }
    }
}
