package dev.oleander.web.nest;

import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.geometry.Region;
import dev.oleander.geometry.Transform;
import dev.oleander.nesting.NestMissing;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.Rest;
import dev.oleander.nesting.Stretch;
import dev.oleander.nesting.search.Nester;
import dev.oleander.plan.bed.SetUp;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What is to be said of a nest and its sheets. */
@Component
public class Nests {

    private final NestSources sources;

    Nests(NestSources sources) {
        this.sources = sources;
    }

    /** Letters of the jobs that were changed since their parts were taken in. */
    public List<String> stale(NestDocument nest) {
        return sources.stale(nest);
    }

    /** The task of a job's nest, with nothing fixed. */
    public static NestTask task(JobResult result) {
        return NestEdits.nesting(result).task(result.kind(), List.of());
    }

    /** A job with its parts where a search has found places for them. */
    static JobDocument laid(JobDocument document, List<NestedSheet> sheets) {
        return document.withNest(document.nest().map(n -> n.changed(c -> c.withLaid(sheets))));
    }

    /** What of the lines lies nowhere, and why. */
    public static List<NestMissing> missing(JobResult result, List<NestedSheet> sheets) {
        return Nester.missing(task(result), sheets);
    }

    /**
     * A sheet with how often it is cut.
     *
     * @param rest what is worth keeping of each
     */
    public record Counted(NestedSheet sheet, int times, Optional<Box> rest) {}

    /** All that is cut of a sheet, the parts of the lowest head first. */
    public static List<Region> parts(NestTask task, NestedSheet sheet) {
        List<Region> all = new ArrayList<>();
        for (int k = 0; k < sheet.heads(); k++) {
            Transform up = Transform.translation(new Point(0, k * sheet.part().pitch()));
            for (NestPlacement p : sheet.placements()) {
                Region part = task.line(p.line()).shape().transformed(p.transform());
                all.add(k == 0 ? part : part.transformed(up));
            }
        }
        return List.copyOf(all);
    }

    /** How a stretch of a sheet is cut, for people; empty: all of it by one head. */
    public static String how(Stretch part) {
        List<String> said = new ArrayList<>();
        if (part.heads() > 1) {
            said.add(new SetUp.Heads(part.heads(), part.pitch()).sentence());
        } else if (part.from() > 0) {
            said.add("one head");
        }
        if (part.from() > 0) {
            said.add("from %s mm on".formatted(Numbers.plain(part.from(), 1)));
        }
        if (!part.reachesEnd()) {
            said.add("up to %s mm".formatted(Numbers.plain(part.to(), 1)));
        }
        return String.join(", ", said);
    }

    /** Equal sheets once, in the order in which they are cut. */
    public static List<Counted> counted(NestTask task, List<NestedSheet> sheets) {
        Map<NestedSheet, Integer> times = new LinkedHashMap<>();
        sheets.forEach(sheet -> times.merge(sheet, 1, Integer::sum));
        List<Counted> all = new ArrayList<>();
        times.forEach((sheet, n) -> all.add(new Counted(sheet, n, Rest.of(task, sheet))));
        return List.copyOf(all);
    }
}
