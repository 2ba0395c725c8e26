package dev.oleander.work.sheet.proof;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.Refusal;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Finding;
import dev.oleander.proof.ProofInput;
import dev.oleander.proof.Severity;
import dev.oleander.quantity.Numbers;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Every stop has data from the cut book, and is large enough for it. */
public final class DataRule implements SheetRule {

    @Override
    public String id() {
        return "data";
    }

    @Override
    public String title() {
        return "every stop has cutting data that suits it";
    }

    @Override
    public Outcome check(ProofInput input) {
        List<Finding> findings = new ArrayList<>(RefusedStops.of(input, Refusal.Kind.NO_DATA));
        Map<String, Feature> features = input.reading().byId();
        for (Stop stop : input.run().stops()) {
            Feature feature = features.get(stop.feature());
            SheetCut.of(stop).row().ifPresent(row -> checkHole(feature, stop, row, findings));
            input.run().eventsOf(stop).stream()
                    .filter(event -> event.kind().changesData())
                    .forEach(event -> findings.add(changedByHand(stop, event)));
        }
        input.run().stops().stream()
                .flatMap(stop -> SheetCut.of(stop).row().stream())
                .filter(CutRow::interpolated)
                .map(CutRow::label)
                .distinct()
                .forEach(label -> findings.add(interpolated(label)));
        return new Outcome(input.run().stops().size(), findings);
    }

    private static Finding interpolated(String label) {
        return Finding.of(
                Severity.NOTE,
                "",
                null,
                0,
                0,
                "The data for %s were computed between two thicknesses of the book."
                        .formatted(label));
    }

    private static Finding changedByHand(Stop stop, StopEvent event) {
        boolean gas = event.kind() == StopEvent.Kind.GAS;
        String to =
                gas
                        ? "%s at %s bar".formatted(event.text(), Numbers.plain(event.amount(), 2))
                        : "condition " + Numbers.plain(event.amount(), 0);
        String sentence =
                "%s is cut with %s by hand; its speed and its kerf are still those of the cut book."
                        .formatted(ProofInput.named(stop), to);
        return Finding.of(
                Severity.LOOK,
                stop.id(),
                stop.path().map(p -> p.start()).orElse(null),
                event.amount(),
                0,
                sentence);
    }

    private static void checkHole(Feature feature, Stop stop, CutRow row, List<Finding> findings) {
        double diameter = feature.circleDiameter().orElse(Double.POSITIVE_INFINITY);
        boolean cutAsHole = stop.kind() == Stop.Kind.PROFILE && stop.name().startsWith("Hole");
        if (cutAsHole && diameter < row.smallestHole()) {
            boolean slowed = !stop.passes().isEmpty() && stop.passes().get(0).feed() < row.feed();
            String sentence =
                    "%s is smaller than the smallest hole of its data (%s); %s."
                            .formatted(
                                    ProofInput.named(stop),
                                    Numbers.length(row.smallestHole()),
                                    slowed ? "it is cut slowly" : "it may not come out round");
            findings.add(
                    Finding.of(
                            slowed ? Severity.NOTE : Severity.LOOK,
                            stop.id(),
                            stop.path().map(p -> p.start()).orElse(null),
                            diameter,
                            row.smallestHole(),
                            sentence));
        }
    }
}
