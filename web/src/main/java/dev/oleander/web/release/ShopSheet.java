package dev.oleander.web.release;

import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.StopEvent;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Placement;
import dev.oleander.plan.stop.Stop;
import dev.oleander.proof.Proof;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.OleanderSettings;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.paper.Pdf;
import dev.oleander.web.paper.QrCode;
import dev.oleander.web.release.WorkSheet.Fact;
import dev.oleander.web.release.WorkSheet.HaltRow;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** The sheet of paper that hangs at the machine. */
@Component
public class ShopSheet {

    /** Picture in the space the page has for it: mm. */
    private static final double WIDTH = 186;

    private static final double HEIGHT = 118;

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH)
                    .withZone(ZoneOffset.UTC);

    private final Pdf pdf;
    private final String address;
    private final Map<String, WorkSheet> sheets;

    ShopSheet(Pdf pdf, OleanderSettings settings, List<WorkSheet> sheets) {
        this.pdf = pdf;
        this.sheets =
                sheets.stream().collect(Collectors.toMap(sheet -> sheet.kind().word(), s -> s));
        this.address = settings.publicUrl();
    }

    /** A hole that is drilled later. */
    public record DrillRow(String diameter, String x, String y, int copy) {}

    /**
     * @param timeline of what is released
     * @param trial ids of the stops of a trial; none: the sheet is for the whole run
     */
    byte[] write(
            ProgramPreview preview,
            Timeline timeline,
            Set<String> trial,
            String who,
            Instant when) {
        JobView job = preview.job();
        JobResult result = job.result();
        Run run = trial.isEmpty() ? result.run() : result.run().only(trial);
        WorkSheet sheet = sheets.getOrDefault(result.kind().word(), new PlainPaper(result.kind()));
        WorkSheet.Content content = sheet.of(result, run, timeline);
        SheetPicture picture =
                SheetPicture.used(
                        result,
                        run,
                        timeline.program(),
                        sheet.profiles(result),
                        sheet.supports(result));
        Map<String, Object> values = new HashMap<>();
        values.put("job", job);
        values.put("revision", preview.revision());
        values.put("fileName", preview.fileName());
        values.put("when", DAY.format(when));
        values.put("who", who);
        values.put("machine", result.machine().name() + ", " + result.machine().process());
        values.put("picture", picture.svg());
        values.put("overview", picture.isExcerpt() ? picture.overview() : "");
        values.put("footer", footer(preview));
        double width = Math.min(WIDTH, HEIGHT * picture.ratio());
        values.put("pictureWidth", Numbers.plain(width, 1));
        values.put("pictureHeight", Numbers.plain(width / picture.ratio(), 1));
        String link = link(job, preview.revision());
        values.put("link", link);
        values.put("qr", QrCode.svg(link));
        values.put("trial", trial.isEmpty() ? "" : trialNote(run, result.run()));
        boolean parts = trial.isEmpty() && content.countsParts();
        values.put("facts", joined(facts(result, parts), content.facts()));
        values.put("times", times(timeline.seconds(), result.kind().starts()));
        values.put("parts", parts ? parts(result) : List.of());
        values.put("registers", content.registers());
        values.put("halts", joined(halts(run), content.halts()));
        values.put("drilled", drilled(run));
        values.put("stops", content.stops());
        values.put("own", content.own().template());
        values.putAll(content.own().model());
        values.put("accepted", accepted(result.proof(), run, trial));
        return pdf.of("shop-sheet", values);
    }

    private static <T> List<T> joined(List<T> first, List<T> then) {
        List<T> all = new ArrayList<>(first);
        all.addAll(then);
        return all;
    }

    private String link(JobView job, String revision) {
        String release = link(address, job.id(), revision);
        return job.run() == 1 ? release : release + "&run=" + job.run();
    }

    /** Under which people find a release again. */
    public static String link(String address, long job, String revision) {
        return "%s/jobs/%d/release?revision=%s".formatted(address, job, revision);
    }

    private static String footer(ProgramPreview preview) {
        return "%s, revision %s, %s"
                .formatted(preview.job().document().name(), preview.revision(), preview.fileName());
    }

    private static String trialNote(Run run, Run whole) {
        return "Trial of %d of the %d stops of this run. Nothing else is cut."
                .formatted(run.cut().size(), whole.cut().size());
    }

    private static List<Fact> facts(JobResult result, boolean copies) {
        Run run = result.run();
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
                            "%d on this sheet, %d wanted"
                                    .formatted(
                                            result.setUp().heads().count() * run.layout().placed(),
                                            result.demand().all())));
            if (result.machine().heads().count() > 1) {
                facts.add(new Fact("Heads", result.setUp().heads().sentence()));
            }
            facts.addAll(sheets(result));
        }
        return facts;
    }

    /** How often this sheet is cut, and what other sheets there are. */
    private static List<Fact> sheets(JobResult result) {
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact("Sheets to cut", String.valueOf(result.setUp().count())));
        if (result.runs().size() > 1) {
            facts.add(
                    new Fact(
                            "Which",
                            "sheet %d of %d kinds"
                                    .formatted(result.number(), result.runs().size())));
            facts.add(
                    new Fact(
                            "All sheets",
                            "%d, %s in all"
                                    .formatted(
                                            result.sheets(),
                                            Numbers.duration(result.secondsInAll()))));
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

    private static List<Fact> times(Seconds seconds, String starts) {
        return List.of(
                new Fact("Cutting", Numbers.duration(seconds.cutting())),
                new Fact("Travel", Numbers.duration(seconds.travel())),
                new Fact(StringUtils.capitalize(starts), Numbers.duration(seconds.piercing())),
                new Fact("Stops for people", Numbers.duration(seconds.people())),
                new Fact("In all", Numbers.duration(seconds.total())));
    }

    /** How many of each part lie on the sheet. */
    private static List<Fact> parts(JobResult result) {
        List<Placement> places = result.run().layout().placements();
        int heads = result.setUp().heads().count();
        return result.reading().parts().stream()
                .filter(p -> places.stream().anyMatch(at -> at.of().holds(p)))
                .map(
                        p ->
                                new Fact(
                                        PartRef.label(p.id()),
                                        "%d, each %s mm²"
                                                .formatted(
                                                        heads
                                                                * places.stream()
                                                                        .filter(
                                                                                at ->
                                                                                        at.of()
                                                                                                .holds(
                                                                                                        p))
                                                                        .count(),
                                                        Numbers.plain(p.region().area(), 0))))
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
