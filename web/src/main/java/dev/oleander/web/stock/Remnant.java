package dev.oleander.web.stock;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.nesting.choice.Loop;
import dev.oleander.nesting.choice.Loops;
import dev.oleander.nesting.choice.StockLine;
import java.time.Instant;
import java.util.List;

/**
 * A rest of a sheet that the shop keeps.
 *
 * @param id its number, which is written on it
 * @param thickness mm
 * @param width of the box round it, mm
 * @param outline outer contour, then holes and bad places; empty: a plain rectangle
 * @param grain direction of rolling, degrees; null: it does not matter
 * @param place where it stands; empty: nobody said
 * @param originJob the job that left it; null: none
 * @param origin what is said of that for people
 * @param usedBy the job that it was released for; null: none yet
 */
public record Remnant(
        long id,
        String material,
        double thickness,
        double width,
        double height,
        List<Loop> outline,
        Double grain,
        String place,
        State state,
        Long originJob,
        String origin,
        Long usedBy,
        Instant made) {

    public Remnant {
        outline = List.copyOf(outline);
    }

    /** Where it stands. */
    public enum State {
        FREE("free"),
        /** a program was released that is cut of it */
        USED("used"),
        /** thrown away */
        GONE("gone");

        private final String word;

        State(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** Outline and holes, mm. */
    public Region region() {
        return outline.isEmpty()
                ? new Region(
                        Contour.rectangle(new Box(Point.ORIGIN, new Point(width, height))),
                        List.of())
                : Loops.region(outline, "remnant " + id);
    }

    /**
     * As a sheet that a nest may use.
     *
     * @param name within the nest
     */
    public StockLine line(String name) {
        return new StockLine(
                name, width, height, outline.isEmpty() ? null : outline, 1, null, grain, id);
    }
}
