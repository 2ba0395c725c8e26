package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.work.wire.cut.Ruling;
import java.util.List;

/**
 * Which way a piece can leave: up when its hole is nowhere narrower above than below, but for the
 * room that the cut leaves; down when it is nowhere narrower below.
 *
 * @param up whether it can be lifted out
 * @param down whether it can drop out
 */
public record Exit(boolean up, boolean down) {

    /** Places that are looked at on each stretch. */
    private static final int PLACES = 8;

    /** In words: up, down, both ways, or not at all. */
    public String words() {
        if (up && down) {
            return "both ways";
        }
        if (up) {
            return "upwards only";
        }
        return down ? "downwards only" : "not at all";
    }

    /**
     * @param surface closed, from the lower to the upper contour
     * @param room that the cut leaves round the piece, mm
     */
    public static Exit of(List<Ruling> surface, double room) {
        boolean upright = surface.stream().allMatch(Ruling::isUpright);
        if (upright) {
            return new Exit(true, true);
        }
        Contour lower = Ruling.closed(surface, Ruling::lower);
        double wider = 0;
        double narrower = 0;
        for (Ruling ruling : surface) {
            for (int i = 0; i <= PLACES; i++) {
                Point above = ruling.upper().at((double) i / PLACES);
                double off = lower.nearest(above).point().distance(above);
                if (lower.contains(above)) {
                    narrower = Math.max(narrower, off);
                } else {
                    wider = Math.max(wider, off);
                }
            }
        }
        return new Exit(narrower <= room, wider <= room);
    }
}
