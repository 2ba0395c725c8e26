package dev.oleander.web.work.wire;

import static dev.oleander.work.wire.WireCutting.WIRE;

import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.bench.EditError;
import dev.oleander.web.bench.EqualContours;
import dev.oleander.web.bench.Fields;
import dev.oleander.web.bench.SlipRow;
import dev.oleander.web.bench.SlipRow.Fixed;
import dev.oleander.web.bench.SlipRow.Note;
import dev.oleander.web.bench.SlipRow.Own;
import dev.oleander.web.bench.SlipRow.Tools;
import dev.oleander.web.bench.SlipSection;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.work.wire.WireRun;
import dev.oleander.work.wire.WireStop;
import dev.oleander.work.wire.book.WirePass;
import dev.oleander.work.wire.book.WireRow;
import dev.oleander.work.wire.choice.SlugHandling;
import dev.oleander.work.wire.choice.WireChoice;
import dev.oleander.work.wire.choice.WireLead;
import dev.oleander.work.wire.cut.StartHole;
import dev.oleander.work.wire.cut.WireSettings;
import dev.oleander.work.wire.plan.WirePlan;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** The values of the selected stops of a wire machine. */
final class WireStopSlip {

    private final JobResult result;
    private final List<Stop> stops;
    private final EditError error;
    private final Fields<WireChoice> fields;
    private final List<WireSettings> settings;

    WireStopSlip(JobResult result, List<Stop> stops, EditError error) {
        this.result = result;
        this.stops = stops;
        this.error = error;
        this.fields = Fields.ofStops(WIRE, result, stops, error);
        this.settings = fields.made(WireStop.class).stream().map(WireStop::settings).toList();
    }

    /** A refused stop has only what was set for it. */
    List<SlipSection> sections() {
        if (settings.isEmpty()) {
            return List.of(
                    new SlipSection(
                            "",
                            List.of(
                                    new Note(
                                            "Nothing can be shown of how it is cut until what stands against it is put right."))));
        }
        return List.of(
                new SlipSection("Passes · " + kinds(), passes()),
                new SlipSection("Start hole and lead", entry()),
                new SlipSection("The piece that comes free", slug()),
                new SlipSection("Flanks", new WireFlanksSlip(result, stops, fields).rows()),
                new SlipSection("Copies of it", repeat()));
    }

    private String kinds() {
        return settings.stream()
                .map(s -> s.kind().label())
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private boolean any(Predicate<WireSettings> condition) {
        return settings.stream().anyMatch(condition);
    }

    // ---- passes

    /** A pass as the book has it. */
    public record PassRow(
            int number, String offset, String register, String condition, String feed) {}

    /** The row of the book by which all are cut. */
    public record PassTable(String label, List<PassRow> rows) {}

    private List<SlipRow> passes() {
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.listed("finish"));
        rows.add(fields.typed("passes"));
        if (settings.stream().map(WireSettings::row).distinct().count() == 1) {
            rows.add(new Own(WirePages.TEMPLATE, "passes", table(settings.get(0))));
        }
        rows.add(fields.segments("alternate"));
        rows.add(fields.segments("compensation"));
        return rows;
    }

    private static PassTable table(WireSettings one) {
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
        String between = row.interpolated() ? ", between two heights" : "";
        return new PassTable(row.label() + between, rows);
    }

    // ---- start hole and lead

    private List<SlipRow> entry() {
        List<SlipRow> rows = new ArrayList<>();
        boolean set = fields.anySet(c -> c.entry().hole() != null);
        rows.add(Fixed.byHand("Hole", hole(), set ? "hole" : "", "Let Oleander find the hole"));
        rows.add(fields.refused("hole"));
        if (stops.size() == 1) {
            rows.add(
                    new Tools(
                            List.of(
                                    new Tools.Part("set-hole", "Set the hole"),
                                    new Tools.Part("", " or "),
                                    new Tools.Part("set-start", "the start"),
                                    new Tools.Part("", " by pointing")),
                            false));
        }
        rows.add(fields.segments("lead"));
        if (any(s -> s.lead() != WireLead.DIRECT)) {
            rows.add(fields.typed("leadLength"));
        }
        rows.add(fields.typed("start"));
        rows.add(fields.typed("overlap"));
        rows.add(fields.typed("backOff"));
        rows.add(fields.segments("direction"));
        rows.addAll(EqualContours.rows(result, stops, fields, error));
        return rows;
    }

    /** Where the wire is threaded, in words. */
    private String hole() {
        WirePlan plan = result.own(WireRun.class).orElseThrow().plan();
        Stop first = stops.get(0);
        return plan.holes().stream()
                .filter(h -> h.stop().equals(first.subject()))
                .findFirst()
                .map(WireStopSlip::place)
                .orElse("none");
    }

    private static String place(StartHole hole) {
        return "%s, X %s Y %s"
                .formatted(
                        hole.given().label(),
                        Numbers.plain(hole.at().x(), 2),
                        Numbers.plain(hole.at().y(), 2));
    }

    // ---- the piece that comes free

    private List<SlipRow> slug() {
        boolean held = any(s -> s.slug().holds());
        boolean waits = held || any(s -> s.slug() == SlugHandling.STOP_BEFORE);
        List<SlipRow> rows = new ArrayList<>();
        rows.add(fields.listed("slug"));
        if (waits) {
            rows.add(new SlipRow.Typed(fields.field("hold").called(held ? "Hold" : "Last")));
        }
        if (any(s -> s.slug() == SlugHandling.HOLDS)) {
            rows.add(fields.typed("holds"));
        }
        if (any(s -> s.slug() == SlugHandling.CORELESS)) {
            rows.add(fields.typed("step"));
        }
        rows.addAll(holdsByHand(held));
        if (waits) {
            rows.add(fields.segments("holdStop"));
        }
        if (held) {
            rows.add(fields.segments("reversed"));
            rows.add(fields.segments("offSkims"));
        }
        return rows;
    }

    private List<SlipRow> holdsByHand(boolean held) {
        List<SlipRow> rows = new ArrayList<>();
        List<Typed> at = fields.subjects().get(0).set().slug().at();
        if (at != null && !at.isEmpty()) {
            String text = at.size() + " put by hand";
            rows.add(Fixed.byHand("By hand", text, "holdAt", "Take away holds put by hand"));
        }
        rows.add(fields.refused("holdAt"));
        if (held && stops.size() == 1) {
            rows.add(
                    new Tools(
                            List.of(new Tools.Part("put-holds", "Put holds by pointing")), false));
        }
        return rows;
    }

    // ---- copies

    private List<SlipRow> repeat() {
        boolean round = fields.anySet(c -> c.repeat().count() != null);
        List<SlipRow> rows = new ArrayList<>();
        if (!round) {
            rows.add(fields.typed("columns"));
            if (fields.anySet(c -> c.repeat().columns() != null)) {
                rows.add(fields.typed("pitchX"));
            }
            rows.add(fields.typed("rows"));
            if (fields.anySet(c -> c.repeat().rows() != null)) {
                rows.add(fields.typed("pitchY"));
            }
        }
        rows.add(fields.typed("roundCount"));
        if (round) {
            rows.add(fields.typed("roundAngle"));
            rows.add(fields.typed("roundCentre"));
            rows.add(fields.segments("roundIndexed"));
        }
        return rows;
    }
}
