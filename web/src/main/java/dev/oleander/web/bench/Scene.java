package dev.oleander.web.bench;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * Everything the table draws. Paths are flat lists: x and y of the start, then x, y and bulge of
 * each segment; bulge is tan(sweep / 4), 0 for a line. Lengths mm, times s.
 *
 * @param features chains of the drawing, in its own coordinates
 * @param parts kept material of each: ids of the features that are its outline, then its openings
 * @param firstCopy number of the copy that the first placement is of; the others go on
 * @param placements seven numbers each: (x, y) to (a x + c y + e, b x + d y + f), then the place in
 *     {@code parts} of the one that lies there, -1 for all of them
 * @param stock left, bottom, right, top; null when the sheet cannot be laid out
 * @param outline contours of stock that is no rectangle; empty where it is one
 * @param travel rapids: 1 with the head down and 0 with it up, x and y of both ends
 * @param keepOut clamps: left, bottom, right, top, height
 * @param slats mm between the slats; 0 when there are none
 * @param own what the kind of work draws besides, by its word
 */
public record Scene(
        int step,
        double[] box,
        List<FeatureShape> features,
        List<List<String>> parts,
        int firstCopy,
        List<double[]> placements,
        double[] stock,
        List<double[]> outline,
        List<StopShape> stops,
        List<Flag> flags,
        @JsonSerialize(using = ShortNumbers.class) List<double[]> travel,
        double slats,
        List<double[]> keepOut,
        Notes notes,
        @JsonAnyGetter Map<String, Object> own) {

    /**
     * What is not line work.
     *
     * @param guides x, y and angle (radians) of construction lines
     * @param dimensions both places, and how far to the left the distance is written
     * @param points x, y
     * @param stale ids of features that a new version of the drawing changed
     * @param faults what is wrong with the line work, where it has a place
     * @param layers names of the layers that chains lie on
     */
    public record Notes(
            List<double[]> guides,
            List<double[]> dimensions,
            List<double[]> points,
            List<String> stale,
            List<FaultMark> faults,
            List<String> layers) {}

    /**
     * A fault at its place.
     *
     * @param state mended, decide, left or note
     * @param size mm, as it is written; empty when it measures nothing
     */
    public record FaultMark(double x, double y, String state, String size) {}

    /**
     * A chain of the drawing.
     *
     * @param layer its place in {@link Notes#layers}
     */
    public record FeatureShape(
            String id, String kind, String purpose, boolean closed, int layer, double[] d) {}

    /**
     * A stop on the sheet.
     *
     * @param in lead-in, {@code main} round the contour, {@code over} past its end, {@code out}
     *     lead-out; empty when there is none
     * @param tabs from and to of each, mm along main
     * @param halts 1 when the program stops for people before the cut, 2 after it, 3 both, else 0
     * @param scrap 1 when scrap lies to the left of main, -1 to the right, 0 when it has no side
     */
    public record StopShape(
            String id,
            int number,
            String feature,
            int copy,
            String kind,
            String name,
            double[] in,
            double[] main,
            double[] over,
            double[] out,
            double[] tabs,
            int halts,
            int scrap) {}

    /** A finding at its place; {@code x} and {@code y} are null when it has none. */
    public record Flag(String id, String severity, String stop, Double x, Double y) {}
}
