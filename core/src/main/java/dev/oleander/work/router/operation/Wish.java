package dev.oleander.work.router.operation;

import dev.oleander.book.CutDataException;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.work.router.tool.Tool;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * An operation as people write it: values are formulas, and what is left out is null. Only what its
 * kind knows is looked at.
 *
 * @param depth a formula, or {@code through}
 * @param depths of a line that is followed at several
 * @param diameters of holes, each with its depth
 * @param side outside, inside or on
 * @param islands what stays within a pocket
 * @param stepOver share of the diameter
 * @param allowance what is left at walls
 * @param manner of clearing a pocket: parallel, even or zigzag
 * @param angle of straight ways, degrees
 * @param width of a groove
 * @param ends open or closed, of a groove
 * @param pair curves between which a slope lies
 * @param restOf id of the operation whose rest is taken
 * @param way climb or conventional
 * @param entry how the tool goes into the work
 * @param finish cuts along walls and floor after everything else
 * @param lead how the tool comes to a wall that is finished
 * @param skin what is left under an outline till everything else is cut
 * @param below of the tip under the foot of a broken edge
 * @param byLevel whether pockets with thin walls between them are cut level by level
 * @param crest that a ball leaves between its rounds
 * @param bank whether holes may be drilled several at once
 * @param beyondFlutes whether it may be deeper than the tool's flutes are long
 * @param wrap whether the drawing is laid round the rotary axis
 * @param rank what has a lower one is done before it
 */
public record Wish(
        String id,
        Place on,
        String kind,
        Integer tool,
        String depth,
        List<String> depths,
        List<HoleWish> diameters,
        From from,
        String side,
        Place islands,
        String stepDown,
        String stepOver,
        String manner,
        String angle,
        String allowance,
        TabWish tabs,
        String width,
        String ends,
        Pair pair,
        String floor,
        Integer flatTool,
        String restOf,
        Copies copies,
        String peck,
        String way,
        Boolean wrap,
        EntryWish entry,
        FinishWish finish,
        LeadWish lead,
        String skin,
        Boolean beyondFlutes,
        Boolean bank,
        String crest,
        Boolean byLevel,
        String below,
        Integer rank) {

    /** Which features; see {@link On}. */
    public record Place(String layer, List<String> contours, Double diameter) {

        Place carried(Carrying to) {
            return new Place(layer, contours == null ? null : to.keys(contours), diameter);
        }

        public On on() {
            return new On(
                    Optional.ofNullable(layer),
                    Objects.requireNonNullElse(contours, List.of()),
                    Optional.ofNullable(diameter));
        }
    }

    /** Holes of one diameter, mm. */
    public record HoleWish(double diameter, String depth) {}

    /** The same for a new version of the drawing. */
    public Wish carried(Carrying to) {
        return on(on == null ? null : on.carried(to), islands == null ? null : islands.carried(to));
    }

    /** The same on other features. */
    public Wish on(Place other) {
        return on(other, islands);
    }

    private Wish on(Place other, Place otherIslands) {
        return with(other, otherIslands, restOf);
    }

    /** The same, of what another operation has left. */
    public Wish restOf(String other) {
        return with(on, islands, other);
    }

    private Wish with(Place place, Place within, String rest) {
        return new Wish(
                id,
                place,
                kind,
                tool,
                depth,
                depths,
                diameters,
                from,
                side,
                within,
                stepDown,
                stepOver,
                manner,
                angle,
                allowance,
                tabs,
                width,
                ends,
                pair,
                floor,
                flatTool,
                rest,
                copies,
                peck,
                way,
                wrap,
                entry,
                finish,
                lead,
                skin,
                beyondFlutes,
                bank,
                crest,
                byLevel,
                below,
                rank);
    }

    /** Which features it names. */
    public On features() {
        return Objects.requireNonNullElse(on, new Place(null, null, null)).on();
    }

    /** Where depths count from: the floor of another operation. */
    public record From(String floorOf) {}

    /**
     * Tabs by their number, or by the spacing between them, and those that stand at places.
     *
     * @param at mm along the drawn contour, with spaces between them
     */
    public record TabWish(Integer count, String spacing, String width, String height, String at) {}

    /**
     * @param kind ramp, helix, zigzag or plunge
     * @param angle of the way down, degrees
     * @param radius of a helix
     * @param at where a contour is begun, mm along it
     */
    public record EntryWish(String kind, String angle, String radius, String at) {}

    /**
     * @param cuts how many along the walls
     * @param width that each of them takes
     * @param at levels or depth
     * @param floor that is left for a last level
     */
    public record FinishWish(Integer cuts, String width, String at, String floor) {}

    /**
     * @param radius of the arcs to a wall and away from it
     * @param over how far the tool goes on beyond where it came to the wall
     */
    public record LeadWish(String radius, String over) {}

    /** Layers of the two curves of a slope. */
    public record Pair(String rim, String tip) {}

    /** Round the rotary axis. */
    public record Copies(Integer rotary, Double start) {}

    /**
     * The operation.
     *
     * @param names that formulas may use: T the thickness, D and F diameter and flutes of the tool,
     *     L and W of the stock; mm
     * @throws CutDataException naming the operation and what cannot be read
     */
    public Operation operation(Map<String, Double> names) {
        return new WishReader(this, required(id, "an id"), names).operation();
    }

    /**
     * What formulas may use.
     *
     * @param thickness of the stock, mm
     * @param length and {@code width}: of the stock
     * @param of the tool; empty: none is chosen yet
     */
    public static Map<String, Double> names(
            double thickness, double length, double width, Optional<Tool> of) {
        Map<String, Double> names = new HashMap<>();
        names.put("T", thickness);
        names.put("L", length);
        names.put("W", width);
        of.ifPresent(
                tool -> {
                    names.put("D", tool.diameter());
                    names.put("F", tool.edges().length());
                });
        return names;
    }

    private String required(String value, String what) {
        if (value == null || value.isBlank()) {
            throw new CutDataException("An operation needs %s.".formatted(what));
        }
        return value;
    }
}
