package dev.oleander.web.nest;

import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.choice.DistanceChoices;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.NestValues;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.plan.bed.BedValues;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.Plate;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.UsualStock;
import dev.oleander.value.Value;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.document.ShapeChoices;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import dev.oleander.web.job.result.Nesting;
import dev.oleander.web.stock.Remnant;
import dev.oleander.web.stock.Remnants;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Edits of what is nested, on what, and how. */
@Component
public class NestEdits {

    private final NestSources sources;

    /** Remnants that a new nest is offered. */
    private static final int MOST_OFFERED = 6;

    private final JobComputer computer;
    private final Remnants remnants;

    NestEdits(NestSources sources, JobComputer computer, Remnants remnants) {
        this.sources = sources;
        this.computer = computer;
        this.remnants = remnants;
    }

    // ---- rows and columns, or a nest

    /** Nests the job's own parts in place of rows and columns, as many as it asked for. */
    public JobService.Edit begin() {
        return before ->
                before.document().nest().isPresent()
                        ? before.document()
                        : before.document().withNest(Optional.of(begun(before)));
    }

    private NestDocument begun(JobResult before) {
        requireNested(before);
        NestChoices choices = NestChoices.empty();
        Demand demand = before.demand();
        for (Part part : before.reading().parts()) {
            PartRef ref = PartRef.of(part.id());
            int quantity = demand.isWhole() ? demand.of(PartRef.WHOLE) : demand.of(ref);
            if (quantity > 0) {
                choices = with(choices, ref, quantity);
            }
        }
        SheetChoices wished = before.document().sheet();
        return NestDocument.empty()
                .withChoices(
                        withRemnants(
                                        choices.withStock(List.of(usualSheet(before))),
                                        before.document())
                                .withDistances(
                                        DistanceChoices.USUAL
                                                .withGap(wished.gap())
                                                .withMargin(wished.margin())));
    }

    private static NestChoices with(NestChoices choices, PartRef ref, int quantity) {
        List<PartLine> lines = new ArrayList<>(choices.lines());
        lines.add(PartLine.of(choices.nextLine(), ref, quantity));
        return choices.withLines(lines);
    }

    /** The sheet that rows and columns would be laid on. */
    static StockLine usualSheet(JobResult before) {
        SheetChoices wished = before.document().sheet();
        SheetChoices decided =
                UsualStock.decided(
                        BedValues.STOCK.put(wished, "sheet"),
                        before.machine(),
                        largest(before.reading()));
        return StockLine.plain("s1", decided.width().value(), decided.height().value());
    }

    /** A box that every part alone fits into. */
    private static Box largest(Reading reading) {
        double width = 0;
        double height = 0;
        for (Part part : reading.parts()) {
            width = Math.max(width, part.region().box().width());
            height = Math.max(height, part.region().box().height());
        }
        return new Box(Point.ORIGIN, new Point(width, height));
    }

    private static void requireNested(JobResult result) {
        if (!result.kind().nests()) {
            throw new RefusedEditException(
                    "%s does not cut nested parts.".formatted(result.machine().name()));
        }
    }

    /** Rows and columns again; what was nested can be had back by undo. */
    public JobService.Edit end() {
        return before -> {
            ShapeChoices shape = before.document().shape();
            if (shape.files().isEmpty() && shape.steps().isEmpty()) {
                throw new RefusedEditException(
                        "This job has no drawing of its own: without a nest nothing is left of it.");
            }
            return before.document().withNest(Optional.empty());
        };
    }

    // ---- parts

    /** Parts of jobs, added to what is asked for. */
    public JobService.Edit add(List<NestWishes.PartsWish> wishes) {
        return nested(
                (before, nest) -> {
                    NestDocument changed = nest;
                    for (NestWishes.PartsWish wish : wishes) {
                        changed = sources.added(before, changed, wish.wish());
                    }
                    return changed;
                });
    }

    /** Takes a job in again as it is now; placements that its parts still fit stay. */
    public JobService.Edit renew(String letter) {
        return nested((before, nest) -> sources.renewed(before, nest, letter));
    }

    /**
     * Sets a value of a line.
     *
     * @param word see {@link NestValues#OF_LINES}
     */
    public JobService.Edit line(String id, String word, String text) {
        Value<PartLine> value = known(NestValues.OF_LINES, word, "line");
        return choices(c -> c.withLine(id, line -> value.put(line, text)));
    }

    public JobService.Edit withoutLine(String id) {
        return choices(
                c -> {
                    if (c.line(id).isEmpty()) {
                        throw new NotFoundException("There is no line %s.".formatted(id));
                    }
                    return c.withoutLine(id);
                });
    }

    // ---- sheets

    /** Many things at once: all of them hold, or none. */
    public JobService.Edit all(NestWishes wishes) {
        return wishes.edit(this);
    }

    /** Edits one after the other as one. */
    JobService.Edit allOf(List<JobService.Edit> edits) {
        return before -> {
            JobResult now = before;
            for (JobService.Edit edit : edits) {
                now = computer.result(edit.apply(now));
            }
            return now.document();
        };
    }

    /**
     * Another kind of sheet.
     *
     * @param sheet without an id it is given one
     */
    public JobService.Edit addSheet(StockLine sheet) {
        return choices(
                c -> {
                    String id = sheet.id().isEmpty() ? c.nextStock() : sheet.id();
                    if (c.stock(id).isPresent()) {
                        throw new RefusedEditException(
                                "There is a sheet %s already.".formatted(id));
                    }
                    return with(c, sheet.withId(id));
                });
    }

    /** Sheets as they are described. */
    public static NestChoices with(NestChoices choices, StockLine sheet) {
        List<StockLine> stock = new ArrayList<>(choices.stock());
        stock.add(sheet);
        return choices.withStock(stock);
    }

    /**
     * Sets a value of a kind of sheet; what lies on it stays where it is.
     *
     * @param word see {@link NestValues#OF_STOCK}
     */
    public JobService.Edit sheet(String id, String word, String text) {
        Value<StockLine> value = known(NestValues.OF_STOCK, word, "sheet");
        return choices(
                c -> {
                    requireSheet(c, id);
                    return c.withStock(
                            c.stock().stream()
                                    .map(s -> s.id().equals(id) ? value.put(s, text) : s)
                                    .toList());
                });
    }

    /** A remnant of the shop as a sheet that may be used. */
    public JobService.Edit addRemnant(long number) {
        Remnant remnant = remnants.require(number);
        return nested(
                (before, nest) -> {
                    requireUsable(remnant, before.document());
                    return nest.changed(c -> withRemnant(c, remnant));
                });
    }

    private static void requireUsable(Remnant remnant, JobDocument nest) {
        Plate plate = new Plate(remnant.material(), remnant.thickness());
        if (!plate.isAlike(nest.plate()) || remnant.state() != Remnant.State.FREE) {
            throw new RefusedEditException(
                    "Remnant %d is %s and %s; this nest is %s."
                            .formatted(remnant.id(), plate, remnant.state().word(), nest.plate()));
        }
    }

    private static NestChoices withRemnant(NestChoices choices, Remnant remnant) {
        boolean there =
                choices.stock().stream()
                        .anyMatch(s -> Long.valueOf(remnant.id()).equals(s.remnant()));
        return there ? choices : with(choices, remnant.line("r" + remnant.id()));
    }

    /** With the largest of the shop's remnants: they are used before new sheets. */
    NestChoices withRemnants(NestChoices choices, JobDocument nest) {
        NestChoices changed = choices;
        List<Remnant> free = remnants.free(nest.material(), nest.thickness().value());
        for (Remnant remnant : free.subList(0, Math.min(MOST_OFFERED, free.size()))) {
            changed = withRemnant(changed, remnant);
        }
        return changed;
    }

    public JobService.Edit withoutSheet(String id) {
        return choices(
                c -> {
                    requireSheet(c, id);
                    return c.withoutStock(id);
                });
    }

    private static void requireSheet(NestChoices choices, String id) {
        if (choices.stock(id).isEmpty()) {
            throw new NotFoundException("There is no sheet %s.".formatted(id));
        }
    }

    // ---- distances

    /**
     * Sets what all parts keep to.
     *
     * @param word see {@link NestValues#OF_NESTS}
     */
    public JobService.Edit distance(String word, String text) {
        Value<DistanceChoices> value = known(NestValues.OF_NESTS, word, "nest");
        return nested(
                (before, nest) -> {
                    NestDocument changed =
                            nest.changed(c -> c.withDistances(value.put(c.distances(), text)));
                    requireGap(before, changed);
                    changed.choices().distances().requireHeads(before.machine());
                    return changed;
                });
    }

    /** A gap that was typed is no less than the cut needs. */
    private static void requireGap(JobResult before, NestDocument changed) {
        if (changed.choices().distances().gap() != null) {
            before.nesting().orElseThrow().with(changed).requireGap(before.kind());
        }
    }

    // ---- what lies where

    /** Lays the parts as a search has found. */
    public JobService.Edit laid(List<NestedSheet> sheets) {
        return choices(c -> c.withLaid(sheets));
    }

    // ---- common to all

    /** What changes a nest. */
    @FunctionalInterface
    interface NestChange {
        NestDocument apply(JobResult before, NestDocument nest);
    }

    static JobService.Edit nested(NestChange change) {
        return before -> {
            NestDocument nest = require(before);
            return before.document().withNest(Optional.of(change.apply(before, nest)));
        };
    }

    private static JobService.Edit choices(UnaryOperator<NestChoices> change) {
        return nested((before, nest) -> nest.changed(change));
    }

    /**
     * @throws RefusedEditException when the job's parts are not nested
     */
    static NestDocument require(JobResult result) {
        return result.document()
                .nest()
                .orElseThrow(
                        () ->
                                new RefusedEditException(
                                        "The parts of this job lie in rows and columns. Choose a nest on Sheet first."));
    }

    static <T> Value<T> known(List<Value<T>> values, String word, String what) {
        return Value.find(values, word)
                .orElseThrow(
                        () ->
                                new NotFoundException(
                                        "A %s has no value \"%s\" that can be set."
                                                .formatted(what, word)));
    }

    /** The task of a job's nest. */
    static Nesting nesting(JobResult result) {
        require(result);
        return result.nesting().orElseThrow();
    }
}
