package dev.oleander.work.router.plan;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.offset.Offsetter;
import dev.oleander.geometry.overlay.Overlay;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.way.Finish;
import java.util.List;

/** Which finishing cuts there can be. */
final class Finishes {

    /** How much more than on a straight wall may be left in corners before a finishing cut. */
    private static final double CORNERS = 3;

    private Finishes() {}

    /**
     * @throws CannotException when the arc that leads to the wall is no longer than the cut is wide
     */
    static void requireLead(Finish finish, Tool tool) {
        double radius = finish.lead().orElse(tool.diameter() / 2);
        if (radius < finish.width()) {
            throw new CannotException(
                    "An arc of %s mm does not lead to a wall at which %s mm are left: it needs at least %s mm.",
                    Numbers.plain(radius, 3),
                    Numbers.plain(finish.width(), 3),
                    Numbers.plain(finish.width(), 3));
        }
    }

    /**
     * @param centres where the axis of the tool may be
     * @throws CannotException when there is a place into which only finishing cuts would go
     */
    static void requireRoom(List<Region> centres, Finish finish, String feature) {
        List<Region> rough = Offsetter.round().offset(centres, -finish.left());
        List<Region> near = Offsetter.round().offset(rough, CORNERS * finish.left());
        List<Region> beyond = Overlay.difference(centres, near);
        if (!beyond.isEmpty()) {
            Point place = beyond.get(0).outer().start();
            throw new CannotException(
                    "%s is too narrow at %s, %s to leave %s mm at its walls: leave less, or take a smaller tool.",
                    feature,
                    Numbers.plain(place.x(), 1),
                    Numbers.plain(place.y(), 1),
                    Numbers.plain(finish.left(), 3));
        }
    }
}
