package dev.oleander.winding.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.winding.Cases;
import dev.oleander.winding.form.MandrelForm;
import dev.oleander.winding.form.ProfileTable;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Mandrels from tables and drawings, and slopes that are evened out. */
class DrawnMandrelsTest {

    @ParameterizedTest
    @ValueSource(strings = {"float_half_profile", "boom_table"})
    void measuresAreThoseOfOtherCode(String name) {
        JsonNode truth = Cases.truth(name).get("mandrel");

        Meridian meridian = Cases.meridian(name);

        Cases.assertIs("length", meridian.length(), truth.get("meridianLength"));
        Cases.assertIs("area", meridian.area(), truth.get("area"));
        Cases.assertIs("volume", meridian.volume(), truth.get("volume"));
        Cases.assertIs("left", meridian.leastX(), truth.get("xMin"));
        Cases.assertIs("right", meridian.greatestX(), truth.get("xMax"));
        for (JsonNode at : truth.path("stations")) {
            SurfacePoint p = meridian.at(at.get("m").asDouble());
            Cases.assertIs("x", p.x(), at.get("x"));
            Cases.assertIs("r", p.r(), at.get("r"));
            Cases.assertIs("slope", Math.toDegrees(p.omega()), at.get("slope"));
            Cases.assertIs("bend", p.kappaM(), at.get("curvatureMeridian"));
        }
    }

    @Test
    void aTableOfAnArcBendsAsTheArc() {
        List<TableProfile.Row> rows = new ArrayList<>();
        for (int i = 0; i <= 60; i++) {
            double a = Math.toRadians(30 + 2 * i);
            rows.add(new TableProfile.Row(-80 * Math.cos(a), 80 * Math.sin(a)));
        }

        Meridian meridian = TableProfile.of(rows, 0).meridian();

        assertThat(meridian.length()).isCloseTo(80 * Math.toRadians(120), within(1e-4));
        for (double m = 5; m < meridian.length() - 5; m += 3) {
            assertThat(meridian.at(m).kappaM()).isCloseTo(1.0 / 80, within(2e-5));
        }
    }

    @Test
    void smoothingTakesOutWavesAndMovesNoRowMore() {
        Random random = new Random(3);
        List<TableProfile.Row> rows = new ArrayList<>();
        for (int i = 0; i <= 90; i++) {
            rows.add(new TableProfile.Row(10 * i, 40 + 0.04 * (random.nextDouble() - 0.5)));
        }

        TableProfile.Result bare = TableProfile.of(rows, 0);
        TableProfile.Result smooth = TableProfile.of(rows, 0.017);

        assertThat(bare.moves()).allSatisfy(move -> assertThat(move).isLessThan(1e-9));
        assertThat(Collections.max(smooth.moves())).isCloseTo(0.017, within(1e-6));
        assertThat(waves(smooth.meridian())).isLessThan(waves(bare.meridian()) / 5);
    }

    private static double waves(Meridian meridian) {
        double most = 0;
        for (double m = 1; m < meridian.length() - 1; m += 2) {
            most = Math.max(most, Math.abs(meridian.at(m).kappaM()));
        }
        return most;
    }

    @Test
    void easedSlopesMoveTheShapeByTheJump() {
        Meridian sharp =
                Mandrels.vessel(
                        60,
                        200,
                        new Mandrels.End(new Dome.Sphere(), 12),
                        new Mandrels.End(new Dome.Sphere(), 12));

        Meridian eased = Eased.of(sharp, 12, sharp.length() / 2);

        double shoulder = sharp.length() / 2 + 100;
        assertThat(eased.at(shoulder).kappaM()).isCloseTo(0.5 / 60, within(1e-9));
        assertThat(eased.at(shoulder - 6.001).kappaM()).isCloseTo(0, within(1e-9));
        // at a place behind the joint: the jump times the square of the length over 24
        double moved = sharp.at(shoulder + 8).r() - eased.at(shoulder + 8).r();
        assertThat(Math.abs(moved)).isCloseTo(12.0 * 12 / 60 / 24, within(0.02));
        for (double m = 1; m < eased.length() - 1; m += 0.37) {
            double slope = (eased.at(m + 1e-4).r() - eased.at(m - 1e-4).r()) / 2e-4;
            assertThat(slope).isCloseTo(Math.sin(eased.at(m).omega()), within(1e-6));
        }
    }

    @Test
    void aDrawnProfileMayLieInAnyOrderOnEitherSide() {
        List<Segment> chain =
                List.of(
                        new Line(new Point(0, 40), new Point(200, 40)),
                        Arc.about(new Point(200, 10), 30, Math.PI / 2, -1.2));
        Meridian plain = HalfProfile.of(chain, 0, 1);
        List<Segment> mixed = List.of(chain.get(1).reversed(), chain.get(0));
        List<Segment> below = new ArrayList<>();
        mixed.forEach(
                s ->
                        below.add(
                                s.fold(
                                        line -> new Line(down(line.start()), down(line.end())),
                                        arc ->
                                                new Arc(
                                                        down(arc.start()),
                                                        down(arc.end()),
                                                        -arc.bulge()))));

        Meridian other = HalfProfile.of(below, 7, 1);

        assertThat(other.length()).isCloseTo(plain.length(), within(1e-9));
        assertThat(other.area()).isCloseTo(plain.area(), within(1e-6));
        assertThat(plain.at(230).kappaM()).isCloseTo(1.0 / 30, within(1e-12));
    }

    private static Point down(Point p) {
        return new Point(p.x(), 7 - p.y());
    }

    @Test
    void convexEdgesAreRoundedAndConcaveOnesStay() {
        List<Segment> roof =
                List.of(
                        new Line(new Point(0, 40), new Point(100, 40)),
                        new Line(new Point(100, 40), new Point(150, 20)),
                        new Line(new Point(150, 20), new Point(200, 20)));

        Meridian meridian = HalfProfile.of(roof, 0, 2);

        assertThat(meridian.pieces()).hasSize(4);
        assertThat(meridian.pieces().get(1).at(0.01).kappaM()).isCloseTo(0.5, within(1e-9));
    }

    @Test
    void whatCannotBeIsSaidWithItsPlace() {
        assertThatThrownBy(
                        () ->
                                HalfProfile.of(
                                        List.of(
                                                new Line(new Point(0, 45), new Point(120, 45)),
                                                new Line(new Point(123.1, 45), new Point(200, 30))),
                                        0,
                                        1))
                .hasMessageContaining("two loose ends 3.1")
                .hasMessageContaining("(120")
                .hasMessageContaining("Mend it on Shape");
        assertThatThrownBy(
                        () ->
                                HalfProfile.of(
                                        List.of(new Line(new Point(0, 10), new Point(100, -5))),
                                        0,
                                        1))
                .hasMessageContaining("crosses its axis at x = 6");
        assertThatThrownBy(() -> read("x;r\n0;40\n10;39\n10;38"))
                .hasMessage("Row 3: x = 10 comes again; the profile must run on.");
        assertThatThrownBy(() -> read("0,40\n5,-3\n9,4"))
                .hasMessage("Row 2: radius -3 mm; it must be > 0.");
        assertThatThrownBy(() -> read("0,40\n5,wide\n9,4"))
                .hasMessage("Row 2: \"wide\" is no number.");
    }

    @Test
    void separatorsAndDecimalCommasAreFound() {
        assertThat(ProfileTable.read(text("x;r\n0;40,5\n10;39,25")).rows())
                .containsExactly(new MandrelForm.Row(0.0, 40.5), new MandrelForm.Row(10.0, 39.25));
        assertThat(ProfileTable.read(text("0\t40.5\n10\t39.25")).separator()).isEqualTo("\t");
        assertThat(ProfileTable.read(text("0,5 40,5\n10,5 39,25")).decimalComma()).isTrue();
        assertThat(ProfileTable.read(text("0.5, 40.5\n10.5, 39.25")).rows().get(1).r())
                .isEqualTo(39.25);
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static Meridian read(String text) {
        List<TableProfile.Row> rows =
                ProfileTable.read(text(text)).rows().stream()
                        .map(row -> new TableProfile.Row(row.x(), row.r()))
                        .toList();
        return TableProfile.of(rows, 0).meridian();
    }
}
