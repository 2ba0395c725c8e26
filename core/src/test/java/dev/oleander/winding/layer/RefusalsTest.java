package dev.oleander.winding.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.drawing.Drawing;
import dev.oleander.winding.Cases;
import dev.oleander.winding.form.EndForm;
import dev.oleander.winding.form.LayerForm;
import dev.oleander.winding.form.MandrelForm;
import dev.oleander.winding.form.MaterialForm;
import dev.oleander.winding.form.WindingForm;
import dev.oleander.winding.surface.Meridian;
import dev.oleander.winding.surface.TableProfile;
import dev.oleander.winding.surface.WindingException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** What cannot be wound is said with place, value and limit; what is hollow is found. */
class RefusalsTest {

    private static final WindingForm FLOAT = Cases.form("float_ellipsoid");

    private static LayerForm layer(String json) {
        return JsonMapper.shared().readValue(json.replace('\'', '"'), LayerForm.class);
    }

    private static LaidLayer lay(Meridian meridian, String json) {
        return new LayerPlanner(meridian, FLOAT.material()).lay(layer(json));
    }

    private static LaidLayer lay(String json) {
        return lay(Cases.meridian("float_ellipsoid"), json);
    }

    private static MandrelForm mandrel(String json) {
        return JsonMapper.shared().readValue(json.replace('\'', '"'), MandrelForm.class);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'law':'steered','angle':20,'ease':0,'close':'none','ends':{'right':{'turnRadius':15}}}"
                        + " | Turn radius 15 mm: the band's inner edge would lie over the opening"
                        + " (12 mm). Take at least 17.92 mm, or a narrower band.",
                "{'law':'steered','angle':20,'ease':0,'close':'none','ends':{'right':{'turnRadius':45}}}"
                        + " | It cannot turn at 45 mm on the right: with friction 0.25 it turns at",
                "{'law':'geodesic','angle':90} | Angle 90: that winds nothing along; use a hoop layer.",
                "{'law':'geodesic','angle':-4} | Angle -4: it is more than 0 and less than 90",
                "{'law':'geodesic','angle':8,'close':'none'} | It does not turn on the left: at the"
                        + " end, radius 12 mm, its angle is still 44.1 degrees.",
                "{'angle':8} | The law is missing.",
                "{'law':'spiral','angle':8} | Law spiral: there are geodesic",
                "{'law':'geodesic','angle':20,'coverage':-3,'close':'none'} | Coverage -3 percent",
                "{'law':'hoop','zone':{'from':90,'to':20}} | The zone runs from x = 90 to 20",
                "{'law':'hoop','zone':{'from':20,'to':90},'passes':0} | Passes 0; from 1",
                "{'law':'geodesic','angle':20,'ease':-1,'close':'none'} | Ease -1 mm",
                "{'law':'geodesic','angle':20,'reference':{'x':900}} | x = 900.000 mm is not on the"
                        + " mandrel; it runs from -39.192 to 239.192 mm.",
                "{'law':'geodesic','angle':20,'pattern':{'circuits':30,'turns':36}} | 30 circuits in"
                        + " 36 turns do not close: they have a common divisor.",
                "{'law':'table','angles':[{'x':0,'angle':20}]} | A table of angles has at least two",
                "{'law':'table','angles':[{'x':10,'angle':20},{'x':10,'angle':30}]} | Row 2: x ="
                        + " 10 comes again",
                "{'law':'table','angles':[{'x':10,'angle':20},{'x':60,'angle':30}]} | It does not"
                        + " turn on the right: no row has 90 degrees there.",
            })
    void layersThatCannotBeLaid(String json, String sentence) {
        assertThatThrownBy(() -> lay(json))
                .isInstanceOf(WindingException.class)
                .hasMessageStartingWith(sentence);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'type':'vessel','radius':60,'length':200,'left':{'dome':'torisphere','crown':90,"
                        + "'knuckle':60,'opening':12},'right':{'dome':'sphere','opening':12}}"
                        + " | Knuckle 60 mm must be less than the radius 60 mm.",
                "{'type':'vessel','radius':60,'length':200} | The end left is missing.",
                "{'type':'ring'} | Mandrel of type ring",
                "{} | The type of the mandrel is missing.",
                "{'type':'tube','length':200} | Radius is missing.",
                "{'type':'tube','radius':-2,'length':200} | Radius -2 mm must be > 0.",
                "{'type':'table'} | The table of the profile is missing.",
                "{'type':'table','rows':[{'x':0,'r':4},{'x':9,'r':4}],'smoothing':'much'}"
                        + " | Smoothing much; it is none, or mm from 0 to 100.",
                "{'type':'dxf'} | There is no half profile in the drawing. Draw it on Shape.",
                "{'type':'dxf','profileLayer':'P'} | There is no half profile on layer P.",
            })
    void mandrelsThatCannotBe(String json, String sentence) {
        assertThatThrownBy(() -> mandrel(json).surface(Drawing.empty("none"), 0))
                .isInstanceOf(WindingException.class)
                .hasMessageStartingWith(sentence);
    }

    @Test
    void questionsWithoutEndAreRefused() {
        LayerPlanner planner =
                new LayerPlanner(Cases.meridian("float_ellipsoid"), FLOAT.material());
        LayerForm form = FLOAT.layers().get(0);

        assertThatThrownBy(() -> planner.patterns(form, Change.ANGLE, 1e9, 20))
                .hasMessage("A change of 1000000000; from 0 to 10.");
        assertThatThrownBy(() -> planner.patterns(form, Change.DWELL, Double.NaN, 20))
                .hasMessageStartingWith("A change of NaN; from 0 to 720");
        assertThatThrownBy(() -> planner.patterns(form, Change.ANGLE, 2, 1e6))
                .hasMessage("1000000 percent over; from 0 to 100.");
        assertThatThrownBy(
                        () ->
                                mandrel("{'type':'tube','radius':20,'length':1e9}")
                                        .surface(Drawing.empty("none"), 0))
                .hasMessageContaining("at most 100000 mm");
    }

    @Test
    void aLayerByItsTurnRadiusClosesByItsAngle() {
        LaidLayer layer = lay("{'law':'geodesic','turnRadius':24,'ease':0}");

        assertThat(layer.pattern()).isPresent();
        assertThat(layer.circuit().orElseThrow().dwellRight()).isZero();
        double radius = layer.circuit().orElseThrow().right().end().surface().r();
        assertThat(radius).isCloseTo(24, within(2.0));
    }

    @Test
    void aTubeNeedsPinsOrTurnarounds() {
        Meridian tube = Cases.meridian("tube_turnarounds");

        assertThatThrownBy(() -> lay(tube, "{'law':'geodesic','angle':40,'close':'none'}"))
                .hasMessageEndingWith("Give pins or turnarounds.");
    }

    @Test
    void aShareOfTheVolumeIsNoPercentage() {
        MaterialForm m = FLOAT.material();
        MaterialForm wrong =
                new MaterialForm(
                        m.rovings(),
                        m.rovingWidth(),
                        m.tex(),
                        m.fibreDensity(),
                        m.resinDensity(),
                        60.0,
                        m.friction(),
                        null);

        assertThatThrownBy(wrong::checked)
                .hasMessage(
                        "Fibre share 60: a share of the volume between 0 and 0.85 is meant (0.60).");
        assertThat(m.checked()).isEqualTo(m);
    }

    @Test
    void aBandThatIsSteeredTooHardSlips() {
        LaidLayer layer =
                lay(
                        "{'law':'steered','angle':20,'ease':0,'close':'none',"
                                + "'ends':{'right':{'lambda':0.31},'left':{'lambda':0.1}}}");

        assertThat(layer.greatestLambda()).isCloseTo(0.31, within(1e-9));
        assertThat(layer.slipMargin()).isCloseTo(-0.06, within(1e-9));
    }

    @Test
    void aWaistIsBridged() {
        List<TableProfile.Row> rows = new ArrayList<>();
        for (int i = 0; i <= 80; i++) {
            double x = 5 * i;
            rows.add(new TableProfile.Row(x, 50 - 12 * Math.exp(-Math.pow((x - 200) / 40, 2))));
        }
        Meridian waist = TableProfile.of(rows, 0).meridian();
        EndForm pins = new EndForm(null, null, null, null, 30.0, true);

        LaidLayer layer =
                new LayerPlanner(waist, FLOAT.material())
                        .lay(
                                new LayerForm(
                                        "L1",
                                        null,
                                        "geodesic",
                                        12.0,
                                        null,
                                        null,
                                        100.0,
                                        "none",
                                        new EndForm.Both(pins, pins),
                                        0.0,
                                        null,
                                        null,
                                        null,
                                        null,
                                        null,
                                        null));

        assertThat(layer.leastNormalCurvature()).isNegative();
        Bridge bridge = layer.bridges().get(0);
        assertThat(bridge.gap()).isBetween(4.0, 12.0);
        double middle = layer.path().at((bridge.from() + bridge.to()) / 2).surface().x();
        assertThat(middle).isCloseTo(200, within(8.0));
    }

    @ParameterizedTest
    @ValueSource(strings = {"float_ellipsoid", "sphere_great_circle", "tube_turnarounds"})
    void theNextLayerLiesOnTheLast(String name) {
        WindingForm form = Cases.form(name);
        Meridian bare = Cases.meridian(name);
        LaidLayer first = new LayerPlanner(bare, form.material()).lay(form.layers().get(0));

        Meridian next = BuiltUp.on(first);

        double thick = first.thickness(bare.length() / 2);
        assertThat(next.at(next.length() / 2).r())
                .isCloseTo(bare.at(bare.length() / 2).r() + thick, within(0.35 * thick));
        assertThat(next.volume()).isGreaterThan(bare.volume());
        assertThat(next.length()).isCloseTo(bare.length(), within(0.1 * bare.length()));
    }
}
