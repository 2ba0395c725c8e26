package dev.oleander.work.router.proof;

import dev.oleander.geometry.Point;
import dev.oleander.geometry.Segment;
import dev.oleander.geometry.Transform;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.choice.RouterChoice;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Round;
import dev.oleander.work.router.operation.Operation.What;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.ContourWay;
import dev.oleander.work.router.way.Leg;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The top does not tear: the edges of a compression tool that press it down reach it at once; where
 * the top is seen, edges do not come out of it upwards; and no tool leaves wood across its grain,
 * where the last fibres have nothing behind them.
 */
public final class TearRule extends RouterRule {

    private static final double SAME = 1e-6;

    /** Cosine of the angle to the grain from which on a way goes across it. */
    private static final double ACROSS = Math.sqrt(0.5);

    public TearRule() {
        super("tear", "tools neither tear the top nor break out the end of the grain");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        RouterPlan plan = proof.plan();
        Map<Integer, Transform> places = plan.run().layout().transforms();
        for (RouterStop stop : plan.done()) {
            Tool tool = stop.tool().orElseThrow();
            Optional<What> what = plan.task().operation(stop.operation()).map(Operation::what);
            if (tool.kind() == ToolKind.COMPRESSION && !stop.skin()) {
                findings.checked(1);
                first(plan, stop, tool, findings);
            }
            RouterChoice said = plan.choices(stop).all();
            if (said.get(WishValues.SHOWN).filter("top"::equals).isPresent()) {
                findings.checked(1);
                what.filter(w -> !w.climb()).ifPresent(w -> upwards(stop, findings));
            }
            // the grain of a part that is turned to lie on a sheet is turned with it
            Optional<Point> grain =
                    said.get(WishValues.GRAIN)
                            .flatMap(TearRule::axis)
                            .map(
                                    places.getOrDefault(stop.copy(), Transform.IDENTITY)
                                            ::applyToVector);
            if (grain.isPresent() && stop.turns().isEmpty() && stop.wrap().isEmpty()) {
                findings.checked(1);
                what.flatMap(w -> leaving(plan, stop, w))
                        .filter(way -> isAcross(way, grain.get()))
                        .ifPresent(way -> breaksOut(stop, way, findings));
            }
        }
    }

    private static Optional<Point> axis(String grain) {
        return switch (grain) {
            case "x" -> Optional.of(new Point(1, 0));
            case "y" -> Optional.of(new Point(0, 1));
            default -> Optional.empty();
        };
    }

    private static void first(RouterPlan plan, RouterStop stop, Tool tool, Findings findings) {
        double from = RouterPlanner.beginsAt(plan.task(), stop);
        double deep = stop.levels().get(0) - from;
        double least = tool.edges().upCut();
        if (from < SAME && deep < least - SAME) {
            findings.add(
                    Severity.LOOK,
                    stop.id(),
                    stop.begin(),
                    deep,
                    least,
                    "the first level is %s mm deep; only from %s mm on do the edges of tool %d press the top down: it may tear."
                            .formatted(
                                    Numbers.plain(deep, 2),
                                    Numbers.plain(least, 2),
                                    tool.number()));
        }
    }

    private static void upwards(RouterStop stop, Findings findings) {
        findings.add(
                Severity.LOOK,
                stop.id(),
                stop.begin(),
                0,
                0,
                "it is cut conventionally, so edges come out of the wall at the top, which is seen: climb, or put the other side up.");
    }

    /** The last move in which the tool comes out of a wall into the open; empty: in none. */
    private static Optional<Leg> leaving(RouterPlan plan, RouterStop stop, What what) {
        List<Leg> cut =
                stop.cutting().legs().stream().filter(leg -> leg.segment().isPresent()).toList();
        if (cut.isEmpty()) {
            return Optional.empty();
        }
        Leg last = cut.get(cut.size() - 1);
        if (what instanceof Round round) {
            boolean outside = round.side().filter(s -> s != ContourWay.Side.OUTSIDE).isEmpty();
            return outside && stop.frees() ? Optional.of(last) : Optional.empty();
        }
        return plan.stock().contains(last.to()) ? Optional.empty() : Optional.of(last);
    }

    private static boolean isAcross(Leg way, Point grain) {
        Segment segment = way.segment().orElseThrow();
        Point along = segment.direction(1);
        return Math.abs(along.x() * grain.x() + along.y() * grain.y()) < ACROSS;
    }

    private static void breaksOut(RouterStop stop, Leg way, Findings findings) {
        findings.add(
                Severity.LOOK,
                stop.id(),
                way.to(),
                0,
                0,
                "the tool leaves the wood across the grain at %s, %s, where fibres break out: let the way end along it."
                        .formatted(Numbers.plain(way.to().x(), 1), Numbers.plain(way.to().y(), 1)));
    }
}
