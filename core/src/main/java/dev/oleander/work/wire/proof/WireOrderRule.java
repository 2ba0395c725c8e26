package dev.oleander.work.wire.proof;

import dev.oleander.drawing.read.Feature;
import dev.oleander.geometry.Contour;
import dev.oleander.geometry.Point;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.WireCopy;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.cut.WireVisit;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Nothing is cut on a piece that is gone, and no cut-off comes before the skims of what it frees.
 */
public final class WireOrderRule extends WireRule {

    @Override
    public String id() {
        return "wire-order";
    }

    @Override
    public String title() {
        return "nothing is cut on a piece that is already gone";
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        Map<String, Feature> features = input.reading().byId();
        Map<String, Gone> freed = new HashMap<>();
        visits(
                plan,
                (stop, visit) -> {
                    findings.checked(visit.cuts().size());
                    String subject = visit.subject();
                    WireSettings settings = plan.settings().get(subject);
                    boolean punch = settings.kind() == WireKind.PUNCH;
                    onGone(plan, stop, visit, freed, features, findings);
                    if (punch) {
                        Gone gone = freed.get(subject);
                        ofPart(stop, visit, gone == null ? null : gone.by(), findings);
                    }
                    if (visit.frees()) {
                        freed.put(subject, gone(plan, stop, features.get(visit.feature())));
                    }
                });
    }

    /** A piece that is free. */
    private record Gone(Stop by, WireCopy copy, Optional<Contour> piece) {}

    private static Gone gone(WirePlan plan, Stop by, Feature feature) {
        WireCopy copy = plan.copy(by.copy());
        Optional<Contour> piece =
                feature.isClosed()
                        ? Optional.of(feature.contour().transformed(copy.placement().transform()))
                        : Optional.empty();
        return new Gone(by, copy, piece);
    }

    private static void onGone(
            WirePlan plan,
            Stop stop,
            WireVisit visit,
            Map<String, Gone> freed,
            Map<String, Feature> features,
            Findings findings) {
        WireCopy copy = plan.copy(visit.copy());
        Point start =
                copy.placement().transform().apply(features.get(visit.feature()).chain().start());
        String subject = visit.subject();
        for (Map.Entry<String, Gone> entry : freed.entrySet()) {
            Gone gone = entry.getValue();
            Stop earlier = gone.by();
            boolean around =
                    !entry.getKey().equals(subject)
                            && gone.copy().isWith(copy)
                            && gone.piece().filter(p -> p.contains(start)).isPresent()
                            && (gone.copy().turn() == copy.turn()
                                    || isLarger(gone, features.get(visit.feature())));
            if (around) {
                findings.add(
                        Severity.MUST_FIX,
                        stop.id(),
                        visit.begin(),
                        stop.number(),
                        earlier.number(),
                        "%s lies in a piece that stop %d (%s) has set free before. Move it before that stop."
                                .formatted(
                                        ProofInput.named(stop), earlier.number(), earlier.name()));
            }
        }
    }

    /** Equal contours that a rotary axis turns to lie on each other as they are drawn. */
    private static boolean isLarger(Gone gone, Feature feature) {
        return !feature.isClosed()
                || gone.piece().filter(p -> p.area() > feature.contour().area()).isPresent();
    }

    /** Nothing needs a look where people always come and hold the part. */
    private static Severity held(WireVisit visit) {
        if (!visit.waits()) {
            return Severity.MUST_FIX;
        }
        boolean always =
                visit.steps().stream()
                        .anyMatch(s -> s instanceof WireVisit.Wait wait && wait.always());
        return always ? Severity.NOTE : Severity.LOOK;
    }

    /** The part itself comes free: what is cut on it afterwards needs somebody who holds it. */
    private static void ofPart(Stop stop, WireVisit visit, Stop freedBy, Findings findings) {
        boolean free = freedBy != null;
        boolean held = visit.waits();
        for (WireCut cut : visit.cuts()) {
            boolean skim = cut.role() == WireCut.Role.SKIM || cut.role() == WireCut.Role.OFF_SKIM;
            if (free && skim) {
                findings.add(
                        Severity.MUST_FIX,
                        stop.id(),
                        cut.begin(),
                        stop.number(),
                        freedBy.number(),
                        "%s is a skim of a part that stop %d has cut off before. The cut-off would come before its skims."
                                .formatted(ProofInput.named(stop), freedBy.number()));
                return;
            }
            if (cut.role() == WireCut.Role.OFF_SKIM) {
                findings.add(
                        held(visit),
                        stop.id(),
                        cut.begin(),
                        stop.number(),
                        0,
                        "%s skims the part where its hold was, after it came free. %s"
                                .formatted(
                                        ProofInput.named(stop),
                                        held
                                                ? "It must be held so that it does not move."
                                                : "Nobody holds it: let the machine wait, or leave these skims out."));
                return;
            }
        }
    }
}
