package dev.oleander.dialect;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * One controller's program format, as described in a YAML file.
 *
 * @param language what the lines are made of
 * @param addresses letters of the words of motions
 * @param order in which the words of a motion stand in its block
 * @param positions how places are given
 * @param header lines before the first block, as templates
 * @param footer lines after the last one
 * @param preparatory words of the header that change nothing a reader has to follow
 * @param stopComment written before each stop; a template
 * @param events template of the block for each event, by the word of its kind; an empty one says
 *     that nothing is written
 * @param values how numbers in templates are written, by name
 * @param parameters what is asked for when a program is released
 * @param limits of one file
 * @param subprograms how what repeats is said once; null: it is not
 * @param cycles how holes are said in one block each; null: they are written out
 */
public record Dialect(
        String name,
        String title,
        int version,
        Language language,
        FileForm file,
        Numbering numbering,
        Words words,
        Addresses addresses,
        List<Part> order,
        Motion motion,
        Positions positions,
        Arcs arcs,
        Comment comment,
        List<String> header,
        List<String> footer,
        List<String> preparatory,
        String stopComment,
        Map<String, String> events,
        Map<String, NumberForm> values,
        List<Parameter> parameters,
        Limits limits,
        Subprograms subprograms,
        Cycles cycles) {

    private static final List<Part> USUAL_ORDER =
            List.of(
                    Part.MOTION,
                    Part.X,
                    Part.Y,
                    Part.Z,
                    Part.TURN,
                    Part.UPPER,
                    Part.CENTRE,
                    Part.FEED);

    public Dialect {
        language = language == null ? Language.WORDS : language;
        addresses = addresses == null ? Addresses.USUAL : addresses;
        order = order == null ? USUAL_ORDER : withDepth(order);
        positions = positions == null ? Positions.ABSOLUTE : positions;
        preparatory = preparatory == null ? List.of() : List.copyOf(preparatory);
        values = values == null ? Map.of() : Map.copyOf(values);
        parameters = parameters == null ? List.of() : List.copyOf(parameters);
        limits = limits == null ? Limits.NONE : limits;
    }

    /** Height and turn stand behind the place in the plane where nothing is said of them. */
    private static List<Part> withDepth(List<Part> order) {
        List<Part> all = new ArrayList<>(order);
        List<Part> missing = new ArrayList<>(List.of(Part.Z, Part.TURN));
        missing.removeAll(order);
        all.addAll(1 + Math.max(all.indexOf(Part.X), all.indexOf(Part.Y)), missing);
        return List.copyOf(all);
    }

    /** What lines are made of. */
    public enum Language {
        /** words of an address and a number: ISO 6983 */
        WORDS,
        /** codes, and coordinates without addresses: ISO 6582 */
        CODES,
        /** a major word and what follows its slash: ISO 3592 */
        STATEMENTS,
        /** rows of comma-separated values */
        TABLE
    }

    /** Whether places are given from the zero point or from where the head is. */
    public enum Positions {
        ABSOLUTE,
        INCREMENTAL
    }

    /** A part of a block. */
    public enum Part {
        MOTION,
        X,
        Y,
        Z,
        /** of the rotary axis */
        TURN,
        /** the upper guide */
        UPPER,
        CENTRE,
        FEED
    }

    /**
     * @param name template of file names without their extension
     * @param longestLine characters
     * @param blockEnd ends each block: ; for example
     * @param spaces whether words are set apart
     */
    public record FileForm(
            String name,
            String extension,
            String lineEnd,
            int longestLine,
            String blockEnd,
            boolean spaces) {

        @JsonCreator
        static FileForm of(
                String name,
                String extension,
                String lineEnd,
                Integer longestLine,
                String blockEnd,
                Boolean spaces) {
            return new FileForm(
                    name == null ? "{{id}}-{{job}}-{{revision}}" : name,
                    extension == null ? "nc" : extension,
                    lineEnd == null ? "\n" : lineEnd,
                    longestLine == null ? 80 : longestLine,
                    blockEnd == null ? "" : blockEnd,
                    spaces == null || spaces);
        }
    }

    /**
     * Block numbers: {@code most} is the last one, after which they begin again.
     *
     * @param address empty: blocks have no numbers
     * @param digits least number of digits
     */
    public record Numbering(String address, int start, int step, int most, int digits) {

        @JsonCreator
        static Numbering of(
                String address, Integer start, Integer step, Integer most, Integer digits) {
            return new Numbering(
                    address == null ? "" : address,
                    start == null ? 1 : start,
                    step == null ? 1 : step,
                    most == null ? 99_999 : most,
                    digits == null ? 0 : digits);
        }
    }

    /**
     * @param radius of arcs that are given by it; as the centre when it is left out
     */
    public record Words(
            NumberForm coordinate, NumberForm centre, NumberForm radius, NumberForm feed) {

        public Words {
            radius = radius == null ? centre : radius;
        }
    }

    /**
     * Letters of the words of motions; z is the height, a the turn of the rotary axis, u and v say
     * how far the upper guide is off the lower one.
     */
    public record Addresses(
            String x,
            String y,
            String z,
            String a,
            String u,
            String v,
            String i,
            String j,
            String r,
            String f) {

        static final Addresses USUAL =
                new Addresses(null, null, null, null, null, null, null, null, null, null);

        public Addresses {
            x = x == null ? "X" : x;
            y = y == null ? "Y" : y;
            z = z == null ? "Z" : z;
            a = a == null ? "A" : a;
            u = u == null ? "U" : u;
            v = v == null ? "V" : v;
            i = i == null ? "I" : i;
            j = j == null ? "J" : j;
            r = r == null ? "R" : r;
            f = f == null ? "F" : f;
        }
    }

    /**
     * Words of motions.
     *
     * @param modal whether one goes on until another comes
     * @param twoPlanes whether lines in two planes can be said
     * @param depth whether heights can be said; else events say whether the head is up
     * @param rotary whether the turn of a rotary axis can be said
     * @param helix whether height and turn may change on an arc; else chords are written
     */
    public record Motion(
            String rapid,
            String line,
            String clockwise,
            String anticlockwise,
            boolean modal,
            Boolean twoPlanes,
            Boolean depth,
            Boolean rotary,
            Boolean helix) {

        public Motion {
            twoPlanes = twoPlanes != null && twoPlanes;
            depth = depth != null && depth;
            rotary = rotary != null && rotary;
            helix = helix == null || helix;
        }
    }

    /**
     * How arcs are given.
     *
     * @param by the centre or the radius
     * @param centre relative to the start of the arc, or absolute
     * @param largestSweep degrees in one block; longer arcs are written in several; over 180 the
     *     rounding of the ends moves the arc by more than itself
     * @param overHalf what is done with arcs of more than half a circle that are given by a radius
     * @param largestRadius mm; larger arcs are written as chords; 0: there is no limit
     */
    public record Arcs(
            By by,
            CentreForm centre,
            double largestSweep,
            OverHalf overHalf,
            double largestRadius) {

        @JsonCreator
        static Arcs of(
                By by,
                CentreForm centre,
                Double largestSweep,
                OverHalf overHalf,
                Double largestRadius) {
            return new Arcs(
                    by == null ? By.CENTRE : by,
                    centre == null ? CentreForm.RELATIVE : centre,
                    largestSweep == null ? 180 : largestSweep,
                    overHalf == null ? OverHalf.SPLIT : overHalf,
                    largestRadius == null ? 0 : largestRadius);
        }
    }

    /** See {@link Arcs}. */
    public enum By {
        CENTRE,
        RADIUS
    }

    /** See {@link Arcs}. */
    public enum CentreForm {
        RELATIVE,
        ABSOLUTE
    }

    /** See {@link Arcs}. */
    public enum OverHalf {
        /** its radius is written below zero */
        NEGATIVE,
        SPLIT
    }

    /**
     * How large one file may be; a longer program is parted between stops.
     *
     * @param blocks lines
     */
    public record Limits(Integer blocks, Long bytes) {

        static final Limits NONE = new Limits(null, null);

        public Limits {
            blocks = blocks == null ? Integer.MAX_VALUE : blocks;
            bytes = bytes == null ? Long.MAX_VALUE : bytes;
        }

        @Override
        public String toString() {
            return blocks == Integer.MAX_VALUE
                    ? bytes + " bytes"
                    : bytes == Long.MAX_VALUE
                            ? blocks + " blocks"
                            : "%d blocks and %d bytes".formatted(blocks, bytes);
        }
    }

    /**
     * How stops that are the same but for their place are said once and called.
     *
     * @param call template of the block that calls one; number is its number
     * @param begin template of its first line
     * @param end its last block
     * @param first number of the first one
     * @param least items of a stop for which it is worth it
     * @param incremental word after which places are given from where the head is
     * @param absolute word after which they are given from the zero point again
     */
    public record Subprograms(
            String call,
            String begin,
            String end,
            int first,
            int least,
            String incremental,
            String absolute) {

        @JsonCreator
        static Subprograms of(
                String call,
                String begin,
                String end,
                Integer first,
                Integer least,
                String incremental,
                String absolute) {
            return new Subprograms(
                    call,
                    begin,
                    end,
                    first == null ? 1001 : first,
                    least == null ? 6 : least,
                    incremental == null ? "G91" : incremental,
                    absolute == null ? "G90" : absolute);
        }
    }

    /**
     * Cycles: a rapid move over a place, down to where the feed begins, the hole, and up again.
     *
     * @param drill template of the block with x, y, z, low (where the feed begins) and feed
     * @param end word of the block behind the last hole
     * @param peck template of a hole from which the drill comes up to low to clear its chips:
     *     besides first (mm below low at which it does so first) and peck (mm after which it does
     *     again); empty: such holes are written out
     * @param again mm over the depth reached at which the feed goes on
     */
    public record Cycles(String drill, String end, String peck, double again) {

        public Cycles {
            peck = peck == null ? "" : peck;
        }

        public boolean hasPecks() {
            return !peck.isEmpty();
        }
    }

    public record Comment(String open, String close) {}

    /** The same format without subprograms: what repeats is written every time. */
    public Dialect writtenOut() {
        return new Dialect(
                name,
                title,
                version,
                language,
                file,
                numbering,
                words,
                addresses,
                order,
                motion,
                positions,
                arcs,
                comment,
                header,
                footer,
                preparatory,
                stopComment,
                events,
                values,
                parameters,
                limits,
                null,
                cycles);
    }

    /** Smallest step of coordinates, mm. */
    public double resolution() {
        return words.coordinate().step();
    }
}
