package dev.oleander.web.work.sheet;

import static dev.oleander.work.sheet.SheetCutting.SHEET;

import dev.oleander.machine.Compensation;
import dev.oleander.motion.Seconds;
import dev.oleander.motion.Timeline;
import dev.oleander.plan.Run;
import dev.oleander.plan.stop.Stop;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.release.WorkSheet;
import dev.oleander.work.sheet.SheetCutting;
import dev.oleander.work.sheet.book.CutRow;
import dev.oleander.work.sheet.cut.SheetCut;
import dev.oleander.work.sheet.motion.DataTable;
import dev.oleander.work.sheet.motion.Registers;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/**
 * What the sheet of paper says of cutting sheets: rows of the cut book as the program calls them.
 */
@Component
class SheetPaper implements WorkSheet {

    /** A row of cutting data as the program calls it. */
    public record DataRow(
            String number, String label, String kerf, String feed, String pierce, String means) {}

    @Override
    public SheetCutting kind() {
        return SHEET;
    }

    @Override
    public Content of(JobResult result, Run run, Timeline timeline) {
        List<CutRow> rows = DataTable.of(result.run());
        return new Content(
                List.of(),
                true,
                registers(run, rows),
                stops(run, rows, timeline),
                List.of(),
                new Own("work/sheet", Map.of("rows", rows(run, rows))));
    }

    @Override
    public Optional<List<Profile>> profiles(JobResult result) {
        return Optional.empty();
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

    private static List<StopRow> stops(Run run, List<CutRow> rows, Timeline timeline) {
        return run.cut().stream()
                .map(
                        s ->
                                new StopRow(
                                        s.number(),
                                        s.name(),
                                        s.where(),
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
}
