package dev.oleander.work.router.way;

import dev.oleander.geometry.Region;
import java.util.List;

/** A way of a tool that clears a pocket. */
public interface Clearing {

    /**
     * Adds the ways of all levels.
     *
     * @param levels depths, mm, the shallowest first
     * @param top height of what is to be cut, mm
     * @return whether the tool could go down everywhere; what was added is not to be used otherwise
     */
    boolean add(ToolWay way, List<Double> levels, double top);

    /** What it leaves of what it could reach, mm2: nothing, as a rule. */
    double leftArea();

    /** What its rounds leave between them, which it goes through besides. */
    default List<Region> gaps() {
        return List.of();
    }
}
