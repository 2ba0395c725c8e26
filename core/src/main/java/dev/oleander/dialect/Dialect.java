package dev.oleander.dialect;

import java.util.List;
import java.util.Map;

/**
 * One controller's program format, as described in a YAML file.
 *
 * @param header lines before the first block, as templates
 * @param footer lines after the last one
 * @param preparatory words of the header that change nothing a reader has to follow
 * @param stopComment written before each stop; a template
 * @param events template of the block for each event, by the word of its kind
 * @param values how numbers in templates are written, by name
 */
public record Dialect(
        String name,
        String title,
        int version,
        FileForm file,
        Numbering numbering,
        Words words,
        Motion motion,
        Arcs arcs,
        Comment comment,
        List<String> header,
        List<String> footer,
        List<String> preparatory,
        String stopComment,
        Map<String, String> events,
        Map<String, NumberForm> values) {

    /**
     * @param longestLine characters
     */
    public record FileForm(String extension, String lineEnd, int longestLine) {}

    /** Block numbers: {@code most} is the last one, after which they begin again. */
    public record Numbering(String address, int start, int step, int most) {}

    /**
     * How numbers of an address are written.
     *
     * @param decimals digits after the point
     * @param trailingZeros whether 12.5 is written 12.5000
     * @param modal whether a word is left out that repeats the one before
     */
    public record NumberForm(int decimals, boolean trailingZeros, boolean modal) {

        /** Smallest step that can be written. */
        public double step() {
            return Math.pow(10, -decimals);
        }
    }

    public record Words(NumberForm coordinate, NumberForm centre, NumberForm feed) {}

    public record Motion(
            String rapid, String line, String clockwise, String anticlockwise, boolean modal) {}

    /** Where arcs have their centre: relative to their start, or absolute. */
    public record Arcs(CentreForm centre) {}

    /** See {@link Arcs}. */
    public enum CentreForm {
        RELATIVE,
        ABSOLUTE
    }

    public record Comment(String open, String close) {}

    /** Smallest step of coordinates, mm. */
    public double resolution() {
        return words.coordinate().step();
    }
}
