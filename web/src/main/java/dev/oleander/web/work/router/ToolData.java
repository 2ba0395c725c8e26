package dev.oleander.web.work.router;

import com.fasterxml.jackson.annotation.JsonProperty;
import dev.oleander.book.CutDataException;
import dev.oleander.machine.Machine;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.FlatTool;
import dev.oleander.work.router.book.RouterBook;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.book.ToolRow;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Levels;
import dev.oleander.work.router.tool.Tool;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How fast a tool goes in a cut: asked with a tool and a row of data in numbers, or with the number
 * of a tool of the machine and a material.
 *
 * @param tool number of one of the machine's; then kind, diameter and the rest may be left out
 * @param material in which the book has data for it
 * @param ap depth of the cut, mm
 * @param ae width of the cut, mm
 * @param depth in all, mm
 * @param innerRadius of the wall of an inner round, mm
 * @param partArea that the cut sets free, mm2
 * @param e modulus of elasticity of the tool, N/mm2
 */
record ToolData(
        String machine,
        Integer tool,
        String material,
        String kind,
        Double diameter,
        Double tipDiameter,
        Double angle,
        Integer flutes,
        Double fluteLength,
        Double shankDiameter,
        Double stickOut,
        Double rampAngle,
        Double passDepth,
        Double minSpeed,
        Double maxSpeed,
        Double cuttingSpeed,
        Double chip,
        Double chipLeast,
        Double chipMost,
        Double plungeChip,
        Double stepDown,
        Double kc,
        Double ap,
        Double ae,
        Double depth,
        Double innerRadius,
        Double partArea,
        Double vacuum,
        Double friction,
        @JsonProperty("E") Double e) {

    private static final double LARGE = 1e6;

    /**
     * @param chipUsed mm a tooth, thicker where the cut is narrow
     * @param feed mm/min
     * @param feedInRound mm/min of the tool's centre on the inner round
     * @param levels mm below where it begins
     * @param force N
     * @param power kW
     * @param bending mm
     * @param held whether suction holds the part
     * @param sources where the data come from, by name
     */
    record Answer(
            double speed,
            double effectiveDiameter,
            double chipUsed,
            double feed,
            Double feedInRound,
            double plunge,
            double ramp,
            List<Double> levels,
            double force,
            double power,
            Double bending,
            Boolean held,
            Map<String, String> sources) {}

    /** What is given, checked. */
    private record Given(Tool tool, ToolRow row, String source) {}

    /**
     * @throws CutDataException naming what is missing or not possible
     */
    Answer answer(Machine of, RouterBook book) {
        RouterUnit unit = RouterUnit.of(of);
        Given given = given(book);
        double deep = required("ap", ap);
        double wide = required("ae", ae);
        Feeds feeds =
                Feeds.of(
                        given.tool,
                        given.row.data(),
                        new Feeds.Cut(deep, wide),
                        unit.spindle().min(),
                        unit.spindle().max());
        double through = depth == null ? deep : required("depth", depth);
        double step = Math.min(down(given), given.tool.passDepth());
        Map<String, String> sources = new TreeMap<>();
        List.of("cuttingSpeed", "chip", "plungeChip", "kc", "stepDown")
                .forEach(name -> sources.put(name, given.source));
        return new Answer(
                feeds.speed(),
                feeds.effectiveDiameter(),
                feeds.chip(),
                feeds.feed(),
                innerRadius == null
                        ? null
                        : feeds.inRound(innerRadius(given.tool), given.tool.diameter()),
                feeds.plunge(),
                feeds.ramp(),
                Levels.equal(through, step, 0),
                feeds.force(),
                feeds.power(),
                stickOut == null && tool == null ? null : bending(feeds, given.tool),
                partArea == null ? null : held(feeds, unit),
                sources);
    }

    private double innerRadius(Tool of) {
        if (!(innerRadius > of.diameter() / 2 && innerRadius <= LARGE)) {
            throw new CutDataException(
                    "The inner radius is %s mm; a tool of %s mm goes only round larger ones."
                            .formatted(
                                    Numbers.plain(innerRadius, 3),
                                    Numbers.plain(of.diameter(), 3)));
        }
        return innerRadius;
    }

    private double bending(Feeds feeds, Tool of) {
        double own = feeds.bending(of);
        return e == null ? own : own * of.shank().modulus() / required("E", e);
    }

    private boolean held(Feeds feeds, RouterUnit unit) {
        return feeds.held(
                        required("partArea", partArea),
                        Objects.requireNonNullElse(vacuum, unit.vacuum()),
                        Objects.requireNonNullElse(friction, unit.friction()))
                .isPresent();
    }

    private double down(Given given) {
        return stepDown == null
                ? given.row.stepDown() * given.tool.diameter()
                : required("stepDown", stepDown);
    }

    private Given given(RouterBook book) {
        if (tool != null) {
            Tool known =
                    book.tools().stream()
                            .filter(t -> t.number() == tool)
                            .findFirst()
                            .orElseThrow(
                                    () ->
                                            new CutDataException(
                                                    "%s has no tool %d."
                                                            .formatted(book.machine(), tool)));
            if (material == null) {
                throw new CutDataException("The material is missing.");
            }
            ToolRow row = book.find(known, material);
            return new Given(known, row, row.interpolated() ? "interpolated" : "book");
        }
        return new Given(typed(), row(), "here");
    }

    private Tool typed() {
        return new FlatTool(
                        1,
                        "",
                        kind,
                        required("diameter", diameter),
                        tipDiameter,
                        angle,
                        null,
                        flutes,
                        fluteLength,
                        shankDiameter,
                        stickOut,
                        null,
                        null,
                        null,
                        rampAngle,
                        null,
                        "saw".equals(kind) ? diameter : null,
                        passDepth,
                        minSpeed,
                        maxSpeed,
                        null,
                        null,
                        null)
                .tool();
    }

    private ToolRow row() {
        double usual = required("chip", chip);
        return new ToolRow(
                "here",
                kind,
                diameter,
                Optional.ofNullable(material).orElse(""),
                required("cuttingSpeed", cuttingSpeed),
                usual,
                Objects.requireNonNullElse(chipLeast, 0.0),
                Objects.requireNonNullElse(chipMost, usual),
                required("plungeChip", plungeChip),
                1,
                1,
                0,
                required("kc", kc),
                false);
    }

    private static double required(String name, Double value) {
        if (value == null) {
            throw new CutDataException("%s is missing.".formatted(name));
        }
        if (!(value > 0 && value <= LARGE)) {
            throw new CutDataException(
                    "%s is %s; it must lie above 0, up to %s."
                            .formatted(name, Numbers.plain(value, 6), Numbers.plain(LARGE, 0)));
        }
        return value;
    }
}
