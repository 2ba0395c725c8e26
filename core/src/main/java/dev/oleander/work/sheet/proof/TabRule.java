package dev.oleander.work.sheet.proof;

import dev.oleander.material.FreePiece;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Tabs that end in the kerf of another cut and hold nothing; equal parts are told once. */
public final class TabRule implements SheetRule {

    @Override
    public String id() {
        return "tabs";
    }

    @Override
    public String title() {
        return "tabs hold what they are meant to hold";
    }

    @Override
    public Outcome check(ProofInput input) {
        int checked = 0;
        Map<String, List<FreePiece>> alike = new LinkedHashMap<>();
        for (FreePiece piece : input.material().pieces()) {
            if (!piece.stop().tabs().isEmpty()) {
                checked++;
                if (piece.isLoose()) {
                    alike.computeIfAbsent(piece.stop().feature(), f -> new ArrayList<>())
                            .add(piece);
                }
            }
        }
        return new Outcome(checked, alike.values().stream().map(TabRule::finding).toList());
    }

    private static Finding finding(List<FreePiece> alike) {
        FreePiece first = alike.get(0);
        String others = alike.size() == 1 ? "" : " and %d like it".formatted(alike.size() - 1);
        return Finding.of(
                Severity.LOOK,
                first.stop().id(),
                first.region().centroid(),
                alike.size(),
                0,
                "%s%s: the tabs end in the kerf of a neighbour or in a piece that comes free itself, and hold nothing; the %s comes free at %s. Move the tabs, or lay the parts farther apart."
                        .formatted(
                                ProofInput.named(first.stop()),
                                others,
                                first.kept() ? "part" : "waste",
                                Numbers.duration(first.moment())));
    }
}
