package dev.oleander.web.bench;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.machine.Compensation;
import dev.oleander.machine.WirePass;
import dev.oleander.machine.WireRow;
import dev.oleander.plan.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.bench.CutsSlip.Choice;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.Wires;
import dev.oleander.work.wire.plan.HoldStop;
import dev.oleander.work.wire.plan.SlugHandling;
import dev.oleander.work.wire.plan.WireChoice;
import dev.oleander.work.wire.plan.WireKind;
import dev.oleander.work.wire.plan.WireLead;
import dev.oleander.work.wire.plan.WirePlan;
import dev.oleander.work.wire.plan.WireSettings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** The values of the selected stops of a wire machine, each with where it comes from. */
public final class WireSlip {

    private static final List<Choice> YES_OR_NO =
            List.of(new Choice("true", "yes"), new Choice("false", "no"));

    private final JobResult result;
    private final WirePlan plan;
    private final Stop first;
    private final WireValues values;
    private final List<WireSettings> settings;
    private final List<WireChoice> choices;

    WireSlip(JobResult result, List<Stop> stops, EditError error) {
        this.result = result;
        this.plan = Wires.plan(result).orElseThrow();
        this.first = stops.get(0);
        this.values = new WireValues(result, stops, error);
        this.settings = values.settings();
        this.choices = values.choices();
    }

    /** Whether there is anything to show: a refused stop has only what was set for it. */
    public boolean isPlanned() {
        return !settings.isEmpty();
    }

    public String kind() {
        return settings.stream()
                .map(s -> s.kind().label())
                .distinct()
                .collect(Collectors.joining(", "));
    }

    // ---- groups of values

    public FieldView finish() {
        return values.field("finish", "Finish", "", s -> s.row().finish());
    }

    public List<String> finishes() {
        WireRow row = settings.get(0).row();
        return plan.task().book().finishes(row.wire(), row.material());
    }

    public List<FieldView> passes() {
        return List.of(
                values.typed("passes", "Passes", "", s -> s.passes(), c -> c.passes().count()));
    }

    public FieldView alternate() {
        return values.field("alternate", "Skims", "", s -> String.valueOf(s.alternate()));
    }

    public List<Choice> alternates() {
        return List.of(new Choice("true", "to and fro"), new Choice("false", "one way"));
    }

    public FieldView compensation() {
        return values.field("compensation", "Offset", "", s -> s.compensation().word());
    }

    public List<Choice> compensations() {
        return List.of(
                new Choice(Compensation.CONTROLLER.word(), "controller"),
                new Choice(Compensation.PATH.word(), "path"));
    }

    public FieldView direction() {
        return values.field(
                "direction",
                "Direction",
                "",
                s -> s.anticlockwise() ? "anticlockwise" : "clockwise");
    }

    public List<Choice> directions() {
        return List.of(new Choice("clockwise", "clockwise"), new Choice("anticlockwise", "anti"));
    }

    public FieldView lead() {
        return values.field("lead", "Lead", "", s -> s.lead().word());
    }

    public List<Choice> leads() {
        return List.of(
                new Choice(WireLead.DIRECT.word(), "straight"),
                new Choice(WireLead.SQUARE.word(), "square"),
                new Choice(WireLead.ARC.word(), "arc"));
    }

    public List<FieldView> entry() {
        List<FieldView> fields = new ArrayList<>();
        if (settings.stream().anyMatch(s -> s.lead() != WireLead.DIRECT)) {
            fields.add(
                    values.typed(
                            "leadLength",
                            "Lead length",
                            "mm",
                            WireSettings::leadLength,
                            c -> c.entry().leadLength()));
        }
        fields.add(start());
        fields.add(
                values.typed(
                        "overlap",
                        "Overlap",
                        "mm",
                        WireSettings::overlap,
                        c -> c.entry().overlap()));
        fields.add(
                values.typed(
                        "backOff",
                        "Off between",
                        "mm",
                        WireSettings::backOff,
                        c -> c.entry().backOff()));
        return fields;
    }

    private FieldView start() {
        Typed set = choices.get(0).entry().start();
        return values.shown(
                new FieldView(
                        "start",
                        "Starts at",
                        set == null ? "" : set.text(),
                        "",
                        "mm",
                        set == null ? "found" : "here",
                        set != null,
                        false,
                        ""));
    }

    /** Where the wire is threaded, in words; empty when it is found. */
    public boolean isHoleSet() {
        return choices.stream().anyMatch(c -> c.entry().hole() != null);
    }

    public String hole() {
        return plan.holes().stream()
                .filter(h -> h.stop().equals(Stop.id(first.feature(), first.copy())))
                .findFirst()
                .map(
                        h ->
                                "%s, X %s Y %s"
                                        .formatted(
                                                h.given().label(),
                                                Numbers.plain(h.at().x(), 2),
                                                Numbers.plain(h.at().y(), 2)))
                .orElse("none");
    }

    public FieldView slug() {
        return values.field("slug", "When it is free", "", s -> s.slug().word());
    }

    public List<Choice> slugs() {
        boolean closed = settings.stream().noneMatch(s -> s.kind() == WireKind.OPEN);
        boolean opening = settings.stream().allMatch(s -> s.kind() == WireKind.OPENING);
        return Arrays.stream(SlugHandling.values())
                .filter(s -> closed || s == SlugHandling.DROP || s == SlugHandling.STOP_BEFORE)
                .filter(s -> opening || s != SlugHandling.CORELESS)
                .map(s -> new Choice(s.word(), s.label()))
                .toList();
    }

    public boolean isHeld() {
        return settings.stream().anyMatch(s -> s.slug().holds());
    }

    public List<FieldView> holds() {
        List<FieldView> fields = new ArrayList<>();
        boolean width =
                settings.stream()
                        .anyMatch(s -> s.slug().holds() || s.slug() == SlugHandling.STOP_BEFORE);
        if (width) {
            fields.add(
                    values.typed(
                            "hold",
                            isHeld() ? "Hold" : "Last",
                            "mm",
                            WireSettings::hold,
                            c -> c.slug().hold()));
        }
        if (settings.stream().anyMatch(s -> s.slug() == SlugHandling.HOLDS)) {
            fields.add(
                    values.typed("holds", "Holds", "", WireSettings::holds, c -> c.slug().count()));
        }
        if (settings.stream().anyMatch(s -> s.slug() == SlugHandling.CORELESS)) {
            fields.add(
                    values.typed(
                            "step", "Step of rings", "", WireSettings::step, c -> c.slug().step()));
        }
        return fields;
    }

    /** How many holds were put by pointing; empty when none. */
    public String holdsByHand() {
        List<Typed> at = choices.get(0).slug().at();
        return at == null || at.isEmpty() ? "" : at.size() + " put by hand";
    }

    public boolean mayWait() {
        return settings.stream()
                .anyMatch(s -> s.slug().holds() || s.slug() == SlugHandling.STOP_BEFORE);
    }

    public FieldView holdStop() {
        return values.field("holdStop", "Machine waits", "", s -> s.holdStop().word());
    }

    public List<Choice> holdStops() {
        return List.of(
                new Choice(HoldStop.ALWAYS.word(), "always"),
                new Choice(HoldStop.OPTIONAL.word(), "if asked"),
                new Choice(HoldStop.NEVER.word(), "never"));
    }

    public FieldView reversed() {
        return values.field("reversed", "Cut-off", "", s -> String.valueOf(s.reversed()));
    }

    public List<Choice> reversedWays() {
        return List.of(new Choice("true", "backwards"), new Choice("false", "forwards"));
    }

    public FieldView offSkims() {
        return values.field("offSkims", "Skims after it", "", s -> String.valueOf(s.offSkims()));
    }

    public List<Choice> yesOrNo() {
        return YES_OR_NO;
    }

    /** How the flanks lean, and another contour above. */
    public WireFlanksSlip flanks() {
        return new WireFlanksSlip(result, first, values);
    }

    /** The order of the job's visits, in words. */
    public String order() {
        return result.document().choices(WIRE).order().label();
    }

    /** How the contours are repeated. */
    public WireRepeatSlip repeat() {
        return new WireRepeatSlip(values);
    }

    // ---- data

    /** A pass as the book has it. */
    public record PassRow(
            int number, String offset, String register, String condition, String feed) {}

    public List<PassRow> data() {
        WireSettings one = settings.get(0);
        WireRow row = one.row();
        List<PassRow> rows = new ArrayList<>();
        for (int pass = 1; pass <= one.passes(); pass++) {
            WirePass data = row.passes().get(pass - 1);
            rows.add(
                    new PassRow(
                            pass,
                            Numbers.plain(row.offset(pass), 4),
                            "D" + data.register(),
                            "C" + data.condition(),
                            Numbers.plain(row.feed(pass), 2)));
        }
        return rows;
    }

    public String label() {
        WireRow row = settings.get(0).row();
        return row.label() + (row.interpolated() ? ", between two heights" : "");
    }

    public boolean hasOneRow() {
        return settings.stream().map(WireSettings::row).distinct().count() == 1;
    }
}
