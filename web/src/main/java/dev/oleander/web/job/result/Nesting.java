package dev.oleander.web.job.result;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Part;
import dev.oleander.drawing.read.Reading;
import dev.oleander.geometry.Box;
import dev.oleander.geometry.Point;
import dev.oleander.machine.Machine;
import dev.oleander.nesting.NestCheck;
import dev.oleander.nesting.NestException;
import dev.oleander.nesting.NestFault;
import dev.oleander.nesting.NestRules;
import dev.oleander.nesting.NestTask;
import dev.oleander.nesting.NestedSheet;
import dev.oleander.nesting.OrderLine;
import dev.oleander.nesting.SheetStock;
import dev.oleander.nesting.choice.NestChoices;
import dev.oleander.nesting.choice.PartLine;
import dev.oleander.nesting.choice.StockLine;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.bed.PartRef;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.SheetLayout;
import dev.oleander.progress.Progress;
import dev.oleander.quantity.Numbers;
import dev.oleander.quantity.Typed;
import dev.oleander.web.job.document.JobDocument;
import dev.oleander.web.job.document.NestDocument;
import dev.oleander.work.NestRuns;
import dev.oleander.work.Plan;
import dev.oleander.work.PlannedRun;
import dev.oleander.work.Spacing;
import dev.oleander.work.Task;
import dev.oleander.work.Together;
import dev.oleander.work.Work;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A nest as the search and the plan want it: lines with their shapes, sheets with their prices, the
 * jobs that the parts are of.
 */
public final class Nesting {

    private final JobDocument document;
    private final NestDocument nest;
    private final Machine machine;
    private final Book<?> book;
    private final Task.Order order;
    private final Reading reading;
    private final Map<String, Reading> sources;
    private final double price;

    /**
     * @param sources readings of the other jobs, by letter
     * @param price of the material, per mm2
     */
    Nesting(
            JobDocument document,
            Machine machine,
            Book<?> book,
            Task.Order order,
            Reading reading,
            Map<String, Reading> sources,
            double price) {
        this.document = document;
        this.nest = document.nest().orElseThrow();
        this.machine = machine;
        this.book = book;
        this.order = order;
        this.reading = reading;
        this.sources = Map.copyOf(sources);
        this.price = price;
    }

    public NestDocument document() {
        return nest;
    }

    public NestChoices choices() {
        return nest.choices();
    }

    public Machine machine() {
        return machine;
    }

    /** The part that a line is of; empty when its drawing has it no more. */
    public Optional<Part> part(PartLine line) {
        String id = line.ref().id();
        return reading.parts().stream().filter(p -> p.id().equals(id)).findFirst();
    }

    /** The job that a line is of, for people. */
    public String job(PartLine line) {
        return line.source().isEmpty()
                ? document.name()
                : nest.sources().get(line.source()).document().name();
    }

    /** A line for people: Porthole trim ring, part 2. */
    public String name(PartLine line) {
        String own = "part " + line.part().replace("p", "");
        // what follows from a job is shared by all names it may have
        return line.source().isEmpty() ? own : "%s, %s".formatted(job(line), own);
    }

    /** What one of the sheets costs; a remnant what it is worth, where nobody said. */
    public SheetStock stock(StockLine line) {
        boolean rest = line.remnant() != null;
        return line.stock(rest ? price * choices().distances().restShare() : price);
    }

    /**
     * What the search is to do.
     *
     * @param of the kind of work of the machine
     * @throws NestException naming what is not possible
     */
    public <C extends Choices<C, S>, S extends Choice<S>> NestTask task(
            Work<C, S> of, List<NestedSheet> locked) {
        List<OrderLine> lines = new ArrayList<>();
        Task<C> whole = tasks(of).apply(empty());
        for (PartLine line : choices().lines()) {
            Part part = shape(line);
            PartLine roomy = line.gap() == null ? line.withGap(room(of, whole, part)) : line;
            lines.add(roomy.line(job(line), of.solid(whole, part)));
        }
        List<SheetStock> stock = choices().stock().stream().map(this::stock).toList();
        return new NestTask(lines, stock, rules(of), locked);
    }

    /** Null: as all. */
    private static <C extends Choices<C, S>, S extends Choice<S>> Typed room(
            Work<C, S> of, Task<C> whole, Part part) {
        double room = of.room(whole, part);
        return room > 0 ? Typed.of(room) : null;
    }

    private Part shape(PartLine line) {
        return part(line)
                .orElseThrow(
                        () ->
                                new NestException(
                                        "%s: its drawing has no such part any more. Take the line out, or renew the nest."
                                                .formatted(name(line))));
    }

    /**
     * Distances that are kept to.
     *
     * @throws NestException when the machine does not cut nested parts
     */
    public <C extends Choices<C, S>, S extends Choice<S>> NestRules rules(Work<C, S> of) {
        Spacing usual = spacing(of);
        return choices().distances().rules(usual.gap(), usual.shared(), machine);
    }

    /**
     * @throws NestException when the gap is below what the cut needs
     */
    public <C extends Choices<C, S>, S extends Choice<S>> void requireGap(Work<C, S> of) {
        double gap = rules(of).gap();
        double least = spacing(of).least();
        if (gap < least) {
            throw new NestException(
                    "The gap is %s mm; what is cut between two parts takes %s mm, and no gap may be less."
                            .formatted(Numbers.plain(gap, 3), Numbers.plain(least, 3)));
        }
    }

    /** The same jobs with other parts, sheets or distances. */
    public Nesting with(NestDocument other) {
        return new Nesting(
                document.withNest(Optional.of(other)),
                machine,
                book,
                order,
                reading,
                sources,
                price);
    }

    /**
     * How far parts keep from each other where nothing was said.
     *
     * @throws NestException when the machine does not cut nested parts
     */
    public <C extends Choices<C, S>, S extends Choice<S>> Spacing spacing(Work<C, S> of) {
        return of.spacing(tasks(of).apply(empty()))
                .orElseThrow(
                        () ->
                                new NestException(
                                        "%s does not cut nested parts.".formatted(machine.name())));
    }

    private static SheetLayout empty() {
        return new SheetLayout(
                Box.of(Point.ORIGIN, Point.ORIGIN), List.of(), 0, 0, 0, 0, 0, List.of());
    }

    /**
     * What stands against how the parts lie, as things are now: distances that were changed since,
     * sheets that there are no more.
     *
     * @return none where nothing is laid
     */
    public <C extends Choices<C, S>, S extends Choice<S>> List<NestFault> faults(Work<C, S> of) {
        if (choices().laid().isEmpty()) {
            return List.of();
        }
        return NestCheck.faults(task(of, List.of()), choices().laid()).stream()
                .map(
                        fault ->
                                new NestFault(
                                        fault.rule(), told(fault), fault.value(), fault.limit()))
                .toList();
    }

    /** With jobs and parts in place of the ids of lines. */
    private String told(NestFault fault) {
        String sentence = fault.sentence();
        for (PartLine line : choices().lines()) {
            String id = "(?<![\\w-])" + Pattern.quote(line.id()) + "(?![\\w-])";
            sentence = sentence.replaceAll(id, Matcher.quoteReplacement(name(line)));
        }
        return sentence;
    }

    /**
     * What one of the sheets is planned for.
     *
     * @throws PlanException when nothing is laid or it cannot be cut
     */
    <C extends Choices<C, S>, S extends Choice<S>> Task<C> sheet(Work<C, S> of, int number) {
        return NestRuns.task(laid(of), number, tasks(of));
    }

    /** Plans of all sheets, from that of the first. */
    <C extends Choices<C, S>, S extends Choice<S>> List<PlannedRun> runs(
            Work<C, S> of, Plan first, Progress progress) {
        return NestRuns.of(of, laid(of), first, tasks(of), progress);
    }

    private <C extends Choices<C, S>, S extends Choice<S>> NestRuns.Laid laid(Work<C, S> of) {
        Map<String, PartRef> parts =
                choices().lines().stream().collect(Collectors.toMap(PartLine::id, PartLine::ref));
        requireGap(of);
        NestRules rules = rules(of);
        double widest =
                choices().lines().stream()
                        .map(PartLine::gap)
                        .filter(Objects::nonNull)
                        .mapToDouble(Typed::value)
                        .reduce(rules.gap(), Math::max);
        Map<String, SheetStock> stock = new HashMap<>();
        choices().stock().forEach(line -> stock.put(line.id(), stock(line)));
        return new NestRuns.Laid(choices().laid(), stock, parts, rules, widest);
    }

    private <C extends Choices<C, S>, S extends Choice<S>> Function<SheetLayout, Task<C>> tasks(
            Work<C, S> of) {
        List<Together.Source<C>> all = new ArrayList<>();
        nest.inOrder()
                .forEach(
                        (letter, source) ->
                                all.add(
                                        new Together.Source<>(
                                                letter,
                                                sources.get(letter),
                                                source.document().material(),
                                                source.document().thickness().value(),
                                                source.document().quantity(),
                                                source.document().choices(of))));
        Together.Joined<C> joined = Together.joined(order, all, reading);
        C own = document.choices(of);
        return layout -> Together.task(machine, book, order, layout, joined, own);
    }
}
