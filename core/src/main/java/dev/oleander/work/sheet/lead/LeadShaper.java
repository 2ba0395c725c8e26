package dev.oleander.work.sheet.lead;

import dev.oleander.geometry.Arc;
import dev.oleander.geometry.Line;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.plan.stop.Lead;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The geometry of leads. They lie on the side of the scrap: 1 when that is the left of the travel,
 * -1 when it is the right. An arc touches the path where they meet.
 */
public final class LeadShaper {

    private LeadShaper() {}

    /** Segments that end at {@code at}, in travel order. */
    public static List<Segment> leadIn(Lead lead, Point at, Point travel, int scrap) {
        // a lead-in is a lead-out run backwards: scrap then lies on the other side
        List<Segment> backwards = lead(lead, at, travel.times(-1), -scrap);
        List<Segment> forwards = new ArrayList<>(backwards.size());
        backwards.forEach(s -> forwards.add(s.reversed()));
        Collections.reverse(forwards);
        return forwards;
    }

    /** Segments that start at {@code at}. */
    public static List<Segment> leadOut(Lead lead, Point at, Point travel, int scrap) {
        return lead(lead, at, travel, scrap);
    }

    /**
     * @param side 1 when scrap lies to the left of the direction, -1 when to the right
     */
    private static List<Segment> lead(Lead lead, Point at, Point direction, int side) {
        double angle = side * Math.toRadians(lead.angle());
        List<Segment> segments = new ArrayList<>(2);
        Point from = at;
        Point heading = direction;
        if (lead.kind().hasArc()) {
            Point centre = at.plus(direction.left().times(side * lead.radius()));
            Point end = centre.plus(at.minus(centre).rotated(angle));
            segments.add(new Arc(at, end, Math.tan(angle / 4)));
            from = end;
        }
        if (lead.kind().hasArc() || lead.kind().hasLine()) {
            heading = direction.rotated(angle);
        }
        if (lead.kind().hasLine()) {
            segments.add(new Line(from, from.plus(heading.times(lead.length()))));
        }
        return segments;
    }
}
