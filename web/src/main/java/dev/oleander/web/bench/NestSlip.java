package dev.oleander.web.bench;

import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestFigures;
import dev.oleander.nesting.NestMissing;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.quantity.Numbers;
import dev.oleander.web.job.JobView;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.web.nest.NestResult;
import dev.oleander.web.nest.NestSearch;
import dev.oleander.web.nest.Nests;
import dev.oleander.web.paper.RegionPicture;
import dev.oleander.web.stock.Remnant;
import dev.oleander.web.stock.Remnants;
import dev.oleander.work.Spacing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Parts, sheets and distances of a nest, what was found, and how the search goes. */
public final class NestSlip {

    private static final double PICTURE = 40;

    private final JobView job;
    private final JobResult result;
    private final Nesting nesting;
    private final Optional<NestTask> task;
    private final String problem;
    private final Spacing spacing;
    private final NestSearches searches;
    private final List<String> stale;
    private final List<Remnant> remnants;
    private final NestRows rows;
    private final String open;
    private final EditError error;

    private NestSlip(
            JobView job,
            List<NestResult> searches,
            List<String> stale,
            List<Remnant> remnants,
            String open,
            EditError error) {
        this.remnants = remnants;
        this.job = job;
        this.result = job.result();
        this.nesting = result.nesting().orElseThrow();
        Optional<NestTask> possible = Optional.empty();
        String against = "";
        try {
            possible = Optional.of(Nests.task(result));
        } catch (NestException impossible) {
            against = impossible.getMessage();
        }
        this.task = possible;
        this.problem = against;
        this.spacing = nesting.spacing(result.kind());
        this.searches = new NestSearches(searches, nesting.choices(), error);
        this.stale = stale;
        this.rows = new NestRows(nesting, error);
        this.open = open;
        this.error = error;
    }

    /**
     * Of a job whose parts are nested; null of others.
     *
     * @param open id of the line or sheet whose values are in sight; empty for none
     */
    static NestSlip of(
            JobView job,
            NestSearch searches,
            Nests nests,
            Remnants remnants,
            String open,
            EditError error) {
        return job.document()
                .nest()
                .map(
                        nest ->
                                new NestSlip(
                                        job,
                                        searches.of(job.id()),
                                        nests.stale(nest),
                                        remnants.free(
                                                job.document().material(),
                                                job.document().thickness().value()),
                                        open,
                                        error))
                .orElse(null);
    }

    public NestSearches searches() {
        return searches;
    }

    // ---- parts

    /**
     * A line of what is asked for.
     *
     * @param letter of its job; empty: of this one
     * @param picture of the part, as SVG
     * @param why some are missing; empty when none are, or nothing is laid yet
     * @param rows its values; none while it is closed, they are asked for when it is opened
     */
    public record Line(
            String id,
            String letter,
            String job,
            Long jobId,
            String part,
            String picture,
            int quantity,
            int placed,
            int missing,
            String why,
            boolean fill,
            List<SlipRow> rows,
            boolean open) {}

    public List<Line> lines() {
        NestChoices choices = nesting.choices();
        Map<String, Integer> placed = choices.placed();
        Map<String, Integer> left =
                task.map(t -> NestFigures.of(t, choices.laid()).left()).orElse(Map.of());
        Map<String, String> why = whyMissing();
        return choices.lines().stream()
                .map(
                        line ->
                                line(
                                        line,
                                        placed.getOrDefault(line.id(), 0),
                                        left.getOrDefault(line.id(), 0),
                                        why.getOrDefault(line.id(), "")))
                .toList();
    }

    /** By line; finding it takes longer than all else here, and says nothing before any search. */
    private Map<String, String> whyMissing() {
        return task.isEmpty() || !isLaid()
                ? Map.of()
                : Nests.missing(result, nesting.choices().laid()).stream()
                        .collect(Collectors.toMap(NestMissing::line, m -> m.why().sentence()));
    }

    private Line line(PartLine line, int placed, int missing, String why) {
        boolean isOpen = line.id().equals(open);
        return new Line(
                line.id(),
                line.source(),
                nesting.job(line),
                line.source().isEmpty()
                        ? null
                        : nesting.document().sources().get(line.source()).job(),
                "part " + line.part().replace("p", ""),
                nesting.part(line).map(part -> RegionPicture.of(part.region(), PICTURE)).orElse(""),
                line.quantity(),
                placed,
                missing,
                why,
                line.fill(),
                isOpen ? rows.ofLine(line) : List.of(),
                isOpen);
    }

    /** All parts that are needed, and all that lie on sheets. */
    public String sum() {
        int wanted = nesting.choices().demand().all();
        int placed = nesting.choices().placed().values().stream().mapToInt(Integer::intValue).sum();
        return placed == 0
                ? count(wanted, "part")
                : "%d of %s laid".formatted(placed, count(wanted, "part"));
    }

    /**
     * A job that was changed since its parts were taken in.
     *
     * @param name of the job
     */
    public record Stale(String letter, String name) {}

    public List<Stale> stale() {
        Map<String, NestDocument.Source> sources = nesting.document().sources();
        return stale.stream()
                .map(letter -> new Stale(letter, sources.get(letter).document().name()))
                .toList();
    }

    // ---- sheets

    /**
     * A kind of sheet.
     *
     * @param used how many are
     */
    public record Sheet(
            String id, String title, String note, int used, List<SlipRow> rows, boolean open) {}

    public List<Sheet> stock() {
        Map<String, Long> used = Sheets.used(nesting.choices().laid());
        return nesting.choices().stock().stream()
                .map(line -> sheet(line, used.getOrDefault(line.id(), 0L).intValue()))
                .toList();
    }

    private Sheet sheet(StockLine line, int used) {
        String price = Numbers.plain(nesting.stock(line).price(), 2);
        boolean isOpen = line.id().equals(open);
        String there = line.count() == null ? "" : "%d there, ".formatted(line.count());
        String title =
                "%s × %s"
                        .formatted(Numbers.plain(line.width(), 1), Numbers.plain(line.height(), 1));
        return new Sheet(
                line.id(),
                line.remnant() == null ? title : "Remnant %d, %s".formatted(line.remnant(), title),
                there + "%d used, %s".formatted(used, price),
                used,
                isOpen ? rows.ofSheet(line) : List.of(),
                isOpen);
    }

    /**
     * A remnant of the shop that is not among the sheets yet.
     *
     * @param place where it stands; empty: nobody said
     */
    public record Offer(long id, String size, String place) {}

    public List<Offer> offers() {
        List<Long> taken = nesting.choices().stock().stream().map(StockLine::remnant).toList();
        return remnants.stream()
                .filter(r -> !taken.contains(r.id()))
                .map(
                        r ->
                                new Offer(
                                        r.id(),
                                        "%s × %s"
                                                .formatted(
                                                        Numbers.plain(r.width(), 0),
                                                        Numbers.plain(r.height(), 0)),
                                        r.place()))
                .toList();
    }

    // ---- distances

    public List<SlipRow> distances() {
        return rows.distances(result.kind());
    }

    /** Where the gap comes from where nobody set it. */
    public String gapNote() {
        return "Gap by the cut: %s mm (%s)."
                .formatted(Numbers.plain(spacing.gap(), 3), spacing.source());
    }

    /** Why cuts are not shared though they may be; empty when they are, or may not. */
    public String cutsNote() {
        boolean shares = nesting.choices().distances().sharesCuts();
        return shares && spacing.shared().isEmpty()
                ? "No common lines: the jobs are cut with different kerfs, or the controller compensates."
                : "";
    }

    /** Why nothing can be searched for as things are; empty when it can. */
    public String problem() {
        return problem;
    }

    public boolean isEmpty() {
        return nesting.choices().lines().isEmpty();
    }

    // ---- what lies

    public boolean isLaid() {
        return !nesting.choices().laid().isEmpty();
    }

    /** What lies on the sheets comes to. */
    public List<ShapeSlip.Figure> figures() {
        if (!isLaid() || task.isEmpty()) {
            return List.of();
        }
        NestFigures figures = NestFigures.of(task.get(), nesting.choices().laid());
        List<ShapeSlip.Figure> all = new ArrayList<>();
        all.add(new ShapeSlip.Figure("Sheets", String.valueOf(figures.sheets())));
        all.add(new ShapeSlip.Figure("Used, without rests", percent(figures.share())));
        all.add(new ShapeSlip.Figure("Material", Numbers.fixed(figures.cost(), 2)));
        figures.rests().stream()
                .flatMap(Optional::stream)
                .forEach(
                        box ->
                                all.add(
                                        new ShapeSlip.Figure(
                                                "Rest",
                                                "%s × %s mm"
                                                        .formatted(
                                                                Numbers.plain(box.width(), 0),
                                                                Numbers.plain(box.height(), 0)))));
        return all;
    }

    static String percent(double share) {
        return Numbers.fixed(100 * share, 1) + " %";
    }

    /** What stands against what was done by hand. */
    public String handRefusal() {
        return error.field().equals("hand") ? error.sentence() : "";
    }

    /** Whether the job has a drawing of its own, which can lie in rows and columns. */
    public boolean hasRows() {
        return !job.document().shape().files().isEmpty()
                || !job.document().shape().steps().isEmpty();
    }

    static String count(int number, String what) {
        return number + " " + what + (number == 1 ? "" : "s");
    }
}
