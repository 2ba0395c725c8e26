package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.drawing.read.Feature;
import dev.oleander.plan.stop.FeatureNames;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.Fields;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Fold;
import dev.oleander.web.bench.SlipRow.Note;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.Unattended;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireRun;
import dev.oleander.work.wire.choice.WireChoices;
import java.util.ArrayList;
import java.util.List;

/** What holds for a whole job on a wire machine. */
final class WireJobSlip {

    private static final int MOST_SETS = 40;

    private final JobResult result;
    private final WireChoices choices;
    private final Fields<WireChoices> fields;

    WireJobSlip(JobResult result, EditError error) {
        this.result = result;
        this.choices = result.document().choices(WIRE);
        this.fields = Fields.ofJob(WIRE, result, error);
    }

    List<SlipRow> rows() {
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.listed("wire"));
        rows.add(fields.listed("finish"));
        rows.add(new SlipRow.Order());
        if (result.isPlanned()) {
            rows.add(new Note(Unattended.of(result).sentence()));
            int toDrill = result.own(WireRun.class).orElseThrow().plan().toDrill().size();
            if (toDrill > 0) {
                rows.add(new Own(WirePages.TEMPLATE, "holes", toDrill));
            }
        }
        rows.add(copies());
        List<SetRow> sets = sets();
        if (!sets.isEmpty()) {
            rows.add(
                    new Fold(
                            "Punch and die from one contour",
                            !choices.sets().isEmpty(),
                            List.of(
                                    fields.typed("clearance"),
                                    new Own(WirePages.TEMPLATE, "sets", sets))));
        }
        return rows;
    }

    private Fold copies() {
        boolean round = choices.round() != null;
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.typed("round.count"));
        if (round) {
            rows.add(fields.typed("round.angle"));
            rows.add(fields.typed("round.centre"));
            rows.add(fields.segments("round.indexed"));
        } else {
            rows.add(new Own(WirePages.TEMPLATE, "rows", ""));
        }
        rows.add(fields.segments("calls"));
        return new Fold("Copies", round, rows);
    }

    /** A closed contour, and whether it is cut as punch and die. */
    public record SetRow(String feature, String name, boolean set) {}

    private List<SetRow> sets() {
        List<SetRow> rows = new ArrayList<>();
        for (Feature feature : result.reading().cut().filter(Feature::isClosed).toList()) {
            boolean set = choices.sets().contains(feature.id());
            rows.add(new SetRow(feature.id(), FeatureNames.of(feature), set));
        }
        return rows.size() > MOST_SETS ? List.of() : rows;
    }
}
