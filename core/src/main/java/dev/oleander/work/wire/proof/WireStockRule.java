package dev.oleander.work.wire.proof;

import dev.oleander.geometry.Box;
import dev.oleander.machine.Machine;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.book.WireUnit;
import dev.oleander.work.wire.plan.WirePlan;

/** The work fits into the machine, and all copies onto the work. */
public final class WireStockRule extends WireRule {

    @Override
    public String id() {
        return "wire-stock";
    }

    @Override
    public String title() {
        return "the work lies within the machine's travel and below its upper guide";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        findings.checked(plan.run().layout().placed());
        Machine machine = plan.task().machine();
        SheetLayout layout = plan.run().layout();
        Box stock = layout.stock();
        double over =
                Math.max(
                        stock.width() - machine.travel().x(),
                        stock.height() - machine.travel().y());
        if (over > 1e-6) {
            findings.add(
                    Severity.MUST_FIX,
                    "",
                    stock.max(),
                    over,
                    0,
                    "The work of %s × %s mm is larger than the travel of %s, %s × %s mm."
                            .formatted(
                                    Numbers.plain(stock.width(), 1),
                                    Numbers.plain(stock.height(), 1),
                                    machine.name(),
                                    Numbers.plain(machine.travel().x(), 1),
                                    Numbers.plain(machine.travel().y(), 1)));
        }
        double top = plan.task().height() + WireUnit.of(machine).upperGap();
        if (top > WireUnit.of(machine).upperReach()) {
            findings.add(
                    Severity.MUST_FIX,
                    "",
                    null,
                    top,
                    WireUnit.of(machine).upperReach(),
                    "The work is %s high; with its gap the upper guide would stand at %s, it reaches %s."
                            .formatted(
                                    Numbers.length(plan.task().height()),
                                    Numbers.length(top),
                                    Numbers.length(WireUnit.of(machine).upperReach())));
        }
        if (layout.placed() == 0) {
            findings.add(
                    Severity.MUST_FIX,
                    "",
                    stock.centre(),
                    0,
                    1,
                    "No copy fits on the work. Take larger work, a smaller margin, or turn the drawing.");
        }
    }
}
