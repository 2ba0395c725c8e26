package dev.oleander.work.router.book;

import dev.oleander.book.BookRow;
import dev.oleander.book.CutDataException;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;

/**
 * A tool as it is written in files: one value after the other. What is left out is as usual.
 *
 * @param hand right or left
 * @param centreCutting null: it does, unless it has a middle that does not cut
 * @param holder from its nose upwards; null: as is usual
 */
public record FlatTool(
        int number,
        String name,
        String kind,
        double diameter,
        Double tipDiameter,
        Double angle,
        Double cornerRadius,
        Integer flutes,
        Double fluteLength,
        Double shankDiameter,
        Double stickOut,
        String hand,
        Boolean centreCutting,
        Double deadDiameter,
        Double rampAngle,
        Double upCut,
        Double bladeWidth,
        Double passDepth,
        Double minSpeed,
        Double maxSpeed,
        Double life,
        Boolean carbide,
        List<Tool.Holder.Step> holder)
        implements BookRow {

    /** Its number. */
    @Override
    public String id() {
        return String.valueOf(number);
    }

    @Override
    public String label() {
        return "tool " + number;
    }

    /** What tools stand together by: their kind. */
    @Override
    public String material() {
        return Objects.requireNonNullElse(kind, "");
    }

    /** Its diameter. */
    @Override
    public double thickness() {
        return diameter;
    }

    private static final double SLOWEST = 1_000;
    private static final double FASTEST = 24_000;

    /** Diameters that a tool has of flutes where nothing is said, and of stick-out. */
    private static final double FLUTES = 3;

    private static final double STICK_OUT = 4;

    /** Share of the diameter that does not cut, of a tool that does not cut in its middle. */
    private static final double DEAD = 0.3;

    /**
     * @throws CutDataException naming a value that is not possible
     */
    public Tool tool() {
        double own = Objects.requireNonNullElse(fluteLength, FLUTES * diameter);
        return new Tool(
                number,
                Objects.requireNonNullElse(name, ""),
                new Tool.Form(
                        kindOf(),
                        diameter,
                        or0(tipDiameter),
                        or0(angle),
                        or0(cornerRadius),
                        or0(bladeWidth)),
                new Tool.Edges(
                        Objects.requireNonNullElse(flutes, 2),
                        own,
                        isLeft(),
                        dead(),
                        Objects.requireNonNullElse(rampAngle, Tool.Edges.USUAL_RAMP),
                        or0(upCut),
                        Objects.requireNonNullElse(passDepth, 1.0)),
                new Tool.Shank(
                        Objects.requireNonNullElse(shankDiameter, diameter),
                        Objects.requireNonNullElse(stickOut, Math.max(own, STICK_OUT * diameter)),
                        !Boolean.FALSE.equals(carbide)),
                new Tool.Limits(
                        Objects.requireNonNullElse(minSpeed, SLOWEST),
                        Objects.requireNonNullElse(maxSpeed, FASTEST),
                        or0(life)),
                holder == null ? Tool.Holder.USUAL : new Tool.Holder(holder));
    }

    private ToolKind kindOf() {
        return Arrays.stream(ToolKind.values())
                .filter(k -> k.word().equals(kind))
                .findFirst()
                .orElseThrow(
                        () ->
                                new CutDataException(
                                        "Tool %d is a \"%s\"; known are %s."
                                                .formatted(number, kind, kinds())));
    }

    private static String kinds() {
        return Arrays.stream(ToolKind.values())
                .map(ToolKind::word)
                .collect(Collectors.joining(", "));
    }

    private boolean isLeft() {
        String own = Objects.requireNonNullElse(hand, "right");
        if (!own.equals("left") && !own.equals("right")) {
            throw new CutDataException(
                    "Tool %d has the hand \"%s\"; it is right or left.".formatted(number, hand));
        }
        return own.equals("left");
    }

    private double dead() {
        boolean cutsNot = Boolean.FALSE.equals(centreCutting);
        return deadDiameter == null ? cutsNot ? DEAD * diameter : 0 : deadDiameter;
    }

    private static double or0(Double value) {
        return Objects.requireNonNullElse(value, 0.0);
    }

    /** A tool with everything said. */
    public static FlatTool of(Tool tool) {
        return new FlatTool(
                tool.number(),
                tool.name(),
                tool.kind().word(),
                tool.diameter(),
                tool.form().tipDiameter(),
                tool.form().angle(),
                tool.form().cornerRadius(),
                tool.edges().flutes(),
                tool.edges().length(),
                tool.shank().diameter(),
                tool.shank().stickOut(),
                tool.edges().left() ? "left" : "right",
                tool.edges().cutsCentre(),
                tool.edges().deadDiameter(),
                tool.edges().rampAngle(),
                tool.edges().upCut(),
                tool.form().bladeWidth(),
                tool.edges().passDepth(),
                tool.limits().minSpeed(),
                tool.limits().maxSpeed(),
                tool.limits().life(),
                tool.shank().carbide(),
                tool.holder().steps());
    }
}
