package dev.oleander.web.job.result;

import dev.oleander.drawing.draw.Drawn;
import dev.oleander.drawing.read.Reading;

/** The drawing of a job after everything people did to it. Thread-safe. */
public final class Shape {

    private final Drawn drawn;
    private final Reading reading;
    private volatile String picture;

    /**
     * @param drawn files and steps, with guides and dimensions
     * @param reading what the line work is
     */
    Shape(Drawn drawn, Reading reading) {
        this.drawn = drawn;
        this.reading = reading;
    }

    /** The same with a reading that holds the parts of other jobs too. */
    Shape with(Reading joined) {
        return new Shape(drawn, joined);
    }

    public Drawn drawn() {
        return drawn;
    }

    public Reading reading() {
        return reading;
    }

    /** What it was read as, as an SVG element; drawn once, as every edit of the job asks for it. */
    public String picture() {
        if (picture == null) {
            picture = new PartPicture(reading).svg();
        }
        return picture;
    }
}
