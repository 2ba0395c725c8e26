package dev.oleander.work;

import dev.oleander.book.Book;
import dev.oleander.drawing.read.Feature;
import dev.oleander.drawing.read.FeatureKey;
import dev.oleander.drawing.read.JoinedReading;
import dev.oleander.drawing.read.Reading;
import dev.oleander.drawing.revise.Carrying;
import dev.oleander.drawing.revise.ReadingMatch;
import dev.oleander.machine.Machine;
import dev.oleander.plan.Choice;
import dev.oleander.plan.Choices;
import dev.oleander.plan.Decisions;
import dev.oleander.plan.RunChoices;
import dev.oleander.plan.bed.PlanException;
import dev.oleander.plan.bed.Plate;
import dev.oleander.plan.bed.SheetChoices;
import dev.oleander.plan.bed.SheetLayout;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What holds where parts of several jobs lie on one sheet.
 *
 * @param layout where they lie; the placements name their sources
 * @param choices what was decided in each job, by source, about its features as the joined reading
 *     calls them
 */
public record Together<C>(SheetLayout layout, Map<String, C> choices) {

    public Together {
        choices = Map.copyOf(choices);
    }

    /**
     * A job whose parts lie on the sheet.
     *
     * @param name see {@link JoinedReading#of}
     * @param thickness mm
     * @param copies that the job itself makes: what was decided about the only one holds for all
     *     here
     */
    public record Source<C>(
            String name,
            Reading reading,
            String material,
            double thickness,
            int copies,
            C choices) {}

    /**
     * Jobs read as one.
     *
     * @param reading of all of them
     * @param choices what was decided in each, by source, about its features as they are called
     *     there; of the job that has the sheet itself there are none
     */
    public record Joined<C>(Reading reading, Map<String, C> choices) {}

    /**
     * Jobs whose parts may lie on one sheet.
     *
     * @param sources the job that has the sheet has no name
     * @param reading all sources as one, see {@link JoinedReading#of}
     * @throws PlanException when a job is of another material or thickness than the sheet
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> Joined<C> joined(
            Task.Order order, List<Source<C>> sources, Reading reading) {
        sources.forEach(source -> requireAlike(source, order));
        Map<String, C> choices =
                sources.stream()
                        .filter(source -> !source.name().isEmpty())
                        .collect(Collectors.toMap(Source::name, source -> of(source, reading)));
        return new Joined<>(reading, choices);
    }

    /** The same, read as one here. */
    public static <C extends Choices<C, S>, S extends Choice<S>> Joined<C> joined(
            Task.Order order, List<Source<C>> sources) {
        Map<String, Reading> readings = new LinkedHashMap<>();
        sources.forEach(source -> readings.put(source.name(), source.reading()));
        return joined(order, sources, JoinedReading.of(readings));
    }

    /**
     * The task of one sheet with parts of several jobs.
     *
     * @param order its quantity does not matter: the layout says what lies there
     * @param own order, pins and events of the sheet itself, and all that was decided in the job
     *     that has it; orders of other jobs do not hold here
     */
    public static <C extends Choices<C, S>, S extends Choice<S>> Task<C> task(
            Machine machine,
            Book<?> book,
            Task.Order order,
            SheetLayout layout,
            Joined<C> joined,
            C own) {
        return new Task<>(
                machine,
                book,
                joined.reading(),
                order,
                SheetChoices.usual(),
                own,
                Optional.of(new Together<>(layout, joined.choices())));
    }

    private static void requireAlike(Source<?> source, Task.Order sheet) {
        Plate of = new Plate(source.material(), source.thickness());
        Plate on = new Plate(sheet.material(), sheet.thickness());
        if (!of.isAlike(on)) {
            throw new PlanException(
                    "%s is made of %s; the sheet is %s.".formatted(source.name(), of, on));
        }
    }

    /** What was decided about all copies, or about the only one; of others there are none here. */
    private static <C extends Choices<C, S>, S extends Choice<S>> C of(
            Source<C> source, Reading joined) {
        Map<String, String> ids =
                source.reading().features().stream()
                        .map(Feature::id)
                        .collect(
                                Collectors.toMap(
                                        Function.identity(),
                                        id -> FeatureKey.inSource(source.name(), id)));
        Carrying renamed =
                new Carrying(
                        source.reading(),
                        joined,
                        new ReadingMatch.Match(ids, Map.of(), List.of(), List.of()));
        C of = source.choices();
        Map<String, S> all = new LinkedHashMap<>(of.stops());
        all.keySet().removeIf(key -> FeatureKey.parse(key).copy().isPresent());
        if (source.copies() == 1) {
            source.reading().features().stream()
                    .map(Feature::id)
                    .forEach(id -> all.put(id, of.of(id, 1)));
        }
        all.values().removeIf(Choice::isNothing);
        return of.with(
                        new Decisions<>(
                                RunChoices.USUAL.withEventsOf(of.run()),
                                all,
                                of.recipes(),
                                of.given()))
                .carried(renamed);
    }

    /** What was decided in the job that a feature is of. */
    Optional<C> choices(String feature) {
        return Optional.ofNullable(choices.get(FeatureKey.sourceOf(feature)));
    }
}
