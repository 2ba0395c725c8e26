package dev.oleander.work.sheet.lead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Lead;
import dev.oleander.plan.stop.LeadKind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Leads at the origin of a path that runs to +x; scrap lies to its left, at +y. */
class LeadShaperTest {

    private static final Point AT = Point.ORIGIN;
    private static final Point TRAVEL = new Point(1, 0);

    @Test
    void aLineComesFromTheScrapAtItsAngle() {
        List<Segment> lead = LeadShaper.leadIn(Lead.line(10, 60), AT, TRAVEL, 1);
        assertThat(lead).hasSize(1);
        Point start = lead.get(0).start();
        assertThat(start.x()).isCloseTo(-10 * Math.cos(Math.PI / 3), within(1e-12));
        assertThat(start.y()).isCloseTo(10 * Math.sin(Math.PI / 3), within(1e-12));
        assertThat(lead.get(0).end()).isEqualTo(AT);
    }

    @Test
    void anArcTouchesThePath() {
        List<Segment> lead = LeadShaper.leadIn(Lead.arc(4, 90), AT, TRAVEL, 1);
        Arc arc = (Arc) lead.get(0);
        assertThat(arc.radius()).isCloseTo(4, within(1e-12));
        assertThat(arc.direction(1).distance(TRAVEL)).isLessThan(1e-12);
        assertThat(arc.start().distance(new Point(-4, 4))).isLessThan(1e-12);
    }

    @Test
    void lineAndArcJoinWithoutACorner() {
        Lead both = new Lead(LeadKind.LINE_ARC, 5, 90, 2);
        List<Segment> lead = LeadShaper.leadIn(both, AT, TRAVEL, 1);
        assertThat(lead).hasSize(2);
        assertThat(lead.get(0).end()).isEqualTo(lead.get(1).start());
        assertThat(lead.get(0).direction(1).distance(lead.get(1).direction(0))).isLessThan(1e-9);
        assertThat(lead.get(0).start().y()).isCloseTo(2 + 5, within(1e-9));
    }

    @Test
    void aLeadOutGoesIntoTheScrap() {
        List<Segment> lead = LeadShaper.leadOut(Lead.arc(3, 90), AT, TRAVEL, 1);
        assertThat(lead.get(0).start()).isEqualTo(AT);
        assertThat(lead.get(0).direction(0).distance(TRAVEL)).isLessThan(1e-12);
        assertThat(lead.get(0).end().distance(new Point(3, 3))).isLessThan(1e-12);
    }

    @Test
    void noneIsEmpty() {
        assertThat(LeadShaper.leadIn(Lead.NONE, AT, TRAVEL, 1)).isEmpty();
    }
}
