package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.ToolRow;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Feeds;
import dev.oleander.work.router.tool.Tool;
import java.util.Optional;

/** Chips, power of the spindle, and how far tools are pushed aside. */
public final class LoadRule extends RouterRule {

    /** mm */
    private static final double MOST_BENDING = 0.1;

    private static final double ROUNDING = 1e-9;

    public LoadRule() {
        super("load", "chips, power and bending are within what tool and spindle stand");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        RouterPlan plan = proof.plan();
        for (RouterStop stop : plan.done()) {
            findings.checked(1);
            Feeds feeds = plan.feeds().get(stop.id());
            Tool tool = stop.tool().orElseThrow();
            power(plan, stop, feeds, findings);
            bending(stop, feeds, tool, findings);
            chip(plan.book().row(tool, plan.material()), stop, feeds, findings);
        }
    }

    private static void power(RouterPlan plan, RouterStop stop, Feeds feeds, Findings findings) {
        double most = plan.unit().spindle().power();
        if (feeds.power() > most) {
            findings.add(
                    Severity.MUST_FIX,
                    stop.id(),
                    stop.begin(),
                    feeds.power(),
                    most,
                    "the cut asks for %s kW; the spindle has %s kW."
                            .formatted(Numbers.plain(feeds.power(), 2), Numbers.plain(most, 2)));
        }
    }

    private static void bending(RouterStop stop, Feeds feeds, Tool tool, Findings findings) {
        double bending = tool.kind().isDrill() || tool.kind().lies() ? 0 : feeds.bending(tool);
        if (bending > MOST_BENDING) {
            findings.add(
                    Severity.LOOK,
                    stop.id(),
                    stop.begin(),
                    bending,
                    MOST_BENDING,
                    "tool %d is pushed aside by %s mm; more than %s mm is seen on the wall."
                            .formatted(
                                    tool.number(),
                                    Numbers.plain(bending, 3),
                                    Numbers.plain(MOST_BENDING, 3)));
        }
    }

    private static void chip(
            Optional<ToolRow> row, RouterStop stop, Feeds feeds, Findings findings) {
        double least = row.map(ToolRow::chipLeast).orElse(0.0);
        double most = row.map(ToolRow::chipMost).orElse(Double.MAX_VALUE);
        if (feeds.chip() < least - ROUNDING || feeds.chip() > most + ROUNDING) {
            findings.add(
                    Severity.LOOK,
                    stop.id(),
                    stop.begin(),
                    feeds.chip(),
                    feeds.chip() < least ? least : most,
                    "chips of %s mm a tooth; the book has %s to %s."
                            .formatted(
                                    Numbers.plain(feeds.chip(), 4),
                                    Numbers.plain(least, 4),
                                    Numbers.plain(most, 4)));
        }
    }
}
