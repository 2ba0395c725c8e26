package dev.oleander.plan.panel.clamping;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import java.util.List;

/** What the program of a clamping takes away of a panel, as it lies on the machine. */
public interface TakenAway {

    /**
     * What is gone for certain.
     *
     * @param depth below the face that is up, mm
     * @return seen from above; the lower left corner of the panel lies at (0, 0)
     */
    List<Region> at(double depth);

    /** What may be gone. */
    List<Region> atMost(double depth);

    List<Bore> bores();

    /**
     * A hole in an edge.
     *
     * @param mouth where it begins, at the edge or outside, seen from above
     * @param floor where it ends
     * @param below of its axis under the face that is up, mm
     */
    record Bore(Point mouth, Point floor, double below, double diameter) {}
}
