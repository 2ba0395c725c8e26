package dev.oleander.work.sheet.lead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.Drawn;
import dev.oleander.Samples;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.Side;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.HouseRecipe;
import dev.oleander.work.sheet.cut.KerfPath;
import dev.oleander.work.sheet.cut.Turn;
import dev.oleander.work.sheet.lead.LeadForms.Freedom;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LeadSearchTest {

    private static final CutRow ROW = Samples.BOOK.find("mild steel", 6, "standard");

    private static Contour path(Reading reading, String feature, Side side) {
        return new KerfPath(false)
                .of(reading.byId().get(feature), side, ROW.kerf(), Turn.SCRAP_LEFT)
                .path()
                .orElseThrow();
    }

    private static LeadSearch search(Reading reading, String feature, Side side, Lead lead) {
        return new LeadSearch(
                new KeptField(reading.parts()),
                ROW,
                path(reading, feature, side),
                Turn.SCRAP_LEFT,
                lead,
                new Freedom(true, true, false));
    }

    private static Optional<LeadFit> best(Reading reading, String feature, Side side, Lead lead) {
        return search(reading, feature, side, lead).best(Surroundings.NONE);
    }

    @Test
    void theLongestStraightElementWithRoomIsTaken() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).reading();
        LeadFit fit = best(plate, "c1", Side.OUTSIDE, Lead.arc(4, 90)).orElseThrow();
        assertThat(fit.station().segment()).isInstanceOf(Line.class);
        assertThat(fit.station().segment().length()).isCloseTo(200, within(1e-6));
        assertThat(fit.pierceRoom().distance()).isGreaterThanOrEqualTo(ROW.pierceClearance());
        assertThat(fit.lead().radius()).isEqualTo(4);
    }

    @Test
    void aLeadIsPlacedAwayFromTheNeighbour() {
        // the neighbour lies 2 mm above the long side, so the lower one has to do
        Reading two = new Drawn().rectangle(0, 0, 200, 60).rectangle(0, 62, 200, 30).reading();
        LeadFit fit = best(two, "c1", Side.OUTSIDE, Lead.arc(4, 90)).orElseThrow();
        assertThat(fit.station().point().y()).isLessThan(1);
    }

    @Test
    void aLeadThatIsTooLongForItsOpeningIsShortened() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).rectangle(50, 25, 7, 7).reading();
        LeadFit fit = best(plate, "c2", Side.INSIDE, Lead.line(8, 90)).orElseThrow();
        assertThat(fit.lead().length()).isLessThan(8);
        assertThat(fit.bites(ROW.kerf())).isFalse();
    }

    @Test
    void aLongLeadRunsAlongANarrowOpening() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).rectangle(50, 25, 60, 2).reading();
        LeadFit fit = best(plate, "c2", Side.INSIDE, Lead.line(50, 90)).orElseThrow();
        assertThat(fit.station().segment().length()).isCloseTo(1.74, within(1e-9));
    }

    @Test
    void whereNothingFitsNothingIsPlaced() {
        Reading plate = new Drawn().rectangle(0, 0, 200, 60).rectangle(50, 25, 2, 2).reading();
        assertThat(best(plate, "c2", Side.INSIDE, Lead.line(50, 90))).isEmpty();
    }

    @Test
    void clearanceIsMeasuredAgainstEveryPart() {
        Reading two = new Drawn().rectangle(0, 0, 50, 50).rectangle(60, 0, 50, 50).reading();
        KeptField field = new KeptField(two.parts());
        assertThat(field.at(new Point(53, 25), 20).distance()).isCloseTo(3, within(1e-9));
        assertThat(field.at(new Point(53, 25), 20).what()).isEqualTo("part 1");
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
        LeadFit fit = best(plate, "c2", Side.INSIDE, lead).orElseThrow();
        Point pierce =
                LeadShaper.leadIn(
                                fit.lead(), fit.station().point(), path.departure(fit.station()), 1)
                        .get(0)
                        .start();
        assertThat(pierce.distance(new Point(40, 30))).isLessThan(1e-6);
    }
}
