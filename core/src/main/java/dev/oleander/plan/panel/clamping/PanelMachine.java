package dev.oleander.plan.panel.clamping;

import dev.oleander.plan.panel.Face;
import java.util.List;

/**
 * What a machine can do to panels.
 *
 * @param length of the largest panel along X, mm
 * @param width of it along Y, mm
 * @param lowest that the axis of a side spindle can lie over the table, mm
 * @param highest that it can lie, mm
 * @param tearsAbove whether its tools tear the face that is up where they cut through
 */
public record PanelMachine(
        String name,
        double length,
        double width,
        double lowest,
        double highest,
        List<SideSpindle> spindles,
        boolean tearsAbove) {

    /**
     * A drill that lies.
     *
     * @param looks which edges on the machine it drills: LEFT those towards smaller X
     * @param diameter mm
     * @param reach mm
     */
    public record SideSpindle(Face looks, double diameter, double reach) {}

    public PanelMachine {
        spindles = List.copyOf(spindles);
    }
}
