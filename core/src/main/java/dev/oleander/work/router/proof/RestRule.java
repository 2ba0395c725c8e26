package dev.oleander.work.router.proof;

import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.material.Difference.Piece;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.plan.RouterTask;
import dev.oleander.work.router.run.RouterPlan;

/** Stock that is left of what operations ask for, whatever their tools and allowances do. */
public final class RestRule extends RouterRule {

    /** mm2 */
    private static final double ROUNDING = 0.05;

    public RestRule() {
        super("rest", "nothing is left of what the drawing asks to be taken away");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        findings.checked(proof.plan().done().size());
        if (proof.plan().turns()) {
            return;
        }
        RouterTask task = proof.plan().task();
        for (Piece rest : proof.difference().rests()) {
            RouterStop stop = proof.plan().stop(rest.stop()).orElseThrow();
            double unreached = stop.figures().corners() + stop.figures().rest();
            boolean corners = rest.area() <= unreached + ROUNDING;
            boolean mustFix = goesThrough(stop, task) && !corners;
            findings.add(
                    mustFix ? Severity.MUST_FIX : Severity.LOOK,
                    rest.stop(),
                    rest.place(),
                    rest.area(),
                    0,
                    corners ? inCorners(rest, smallest(proof.plan(), stop)) : left(rest));
        }
    }

    private static String left(Piece rest) {
        return "%s mm² of stock is left, %s mm high."
                .formatted(Numbers.plain(rest.area(), 2), Numbers.plain(rest.height(), 3));
    }

    /** Diameter of the smallest tool that comes to the same contour, mm. */
    private static double smallest(RouterPlan plan, RouterStop stop) {
        return plan.done().stream()
                .filter(s -> s.copy() == stop.copy() && s.features().equals(stop.features()))
                .mapToDouble(s -> s.tool().orElseThrow().diameter())
                .min()
                .orElseThrow();
    }

    /** What a round tool leaves wherever it goes. */
    private static String inCorners(Piece rest, double diameter) {
        return "inner corners keep %s mm² that a tool of %s mm does not reach."
                .formatted(Numbers.plain(rest.area(), 2), Numbers.plain(diameter, 3));
    }

    private static boolean goesThrough(RouterStop stop, RouterTask task) {
        return stop.wanted().depth() >= task.thickness();
    }
}
