package dev.oleander.work.router.operation;

import dev.oleander.book.CutDataException;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.Entry;
import dev.oleander.work.router.way.Finish;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Something that is done to features with one tool, or with one for each of some diameters.
 *
 * @param id by which others speak of it
 * @param tool its number; empty: the best of those that can
 * @param floorOf id of the operation whose floor depths count from; empty: the top of the stock
 * @param copies round the rotary axis; empty: as drawn
 * @param wrapped whether the drawing is laid round the rotary axis
 * @param beyondFlutes whether it may be deeper than the tool's flutes are long
 * @param rank of what is done to one copy, what has a lower one comes first; 0: does not matter
 */
public record Operation(
        String id,
        On on,
        Optional<Integer> tool,
        Optional<String> floorOf,
        Optional<Turned> copies,
        boolean wrapped,
        boolean beyondFlutes,
        int rank,
        What what) {

    public static final int LAST_RANK = 99;

    /** As drawn, on a flat piece of stock. */
    public Operation(
            String id, On on, Optional<Integer> tool, Optional<String> floorOf, What what) {
        this(id, on, tool, floorOf, Optional.empty(), false, false, 0, what);
    }

    /** Between the name of an operation and the number of those of its features set otherwise. */
    private static final char PART = '~';

    /** Between the name of a job and what is done there. */
    private static final char OF_SOURCE = ':';

    /**
     * The id of what is done to some of the features of an operation, for which something else is
     * set.
     *
     * @param number from 1; the first keeps the name
     */
    public static String id(String name, int number) {
        return number == 1 ? name : name + PART + number;
    }

    /** Whether its depths count from the floor of another one, or it takes its rest. */
    public boolean asksFor(String other) {
        boolean rest =
                what instanceof Clear clear && clear.restOf().filter(other::equals).isPresent();
        return rest || floorOf.filter(other::equals).isPresent();
    }

    /** The same features worked otherwise. */
    public Operation doing(What other) {
        return new Operation(id, on, tool, floorOf, copies, wrapped, beyondFlutes, rank, other);
    }

    /** The same as one of several jobs, with what it asks for. */
    public Operation inSource(String source) {
        return new Operation(
                inSource(source, id),
                on,
                tool,
                floorOf.map(of -> inSource(source, of)),
                copies,
                wrapped,
                beyondFlutes,
                rank,
                what instanceof Clear clear && clear.restOf().isPresent()
                        ? clear.restOf(inSource(source, clear.restOf().get()))
                        : what);
    }

    /**
     * An id as it is where several jobs lie on one sheet.
     *
     * @param source empty: as it is
     */
    public static String inSource(String source, String id) {
        return source.isEmpty() ? id : source + OF_SOURCE + id;
    }

    /** By which people speak of it, also where its features are worked differently. */
    public String name() {
        return nameOf(id);
    }

    /** The name within an id. */
    public static String nameOf(String id) {
        int part = id.indexOf(PART);
        return part < 0 ? id : id.substring(0, part);
    }

    /**
     * Copies round an axis, evenly over a whole turn.
     *
     * @param count how many
     * @param start degrees of the first
     */
    public record Turned(int count, double start) {

        /** A tenth of a degree apart; more are a mistake of typing. */
        public static final int MOST = 3_600;

        /**
         * @throws CutDataException when there are none, or too many
         */
        public Turned {
            if (count < 1 || count > MOST || !Double.isFinite(start)) {
                throw new CutDataException(
                        "%d copies round the axis from %s°; there are 1 to %d."
                                .formatted(count, start, MOST));
            }
        }

        /** Of each copy, degrees: never a sum of rounded steps. */
        public List<Double> turns() {
            List<Double> turns = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                turns.add(start + 360.0 * i / count);
            }
            return List.copyOf(turns);
        }
    }

    /** What is done. */
    public sealed interface What
            permits Round,
                    Clear,
                    Drill,
                    Bore,
                    Follow,
                    Slot,
                    Face,
                    Groove,
                    Carve,
                    Chamfer,
                    Bevel,
                    EdgeDrill {

        /** Word of it in files. */
        String word();

        /**
         * Whether the edges come out of the wall downwards, where the tool goes along one;
         * conventional otherwise.
         */
        default boolean climb() {
            return true;
        }

        /** How its tool goes into the work. */
        default Entry entry() {
            return this instanceof InSteps deep ? deep.steps().entry() : Entry.USUAL;
        }
    }

    /** What goes down in steps. */
    public interface InSteps {
        Steps steps();
    }

    /**
     * How it goes down.
     *
     * @param down mm at once at most; empty: as the data of the tool say
     * @param floor mm left for a last level; 0: none
     * @param entry into the work
     */
    public record Steps(Optional<Double> down, double floor, Entry entry) {

        public static final Steps USUAL = new Steps(Optional.empty(), 0, Entry.USUAL);
    }

    /**
     * Round a contour.
     *
     * @param side empty: outside of outlines, within openings
     * @param allowance mm that is left at the wall
     * @param climb whether the edges come out of the wall downwards; conventional otherwise
     * @param skin mm of the stock that are cut in a second round, after everything else; empty:
     *     none
     * @param start where it is begun, mm along the drawn contour; empty: on its longest line
     */
    public record Round(
            Depth depth,
            Optional<ContourWay.Side> side,
            Steps steps,
            double allowance,
            Optional<ContourWay.Tabs> tabs,
            boolean climb,
            Finish finish,
            Optional<Double> skin,
            Optional<Double> start)
            implements What, InSteps {

        @Override
        public String word() {
            return "contour";
        }
    }

    /**
     * In which manner a pocket is cleared.
     *
     * @param angle of straight ways, degrees
     */
    public record Manner(Kind kind, double angle) {

        public static final Manner PARALLEL = new Manner(Kind.PARALLEL, 0);

        /** Manners. */
        public enum Kind {
            /** by rounds parallel to the walls */
            PARALLEL,
            /** never more in the work than on a straight way */
            EVEN,
            /** to and fro, and round the walls */
            ZIGZAG;

            public String word() {
                return name().toLowerCase(Locale.ROOT);
            }
        }
    }

    /**
     * A pocket, or what another operation has left of one.
     *
     * @param over from one round to the next as a share of the diameter; empty: as the data say
     * @param crest mm that a ball leaves between rounds; empty: as is usual
     * @param islands what stays within it; empty: the openings of the drawing in it
     * @param manner in which it is cleared
     * @param restOf id of the operation that has left something; empty: all of the pocket
     * @param byLevel whether pockets with thin walls between them are cut level by level
     */
    public record Clear(
            Depth depth,
            Steps steps,
            Optional<Double> over,
            Optional<Double> crest,
            double allowance,
            Optional<On> islands,
            Manner manner,
            Optional<String> restOf,
            boolean climb,
            Finish finish,
            boolean byLevel)
            implements What, InSteps {

        /** mm of the crests of a ball where nothing is said. */
        public static final double USUAL_CREST = 0.05;

        /**
         * From one round to the next as a share of the diameter: of a ball that leaves crests of c,
         * 2 sqrt(c (D - c)) / D.
         *
         * @param usual of tools with a flat end
         */
        public double over(Tool tool, double usual) {
            if (over.isPresent() || tool.kind() != ToolKind.BALL) {
                return over.orElse(usual);
            }
            double high = crest.orElse(USUAL_CREST);
            return 2 * Math.sqrt(high * (tool.diameter() - high)) / tool.diameter();
        }

        /** What another operation has left, in the same way. */
        public Clear restOf(String other) {
            return new Clear(
                    depth,
                    steps,
                    over,
                    crest,
                    allowance,
                    islands,
                    manner,
                    Optional.of(other),
                    climb,
                    finish,
                    byLevel);
        }

        @Override
        public String word() {
            return restOf.isPresent() ? "rest" : "pocket";
        }
    }

    /**
     * Straight down at the middles of circles.
     *
     * @param holes by diameter, each with its depth; none: all circles at one depth
     * @param depth of all where nothing is said by diameter
     * @param peck mm after which the drill comes up; empty: as the data say
     * @param bank whether several may be drilled at once, where the machine can
     */
    public record Drill(Depth depth, List<Hole> holes, Optional<Double> peck, boolean bank)
            implements What {

        public Drill {
            holes = List.copyOf(holes);
        }

        @Override
        public String word() {
            return "drill";
        }
    }

    /**
     * Into edges, by drills that lie: each hole along a straight line that begins at the edge of
     * the stock and is as long as the hole is deep.
     *
     * @param axis how far below the top the axes lie
     * @param diameter mm
     */
    public record EdgeDrill(Depth axis, double diameter) implements What {

        @Override
        public String word() {
            return "edgeDrill";
        }
    }

    /** Of circles of one diameter, mm. */
    public record Hole(double diameter, Depth depth) {}

    /** Round holes with a mill. */
    public record Bore(Depth depth, Steps steps) implements What, InSteps {

        @Override
        public String word() {
            return "bore";
        }
    }

    /**
     * Along lines, at one depth after the other.
     *
     * @param depths one or several, the shallowest first
     * @param steps between them
     */
    public record Follow(List<Depth> depths, Steps steps) implements What, InSteps {

        public Follow {
            depths = List.copyOf(depths);
        }

        @Override
        public String word() {
            return "follow";
        }
    }

    /** Slots drawn as closed contours, as wide as the tool or wider. */
    public record Slot(Depth depth, Steps steps, boolean climb) implements What, InSteps {

        @Override
        public String word() {
            return "slot";
        }
    }

    /**
     * The whole top of the stock.
     *
     * @param over from one way to the next as a share of the diameter; empty: as the data say
     * @param angle of the ways, degrees
     */
    public record Face(Depth depth, Optional<Double> over, double angle) implements What {

        @Override
        public String word() {
            return "face";
        }
    }

    /**
     * Along straight lines with a saw, whose blade runs out at both ends.
     *
     * @param width mm; empty: that of the blade
     * @param open whether the line ends where the full depth does; otherwise where the blade comes
     *     out
     */
    public record Groove(Depth depth, Optional<Double> width, boolean open) implements What {

        @Override
        public String word() {
            return "groove";
        }
    }

    /**
     * What closed contours enclose, with flanks up to their lines.
     *
     * @param floor greatest depth, mm; empty: none
     * @param flatTool number of the tool that clears the floor; empty: nothing does
     */
    public record Carve(Optional<Double> floor, Optional<Integer> flatTool) implements What {

        @Override
        public String word() {
            return "carve";
        }
    }

    /**
     * An edge broken with a cone.
     *
     * @param width of the slope seen from above, mm
     * @param below mm of the tip under the foot of the slope
     * @param side of the scrap; empty: outside of outlines, within openings
     */
    public record Bevel(
            double width, double below, Optional<ContourWay.Side> side, Steps steps, boolean climb)
            implements What, InSteps {

        /** mm where nothing else is said. */
        public static final double USUAL_WIDTH = 1;

        /** The same of the tip under the slope. */
        public static final double USUAL_BELOW = 0.5;

        @Override
        public String word() {
            return "chamfer";
        }
    }

    /**
     * A slope between two curves: the tip goes along the one, the flank touches the other.
     *
     * @param rim where the slope ends at the top
     */
    public record Chamfer(On rim, Steps steps) implements What, InSteps {

        @Override
        public String word() {
            return "chamfer";
        }
    }
}
