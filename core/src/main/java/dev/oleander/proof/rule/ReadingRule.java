package dev.oleander.proof.rule;

import dev.oleander.drawing.Fault;
import dev.oleander.drawing.Skipped;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.ProofRule;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Faults of the drawing that were not mended, and line work that was left out. */
public final class ReadingRule implements ProofRule {

    /** What other rules tell. */
    private static final Set<Fault.Kind> ELSEWHERE =
            Set.of(Fault.Kind.OPEN, Fault.Kind.DIVISION, Fault.Kind.UNREADABLE);

    @Override
    public String id() {
        return "drawing";
    }

    @Override
    public String title() {
        return "the drawing was read completely and without doubt";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<Finding> findings = new ArrayList<>();
        for (Fault fault : input.reading().openFaults()) {
            if (!ELSEWHERE.contains(fault.kind())) {
                findings.add(
                        Finding.of(
                                Severity.LOOK,
                                "",
                                fault.place().orElse(null),
                                fault.size(),
                                0,
                                fault.sentence()));
            }
        }
        for (Skipped skipped : input.reading().drawing().skipped()) {
            if (skipped.lineWork()) {
                findings.add(leftOut(skipped));
            }
        }
        if (input.reading().drawing().unitGuessed()) {
            findings.add(unit(input.reading()));
        }
        return new Outcome(input.reading().drawing().entities().size(), findings);
    }

    private static Finding unit(Reading reading) {
        Box box = reading.box();
        String sentence =
                "The file does not say its unit; %s were taken: %s × %s. Say on Shape which size is right."
                        .formatted(
                                reading.drawing().unit().symbol(),
                                Numbers.length(box.width()),
                                Numbers.length(box.height()));
        return Finding.of(Severity.LOOK, "", null, box.width(), box.height(), sentence);
    }

    private static Finding leftOut(Skipped skipped) {
        String sentence =
                "%d %s on layer %s left out: %s."
                        .formatted(
                                skipped.count(), skipped.entity(), skipped.layer(), skipped.why());
        return Finding.of(Severity.LOOK, "", null, skipped.count(), 0, sentence);
    }
}
