package dev.oleander.work.wire.proof;

import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.wire.choice.WireKind;
import dev.oleander.work.wire.cut.WireCut;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Stretches of a profile that a rough pass leaves too large and no later pass takes down. */
public final class ProudRule extends WireRule {

    @Override
    public String id() {
        return "wire-proud";
    }

    @Override
    public String title() {
        return "every stretch of a profile gets all its passes";
    }

    /** A cut through whole material, and whether finer passes came after it. */
    private static final class Stretch {
        private final Stop stop;
        private final WireCut cut;
        private boolean finished;

        Stretch(Stop stop, WireCut cut) {
            this.stop = stop;
            this.cut = cut;
        }

        /**
         * Skims run over what is open: of the whole profile once the piece is off, else over the
         * stretch that was cut last.
         */
        boolean isFinishedBy(WireCut skim) {
            return skim.role() == WireCut.Role.OFF_SKIM
                    ? cut.role() == WireCut.Role.CUT_OFF
                    : skim.role() == WireCut.Role.SKIM;
        }
    }

    @Override
    void check(WirePlan plan, ProofInput input, Findings findings) {
        Map<String, List<Stretch>> bySubject = new LinkedHashMap<>();
        visits(
                plan,
                (stop, visit) -> {
                    String subject = visit.subject();
                    List<Stretch> stretches =
                            bySubject.computeIfAbsent(subject, s -> new ArrayList<>());
                    int last = plan.settings().get(subject).passes();
                    for (WireCut cut : visit.cuts()) {
                        findings.checked(1);
                        boolean through =
                                cut.role() == WireCut.Role.ROUGH
                                        || cut.role() == WireCut.Role.CUT_OFF;
                        if (through) {
                            stretches.add(new Stretch(stop, cut));
                        } else if (cut.pass() == last) {
                            stretches.stream()
                                    .filter(s -> s.isFinishedBy(cut))
                                    .forEach(s -> s.finished = true);
                        }
                    }
                });
        bySubject.forEach(
                (subject, stretches) ->
                        stretches(plan.settings().get(subject), stretches, findings));
    }

    private static void stretches(
            WireSettings settings, List<Stretch> stretches, Findings findings) {
        double proud = settings.row().offset(1) - settings.row().offset(settings.passes());
        if (settings.kind() == WireKind.OPEN || !(proud > 0)) {
            return;
        }
        double length = 0;
        Stretch first = null;
        for (Stretch stretch : stretches) {
            if (!stretch.finished) {
                length += stretch.cut.length();
                first = first == null ? stretch : first;
            }
        }
        if (first != null) {
            findings.add(
                    Severity.LOOK,
                    first.stop.id(),
                    first.cut.begin(),
                    proud,
                    0,
                    "%s: over %s it stays %s too large, since only the rough pass runs there. Let the skims run where the hold was, or dress it by hand."
                            .formatted(
                                    ProofInput.named(first.stop),
                                    Numbers.length(length),
                                    Numbers.length(proud)));
        }
    }
}
