package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.plan.RouterPlanner;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Tool;
import dev.oleander.work.router.tool.ToolKind;

/** The top does not tear: the edges of a compression tool that press it down reach it at once. */
public final class TearRule extends RouterRule {

    private static final double SAME = 1e-6;

    public TearRule() {
        super("tear", "compression tools go so deep at once that the top does not tear");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        RouterPlan plan = proof.plan();
        for (RouterStop stop : plan.done()) {
            Tool tool = stop.tool().orElseThrow();
            if (tool.kind() == ToolKind.COMPRESSION && !stop.skin()) {
                findings.checked(1);
                first(plan, stop, tool, findings);
            }
        }
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
}
