package dev.oleander.web.release;

import dev.oleander.machine.Compensation;
import dev.oleander.machine.CutRow;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Proof;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.job.JobResult;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.Wires;
import dev.oleander.web.paper.Pdf;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.DataTable;
import dev.oleander.work.sheet.motion.Registers;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** The sheet of paper that hangs at the machine. */
@Component
class ShopSheet {

    /** Picture in the space the page has for it: mm. */
    private static final double WIDTH = 186;

    private static final double HEIGHT = 118;

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
                    .withZone(ZoneOffset.UTC);

    private final Pdf pdf;
    private final String address;

    ShopSheet(Pdf pdf, OleanderSettings settings) {
        this.pdf = pdf;
        this.address = settings.publicUrl();
    }

    /** A value with its name. */
    public record Fact(String name, String value) {}

    /** A row of cutting data as the program calls it. */
    public record DataRow(
            String number, String label, String kerf, String feed, String pierce, String means) {}

    /** A stop of the list. */
    public record StopRow(
            int number, String name, String part, String data, String time, String note) {}

    /** Where the program waits. */
    public record HaltRow(String where, String when, String why, String time) {}

    /** A hole that is drilled later. */
    public record DrillRow(String diameter, String x, String y, int copy) {}

    /**
     * @param timeline of what is released
     * @param trial ids of the stops of a trial; none: the sheet is for the whole run
     */
    byte[] write(
            JobView job,
            ProgramPreview preview,
            Timeline timeline,
            Set<String> trial,
            String who,
            Instant when) {
        JobResult result = job.result();
        Run run = trial.isEmpty() ? result.run() : result.run().only(trial);
        List<CutRow> rows = DataTable.of(result.run());
        SheetPicture picture = SheetPicture.used(result, run, timeline.program());
        Map<String, Object> values = new HashMap<>();
        values.put("job", job);
        values.put("revision", preview.revision());
        values.put("fileName", preview.fileName());
        values.put("when", DAY.format(when));
        values.put("who", who);
        values.put("machine", result.machine().name() + ", " + result.machine().process());
        values.put("picture", picture.svg());
        values.put("overview", picture.isExcerpt() ? picture.overview() : "");
        values.put("footer", footer(job, preview));
        double width = Math.min(WIDTH, HEIGHT * picture.ratio());
        values.put("pictureWidth", Numbers.plain(width, 1));
        values.put("pictureHeight", Numbers.plain(width / picture.ratio(), 1));
        String link =
                "%s/jobs/%d/release?revision=%s".formatted(address, job.id(), preview.revision());
        values.put("link", link);
        values.put("qr", QrCode.svg(link));
        values.put("trial", trial.isEmpty() ? "" : trialNote(run, result.run()));
        boolean parts = trial.isEmpty() && Wires.plan(result).isEmpty();
        values.put("facts", facts(result, parts));
        values.put("passes", List.of());
        values.put("holes", List.of());
        values.put("threading", "");
        values.put("times", times(timeline.seconds()));
        values.put("parts", parts ? parts(result) : List.of());
        values.put("rows", rows(run, rows));
        values.put("registers", registers(run, rows));
        values.put("halts", halts(run));
        values.put("drilled", drilled(run));
        if (Wires.plan(result).isPresent()) {
            wire(new WireSheet(Wires.plan(result).get(), run, timeline), values);
        } else {
            values.put("stops", stops(run, rows, timeline));
        }
        values.put("accepted", accepted(result.proof(), run, trial));
        return pdf.of("shop-sheet", values);
    }

    private static void wire(WireSheet sheet, Map<String, Object> values) {
        List<Object> facts = new ArrayList<>((List<?>) values.get("facts"));
        facts.addAll(sheet.facts());
        List<Object> halts = new ArrayList<>((List<?>) values.get("halts"));
        halts.addAll(sheet.halts());
        values.put("facts", facts);
        values.put("halts", halts);
        values.put("passes", sheet.passes());
        values.put("holes", sheet.holes());
        values.put("threading", sheet.threading());
        values.put("registers", List.of());
        values.put("stops", sheet.stops());
    }

    private static String footer(JobView job, ProgramPreview preview) {
        return "%s, revision %s, %s"
                .formatted(job.document().name(), preview.revision(), preview.fileName());
    }

    private static String trialNote(Run run, Run whole) {
        return "Trial of %d of the %d stops of this run. Nothing else is cut."
                .formatted(run.cut().size(), whole.cut().size());
    }

    private static List<Fact> facts(JobResult result, boolean copies) {
        Run run = result.run();
        int placed = run.layout().placed();
        int sheets = (run.layout().asked() + placed - 1) / Math.max(1, placed);
        List<Fact> facts = new ArrayList<>();
        facts.add(
                new Fact(
                        "Material",
                        "%s, %s mm"
                                .formatted(
                                        result.document().material(),
                                        Numbers.plain(result.document().thickness().value(), 2))));
        facts.add(
                new Fact(
                        "Stock",
                        "%s x %s mm"
                                .formatted(
                                        Numbers.plain(run.layout().stock().width(), 1),
                                        Numbers.plain(run.layout().stock().height(), 1))));
        facts.add(new Fact("Zero point", zero(run)));
        if (copies) {
            facts.add(
                    new Fact(
                            "Copies",
                            "%d on this sheet, %d wanted".formatted(placed, run.layout().asked())));
            facts.add(new Fact("Sheets to cut", String.valueOf(sheets)));
        }
        return facts;
    }

    /** Where the zero point lies, seen from the lower left corner of the stock. */
    private static String zero(Run run) {
        double x = -run.layout().stock().min().x();
        double y = -run.layout().stock().min().y();
        return Math.abs(x) < 1e-6 && Math.abs(y) < 1e-6
                ? "lower left corner of the stock"
                : "%s mm right of and %s mm above the lower left corner of the stock"
                        .formatted(Numbers.plain(x, 2), Numbers.plain(y, 2));
    }

    private static List<Fact> times(Seconds seconds) {
        return List.of(
                new Fact("Cutting", Numbers.duration(seconds.cutting())),
                new Fact("Travel", Numbers.duration(seconds.travel())),
                new Fact("Piercing", Numbers.duration(seconds.piercing())),
                new Fact("Stops for people", Numbers.duration(seconds.people())),
                new Fact("In all", Numbers.duration(seconds.total())));
    }

    /** How many of each part lie on the sheet. */
    private static List<Fact> parts(JobResult result) {
        int copies = result.run().layout().placements().size();
        return result.reading().parts().stream()
                .map(
                        p ->
                                new Fact(
                                        "Part " + p.id().replace("p", ""),
                                        "%d, each %s mm²"
                                                .formatted(
                                                        copies,
                                                        Numbers.plain(p.region().area(), 0))))
                .toList();
    }

    /** Those that the stops of a run use, numbered as in the program. */
    private static List<DataRow> rows(Run run, List<CutRow> rows) {
        Set<CutRow> used = Set.copyOf(DataTable.of(run));
        return IntStream.range(0, rows.size())
                .filter(i -> used.contains(rows.get(i)))
                .mapToObj(
                        i -> {
                            CutRow r = rows.get(i);
                            return new DataRow(
                                    String.valueOf(i + 1),
                                    r.label(),
                                    Numbers.plain(r.kerf(), 3) + " mm",
                                    Numbers.plain(r.feed(), 0) + " mm/min",
                                    Numbers.plain(r.pierceSeconds(), 2) + " s",
                                    "%s, %s bar"
                                            .formatted(r.gas(), Numbers.plain(r.pressure(), 1)));
                        })
                .toList();
    }

    /** Values that must stand in the controller's registers. */
    private static List<Fact> registers(Run run, List<CutRow> rows) {
        Map<Integer, String> values = new TreeMap<>();
        for (Stop stop : run.stops()) {
            if (SheetCut.of(stop).row().isPresent()
                    && stop.path().isPresent()
                    && stop.compensation() != Compensation.PATH) {
                values.put(
                        Registers.of(stop, rows),
                        Numbers.plain(Registers.value(stop), 3)
                                + (stop.compensation() == Compensation.BOTH
                                        ? " mm (wear)"
                                        : " mm"));
            }
        }
        return values.entrySet().stream()
                .map(e -> new Fact("D" + e.getKey(), e.getValue()))
                .toList();
    }

    /** Where the program waits for the operator, and why. */
    private static List<HaltRow> halts(Run run) {
        List<HaltRow> halts = new ArrayList<>();
        for (Stop stop : run.stops()) {
            for (StopEvent event : run.eventsOf(stop)) {
                if (event.kind().isForPeople() && stop.path().isPresent()) {
                    halts.add(
                            new HaltRow(
                                    "%s %d, %s"
                                            .formatted(
                                                    event.before() ? "before" : "after",
                                                    stop.number(),
                                                    stop.name()),
                                    event.kind() == StopEvent.Kind.STOP
                                            ? "always"
                                            : "when asked for at the machine",
                                    event.text(),
                                    Numbers.duration(event.amount())));
                }
            }
        }
        return halts;
    }

    private static List<StopRow> stops(Run run, List<CutRow> rows, Timeline timeline) {
        return run.cut().stream()
                .map(
                        s ->
                                new StopRow(
                                        s.number(),
                                        s.name(),
                                        s.part().isEmpty()
                                                ? "copy " + s.copy()
                                                : "part %s, copy %d"
                                                        .formatted(
                                                                s.part().replace("p", ""),
                                                                s.copy()),
                                        "T"
                                                + (rows.indexOf(SheetCut.of(s).row().orElseThrow())
                                                        + 1),
                                        Numbers.duration(
                                                timeline.byStop()
                                                        .getOrDefault(s.id(), Seconds.NONE)
                                                        .total()),
                                        note(s)))
                .toList();
    }

    private static String note(Stop stop) {
        Map<String, Boolean> notes = new LinkedHashMap<>();
        notes.put("marked", stop.kind() == Stop.Kind.MARK);
        notes.put(
                stop.tabs().size() + (stop.tabs().size() == 1 ? " tab" : " tabs"),
                !stop.tabs().isEmpty());
        notes.put(stop.passes().size() + " passes", stop.passes().size() > 1);
        notes.put("common line", stop.work().commonLine() > 0);
        return String.join(
                ", ",
                notes.entrySet().stream()
                        .filter(Map.Entry::getValue)
                        .map(Map.Entry::getKey)
                        .toList());
    }

    private static List<DrillRow> drilled(Run run) {
        return run.drilled().stream()
                .map(
                        d ->
                                new DrillRow(
                                        Numbers.plain(d.diameter(), 2),
                                        Numbers.plain(d.centre().x(), 2),
                                        Numbers.plain(d.centre().y(), 2),
                                        d.copy()))
                .toList();
    }

    /** Of a trial those of its own stops, and those that are of no stop. */
    private static List<Fact> accepted(Proof proof, Run run, Set<String> trial) {
        Set<String> own = run.stops().stream().map(Stop::id).collect(Collectors.toSet());
        return proof.findings().stream()
                .filter(f -> f.accepted().isPresent())
                .filter(f -> trial.isEmpty() || f.stop().isEmpty() || own.contains(f.stop()))
                .map(f -> new Fact(f.sentence(), f.accepted().orElseThrow()))
                .toList();
    }
}
