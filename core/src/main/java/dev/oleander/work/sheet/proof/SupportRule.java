package dev.oleander.work.sheet.proof;

import dev.oleander.geometry.enclose.SmallestWidth;
import dev.oleander.material.FreePiece;
import dev.oleander.material.Rest;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Pieces that tip or fall between the slats when they come free; equal parts are told once. */
public final class SupportRule implements SheetRule {

    @Override
    public String id() {
        return "support";
    }

    @Override
    public String title() {
        return "the slats carry every part that comes free";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<FreePiece> pieces = input.material().pieces();
        Map<String, List<FreePiece>> alike = new LinkedHashMap<>();
        for (FreePiece piece : pieces) {
            boolean unsteady = piece.rest() == Rest.TIPS || piece.rest() == Rest.FALLS;
            if (piece.kept() && unsteady) {
                alike.computeIfAbsent(piece.stop().feature() + piece.rest(), k -> new ArrayList<>())
                        .add(piece);
            }
        }
        return new Outcome(
                pieces.size(), alike.values().stream().map(p -> finding(input, p)).toList());
    }

    private static Finding finding(ProofInput input, List<FreePiece> alike) {
        FreePiece first = alike.get(0);
        double pitch = input.run().machine().habits().slatPitch();
        double width = SmallestWidth.of(first.region().outer());
        String others = alike.size() == 1 ? "" : " and %d like it".formatted(alike.size() - 1);
        String sentence =
                "%s%s: the part %s (%s wide, slats every %s); tabs would hold it."
                        .formatted(
                                ProofInput.named(first.stop()),
                                others,
                                first.rest().says(),
                                Numbers.length(width),
                                Numbers.length(pitch));
        // the head never comes low across it: that is a rule of its own
        return Finding.of(
                Severity.NOTE,
                first.stop().id(),
                first.region().centroid(),
                width,
                pitch,
                sentence);
    }
}
