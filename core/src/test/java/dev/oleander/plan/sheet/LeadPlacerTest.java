package dev.oleander.plan.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.machine.CutRow;
import dev.oleander.plan.Lead;
import dev.oleander.plan.Side;
import dev.oleander.plan.sheet.LeadPlacer.Fit;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LeadPlacerTest {

    private static final CutRow ROW = Samples.BOOK.find("mild steel", 6, "standard");

    private static Contour path(Reading reading, String feature, Side side) {
        return new KerfPath()
                .of(reading.byId().get(feature), side, ROW.kerf())
                .path()
                .orElseThrow();
    }

    private static LeadPlacer placer(Reading reading) {
        return new LeadPlacer(new KeptField(reading.parts()), ROW);
    }

    @Test
    void theLongestStraightElementWithRoomIsTaken() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).reading();
        Fit fit =
                placer(plate).place(path(plate, "c1", Side.OUTSIDE), Lead.arc(4, 90)).orElseThrow();
        assertThat(fit.station().segment()).isInstanceOf(Line.class);
        assertThat(fit.station().segment().length()).isCloseTo(200, within(1e-6));
        assertThat(fit.pierceRoom()).isGreaterThanOrEqualTo(ROW.pierceClearance());
        assertThat(fit.lead().radius()).isEqualTo(4);
    }

    @Test
    void aLeadIsPlacedAwayFromTheNeighbour() {
        // the neighbour lies 2 mm above the long side, so the lower one has to do
        Reading two = new Drawn().rectangle(0, 0, 200, 60).rectangle(0, 62, 200, 30).reading();
        Fit fit = placer(two).place(path(two, "c1", Side.OUTSIDE), Lead.arc(4, 90)).orElseThrow();
        assertThat(fit.station().point().y()).isLessThan(1);
    }

    @Test
    void aLeadThatIsTooLongForItsOpeningIsShortened() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).rectangle(50, 25, 7, 7).reading();
        LeadPlacer placer = placer(plate);
        Contour path = path(plate, "c2", Side.INSIDE);
        Fit fit = placer.place(path, Lead.line(8, 90)).orElseThrow();
        assertThat(fit.lead().length()).isLessThan(8);
        assertThat(placer.bites(fit)).isFalse();
    }

    @Test
    void aLongLeadRunsAlongANarrowOpening() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).rectangle(50, 25, 60, 2).reading();
        Fit fit =
                placer(plate)
                        .place(path(plate, "c2", Side.INSIDE), Lead.line(50, 90))
                        .orElseThrow();
        assertThat(fit.station().segment().length()).isCloseTo(1.74, within(1e-9));
    }

    @Test
    void whereNothingFitsNothingIsPlaced() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).rectangle(50, 25, 2, 2).reading();
        Optional<Fit> fit = placer(plate).place(path(plate, "c2", Side.INSIDE), Lead.line(50, 90));
        assertThat(fit).isEmpty();
    }

    @Test
    void clearanceIsMeasuredAgainstEveryPart() {
        Reading two = new Drawn().rectangle(0, 0, 50, 50).rectangle(60, 0, 50, 50).reading();
        KeptField field = new KeptField(two.parts());
        assertThat(field.at(new Point(53, 25), 20).distance()).isCloseTo(3, within(1e-9));
        assertThat(field.at(new Point(53, 25), 20).part()).isEqualTo("p1");
        assertThat(field.at(new Point(25, 25), 20).distance()).isZero();
        assertThat(field.at(new Point(500, 25), 20).distance()).isEqualTo(20);
        Line through = new Line(new Point(52, 25), new Point(57, 25));
        assertThat(field.along(through, 10).distance()).isCloseTo(2, within(1e-9));
        Line inside = new Line(new Point(10, 10), new Point(20, 10));
        assertThat(field.along(inside, 10).distance()).isZero();
    }

    @Test
    void theHouseRecipeEntersSmallHolesFromTheirCentre() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).circle(40, 30, 5).reading();
        Contour path = path(plate, "c2", Side.INSIDE);
        Lead lead = HouseRecipe.leadIn(path, true, ROW);
        assertThat(lead.angle()).isEqualTo(180);
        assertThat(lead.radius()).isCloseTo((5 - 0.13) / 2, within(1e-9));
        Fit fit = placer(plate).place(path, lead).orElseThrow();
        Point pierce =
                LeadShaper.leadIn(fit.lead(), fit.station().point(), path.departure(fit.station()))
                        .get(0)
                        .start();
        assertThat(pierce.distance(new Point(40, 30))).isLessThan(1e-6);
    }
}
