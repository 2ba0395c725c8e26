package dev.oleander.work.router.plan;

import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.operation.Operation.Bore;
import dev.oleander.work.router.operation.Operation.Carve;
import dev.oleander.work.router.operation.Operation.Chamfer;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.operation.Operation.Drill;
import dev.oleander.work.router.operation.Operation.EdgeDrill;
import dev.oleander.work.router.operation.Operation.Face;
import dev.oleander.work.router.operation.Operation.Follow;
import dev.oleander.work.router.operation.Operation.Groove;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.Slot;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import java.util.Optional;

/** Which tools can do what, and why the others cannot. */
public final class Suitable {

    private Suitable() {}

    /** Why a tool of its kind cannot do something at all, a sentence; empty when it can. */
    public static Optional<String> whyNot(Tool tool, What what) {
        if (does(tool.kind(), what)) {
            return Optional.empty();
        }
        return Optional.of(
                "Tool %d is a %s of %s mm: it cannot %s."
                        .formatted(
                                tool.number(),
                                tool.kind().label(),
                                Numbers.plain(tool.diameter(), 3),
                                deed(what)));
    }

    private static boolean does(ToolKind kind, What what) {
        if (what instanceof EdgeDrill || kind.lies()) {
            return what instanceof EdgeDrill && kind.lies();
        }
        if (what instanceof Drill) {
            return kind.isDrill() || kind == ToolKind.BALL || kind == ToolKind.COUNTERSINK;
        }
        if (what instanceof Follow) {
            return !kind.isDrill() && kind != ToolKind.SAW;
        }
        if (isSlope(what)) {
            return kind.isConical();
        }
        if (what instanceof Clear) {
            return kind.isFlat() || kind == ToolKind.BALL;
        }
        return what instanceof Groove ? kind == ToolKind.SAW : kind.isFlat();
    }

    private static boolean isSlope(What what) {
        return what instanceof Carve || what instanceof Chamfer || what instanceof Bevel;
    }

    private static String deed(What what) {
        if (what instanceof Round) {
            return "go round a contour";
        }
        if (what instanceof Clear) {
            return "clear a pocket";
        }
        if (what instanceof Drill) {
            return "drill";
        }
        if (what instanceof EdgeDrill) {
            return "drill into an edge";
        }
        if (what instanceof Bore) {
            return "bore";
        }
        if (what instanceof Slot) {
            return "mill a slot";
        }
        if (what instanceof Groove) {
            return "saw a groove";
        }
        if (isSlope(what)) {
            return "make a slope";
        }
        return what instanceof Face ? "face the stock" : "follow a line";
    }

    private static Optional<String> whyNotShank(Tool tool, double depth) {
        if (tool.shank().diameter() > tool.diameter() + 1e-9) {
            return Optional.of(
                    "Deeper than its flutes, the shank of tool %d would rub: %s mm beside %s mm."
                            .formatted(
                                    tool.number(),
                                    Numbers.plain(tool.shank().diameter(), 3),
                                    Numbers.plain(tool.diameter(), 3)));
        }
        return depth < tool.shank().stickOut()
                ? Optional.empty()
                : Optional.of(
                        "It would cut %s mm deep; tool %d sticks out %s mm."
                                .formatted(
                                        Numbers.plain(depth, 3),
                                        tool.number(),
                                        Numbers.plain(tool.shank().stickOut(), 3)));
    }

    /**
     * Why a tool cannot go so deep, a sentence; empty when it can.
     *
     * @param depth mm
     */
    public static Optional<String> whyNotDeep(Tool tool, double depth) {
        return whyNotDeep(tool, depth, false);
    }

    /**
     * @param allowed whether it may be deeper than the flutes are long: then the shank must not be
     *     wider than the tool, and long enough
     */
    public static Optional<String> whyNotDeep(Tool tool, double depth, boolean allowed) {
        if (depth <= tool.edges().length() + 1e-9) {
            return Optional.empty();
        }
        if (allowed) {
            return whyNotShank(tool, depth);
        }
        return Optional.of(
                "It would cut %s mm deep; tool %d has %s mm of flutes. Choose a longer tool, or allow it for this stop."
                        .formatted(
                                Numbers.plain(depth, 3),
                                tool.number(),
                                Numbers.plain(tool.edges().length(), 3)));
    }
}
