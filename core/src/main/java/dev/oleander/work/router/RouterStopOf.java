package dev.oleander.work.router;

import dev.oleander.plan.stop.Side;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.choice.WishValues;
import dev.oleander.work.router.operation.Operation;
import dev.oleander.work.router.operation.Operation.Bevel;
import dev.oleander.work.router.operation.Operation.Clear;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.run.RouterWork;
import dev.oleander.work.router.tool.CutSteps;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;
import dev.oleander.work.router.way.Finish;
import java.util.List;
import java.util.Optional;

/** What the values of a stop of a router are asked of. */
public record RouterStopOf(RouterWork work, Side side, RouterPlan plan) {

    public Optional<Tool> tool() {
        return work.stop().tool();
    }

    /** All that there are. */
    public List<Tool> tools() {
        return plan.task().tools();
    }

    public Optional<Operation> operation() {
        return work.deed().operation();
    }

    /** What people or rules say. */
    public Optional<String> said(String word) {
        return work.deed().values().get(word);
    }

    /** What holds: as it is said, or as the data of the tool say; empty where nothing does. */
    public String used(String word) {
        return said(word)
                .or(() -> ofBall(word))
                .or(() -> byData(word))
                .or(() -> asUsual(word))
                .orElse("");
    }

    private Optional<String> asUsual(String word) {
        return switch (word) {
            case WishValues.WAY -> Optional.of("climb");
            case WishValues.MANNER -> Optional.of("parallel");
            case WishValues.ALLOWANCE,
                    WishValues.RANK,
                    WishValues.FINISH_CUTS,
                    WishValues.FINISH_FLOOR ->
                    Optional.of("0");
            case WishValues.FINISH_WIDTH -> Optional.of(Numbers.plain(Finish.USUAL_WIDTH, 3));
            case WishValues.FINISH_AT -> Optional.of("levels");
            case WishValues.ENTRY -> Optional.of(isEven() ? "helix" : "ramp");
            case WishValues.SIDE -> Optional.of(side.word());
            case WishValues.BEYOND_FLUTES -> Optional.of("no");
            case WishValues.BELOW -> Optional.of(Numbers.plain(Bevel.USUAL_BELOW, 3));
            case WishValues.WIDTH ->
                    operation()
                            .map(Operation::what)
                            .filter(Bevel.class::isInstance)
                            .map(b -> Numbers.plain(((Bevel) b).width(), 3));
            case WishValues.BANK, WishValues.BY_LEVEL -> Optional.of("yes");
            default -> Optional.empty();
        };
    }

    private boolean isEven() {
        return said(WishValues.MANNER).filter("even"::equals).isPresent();
    }

    /** The step-over of a ball follows from its crests. */
    private Optional<String> ofBall(String word) {
        boolean ball = tool().filter(t -> t.kind() == ToolKind.BALL).isPresent();
        if (!ball || operation().filter(o -> o.what() instanceof Clear).isEmpty()) {
            return Optional.empty();
        }
        Clear clear = (Clear) operation().get().what();
        return switch (word) {
            case WishValues.STEP_OVER -> Optional.of(Numbers.plain(clear.over(tool().get(), 1), 3));
            case WishValues.CREST ->
                    Optional.of(Numbers.plain(clear.crest().orElse(Clear.USUAL_CREST), 3));
            default -> Optional.empty();
        };
    }

    private Optional<String> byData(String word) {
        return tool().flatMap(
                        t -> byData(word, plan.task().steps().apply(t)).or(() -> ofTool(word, t)));
    }

    private static Optional<String> ofTool(String word, Tool tool) {
        return switch (word) {
            case WishValues.ENTRY_ANGLE -> Optional.of(Numbers.plain(tool.edges().rampAngle(), 3));
            case WishValues.LEAD_RADIUS -> Optional.of(Numbers.plain(tool.diameter() / 2, 3));
            default -> Optional.empty();
        };
    }

    private static Optional<String> byData(String word, CutSteps steps) {
        return switch (word) {
            case WishValues.STEP_DOWN -> Optional.of(Numbers.plain(steps.down(), 3));
            case WishValues.STEP_OVER -> Optional.of(Numbers.plain(steps.over(), 3));
            case WishValues.PECK -> Optional.of(Numbers.plain(steps.peck(), 3));
            default -> Optional.empty();
        };
    }
}
