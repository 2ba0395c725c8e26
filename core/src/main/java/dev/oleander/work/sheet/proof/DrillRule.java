package dev.oleander.work.sheet.proof;

import dev.oleander.plan.stop.DrillHole;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Says which holes still have to be drilled, so that nobody takes the parts for finished. */
public final class DrillRule implements SheetRule {

    @Override
    public String id() {
        return "drill";
    }

    @Override
    public String title() {
        return "holes that are left for drilling are known";
    }

    @Override
    public Outcome check(ProofInput input) {
        Map<String, List<DrillHole>> bySize = new TreeMap<>();
        for (DrillHole hole : input.run().drilled()) {
            bySize.computeIfAbsent(Numbers.plain(hole.diameter(), 2), d -> new ArrayList<>())
                    .add(hole);
        }
        List<Finding> findings = new ArrayList<>();
        bySize.forEach((size, holes) -> findings.add(finding(size, holes)));
        int looked = input.run().stops().size() + input.run().drilled().size();
        return new Outcome(looked, findings);
    }

    private static Finding finding(String size, List<DrillHole> holes) {
        String sentence =
                "%d %s Ø %s %s not cut: to be drilled."
                        .formatted(
                                holes.size(),
                                holes.size() == 1 ? "hole" : "holes",
                                size,
                                holes.size() == 1 ? "is" : "are");
        DrillHole first = holes.get(0);
        return Finding.of(
                Severity.NOTE, "", first.centre(), holes.size(), first.diameter(), sentence);
    }
}
