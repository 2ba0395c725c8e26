package dev.oleander.work.sheet.lead;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.work.sheet.lead.KeptField.Clearance;
import java.util.List;

/** What lies around a contour on the sheet besides the parts of its own copy. */
public interface Surroundings {

    /** Nothing: the drawing for itself. */
    Surroundings NONE =
            new Surroundings() {
                @Override
                public Clearance along(List<Segment> lead, double reach) {
                    return new Clearance(reach, "", lead.get(0).start());
                }

                @Override
                public Clearance at(Point pierce, double reach) {
                    return new Clearance(reach, "", pierce);
                }

                @Override
                public double detour(Point start) {
                    return 0;
                }

                @Override
                public double clearOfSlats(Point pierce) {
                    return 1;
                }
            };

    /**
     * Least distance between the middle line of a lead and what it must not cut into, less what
     * that reaches towards it; nothing beyond {@code reach} mm is looked at.
     *
     * @param lead in the drawing's coordinates
     */
    Clearance along(List<Segment> lead, double reach);

    /** The same for a pierce. */
    Clearance at(Point pierce, double reach);

    /** mm from the stop before to here and on to the next one; 0 when that is not known. */
    double detour(Point start);

    /** Between 0 for a pierce above a slat and 1 for one well between two. */
    double clearOfSlats(Point pierce);
}
