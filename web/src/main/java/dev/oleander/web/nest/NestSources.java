package dev.oleander.web.nest;

import dev.oleander.drawing.read.Part;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestPlacement;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.Sheets;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.plan.bed.Demand;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.web.job.JobService;
import dev.oleander.web.job.StageReport;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.web.job.document.NotFoundException;
import dev.oleander.web.job.document.RefusedEditException;
import dev.oleander.web.job.result.JobComputer;
import dev.oleander.web.job.result.JobResult;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;

/** Takes parts of other jobs into a nest, each job as it is at that moment. */
@Component
class NestSources {

    private final JobService jobs;
    private final JobComputer computer;

    NestSources(JobService jobs, JobComputer computer) {
        this.jobs = jobs;
        this.computer = computer;
    }

    /**
     * Parts that are wanted of a job.
     *
     * @param part id in its drawing; empty: all of them
     * @param quantity null: as many as the job asks for
     * @param with what else is said of the lines
     */
    record Wish(long job, String part, Integer quantity, UnaryOperator<PartLine> with) {}

    /**
     * The nest with lines for the parts of a job.
     *
     * @throws RefusedEditException when the job cannot be nested with the others
     * @throws NotFoundException when there is no such job or part
     */
    NestDocument added(JobResult nest, NestDocument into, Wish wish) {
        JobService.Present present = jobs.present(wish.job());
        JobResult of = computer.result(present.document());
        requireUsable(nest, wish.job(), of);
        String letter = into.letterOf(wish.job()).orElseGet(into::nextLetter);
        if (into.sources().size() >= NestDocument.MOST_SOURCES) {
            throw new RefusedEditException(
                    "One nest takes parts of at most %d jobs."
                            .formatted(NestDocument.MOST_SOURCES));
        }
        List<PartLine> lines = new ArrayList<>(into.choices().lines());
        NestChoices choices = into.choices();
        for (Part part : parts(of, wish)) {
            int quantity = wish.quantity() != null ? wish.quantity() : wanted(of, part);
            if (quantity == 0 && wish.part().isEmpty() && wish.quantity() == null) {
                continue;
            }
            PartLine line =
                    PartLine.of(choices.nextLine(), new PartRef(letter, part.id()), quantity);
            PartLine whole = wish.with().apply(line);
            NestChoices.require(
                    whole, "%s, %s".formatted(of.document().name(), PartRef.within(part.id())));
            lines.add(whole);
            choices = choices.withLines(lines);
        }
        return into.with(
                        letter,
                        new NestDocument.Source(wish.job(), present.step(), present.document()))
                .withChoices(choices);
    }

    private static List<Part> parts(JobResult of, Wish wish) {
        List<Part> all = of.reading().parts();
        if (wish.part().isEmpty()) {
            return all;
        }
        return List.of(
                all.stream()
                        .filter(p -> p.id().equals(wish.part()))
                        .findFirst()
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "%s has no part \"%s\"; it has %s."
                                                        .formatted(
                                                                of.document().name(),
                                                                wish.part(),
                                                                String.join(
                                                                        ", ",
                                                                        all.stream()
                                                                                .map(Part::id)
                                                                                .toList())))));
    }

    /** How many of a part its job asks for. */
    private static int wanted(JobResult of, Part part) {
        Demand demand = of.demand();
        return demand.isWhole() ? demand.of(PartRef.WHOLE) : demand.of(PartRef.of(part.id()));
    }

    private static void requireUsable(JobResult nest, long job, JobResult of) {
        String name = "Job %d, %s,".formatted(job, of.document().name());
        JobDocument into = nest.document();
        JobDocument document = of.document();
        if (document.nest().isPresent()) {
            throw new RefusedEditException(
                    "%s is a nest itself; take the jobs that it is of.".formatted(name));
        }
        if (!of.kind().word().equals(nest.kind().word())) {
            throw new RefusedEditException(
                    "%s is made on %s; %s does other work."
                            .formatted(name, of.machine().name(), nest.machine().name()));
        }
        if (!document.plate().isAlike(into.plate())) {
            throw new RefusedEditException(
                    "%s is %s; this nest is %s.".formatted(name, document.plate(), into.plate()));
        }
        List<String> needs = StageReport.shapeNeeds(of);
        if (!needs.isEmpty()) {
            throw new RefusedEditException(
                    "%s has things to fix on Shape: %s".formatted(name, needs.get(0)));
        }
        if (of.reading().parts().isEmpty()) {
            throw new RefusedEditException("%s has no parts yet.".formatted(name));
        }
    }

    /** Letters of the jobs that were changed since they were taken in. */
    List<String> stale(NestDocument nest) {
        Map<Long, Integer> steps =
                jobs.steps(nest.sources().values().stream().map(NestDocument.Source::job).toList());
        List<String> stale = new ArrayList<>();
        nest.inOrder()
                .forEach(
                        (letter, source) -> {
                            if (isStale(source, steps.getOrDefault(source.job(), source.step()))) {
                                stale.add(letter);
                            }
                        });
        return stale;
    }

    /** A step back and the same step again is no change. */
    private boolean isStale(NestDocument.Source source, int step) {
        return step != source.step()
                && !jobs.present(source.job()).document().equals(source.document());
    }

    /**
     * The nest with a job as it is now: lines of parts that are gone are left out, parts that do
     * not fit where they lie any more are taken off.
     */
    NestDocument renewed(JobResult before, NestDocument nest, String letter) {
        NestDocument.Source old =
                Optional.ofNullable(nest.sources().get(letter))
                        .orElseThrow(
                                () ->
                                        new NotFoundException(
                                                "This nest has no job %s.".formatted(letter)));
        JobService.Present present = jobs.present(old.job());
        JobResult of = computer.result(present.document());
        requireUsable(before, old.job(), of);
        List<String> parts = of.reading().parts().stream().map(Part::id).toList();
        NestDocument changed =
                nest.with(
                        letter,
                        new NestDocument.Source(old.job(), present.step(), present.document()));
        for (PartLine line : nest.choices().lines()) {
            if (line.source().equals(letter) && !parts.contains(line.part())) {
                changed = changed.changed(c -> c.withoutLine(line.id()));
            }
        }
        JobResult after = computer.result(before.document().withNest(Optional.of(changed)));
        List<NestedSheet> fitting = fitting(after);
        return changed.changed(c -> c.withLaid(fitting));
    }

    /** What still fits, part by part, the first ones first. */
    static List<NestedSheet> fitting(JobResult result) {
        NestTask task = NestEdits.nesting(result).task(result.kind(), List.of());
        List<NestedSheet> kept = new ArrayList<>();
        for (NestedSheet sheet : result.document().nest().orElseThrow().choices().laid()) {
            if (NestCheck.isSound(task, sheet)) {
                kept.add(sheet);
                continue;
            }
            List<NestPlacement> on = new ArrayList<>();
            for (NestPlacement p : sheet.placements()) {
                on.add(p);
                if (!NestCheck.isSound(task, sheet.with(on))) {
                    on.remove(on.size() - 1);
                }
            }
            if (!on.isEmpty()) {
                kept.add(sheet.with(on));
            }
        }
        return withinQuantities(task, kept);
    }

    private static List<NestedSheet> withinQuantities(NestTask task, List<NestedSheet> sheets) {
        Map<String, Integer> left = new HashMap<>();
        for (OrderLine line : task.lines()) {
            left.put(line.id(), line.quantity());
        }
        List<NestedSheet> within = new ArrayList<>();
        for (NestedSheet sheet : sheets) {
            within.addAll(
                    Sheets.without(
                                    List.of(sheet.on(null)),
                                    p -> left.merge(p.line(), -sheet.heads(), Integer::sum) < 0)
                            .stream()
                            .map(s -> s.on(sheet.stretch()))
                            .toList());
        }
        return Sheets.joined(within);
    }
}
