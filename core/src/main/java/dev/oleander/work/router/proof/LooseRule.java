package dev.oleander.work.router.proof;

import dev.oleander.drawing.read.Feature;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.router.book.RouterUnit;
import dev.oleander.work.router.choice.RouterKind;
import dev.oleander.work.router.plan.RouterStop;
import dev.oleander.work.router.run.RouterPlan;
import dev.oleander.work.router.tool.Feeds;
import java.util.Map;

/**
 * Pieces that come free with nothing that holds them: neither tabs, nor suction of at least twice
 * the force along the cut.
 */
public final class LooseRule extends RouterRule {

    public LooseRule() {
        super("loose", "what comes free is held by tabs or by suction");
    }

    @Override
    void check(RouterProof proof, Findings findings) {
        RouterPlan plan = proof.plan();
        Map<String, Feature> features = plan.task().reading().byId();
        for (RouterStop stop : plan.done()) {
            boolean cutsOut = plan.deed(stop).kind().equals(RouterKind.CONTOUR.word());
            if (cutsOut && stop.frees() && stop.figures().tabs() == 0) {
                findings.checked(1);
                stop.features().stream()
                        .map(features::get)
                        .filter(Feature::isClosed)
                        .forEach(f -> piece(plan, stop, f, findings));
            }
        }
    }

    private static void piece(RouterPlan plan, RouterStop stop, Feature of, Findings findings) {
        RouterUnit unit = plan.unit();
        Feeds feeds = plan.feeds().get(stop.id());
        if (feeds.held(of.area(), unit.vacuum(), unit.friction()).isPresent()) {
            return;
        }
        double holds = unit.vacuum() * unit.friction() * of.area();
        findings.add(
                Severity.LOOK,
                stop.id(),
                stop.begin(),
                holds,
                2 * feeds.force(),
                "a piece of %s mm² comes free without tabs; suction holds it with %s N, the cut asks for %s N. Set tabs, or clamp it."
                        .formatted(
                                Numbers.plain(of.area(), 0),
                                Numbers.plain(holds, 1),
                                Numbers.plain(2 * feeds.force(), 1)));
    }
}
