package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.drawing.read.Feature;
import dev.oleander.machine.WireBook;
import dev.oleander.plan.FeatureNames;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.Wires;
import dev.oleander.work.wire.plan.CopyChoice;
import dev.oleander.work.wire.plan.WireChoices;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;

/** What holds for a whole job on a wire machine. */
public final class WireJobSlip {

    /** What turns the work to a copy round a centre. */
    static final List<Choice> INDEXED_WAYS =
            List.of(new Choice("false", "the path"), new Choice("true", "a rotary axis"));

    private static final int MOST_SETS = 40;

    private final JobResult result;
    private final WireChoices choices;
    private final EditError error;

    WireJobSlip(JobResult result, EditError error) {
        this.result = result;
        this.choices = result.document().choices(WIRE);
        this.error = error;
    }

    private WireBook book() {
        return (WireBook) result.book();
    }

    public List<String> wires() {
        return book().wires();
    }

    public String wire() {
        return choices.wire() == null ? wires().get(0) : choices.wire();
    }

    public List<String> finishes() {
        return book().finishes(wire(), result.document().material());
    }

    public String finish() {
        List<String> all = finishes();
        String usual = all.isEmpty() ? "" : all.get(Math.max(0, all.size() - 2));
        return choices.finish() == null ? usual : choices.finish();
    }

    /**
     * How long the machine runs before it needs people, and how often it does; empty without a
     * plan.
     */
    public String alone() {
        return result.isPlanned() ? Unattended.of(result).sentence() : "";
    }

    /** Closed contours, and whether each is cut as punch and die. */
    public record SetRow(String feature, String name, boolean set) {}

    public List<SetRow> sets() {
        List<SetRow> rows = new ArrayList<>();
        for (Feature feature : result.reading().cut().filter(Feature::isClosed).toList()) {
            boolean set = choices.sets().contains(feature.id());
            rows.add(new SetRow(feature.id(), FeatureNames.of(feature), set));
        }
        return rows.size() > MOST_SETS ? List.of() : rows;
    }

    public FieldView clearance() {
        String text = choices.clearance() == null ? "" : choices.clearance().text();
        return field("clearance", "Clearance", text, "mm", "a side");
    }

    public FieldView count() {
        CopyChoice round = choices.round();
        return field(
                "round.count",
                "Round a centre",
                round == null ? "" : round.count().text(),
                "",
                round == null ? "rows" : "here");
    }

    public boolean isRound() {
        return choices.round() != null;
    }

    public List<FieldView> round() {
        CopyChoice round = choices.round();
        String centre =
                "%s %s"
                        .formatted(
                                Numbers.plain(round.centre().x(), 4),
                                Numbers.plain(round.centre().y(), 4));
        return List.of(
                field("round.angle", "Angle between", round.angle().text(), "°", "here"),
                field("round.centre", "Centre x y", centre, "mm", "here"));
    }

    public FieldView indexed() {
        String word = String.valueOf(choices.round().indexed());
        return field("round.indexed", "Turned by", word, "", "here");
    }

    public List<Choice> indexedWays() {
        return INDEXED_WAYS;
    }

    public FieldView calls() {
        boolean written = Boolean.FALSE.equals(choices.calls());
        return field(
                "calls",
                "Copies",
                String.valueOf(!written),
                "",
                choices.calls() == null ? "recipe" : "job");
    }

    public List<Choice> callWays() {
        return List.of(new Choice("true", "subprogram"), new Choice("false", "written out"));
    }

    private FieldView field(String name, String label, String text, String unit, String source) {
        return error.in(new FieldView(name, label, text, "", unit, source, false, false, ""));
    }

    public int toDrill() {
        return result.isPlanned()
                ? Wires.plan(result).map(WirePlan::toDrill).orElse(List.of()).size()
                : 0;
    }

    /** Whether a punch and its die are cut from one contour. */
    public boolean isSet() {
        return !choices.sets().isEmpty();
    }
}
